import type { Face, HandStep } from '../handStep';
import { blastFace } from '../handSteps';
import { type BenchKind, FACES, FACE_NAMES, OFF_RANGE_M, long } from './step';

export const BLASTED_FOR = ['pattern', 'haze'] as const;
export type BlastedFor = (typeof BLASTED_FOR)[number];

/** Part of a face goes down by a depth, the rest was masked and stands. why: as for a pattern where left out. */
export type BlastStep = HandStep & { kind: 'blast'; face: Face; depth_m: number; cover: number; why?: BlastedFor };

/** A masked pattern; or the skin of a whole face with the crystals that grew in it. */
const USUAL = { pattern: { depth_m: 0.001, cover: 0.5 }, haze: { depth_m: 0.00005, cover: 1 } } as const satisfies Record<BlastedFor, Partial<BlastStep>>;

export const blast: BenchKind<BlastStep> = {
  name: 'Blast',
  usual({ left = [] }) {
    const why = left.includes('haze') ? 'haze' : 'pattern';
    return { why, face: 'up', ...USUAL[why] };
  },
  fields: [
    {
      ...{ as: 'choice', key: 'why', label: 'For', usual: 'pattern', testID: 'blast-why' },
      options: [
        { value: 'pattern', title: 'a pattern' },
        { value: 'haze', title: 'taking off devitrified skin' },
      ],
      brings: (_step, why) => USUAL[why as BlastedFor],
    },
    { as: 'choice', key: 'face', label: 'Where', options: FACES, testID: 'place' },
    { as: 'length', key: 'depth_m', label: 'deep', name: 'The depth', range: OFF_RANGE_M, testID: 'off' },
    { as: 'share', key: 'cover', label: 'open', name: 'What is not masked', range: { least: 0.01, most: 1 }, testID: 'blast-cover' },
  ],
  words({ face, depth_m, cover, why }, units) {
    const where = cover > 1 - 1e-9 ? 'all' : `${Math.round(cover * 100)} %`;
    return `${long(depth_m, units)} deep on ${where} of the ${FACE_NAMES[face]}${why === 'haze' ? ', to take off devitrified skin' : ''}`;
  },
  applies: blastFace,
  caution: 'Blast in a closed cabinet with extraction and a respirator, never with silica sand; ear defence, and look after the seals of the gloves.',
};
