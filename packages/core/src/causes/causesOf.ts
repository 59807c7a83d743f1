/** The causes of a fault in their order, with figures of this very firing for and against each. */
import { CAUSES, type CauseName, changeFor } from './causes';
import { type CausesAsked, type Fault, type Finding, factsOf } from './facts';
import { LIKELY } from './likely';

export interface LikelyCause {
  cause: CauseName;
  title: string;
  /** Of all causes of this fault together 1. */
  share: number;
  for: string[];
  against: string[];
  change: string;
}

/** Causes less likely than this are left out. */
const LEAST_SHARE = 0.03;

const UP: readonly CauseName[] = ['tooFastUp'];
const COLD: readonly CauseName[] = ['tooFastDown', 'openedEarly', 'stressLeft', 'formerGripped', 'againstDam', 'misfit'];

/** Nothing of these where no glass is fired: clay is not annealed. */
const OF_GLASS: readonly CauseName[] = ['stressLeft', 'misfit', 'tooThin', 'formerGripped', 'againstDam'];

/** What the edges of a crack and its course say. */
function byCrack(cause: CauseName, { edge, course }: Fault): Finding {
  const all: Finding[] = [];
  const isUp = UP.includes(cause);
  if (edge === 'rounded' && isUp) all.push({ weight: 6, for: ['Its edges are rounded: it broke before the hottest part.'] });
  if (edge === 'rounded' && COLD.includes(cause)) all.push({ weight: 0.12, against: ['Its edges are rounded: it broke before the hottest part.'] });
  if (edge === 'sharp' && isUp) all.push({ weight: 0.12, against: ['Its edges are sharp: it broke after the hottest part.'] });
  if (edge === 'sharp' && COLD.includes(cause)) all.push({ weight: 1.5, for: ['Its edges are sharp: it broke after the hottest part.'] });
  if (course === 'join') all.push(cause === 'misfit' ? { weight: 5, for: ['It runs along where two glasses meet.'] } : { weight: 0.5 });
  if (course === 'form')
    all.push(cause === 'formerGripped' || cause === 'againstDam' ? { weight: 4, for: ['It is where the glass lay against its form.'] } : { weight: 0.5 });
  if (course === 'across') all.push(cause === 'misfit' ? { weight: 0.4, against: ['It runs across glasses, not between them.'] } : { weight: 1 });
  return together(all);
}

const together = (all: readonly Finding[]): Finding => ({
  weight: all.reduce((product, { weight }) => product * weight, 1),
  for: all.flatMap((one) => one.for ?? []),
  against: all.flatMap((one) => one.against ?? []),
});

export function causesOf(asked: CausesAsked): LikelyCause[] {
  const facts = factsOf(asked);
  const { fault } = asked;
  const isBare = asked.firing.body.glasses.length === 0;
  const weighed = (Object.entries(LIKELY[fault.flaw]) as [CauseName, number][]).flatMap(([cause, usual]) => {
    const own = isBare && OF_GLASS.includes(cause) ? null : CAUSES[cause].weigh(facts);
    if (own === null) return [];
    const found = together([own, byCrack(cause, fault), ...bySize(cause, fault)]);
    return [{ cause, weight: usual * found.weight, for: found.for ?? [], against: found.against ?? [] }];
  });
  const whole = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed
    .map(({ weight, ...one }) => ({ ...one, title: CAUSES[one.cause].title, change: changeFor(one.cause, asked.units), share: weight / whole }))
    .filter(({ share }) => share >= LEAST_SHARE)
    .sort((one, other) => other.share - one.share);
}

/** Large bubbles are air that was shut in; small ones come from what was on the glass. */
function bySize(cause: CauseName, { size }: Fault): Finding[] {
  const isAir = cause === 'squeezeShort' || cause === 'dampPrimer' || cause === 'dishedShelf';
  if (size === 'large' && isAir) return [{ weight: 1.5, for: ['The bubbles are large: air or steam was shut in.'] }];
  if (size === 'small' && isAir) return [{ weight: 0.5 }];
  if (size === 'small' && cause === 'fingerprints') return [{ weight: 2, for: ['The bubbles are small.'] }];
  return [];
}

/** What is likelier than all others, or nearly so. */
export const isLikely = ({ share }: Pick<LikelyCause, 'share'>): boolean => share >= 0.35;
