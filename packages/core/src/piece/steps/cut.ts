import { type Footprint, sidesOf } from '../../body/footprint';
import { footprintWords } from '../../body/footprintWords';
import type { Units } from '../../units/convert';
import type { Face, HandStep } from '../handStep';
import { type BenchKind, FACE_NAMES, long } from './step';

/** How the body is cut, and what it is laid out as again. */
export type Cutting =
  /** To a smaller outline, or another form of it. */
  | { to: 'outline'; outline: Footprint }
  /** Into strips across its width, which are laid side by side again or stood on edge. */
  | { to: 'strips'; strip_m: number; stand: 'flat' | 'onEdge' }
  /** Into so many segments from its middle, laid to a ring or disc again. */
  | { to: 'segments'; count: number }
  /** A slice off a face. */
  | { to: 'slice'; face: Face; depth_m: number };

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
  usual: ({ footprint }) => ({ kerf_m: 0.001, cut: { to: 'strips', strip_m: Math.round(sidesOf(footprint)[0] * 100) / 1000 || 0.01, stand: 'flat' } }),
  // An outline has fields of its own, see journey/CutFields.tsx.
  fields: [],
  words: cutWords,
  caution:
    'Saw wet, with eye protection and ear defence, a breaker on the circuit and hands off the line of the blade. Fused glass breaks where it likes: let its stress out before you cut.',
};
