import { z } from 'zod';
import { BrickSchema, HollowSchema } from '../../../contract/hollow';
import { DEEPEST_M, thickness } from '../../../contract/body';
import { figure, quantity } from '../../../contract/quantity';

export const summary = 'How much glass cavities take, by size, water or model, and how far an amount fills them';

const count = quantity('Count', '', 1, 500).int({ error: 'A count must be whole.' }).default(1);
const mass = (name: string, least: number) => quantity(name, 'kg', least, 200);

export const request = z.strictObject({
  density_kg_m3: quantity('Density of the glass', 'kg/m³', 2000, 7000),
  cavities: z
    .array(
      z.discriminatedUnion('by', [
        z.strictObject({
          ...{ by: z.literal('size'), count, hollow: HollowSchema, liner_m: quantity('Liner', 'm', 0, 0.05).optional() },
          to_m: quantity('Depth of the glass', 'm', 0.001, DEEPEST_M).optional().meta({ description: 'Over the liner; to the rim where it is left out' }),
        }),
        z.strictObject({
          ...{ by: z.literal('water'), count, poured_kg: mass('Water', 1e-3) },
          drunk_kg: mass('What the mould drank', 0).optional().meta({ description: 'A dry porous mould drinks some of it' }),
        }),
        z.strictObject({
          ...{ by: z.literal('model'), count, model_kg: mass('Model', 1e-4) },
          density_kg_m3: quantity('Density of the model', 'kg/m³', 200, 12000),
        }),
      ]),
    )
    .min(1, { error: 'Name at least one cavity.' })
    .max(40, { error: 'At most 40 cavities.' })
    .readonly(),
  stays_kg: mass('What stays', 0).optional().meta({ description: 'In a pot, on a grid, at a rim' }),
  have_kg: mass('What there is', 1e-4).optional().meta({ description: 'How far does it go?' }),
  stock: z
    .strictObject({
      sheet: BrickSchema.optional(),
      billet: BrickSchema.optional(),
      jar_kg: mass('Grains in a jar', 0.001).optional(),
      scrap_kg: mass('Scrap', 0).optional(),
    })
    .optional()
    .meta({ description: 'What of the glass there is or can be bought' }),
  strips: z
    .strictObject({ thickness_m: thickness, ends_m: quantity('Margin at each end', 'm', 0, 0.2) })
    .optional()
    .meta({ description: 'To be stacked in a trough' }),
});

export const answer = z.object({
  cavities: z
    .array(z.object({ volume_m3: figure('m³'), mass_kg: figure('kg'), depth_m: figure('m', 'How deep the glass lies').nullable() }))
    .meta({ description: 'All of its count together' }),
  volume_m3: figure('m³'),
  total_kg: figure('kg', 'To fill them all, with what stays'),
  filled: z
    .object({
      missing_kg: figure('kg', 'Negative where there is too much'),
      level_m: figure('m', 'How high each stands, of one kind of hollow; null where it runs over').nullable(),
    })
    .nullable(),
  stock: z
    .object({
      ...{ sheets: figure('', 'Not rounded').nullable(), billets: figure('').nullable(), jars: figure('').nullable() },
      scrapShort_kg: figure('kg', 'Missing when all scrap is used').nullable(),
    })
    .meta({ description: 'The total in each; null where the stock does not say' }),
  cold: z
    .object({
      courses: z.array(z.object({ count: figure(''), from_m: figure('m', 'Its underside over the floor') })),
      ...{ top_m: figure('m'), overRim_m: figure('m', 'Negative below it') },
    })
    .nullable()
    .meta({ description: 'Its billets laid into the only hollow' }),
  stack: z
    .object({
      ...{ strip: BrickSchema, count: figure(''), from_m: figure('m', 'Where the lowest rests') },
      ...{ overRim_m: figure('m'), ends_m: figure('m', 'Free at each end'), sides_m: figure('m', 'Free at each side at the rim') },
    })
    .nullable()
    .meta({ description: 'Strips of the width whose stack stands lowest' }),
});

export const cases = {
  'Two lined troughs from so much scrap': {
    density_kg_m3: 2500,
    cavities: [{ by: 'size', count: 2, hollow: { kind: 'vTrough', width_m: 0.08, length_m: 0.25, depth_m: 0.04 }, liner_m: 0.002 }],
    have_kg: 1.1,
    stock: { billet: { width_m: 0.05, length_m: 0.1, depth_m: 0.02 }, scrap_kg: 1.1 },
    strips: { thickness_m: 0.006, ends_m: 0.003 },
  },
  'A mould by water, its sprue by size, what stays in the pot': {
    density_kg_m3: 2500,
    cavities: [
      { by: 'water', poured_kg: 0.53, drunk_kg: 0.03 },
      { by: 'size', hollow: { kind: 'cone', rim_m: 0.06, floor_m: 0.03, depth_m: 0.05 } },
    ],
    stays_kg: 0.04,
    stock: { sheet: { width_m: 0.5, length_m: 0.9, depth_m: 0.003 }, jar_kg: 0.45 },
  },
  'Three by the wax model of one, in a bowl and a dam': {
    density_kg_m3: 2530,
    cavities: [
      { by: 'model', count: 3, model_kg: 0.18, density_kg_m3: 900 },
      { by: 'size', hollow: { kind: 'bowl', rim_m: 0.2, floor_m: 0.06, depth_m: 0.05 } },
      { by: 'size', hollow: { kind: 'straight', outline: { shape: 'oval', width_m: 0.2, length_m: 0.1 }, depth_m: 0.02 }, to_m: 0.012 },
      { by: 'size', hollow: { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.2, inner_m: 0.12 }, depth_m: 0.02 } },
      { by: 'size', hollow: { kind: 'roundTrough', width_m: 0.06, length_m: 0.2, depth_m: 0.02 } },
    ],
  },
} satisfies Record<string, z.input<typeof request>>;
