import { z } from 'zod';
import { GlassInputSchema } from '../../contract/glass';
import { oneOf, quantity } from '../../contract/quantity';
import type { FlowQuestion } from '../../flow/ask';
import { OUTLINES } from '../../flow/sag';
import { GLASS } from '../samples';
import { schemaFor } from '../../contract/schemaFor';

export const summary = 'One question of viscosity, heat work or flow';

const work_perPa = quantity('Heat work', '1/Pa', 0, 100);
const temperature = (title: string) => quantity(title, '°C', 300, 1700);
const sheet_m = quantity('Sheet', 'm', 0.0005, 0.1);
const span_m = quantity('Span', 'm', 0.005, 2);
const opening = {
  span_m,
  plan: oneOf('Outline of the opening', OUTLINES).optional(),
  along_m: quantity('Span the other way', 'm', 0.005, 2).optional(),
  lobes: quantity('Number of lobes', '', 2, 12).int().optional(),
};
const drop_m = quantity('Drop', 'm', 1e-6, 1);
const overhang_m = quantity('Overhang', 'm', 0.002, 1);
const stretching = quantity('Stretching', '', 0, 2).optional();
const radius_m = quantity('Radius', 'm', 1e-4, 1);

const pot = {
  volume_m3: quantity('Volume of the filling', 'm³', 1e-7, 1),
  area_m2: quantity('Inside area of what holds it', 'm²', 1e-5, 4),
  holes: quantity('Number of holes', '', 1, 10000).int(),
  hole_m: quantity('Width of a hole', 'm', 0.001, 0.2),
  plate_m: quantity('Thickness of the floor', 'm', 0, 0.2),
};

const QuestionSchema = schemaFor<FlowQuestion>()(
  z.discriminatedUnion('of', [
    z.strictObject({ of: z.literal('viscosity'), temperature_C: temperature('Temperature') }),
    z.strictObject({ of: z.literal('holdForWork'), work_perPa, temperature_C: temperature('Temperature') }),
    z.strictObject({ of: z.literal('equalHold'), hold_s: quantity('Hold', 's', 0, 1e7), from_C: temperature('From'), to_C: temperature('To') }),
    z.strictObject({ of: z.literal('naturalDepth') }),
    z.strictObject({
      of: z.literal('relief'),
      width_m: quantity('Width', 'm', 0.0005, 1),
      depth_m: quantity('Depth', 'm', 1e-4, 0.2),
      work_perPa,
      base: oneOf('Base', ['grips', 'slides', 'between']).optional(),
    }),
    z.strictObject({ of: z.literal('edgeRounding'), edge_m: quantity('Edge', 'm', 1e-5, 0.1), work_perPa }),
    z.strictObject({ of: z.literal('sag'), ...opening, sheet_m, work_perPa, mould_m: quantity('Depth of the mould', 'm', 1e-4, 1).optional(), stretching }),
    z.strictObject({ of: z.literal('workToSag'), ...opening, sheet_m, drop_m, stretching }),
    z.strictObject({ of: z.literal('workToSqueeze'), sheet_m, radius_m, gap_m: quantity('Gap', 'm', 1e-6, 0.05) }),
    z.strictObject({ of: z.literal('drape'), overhang_m, sheet_m, work_perPa }),
    z.strictObject({ of: z.literal('workToDrape'), overhang_m, sheet_m, drop_m }),
    z.strictObject({ of: z.literal('puddle'), volume_m3: quantity('Volume', 'm³', 1e-9, 1), work_perPa }),
    z.strictObject({ of: z.literal('pressed'), radius_m, depth_m: quantity('Depth', 'm', 1e-4, 0.2), force_N: quantity('Force', 'N', 0, 1e5), work_perPa }),
    z.strictObject({
      of: z.literal('throughHole'),
      radius_m,
      plate_m: quantity('Plate', 'm', 0, 0.2),
      head_m: quantity('Head', 'm', 0, 1),
      work_perPa,
    }),
    z.strictObject({ of: z.literal('neck'), grain_m: quantity('Radius of a grain', 'm', 1e-6, 0.05), work_perPa }),
    z.strictObject({ of: z.literal('drained'), ...pot, work_perPa }),
    z.strictObject({ of: z.literal('workToDrain'), ...pot, share: quantity('Share that has run out', '', 0, 0.999) }),
    z.strictObject({
      of: z.literal('openLace'),
      perArea_kg_m2: quantity('Mass per area', 'kg/m²', 0.001, 100),
      grain_m: quantity('Grain', 'm', 1e-5, 0.03),
      work_perPa,
    }),
  ]),
);

export const request = z.strictObject({ glass: GlassInputSchema, question: QuestionSchema });
export const answer = z.object({
  value: z.number().nullable().meta({ description: 'Null where it never happens', 'x-unit': 'as unit says' }),
  unit: z.enum(['log10 Pa·s', 's', 'm', 'm³', '1/Pa', '1']),
});

export const cases = {
  'How far a sheet sags into a mould': {
    glass: GLASS,
    question: { of: 'sag', span_m: 0.3, sheet_m: 0.006, work_perPa: 1e-5, mould_m: 0.05, stretching: 0.35 },
  },
  'Pressed under a weight': { glass: GLASS, question: { of: 'pressed', radius_m: 0.05, depth_m: 0.006, force_N: 50, work_perPa: 1e-3 } },
  'What has run out of a pot': {
    glass: GLASS,
    question: { of: 'drained', volume_m3: 2.8e-4, area_m2: 7.9e-3, holes: 1, hole_m: 0.016, plate_m: 0.012, work_perPa: 3 },
  },
  'How open lace of frit comes out': { glass: GLASS, question: { of: 'openLace', perArea_kg_m2: 2.2, grain_m: 0.002, work_perPa: 0.03 } },
  'What is left of a relief': { glass: GLASS, question: { of: 'relief', width_m: 0.025, depth_m: 0.006, work_perPa: 1e-2, base: 'slides' } },
} satisfies Record<string, z.input<typeof request>>;
