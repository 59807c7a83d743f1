import { z } from 'zod';
import { GlassInputSchema } from '../../contract/glass';
import { figure, quantity } from '../../contract/quantity';
import { GLASS } from '../samples';

export const summary = 'Retardation between crossed polarisers';

const stress = (title: string) => quantity(title, 'Pa', -1e9, 1e9);
export const request = z.discriminatedUnion('view', [
  z.strictObject({
    view: z.literal('edgeOn'),
    glass: GlassInputSchema,
    residual: z
      .array(z.strictObject({ z_m: quantity('Height', 'm', 0, 1), stress_Pa: stress('Stress') }))
      .min(1)
      .max(500),
    path_m: quantity('Path', 'm', 1e-4, 2),
  }),
  z.strictObject({
    view: z.literal('through'),
    glass: GlassInputSchema,
    layers: z
      .array(
        z.strictObject({ depth_m: quantity('Depth', 'm', 1e-6, 1), first_Pa: stress('First principal stress'), second_Pa: stress('Second principal stress') }),
      )
      .min(1)
      .max(500),
  }),
]);
export const answer = z.object({ retardation_nm: z.array(figure('nm')) });

export const cases = {
  'A bar seen from its edge': {
    view: 'edgeOn',
    glass: GLASS,
    residual: [
      { z_m: 0, stress_Pa: -1e6 },
      { z_m: 0.01, stress_Pa: 5e5 },
    ],
    path_m: 0.1,
  },
  'Looked through': { view: 'through', glass: GLASS, layers: [{ depth_m: 0.1, first_Pa: 1e6, second_Pa: 0 }] },
} satisfies Record<string, z.input<typeof request>>;
