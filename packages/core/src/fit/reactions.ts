/** Colours that change each other at a touch, by what is in them. Wanted or not, it should not come as a surprise. */
export const CONTENTS = ['copper', 'sulphur', 'lead', 'silver'] as const;
export type Content = (typeof CONTENTS)[number];

const REACTING: readonly { pair: readonly [Content, Content]; because: string }[] = [
  { pair: ['copper', 'sulphur'], because: 'copper and sulphur make a dark line where they touch' },
  { pair: ['lead', 'sulphur'], because: 'lead and sulphur darken where they touch' },
  { pair: ['lead', 'copper'], because: 'lead and copper darken where they touch' },
  { pair: ['silver', 'sulphur'], because: 'silver and sulphur stain where they touch' },
];

/** Why two glasses react where they touch; empty where they do not. */
export const reactionsBetween = (one: readonly Content[], other: readonly Content[]): string[] =>
  REACTING.filter(({ pair: [a, b] }) => (one.includes(a) && other.includes(b)) || (one.includes(b) && other.includes(a))).map(({ because }) => because);
