/** Requests and answers of the compute API beside the firing itself: fit, flow, release, polariser, and what is learnt from measurements. */
import { CONTENTS, type Evidence, type FlowQuestion, MOULD_MATERIALS, type MouldMaterial } from '@torvin/core';
import { z } from 'zod';
import { GlassConstantsSchema, GlassInputSchema, onACurve } from './glassInput';
import { LimitsSchema, SchoolSchema, SetUpSchema } from './firingInput';
import { oneOf, quantity } from './quantity';
import { FamilySchema } from './records';

const index = (title: string) => quantity(title, '', 0, 31).int({ error: `${title} must be a whole number: a place in the list of glasses.` });
const FitGlass = onACurve(GlassConstantsSchema.extend({ contents: z.array(oneOf('Content', CONTENTS)).max(4).optional() }));
const depth = quantity('Depth', 'm', 1e-6, 0.1);

const EvidenceSchema = z.strictObject({
  a: index('Glass a'),
  b: index('Glass b'),
  kind: oneOf('Kind of evidence', ['proven', 'ownTest']),
  result: oneOf('Result', ['holds', 'strained', 'cracked']),
}) satisfies z.ZodType<Evidence>;

export const FitRequestSchema = z
  .strictObject({
    glasses: z.array(FitGlass).min(1, { error: 'At least one glass.' }).max(32, { error: 'At most 32 glasses.' }),
    contacts: z
      .array(z.strictObject({ lower: index('Lower glass'), upper: index('Upper glass'), lower_m: depth.optional(), upper_m: depth.optional() }))
      .min(1, { error: 'At least one contact.' })
      .max(60, { error: 'At most 60 contacts.' }),
    evidence: z.array(EvidenceSchema).max(500).default([]),
  })
  .refine(({ glasses, contacts }) => contacts.every(({ lower, upper }) => Math.max(lower, upper) < glasses.length), {
    path: ['contacts'],
    error: 'A contact names a glass that is not in the list of glasses.',
  });

const verdict = z.enum(['fits', 'likely', 'doubtful', 'fails']);
const basis = z.enum(['sameGlass', 'proven', 'ownTest', 'estimate']);
const estimates = z.array(z.object({ formula: z.string(), stress_Pa: z.number() }));

export const FitAnswerSchema = z.object({
  verdict,
  basis,
  stress_Pa: z.number(),
  settingGap_C: z.number(),
  pairs: z.array(
    z.object({
      lower: z.number().int(),
      upper: z.number().int(),
      verdict,
      basis,
      stress_Pa: z.number().meta({ description: 'Greatest tension by the full model, free to bow' }),
      estimates,
      settingGap_C: z.number(),
      bow_perM: z.number(),
      timoshenko_perM: z.number(),
      contradicted: z.boolean(),
      reactions: z.array(z.string()),
    }),
  ),
});

const work_perPa = quantity('Heat work', '1/Pa', 0, 100);
const temperature = (title: string) => quantity(title, '°C', 300, 1700);
const sheet_m = quantity('Sheet', 'm', 0.0005, 0.1);
const span_m = quantity('Span', 'm', 0.005, 2);
const drop_m = quantity('Drop', 'm', 1e-6, 1);
const overhang_m = quantity('Overhang', 'm', 0.002, 1);
const stretching = quantity('Stretching', '', 0, 2).optional();
const radius_m = quantity('Radius', 'm', 1e-4, 1);

const QuestionSchema = z.discriminatedUnion('of', [
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
  z.strictObject({ of: z.literal('sag'), span_m, sheet_m, work_perPa, mould_m: quantity('Depth of the mould', 'm', 1e-4, 1).optional(), stretching }),
  z.strictObject({ of: z.literal('workToSag'), span_m, sheet_m, drop_m, stretching }),
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
]) satisfies z.ZodType<FlowQuestion>;

export const FlowRequestSchema = z.strictObject({ glass: GlassInputSchema, question: QuestionSchema });
export const FlowAnswerSchema = z.object({
  value: z.number().nullable().meta({ description: 'Null where it never happens' }),
  unit: z.enum(['log10 Pa·s', 's', 'm', 'm³', '1/Pa', '1']),
});

