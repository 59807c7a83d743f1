/** A kiln, a body and a case that the core's tests share. Not exported from the package. */
import { evenSheets } from './body/layers';
import { type GlassFamily, TYPICAL_FAMILIES } from './glass/families';
import type { GlassConstants } from './glass/constants';
import type { SimulationInput } from './heat/simulation';
import { TYPICAL_KILN } from './kiln/typical';
import type { Shelf } from './piece/shelf';
import { DEFAULT_SCHOOL, type FiringCase } from './schedule/firingCase';
import { DEFAULT_LIMITS } from './schedule/limits';
import { BARE_SHELF } from './schedule/setups';

export const SOFT_90 = TYPICAL_FAMILIES[0];

export const familyOfId = (id: string): GlassFamily => {
  const family = TYPICAL_FAMILIES.find((one) => one.id === id);
  if (!family) throw new Error(`No typical family '${id}'.`);
  return family;
};

export const STUDIO_KILN = TYPICAL_KILN;

/** One glass, one kiln, one controller. */
export const STUDIO_SHELF: Shelf = {
  families: [{ ...SOFT_90, id: 'soft', name: 'Soft sheet 90' }],
  glasses: [{ id: 'clear', name: 'Clear', familyId: 'soft', colour: '#eee', contents: [] }],
  kilns: [{ id: 'k', name: 'Low kiln', ...STUDIO_KILN }],
  controllers: [{ id: 'c', name: 'Grey box', unit: 'C', fullSpeedCode: 1500, mostSegments: 8 }],
  ...{ stripTests: [], made: [], releases: [], forms: [] },
};

/** Sheets of one thickness, 200 by 300 mm, on a bare shelf. */
export const sheetsOf = (count: number, thickness_m: number, glass: GlassConstants = SOFT_90): FiringCase => ({
  body: {
    glasses: [glass],
    layers: evenSheets(Array.from({ length: count }, () => ({ thickness_m }))),
    footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.3 },
    joined: false,
  },
  setup: BARE_SHELF,
  kiln: STUDIO_KILN,
  look: 'fullFuse',
  school: DEFAULT_SCHOOL,
  limits: DEFAULT_LIMITS,
});

/** So much exchange that a face is at the kiln's temperature. */
export const CLAMPED = { kind: 'open', emissivity: 0, convection_W_m2K: 1e7 } as const;

/** A bare slab in an ideal kiln, its top clamped to it, its underside too or insulated. */
export const slab = (depth_m: number, openFaces: 1 | 2, segments: SimulationInput['segments'], start_C = 20): SimulationInput => ({
  glass: SOFT_90,
  stack: [{ of: 'glass', thickness_m: depth_m }],
  faces: { top: CLAMPED, bottom: openFaces === 2 ? CLAMPED : { kind: 'insulated' } },
  segments,
  start_C,
});

/** Numbers from 0 to 1 that look random and are the same each time (a linear congruence). */
export function numbers(seed: number): () => number {
  let state = seed * 2654435761 + 12345;
  return () => {
    state = (Math.imul(state | 0, 1664525) + 1013904223) | 0;
    return (state >>> 0) / 2 ** 32;
  };
}

/** Of mean 0 and standard deviation 1. */
export const normal = (next: () => number): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
