/** What the cases of several calculators have in common: a glass with everything in it, a kiln, a lay-up of all forms. */
import type { z } from 'zod';
import { GlassConstantsSchema } from '../contract/glass';
import type { AskedFiringSchema } from '../contract/firing';
import { TYPICAL_FAMILIES } from '../glass/families';
import { TYPICAL_KILN } from '../kiln/typical';
import { SETUPS } from '../schedule/setups';

export const GLASS = {
  ...GlassConstantsSchema.strip().parse(TYPICAL_FAMILIES[0]),
  strain_C: 488,
  meltExpansion_perK: 27e-6,
  stressOptical_perPa: 2.7e-12,
  absorption_perM: 300,
  haze: { middle_C: 720, halfWidth_K: 40 },
  relaxation: {
    stress: [{ weight: 1, ratio: 1 }],
    structure: [
      { weight: 0.5, ratio: 0.5 },
      { weight: 0.5, ratio: 1.5 },
    ],
    structureOverStress: 9,
    nonLinearity: 0.5,
    activation_K: 70000,
  },
};

export const OPEN_FACE = { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 } as const;

const OUTLINE: [number, number][] = [
  [0, 0],
  [0.2, 0],
  [0.2, 0.15],
  [0, 0.2],
];

export const LAY_UP = {
  glasses: [GLASS, { ...GLASS, expansion_perK: 9.1e-6 }],
  layers: [
    { form: 'sheet' as const, glass: 0, thickness_m: 0.003, coated: 'up' as const },
    { form: 'cap' as const, glass: 0, thickness_m: 0.003, overhang_m: 0.004 },
    { form: 'rod' as const, glass: 1, diameter_m: 0.005, cover: 0.3 },
    { form: 'frit' as const, glass: 1, perArea_kg_m2: 0.5, grain_m: 0.002, cover: 0.5 },
  ],
  parts: [{ glass: 1, thickness_m: 0.003, area_m2: 4e-4, count: 5 }],
  footprint: { shape: 'polygon' as const, corners_m: OUTLINE },
  dammed: false,
};

export const FIRING = {
  body: { ...LAY_UP, joined: false },
  setup: { ...SETUPS.inMould, shaping: { kind: 'hollow', span_m: 0.3, depth_m: 0.04 } },
  kiln: TYPICAL_KILN,
  look: 'contour',
  school: { soak: 'auto', heat: 'hotter' },
  limits: { residual_Pa: 1e6, pocket: { radius_m: 0.02, gap_m: 0.001 } },
  controller: { unit: 'F', fullSpeedCode: 7200, mostSegments: 6 },
  corrections: { offset_K: 4, workFactor: 1.1 },
} satisfies z.input<typeof AskedFiringSchema>;

export const SLUMP = { ...FIRING, look: 'slump' } satisfies z.input<typeof AskedFiringSchema>;

/** With no glass in it. */
export const BISQUE = {
  body: { glasses: [], layers: [], footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.24 } },
  setup: { ...SETUPS.bareShelf, shaping: { kind: 'ware', of: 'clay', wall_m: 0.01, wide_m: 0.2, long_m: 0.24, cone: '06' } },
  kiln: { ...TYPICAL_KILN, top_C: 1150, power_K_per_s: 0.28 },
  look: 'bisque',
} satisfies z.input<typeof AskedFiringSchema>;

export const SEGMENTS = [
  { rate_C_per_h: 200, target_C: 780, hold_s: 600, role: 'work' as const },
  { rate_C_per_h: null, target_C: 515, hold_s: 3600, role: 'drop' as const },
  { rate_C_per_h: 80, target_C: 60, hold_s: 0, role: 'lastCool' as const },
];
