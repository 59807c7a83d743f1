import type { Face, HandStep } from '../handStep';
import { takenOff } from '../handSteps';
import { type BenchKind, OFF_RANGE_M, PLACES, long, placeWords } from './step';

/** The rim by so much all round, or a face by so much of its depth. */
export type GrindStep = HandStep & { kind: 'grind'; at: 'rim' | Face; depth_m: number };

export const grind: BenchKind<GrindStep> = {
  name: 'Grind',
  nameOf: ({ at }) => (at === 'rim' ? 'Trim the rim' : 'Grind'),
  usual: () => ({ at: 'rim', depth_m: 0.002 }),
  fields: [
    { as: 'choice', key: 'at', label: 'Where', options: PLACES, testID: 'place' },
    { as: 'length', key: 'depth_m', label: 'off', name: 'What comes off', range: OFF_RANGE_M, testID: 'off' },
  ],
  words: ({ at, depth_m }, units) => `${long(depth_m, units)} off the ${placeWords(at)}`,
  applies: (now, { at, depth_m }, glasses) => takenOff(now, at, depth_m, 'ground', glasses),
  caution: 'Grind wet with eye protection: the dust of glass and of fired primer harms the lungs for good.',
};
