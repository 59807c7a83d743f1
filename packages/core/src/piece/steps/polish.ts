import type { Face, HandStep } from '../handStep';
import { takenOff } from '../handSteps';
import { type BenchKind, OFF_RANGE_M, PLACES, long, placeWords } from './step';

export type PolishStep = HandStep & { kind: 'polish'; at: 'rim' | Face; depth_m: number };

export const polish: BenchKind<PolishStep> = {
  name: 'Polish',
  usual: () => ({ at: 'rim', depth_m: 0.0001 }),
  fields: [
    { as: 'choice', key: 'at', label: 'Where', options: PLACES, testID: 'place' },
    { as: 'length', key: 'depth_m', label: 'off', name: 'What comes off', range: OFF_RANGE_M, testID: 'off' },
  ],
  words: ({ at, depth_m }, units) => `${long(depth_m, units)} off the ${placeWords(at)}`,
  applies: (now, { at, depth_m }, glasses) => takenOff(now, at, depth_m, 'polished', glasses),
  caution: 'Wheels throw what they catch: eye protection, hair and sleeves tied back, slurry kept off the electrics.',
};
