import { z } from 'zod';
import { BodyInputSchema } from '../../contract/body';
import { count, figure } from '../../contract/quantity';
import { GLASS, LAY_UP } from '../samples';

export const summary = 'Depth, mass, unevenness and rest of a lay-up or a casting';

export const request = BodyInputSchema;

const metre = figure('m');

export const answer = z.object({
  depth: z.object({ min_m: metre, mean_m: metre, max_m: metre }),
  area_m2: figure('m²'),
  volume_m3: figure('m³'),
  mass_kg: figure('kg'),
  perGlass_kg: z.array(figure('kg')),
  afterFiring: z.object({
    naturalDepth_m: metre,
    tendency: z.enum(['draws-in', 'stays', 'runs-out', 'fills', 'wavers', 'scallops', 'opens']),
    rimMoves_m: figure('m', 'If it is hot for long enough; outwards positive'),
  }),
  unevenness: figure(''),
  contacts: z
    .array(z.object({ lower: count(), upper: count(), lower_m: metre, upper_m: metre }))
    .meta({ description: 'Glasses that touch, as /api/compute/fit takes them' }),
  coatings: z.array(z.object({ layer: count(), state: z.enum(['faceDown', 'capped', 'cappedFlush', 'onShelf', 'bare', 'facing']), message: z.string() })),
});

export const cases = {
  'A coated sheet, a cap, rods, frit and cut pieces': LAY_UP,
  'A casting of a litre': {
    glasses: [GLASS],
    layers: [],
    casting: { glass: 0, volume_m3: 1e-3, thickest_m: 0.04, thinnest_m: 0.01 },
    footprint: { shape: 'disc', diameter_m: 0.18 },
  },
} satisfies Record<string, z.input<typeof request>>;
