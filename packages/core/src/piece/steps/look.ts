import type { HandStep } from '../handStep';
import type { BenchKind } from './step';

/** What there is to look with. */
export const LOOKED_WITH = ['eye', 'ring', 'polariser', 'guideCoat'] as const;
export type LookedWith = (typeof LOOKED_WITH)[number];
export const LOOKED_NAMES: Record<LookedWith, string> = {
  eye: 'By eye and fingertip',
  ring: 'By its ring when tapped',
  polariser: 'Between polarisers',
  guideCoat: 'By a guide coat',
};

export type LookStep = HandStep & { kind: 'look'; with: LookedWith; found?: string };

export const look: BenchKind<LookStep> = {
  name: 'Look',
  usual: () => ({ with: 'eye' }),
  fields: [
    { as: 'choice', key: 'with', label: 'How', options: LOOKED_WITH.map((value) => ({ value, title: LOOKED_NAMES[value] })), testID: 'look-with' },
    { as: 'words', key: 'found', label: 'What was found', testID: 'found' },
  ],
  words: ({ with: by, found }) => `${LOOKED_NAMES[by].toLowerCase()}${found ? `: ${found}` : ''}`,
};
