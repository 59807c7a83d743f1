import { z } from 'zod';
import { GlassInputSchema } from '../../contract/glass';
import { figure, oneOf, quantity } from '../../contract/quantity';
import { FORM_MATERIAL_NAMES } from '../../form/materials';
import { GLASS } from '../samples';

export const summary = 'Whether glass comes free of a mould or a former';

export const request = z
  .strictObject({
    glass: GlassInputSchema,
    material: oneOf('Material', FORM_MATERIAL_NAMES).optional(),
    expansion_perK: quantity('Expansion of the mould', '1/K', -1e-6, 5e-5).optional(),
    size_m: quantity('Size', 'm', 0.005, 2),
    kind: oneOf('Kind', ['hollow', 'former']),
  })
  .refine(({ material, expansion_perK }) => (material === undefined) !== (expansion_perK === undefined), {
    path: ['material'],
    error: 'Give either the material or its expansion.',
  });
export const answer = z.object({
  gap_m: figure('m', 'How much smaller the glass is than the mould at room temperature'),
  comesFree: z.boolean(),
  grips_below_C: figure('°C'),
});

export const cases = {
  'A bowl in a steel hollow': { glass: GLASS, material: 'stainless', size_m: 0.2, kind: 'hollow' },
} satisfies Record<string, z.input<typeof request>>;
