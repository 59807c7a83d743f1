import { z } from 'zod';
import { FootprintSchema } from '../../../contract/body';
import { GlassInputSchema } from '../../../contract/glass';
import { figure, oneOf, quantity } from '../../../contract/quantity';
import { WETNESSES } from '../../../quantity/strewn';
import { GLASS } from '../../samples';

export const summary = 'Grains on an area: mass, depth, how they look after a firing, and slips by a factor of ten';

export const request = z.strictObject({
  glass: GlassInputSchema,
  outline: FootprintSchema,
  holes_m2: quantity('Area of the holes', 'm²', 0, 4).optional(),
  open: quantity('Open share of a stencil', '', 0.01, 1).optional(),
  amount: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('mass'), mass_kg: quantity('Mass', 'kg', 1e-5, 200) }),
    z.strictObject({ by: z.literal('perArea'), perArea_kg_m2: quantity('Mass per area', 'kg/m²', 0.001, 1000) }),
    z.strictObject({ by: z.literal('film'), film_m: quantity('Depth of the film', 'm', 1e-6, 0.3) }),
  ]),
  grain_m: quantity('Grain', 'm', 1e-5, 0.03),
  coats: quantity('Coats', '', 1, 100).int({ error: 'The number of coats must be whole.' }).optional(),
  work_perPa: quantity('Heat work', '1/Pa', 1e-5, 100).optional().meta({ description: 'As it lies cold where left out' }),
  wetness: oneOf('How wet it lay', WETNESSES).optional(),
});

const look = z.object({
  as: z.enum(['dots', 'islands', 'lace', 'film', 'level']),
  film_m: figure('m', 'If it were spread evenly'),
  bare: figure('', 'Bare share'),
  hole_m: figure('m', 'Width of a hole on average'),
  drop_m: figure('m'),
  lying: figure('', 'What drops would cover if none lay over another'),
});

export const answer = z.object({
  ...{ area_m2: figure('m²', 'That it lies on'), mass_kg: figure('kg'), perCoat_kg: figure('kg'), perArea_kg_m2: figure('kg/m²') },
  look,
  lacesFrom_kg_m2: figure('kg/m²', 'From where this grain holds together'),
  closesFrom_kg_m2: figure('kg/m²', 'From where it closes to a film'),
  levelsFrom_kg_m2: figure('kg/m²', 'From where it runs level'),
  tenth: look,
  tenfold: look,
  disc_m: figure('m', 'All of it in one heap, run to a disc'),
  cracks: z
    .object({ plate_m: figure('m'), gap_m: figure('m') })
    .nullable()
    .meta({ description: 'Wetted on paper' }),
});

export const cases = {
  'A lace panel': {
    glass: GLASS,
    outline: { shape: 'rectangle', width_m: 0.18, length_m: 0.26 },
    holes_m2: 0.002,
    amount: { by: 'mass', mass_kg: 0.13 },
    grain_m: 0.002,
    coats: 2,
    work_perPa: 0.03,
  },
  'Powder through a stencil, wetted on paper': {
    glass: GLASS,
    outline: { shape: 'disc', diameter_m: 0.2 },
    open: 0.4,
    amount: { by: 'film', film_m: 0.0006 },
    grain_m: 0.0002,
    wetness: 'wet',
  },
  'By mass per area': {
    glass: GLASS,
    outline: { shape: 'ring', diameter_m: 0.2, inner_m: 0.08 },
    amount: { by: 'perArea', perArea_kg_m2: 2.2 },
    grain_m: 0.0012,
  },
} satisfies Record<string, z.input<typeof request>>;
