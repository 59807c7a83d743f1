import { z } from 'zod';
import { GlassInputSchema } from '../../contract/glass';
import { count, figure, oneOf, quantity } from '../../contract/quantity';
import { HOW_FAR } from '../../learn/corrections';
import { LOOKS } from '../../look/names';
import { GLASS } from '../samples';

export const summary = 'Offset and work factor from looks reached or missed';

/** How many firings of this kiln came after it. */
const age = quantity('Firings since', '', 0, 10000)
  .optional()
  .meta({ description: 'Firings of this kiln since; pieces of one load have the same. An offset wanders by 1 K from one to the next, so older ones say less' });

export const request = z
  .strictObject({
    glass: GlassInputSchema,
    seen: z
      .array(
        z
          .strictObject({
            look: oneOf('Look', LOOKS).optional().meta({ description: 'Without it the firing speaks of all looks alike' }),
            work_perPa: quantity('Work done', '1/Pa', 1e-9, 100),
            least_perPa: quantity('Least work', '1/Pa', 1e-9, 100),
            most_perPa: quantity('Most work', '1/Pa', 1e-9, 100),
            work_C: quantity('Working temperature', '°C', 300, 1700),
            outcome: oneOf('Outcome', ['short', 'right', 'past']),
            by: oneOf('By how much', HOW_FAR).optional(),
            reached_perPa: quantity('Work for what was measured', '1/Pa', 1e-9, 100)
              .optional()
              .meta({ description: 'Work calculated for the shape that it was measured to have. It says more than the outcome, which then does not count' }),
            age,
          })
          .refine(({ least_perPa, most_perPa }) => least_perPa <= most_perPa, {
            path: ['most_perPa'],
            error: 'The most work must not be less than the least.',
          }),
      )
      .max(200),
    witnesses: z
      .array(
        z.strictObject({
          offset_K: quantity('Offset seen', 'K', -60, 60),
          error_K: quantity('Its error', 'K', 0.1, 30),
          age,
          of: quantity('Firing that it stood beside', '', 0, 199)
            .int({ error: 'The firing that it stood beside must be whole.' })
            .optional()
            .meta({ description: 'The place among those seen, from 0, of the firing that it stood beside. It is left out with it' }),
        }),
      )
      .max(50)
      .default([]),
    weigh: z.boolean().default(false).meta({ description: 'Also what would have been learnt without each firing' }),
  })
  .refine(({ seen, witnesses }) => witnesses.every(({ of }) => of === undefined || of < seen.length), {
    path: ['witnesses'],
    error: 'A reading stands beside a firing that was not sent: the first of those seen is 0.',
  });
export const answer = z.object({
  corrections: z.object({ offset_K: figure('K'), workFactor: figure('') }),
  looks: z
    .array(z.object({ look: z.enum(LOOKS), factor: figure(''), sd_log: figure('', 'Standard deviation of its logarithm'), firings: count() }))
    .meta({ description: 'What each look that was seen takes, times the usual' }),
  offset_sd_K: figure('K'),
  workFactor_sd_log: figure(''),
  correlation: figure(''),
  separated: z.boolean(),
  drift: z
    .object({ hotter_K: figure('K'), sd_K: figure('K'), isSure: z.boolean() })
    .nullable()
    .meta({ description: 'The last ten of those seen, the newest first, against the ten before: how much hotter they came out. Null where there are too few' }),
  line: z
    .array(z.object({ at: count('Its place among those seen, from 0'), offset_K: figure('K'), sd_K: figure('K') }))
    .meta({ description: 'The offset as ten firings at a time tell it, the oldest first; empty where there are fewer than five' }),
  without: z
    .array(z.object({ offset_K: figure('K'), workFactor: figure('') }))
    .nullable()
    .meta({ description: 'What the rest would have taught, by firing as they were sent; null where it was not asked for' }),
  nextWork_perPa: z
    .number()
    .nullable()
    .meta({ 'x-unit': '1/Pa', description: 'Where a test ladder should go next: between what fell short and what went past' }),
});

export const cases = {
  'One tack that fell short': {
    glass: GLASS,
    seen: [{ look: 'tack', work_perPa: 2e-2, least_perPa: 1.6e-2, most_perPa: 4.6e-2, work_C: 800, outcome: 'short', age: 3 }],
    witnesses: [{ offset_K: 5, error_K: 2, age: 3, of: 0 }],
    weigh: true,
  },
  'A slump that was measured half-way, weighed': {
    glass: GLASS,
    seen: [{ look: 'slump', work_perPa: 3e-5, least_perPa: 2e-5, most_perPa: 8e-5, work_C: 640, outcome: 'short', reached_perPa: 1.5e-5 }],
    weigh: true,
  },
} satisfies Record<string, z.input<typeof request>>;
