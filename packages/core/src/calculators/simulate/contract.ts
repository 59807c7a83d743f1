import type { z } from 'zod';
import { SimulationInputSchema } from '../../contract/heat';
import { SimulationResultSchema } from '../../contract/results';
import { TYPICAL_KILN } from '../../kiln/typical';
import { GLASS, OPEN_FACE } from '../samples';

export const summary = 'Heat through a layered stack along a schedule or a measured curve, with flow and stress';

/** A plate is asked for its residual stress, free to bow, unless the request says otherwise. */
export const request = SimulationInputSchema.transform((input) =>
  (input.shape ?? 'plate') === 'plate' ? { ...input, stress: input.stress ?? { support: 'free' as const } } : input,
);

export const answer = SimulationResultSchema;

const onAShelf = {
  glass: GLASS,
  stack: [
    { of: 'support', thickness_m: 0.016, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 },
    { of: 'glass', thickness_m: 0.006 },
  ],
  faces: { top: OPEN_FACE, bottom: OPEN_FACE },
  segments: [
    { rate_C_per_h: 300, target_C: 780, hold_s: 300 },
    { rate_C_per_h: null, target_C: 515, hold_s: 600 },
    { rate_C_per_h: 100, target_C: 300, hold_s: 0 },
  ],
  kiln: TYPICAL_KILN,
  acrossLag_s: 40,
  relief: { width_m: 0.02 },
  stress: { support: 'both', from: 'start' },
  series: true,
} satisfies z.input<typeof request>;

export const cases = {
  'Two sheets on a shelf, with stress': onAShelf,
  'Along a measured curve': { ...onAShelf, segments: [], curve: { t_s: [0, 3600, 7200, 12000], kiln_C: [20, 500, 520, 300], joints_s: [3600, 7200] } },
  'A ball': {
    ...onAShelf,
    stack: [{ of: 'glass', thickness_m: 0.02 }],
    shape: 'sphere',
    stress: undefined,
    faces: { top: OPEN_FACE, bottom: { kind: 'insulated' } },
  },
} satisfies Record<string, z.input<typeof request>>;
