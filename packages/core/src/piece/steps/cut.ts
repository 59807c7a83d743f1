import { sidesOf } from '../../body/footprint';
import { footprintWords } from '../../body/footprintWords';
import type { Units } from '../../units/convert';
import { suggested } from '../../units/suggested';
import type { Cutting, HandStep } from '../handStep';
import { cutBody } from '../handSteps';
import { type BenchKind, FACE_NAMES, long } from './step';

/** kerf_m: what the blade turns to mud. */
export type CutStep = HandStep & { kind: 'cut'; cut: Cutting; kerf_m: number };

export const KERF_RANGE_M = { least: 0, most: 0.01 } as const;
export const STRIP_RANGE_M = { least: 0.002, most: 1 } as const;
export const SEGMENTS_RANGE = { least: 2, most: 200 } as const;

function cutWords({ cut, kerf_m }: CutStep, units: Units): string {
  const kerf = kerf_m > 0 ? `, kerf ${long(kerf_m, units)}` : '';
  switch (cut.to) {
    case 'outline':
      return `to ${footprintWords(cut.outline, units.length)}${kerf}`;
    case 'strips':
      return `into strips of ${long(cut.strip_m, units)}, ${cut.stand === 'flat' ? 'laid flat' : 'stood on edge'}${kerf}`;
    case 'segments':
      return `into ${cut.count} segments${kerf}`;
    case 'slice':
      return `${long(cut.depth_m, units)} off the ${FACE_NAMES[cut.face]}${kerf}`;
  }
}

export const cut: BenchKind<CutStep> = {
  name: 'Cut',
  usual: ({ footprint, length }) => ({
    kerf_m: suggested(0.001, length),
    cut: { to: 'strips', strip_m: suggested(Math.round(sidesOf(footprint)[0] * 100) / 1000 || 0.01, length), stand: 'flat' },
  }),
  // An outline has fields of its own, see journey/CutFields.tsx.
  fields: [],
  words: cutWords,
  applies: (now, step, glasses) => cutBody(now, step.cut, step.kerf_m, glasses),
  caution:
    'Saw wet. Wear eye and ear protection. Have a breaker on the circuit. Keep hands off the line of the blade. Fused glass can break anywhere: anneal it before you cut.',
};
