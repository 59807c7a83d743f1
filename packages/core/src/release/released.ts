/** How glass came off what shaped it, as it was told once the kiln was opened: the studio's own record of a form, which judges above any reckoning. */
export const RELEASED = ['fell', 'tapped', 'stuck', 'broke'] as const;
export type Released = (typeof RELEASED)[number];

export const RELEASED_NAMES: Record<Released, string> = {
  fell: 'Came by itself',
  tapped: 'Came by tapping',
  stuck: 'Stuck',
  broke: 'Broke coming off',
};

const SAID: Record<Released, string> = { fell: 'came by itself', tapped: 'came by tapping', stuck: 'stuck', broke: 'broke coming off' };

export type Tally = Record<Released, number>;

/** 'Of 6 told 4 came by themselves, …' ; '' where nothing was told. */
export function tallyWords(tally: Tally): string {
  const all = RELEASED.reduce((sum, how) => sum + tally[how], 0);
  if (all === 0) return '';
  const kinds = RELEASED.filter((how) => tally[how] > 0);
  if (kinds.length === 1 && all > 1) return `All ${all} recorded ${SAID[kinds[0]].replace('itself', 'themselves')}.`;
  if (all === 1) return `The one recorded ${SAID[kinds[0]]}.`;
  return `Of ${all} recorded, ${kinds.map((how) => `${tally[how]} ${SAID[how].replace('itself', tally[how] > 1 ? 'themselves' : 'itself')}`).join(', ')}.`;
}
