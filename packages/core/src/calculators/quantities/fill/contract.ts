import { z } from 'zod';
import { GlassInputSchema } from '../../../contract/glass';
import { HollowSchema } from '../../../contract/hollow';
import { figure, quantity } from '../../../contract/quantity';
import { GLASS } from '../../samples';

export const summary = 'How far an amount of glass fills a dam, ring, box or trough: its depth, its rim, its heap, and what to take next time';

const mass = (name: string) => quantity(name, 'kg', 1e-4, 200);
const packing = quantity('Share of the bulk of grains that is glass', '', 0.2, 0.9);

export const request = z.strictObject({
  glass: GlassInputSchema,
  hollow: HollowSchema,
  liner_m: quantity('Liner', 'm', 0, 0.05).optional(),
  filler: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('mass'), mass_kg: mass('Mass') }),
    z.strictObject({
      ...{ by: z.literal('segments'), depth_m: quantity('Depth of the segments', 'm', 0.001, 0.3) },
      cover: quantity('Share of the floor that they cover', '', 0.05, 1),
    }),
    z.strictObject({ by: z.literal('grains'), packing }),
  ]),
  packing: packing.optional().meta({ description: 'Where the mass is poured in as grains' }),
  work_perPa: quantity('Heat work', '1/Pa', 1e-5, 100).optional().meta({ description: 'Does a heap run level?' }),
  last: z
    .strictObject({ mass_kg: mass('Mass of last time'), back_m: quantity('How far it stood back', 'm', 0, 0.2) })
    .optional()
    .meta({ description: 'A rim that did not fill, to correct the mass by' }),
});

export const answer = z.object({
  mass_kg: figure('kg'),
  level_m: figure('m', 'Run level; null where it runs over').nullable(),
  over_kg: figure('kg', 'What runs over; negative: what is missing to the rim'),
  natural_m: figure('m', 'Depth at which hot glass rests'),
  covers: figure('', 'Share of a level floor that it covers at rest'),
  back_m: figure('m', 'How far it draws back from the wall'),
  rim: z.enum(['full', 'wavers', 'scallops', 'pools']),
  heap: z
    .object({ overRim_m: figure('m'), crown_m: figure('m', 'Once it has melted: how much deeper the middle is').nullable() })
    .nullable()
    .meta({ description: 'Of grains that stand over the rim' }),
  refills: figure('', 'Times that it has to be filled up'),
  next_kg: figure('kg', 'To take next time').nullable(),
});

export const cases = {
  'A ring from scrap, lined': {
    glass: GLASS,
    hollow: { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.22, inner_m: 0.14 }, depth_m: 0.03 },
    liner_m: 0.003,
    filler: { by: 'mass', mass_kg: 0.9 },
    packing: 0.6,
    work_perPa: 0.4,
  },
  'Segments in a box': {
    glass: GLASS,
    hollow: { kind: 'straight', outline: { shape: 'rectangle', width_m: 0.12, length_m: 0.2 }, depth_m: 0.03 },
    filler: { by: 'segments', depth_m: 0.012, cover: 0.8 },
  },
  'Grains up to the rim, after a rim that stayed back': {
    glass: GLASS,
    hollow: { kind: 'straight', outline: { shape: 'disc', diameter_m: 0.2 }, depth_m: 0.02 },
    filler: { by: 'grains', packing: 0.6 },
    last: { mass_kg: 0.4, back_m: 0.006 },
  },
} satisfies Record<string, z.input<typeof request>>;
