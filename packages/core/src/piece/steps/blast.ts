import type { Face, HandStep } from '../handStep';
import { blastFace } from '../handSteps';
import { type BenchKind, FACES, FACE_NAMES, OFF_RANGE_M, long } from './step';

/** Part of a face goes down by a depth, the rest was masked and stands. */
export type BlastStep = HandStep & { kind: 'blast'; face: Face; depth_m: number; cover: number };

export const blast: BenchKind<BlastStep> = {
  name: 'Blast',
  usual: () => ({ face: 'up', depth_m: 0.001, cover: 0.5 }),
  fields: [
    { as: 'choice', key: 'face', label: 'Where', options: FACES, testID: 'place' },
    { as: 'length', key: 'depth_m', label: 'deep', name: 'The depth', range: OFF_RANGE_M, testID: 'off' },
    { as: 'share', key: 'cover', label: 'open', name: 'What is not masked', range: { least: 0.01, most: 1 }, testID: 'blast-cover' },
  ],
  words: ({ face, depth_m, cover }, units) => `${long(depth_m, units)} deep on ${Math.round(cover * 100)} % of the ${FACE_NAMES[face]}`,
  applies: blastFace,
  caution: 'Blast in a closed cabinet with extraction and a respirator, never with silica sand; ear defence, and look after the seals of the gloves.',
};
