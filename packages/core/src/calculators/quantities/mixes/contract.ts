import { z } from 'zod';
import { FootprintSchema } from '../../../contract/body';
import { HollowSchema } from '../../../contract/hollow';
import { figure, oneOf, quantity, words } from '../../../contract/quantity';
import { SHARES_OF } from '../../../quantity/mix';

export const summary = 'Mixes as a bench weighs them: by shares on a scale with steps, coats, plaster round a model, scrap by grades';

const name = words('Name', 60, 1);
const share = quantity('Share', '', 0, 1000);
const part = quantity('Share of it', '', 0, 1);
const step_kg = quantity('Step of the scale', 'kg', 1e-6, 0.1);
const mass = (of: string) => quantity(of, 'kg', 1e-5, 500);
const named = z.strictObject({ name, share });
const grade = z.strictObject({ name, share: part });

export const request = z.discriminatedUnion('kind', [
  z.strictObject({
    ...{ kind: z.literal('shares'), total_kg: mass('Total'), step_kg },
    parts: z.array(named).min(1, { error: 'Name at least one part.' }).max(12, { error: 'At most 12 parts.' }).readonly(),
    additives: z
      .array(z.strictObject({ name, share: part, of: oneOf('What it is a share of', SHARES_OF), liquid: quantity('Liquid', '', 0, 10).optional() }))
      .max(8, { error: 'At most 8 additives.' })
      .readonly()
      .optional(),
  }),
  z.strictObject({
    ...{ kind: z.literal('coats'), area_m2: quantity('Area', 'm²', 1e-4, 100), perCoat_kg_m2: quantity('Wet coat', 'kg/m²', 0.001, 5) },
    ...{ coats: quantity('Coats', '', 1, 100).int({ error: 'The number of coats must be whole.' }), waterToPowder: quantity('Water to powder', '', 0.05, 50) },
    bulk_kg_m3: quantity('Bulk of the powder', 'kg/m³', 100, 3000).optional().meta({ description: 'Where water to powder is given by volume' }),
    step_kg,
  }),
  z.strictObject({
    ...{ kind: z.literal('plaster'), model: HollowSchema, wall_m: quantity('Wall', 'm', 0.003, 0.2), step_kg },
    shares: z.strictObject({ plaster: share, silica: share, water: share }),
  }),
  z.strictObject({
    ...{ kind: z.literal('crush'), step_kg },
    yields: z.array(grade).min(1, { error: 'Name at least one grade.' }).max(12, { error: 'At most 12 grades.' }).readonly(),
    scrap_kg: mass('Scrap').optional(),
    wanted: z.strictObject({ name, mass_kg: mass('What is wanted') }).optional(),
  }),
]);

export const answer = z.object({
  weighed: z.array(
    z.object({ name: z.string(), exact_kg: figure('kg'), weighed_kg: figure('kg', 'As the scale can show it'), share: figure('', 'Of all that is weighed') }),
  ),
  total_kg: figure('kg'),
  off: figure('', 'The greatest that a part is off by for the steps of the scale'),
  flask: z.object({ volume_m3: figure('m³', 'That is poured'), outline: FootprintSchema, depth_m: figure('m') }).nullable(),
  crushed: z.object({ scrap_kg: figure('kg'), lost_kg: figure('kg') }).nullable(),
});

export const cases = {
  'Three to one with a binder, on a scale of 5 g': {
    kind: 'shares',
    total_kg: 0.25,
    parts: [
      { name: 'opal', share: 3 },
      { name: 'clear', share: 1 },
    ],
    additives: [{ name: 'binder', share: 0.02, of: 'solution', liquid: 0.1 }],
    step_kg: 0.005,
  },
  'Five coats of primer': { kind: 'coats', area_m2: 0.3, perCoat_kg_m2: 0.12, coats: 5, waterToPowder: 5, bulk_kg_m3: 700, step_kg: 0.001 },
  'Plaster and silica round a bowl': {
    kind: 'plaster',
    model: { kind: 'bowl', rim_m: 0.12, floor_m: 0.04, depth_m: 0.05 },
    wall_m: 0.02,
    shares: { plaster: 1, silica: 1, water: 1 },
    step_kg: 0.005,
  },
  'Scrap by its grades': {
    kind: 'crush',
    yields: [
      { name: 'coarse', share: 0.4 },
      { name: 'medium', share: 0.35 },
    ],
    scrap_kg: 2,
    wanted: { name: 'medium', mass_kg: 0.5 },
    step_kg: 0.001,
  },
} satisfies Record<string, z.input<typeof request>>;