const MATERIALS = Object.keys(MOULD_MATERIALS) as [MouldMaterial, ...MouldMaterial[]];
export const ReleaseRequestSchema = z
  .strictObject({
    glass: GlassInputSchema,
    material: oneOf('Material', MATERIALS).optional(),
    expansion_perK: quantity('Expansion of the mould', '1/K', -1e-6, 5e-5).optional(),
    size_m: quantity('Size', 'm', 0.005, 2),
    kind: oneOf('Kind', ['hollow', 'former']),
  })
  .refine(({ material, expansion_perK }) => (material === undefined) !== (expansion_perK === undefined), {
    path: ['material'],
    error: 'Give either the material or its expansion.',
  });
export const ReleaseAnswerSchema = z.object({
  gap_m: z.number().meta({ description: 'How much smaller the glass is than the mould at room temperature' }),
  comesFree: z.boolean(),
  grips_below_C: z.number(),
});

const stress = (title: string) => quantity(title, 'Pa', -1e9, 1e9);
export const PolariserRequestSchema = z.discriminatedUnion('view', [
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
export const PolariserAnswerSchema = z.object({ retardation_nm: z.array(z.number()) });

const celsius = quantity('Temperature', '°C', -20, 1700);
const time_s = quantity('Time', 's', 0, 60 * 24 * 3600);
const rising = (list: { t_s: number }[]): boolean => list.every((one, i) => i === 0 || one.t_s > list[i - 1].t_s);
const RISING = { error: 'The times of the readings must rise.' };

export const KilnFitRequestSchema = z.strictObject({
  readings: z
    .array(z.strictObject({ t_s: time_s, kiln_C: celsius, power: quantity('Power', '', 0, 1) }))
    .max(3000)
    .refine(rising, RISING),
  ambient_C: quantity('Room temperature', '°C', -20, 50),
});
export const KilnFitAnswerSchema = z.object({
  constants: z.object({ power_K_per_s: z.number(), loss_per_s: z.number(), radiantLoss_per_K3_s: z.number() }),
  misfit_K: z.number(),
  remark: z.string().nullable(),
});

export const SpreadFitRequestSchema = z.strictObject({
  readings: z
    .array(z.strictObject({ t_s: time_s, first_C: celsius, second_C: celsius }))
    .max(3000)
    .refine(rising, RISING),
  limit_K: quantity('Limit', 'K', 0.1, 100),
});
export const SpreadFitAnswerSchema = z.object({
  lopsided_K: z.number(),
  settles_s: z.number(),
  lag_s: z.number(),
  misfit_K: z.number(),
  rateWithin_C_per_h: z.number().nullable(),
  advice: z.enum(['mend-the-set-up', 'slow-down', 'even']),
});

export const CorrectionsRequestSchema = z.strictObject({
  glass: GlassInputSchema,
  seen: z
    .array(
      z
        .strictObject({
          work: quantity('Work done', '1/Pa', 1e-9, 100),
          least: quantity('Least work', '1/Pa', 1e-9, 100),
          most: quantity('Most work', '1/Pa', 1e-9, 100),
          work_C: temperature('Working temperature'),
          outcome: oneOf('Outcome', ['short', 'right', 'past']),
        })
        .refine(({ least, most }) => least <= most, { path: ['most'], error: 'The most work must not be less than the least.' }),
    )
    .max(200),
  witnesses: z
    .array(z.strictObject({ offset_K: quantity('Offset seen', 'K', -60, 60), error_K: quantity('Its error', 'K', 0.1, 30) }))
    .max(50)
    .default([]),
});
export const CorrectionsAnswerSchema = z.object({
  corrections: z.object({ offset_K: z.number(), workFactor: z.number() }),
  offset_sd_K: z.number(),
  workFactor_sd_log: z.number(),
  correlation: z.number(),
  separated: z.boolean(),
  nextWork_perPa: z.number().nullable().meta({ description: 'Where a test ladder should go next: between what fell short and what went past' }),
});

export const TypicalSchema = z.object({
  families: z.array(FamilySchema.omit({ version: true })),
  setups: z.record(z.string(), z.object({ name: z.string(), setup: SetUpSchema, onPaper: SetUpSchema })),
  moulds: z.record(z.string(), z.object({ name: z.string(), expansion_perK: z.number(), note: z.string().optional() })),
  looks: z.record(z.string(), z.object({ name: z.string(), reaches: z.string(), spares: z.string() })),
  school: SchoolSchema,
  limits: LimitsSchema,
});
