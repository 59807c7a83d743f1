/** Requests and answers of the stateless compute API. */
import { DEFAULT_LIMITS, DEFAULT_SCHOOL, type Decimal, QUANTITY_KINDS } from '@torvin/core';
import { z } from 'zod';
import { BodyInputSchema } from './bodyInput';
import { FiringCaseSchema, LimitsSchema, SchoolSchema } from './firingInput';
import { PurposefulSegmentSchema, RoleSchema, SEGMENTS_AT_MOST, SegmentSchema, SimulationInputSchema } from './heatInput';
import { oneOf, words } from './quantity';
import { ReadingSchema } from './results';

const fill =
  <T extends object>(defaults: T) =>
  (given: Partial<T> | undefined): T => ({ ...defaults, ...given });

/** As a firing case, with school and limits optional in whole or in part. */
export const ComposeRequestSchema = FiringCaseSchema.extend({
  school: SchoolSchema.partial().optional().transform(fill(DEFAULT_SCHOOL)),
  limits: LimitsSchema.partial().optional().transform(fill(DEFAULT_LIMITS)),
});

/** A case and any schedule for it. */
export const CheckRequestSchema = ComposeRequestSchema.extend({
  segments: z
    .array(SegmentSchema.extend({ role: RoleSchema.optional() }))
    .min(1, { error: 'A schedule needs at least one segment.' })
    .max(SEGMENTS_AT_MOST, { error: `At most ${SEGMENTS_AT_MOST} segments.` }),
});

/** A plate is asked for its residual stress, free to bow, unless the request says otherwise. */
export const SimulateRequestSchema = SimulationInputSchema.transform((input) =>
  (input.shape ?? 'plate') === 'plate' ? { ...input, stress: input.stress ?? { support: 'free' as const } } : input,
);
export const BodyRequestSchema = BodyInputSchema;

/** What a comma means to people of a locale. */
export function decimalOf(locale: string): Decimal {
  const sign = new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value;
  return sign === ',' ? 'comma' : 'point';
}

const locale = words('Locale', 35, 2).refine(
  (name) => {
    try {
      return Intl.getCanonicalLocales(name).length === 1;
    } catch {
      return false;
    }
  },
  { error: ({ input }) => `'${String(input)}' is not a locale; write for example en or pt-PT.` },
);

export const QuantityRequestSchema = z.strictObject({
  text: words('Text', 200),
  kind: oneOf('Kind', QUANTITY_KINDS),
  /** Settles whether '1,200' is a thousand; without it such a number is refused. */
  locale: locale.optional(),
  bare: z
    .strictObject({
      length: oneOf('Length unit', ['mm', 'in']).default('mm'),
      mass: oneOf('Mass unit', ['g', 'oz']).default('g'),
      temperature: oneOf('Temperature unit', ['C', 'F']).default('C'),
    })
    .default({ length: 'mm', mass: 'g', temperature: 'C' }),
});

export const QuantityAnswerSchema = z.object({ value: z.number().nullable().meta({ description: 'Null for a rate at full speed' }), unit: z.string() });

const metre = z.number().meta({ unit: 'm' });

export const BodyAnswerSchema = z.object({
  depth: z.object({ min_m: metre, mean_m: metre, max_m: metre }),
  area_m2: z.number(),
  volume_m3: z.number(),
  mass_kg: z.number(),
  perGlass_kg: z.array(z.number()),
  afterFiring: z.object({
    naturalDepth_m: metre,
    tendency: z.enum(['draws-in', 'stays', 'runs-out', 'fills', 'scallops']),
    rimMoves_m: metre.meta({ unit: 'm', description: 'If it is hot for long enough; outwards positive' }),
  }),
  unevenness: z.number(),
  contacts: z
    .array(z.object({ lower: z.number().int(), upper: z.number().int(), lower_m: metre, upper_m: metre }))
    .meta({ description: 'Glasses that touch, as /api/compute/fit takes them' }),
  coatings: z.array(
    z.object({ layer: z.number().int(), state: z.enum(['faceDown', 'capped', 'cappedFlush', 'onShelf', 'bare', 'facing']), message: z.string() }),
  ),
});

export const ComposeAnswerSchema = z.object({
  segments: z.array(
    PurposefulSegmentSchema.extend({
      why: z.string(),
      limitedBy: ReadingSchema.shape.limit.nullable(),
      margin: z.number().nullable().meta({ description: 'Room left under the limit as a share of it; negative when broken' }),
    }),
  ),
  total_s: z.number(),
  verdict: z.array(z.string()),
  readings: z.array(ReadingSchema),
  evaluations: z.number().int(),
  converged: z.boolean(),
  school: SchoolSchema,
  remarks: z.array(z.string()).meta({ description: 'What was done otherwise than asked, and why' }),
});
export type ComposeAnswer = z.infer<typeof ComposeAnswerSchema>;

export const CheckAnswerSchema = z.object({
  ok: z.boolean(),
  broken: z.array(ReadingSchema.extend({ message: z.string() })),
  readings: z.array(ReadingSchema),
  verdict: z.array(z.string()),
  total_s: z.number(),
});
export type CheckAnswer = z.infer<typeof CheckAnswerSchema>;
