import { z } from 'zod';
import { AskedFiringSchema } from '../../contract/firing';
import { PurposefulSegmentSchema, SEGMENTS_AT_MOST } from '../../contract/heat';
import { UnitsSchema, figure, oneOf, quantity } from '../../contract/quantity';
import { EvaluationSchema } from '../../contract/results';
import { HOW_FAR } from '../../learn/corrections';
import { CHANGES_FIRST } from '../../schedule/nextFiring';
import { FIRING, SEGMENTS } from '../samples';

export const summary = 'The next schedule after firings that fell short or went too far';

const outcome = oneOf('Outcome', ['short', 'right', 'past']);
const by = oneOf('By how much', HOW_FAR).optional();

export const request = z.strictObject({
  firing: AskedFiringSchema.meta({
    description: 'Body, set-up and kiln as they will be fired next. Where its seen is given, that bounds it; else what was fired does',
  }),
  fired: z
    .array(
      z.strictObject({
        segments: z.array(PurposefulSegmentSchema).min(1, { error: 'A schedule needs at least one segment.' }).max(SEGMENTS_AT_MOST),
        outcome,
        by,
      }),
    )
    .min(1, { error: 'Tell at least one firing and how it came out.' })
    .max(20)
    .meta({ description: 'What was fired of the like in this kiln, the last one last: all else stays as it ran' }),
  seen: z
    .array(
      z.strictObject({
        work_perPa: quantity('Heat work as read', '1/Pa', 1e-12, 100),
        work_C: quantity('Working temperature', '°C', 20, 1800),
        outcome,
        by,
      }),
    )
    .max(40)
    .default([])
    .meta({ description: 'Others of the like, of which the heat work is known' }),
  changes: oneOf('What changes', CHANGES_FIRST).default('temperature'),
  again: z.boolean().default(false).meta({ description: 'The same glass goes in again: it is given what it still lacks, by a schedule for what it is now' }),
  units: UnitsSchema.optional(),
});

const worked = z.object({ target_C: figure('°C'), hold_s: figure('s') });

export const answer = z.object({
  changes: z.enum(CHANGES_FIRST),
  segments: z.array(PurposefulSegmentSchema),
  evaluation: EvaluationSchema,
  was: worked.meta({ description: 'Working temperature and hold of the last firing' }),
  next: worked.meta({ description: 'Of the next' }),
  aim_perPa: figure('1/Pa', 'Heat work that it aims at'),
  reached: z.boolean().meta({ description: 'Whether this one figure alone gets there' }),
  foreseen: z.object({
    chances: z.object({ short: figure(''), right: figure(''), past: figure('') }).meta({ description: 'Of each outcome; they come to 1' }),
    ofLeast: z.tuple([figure(''), figure(''), figure('')]).meta({ description: 'Its heat work over the least that it takes: 5 %, the middle, 95 %' }),
  }),
  why: z.array(z.string()),
  expected: z.string().meta({ description: 'The expected result with its range, as a sentence' }),
});

const hotter = SEGMENTS.map((segment, i) => (i === 0 ? { ...segment, target_C: 805 } : segment));

export const cases = {
  'One fell short, one went too far': {
    firing: FIRING,
    fired: [
      { segments: SEGMENTS, outcome: 'short', by: 'little' },
      { segments: hotter, outcome: 'past' },
    ],
    seen: [{ work_perPa: 0.009, work_C: 770, outcome: 'short' }],
    changes: 'temperature',
    units: { temperature: 'F' },
  },
  'The same glass again, by its hold': { firing: FIRING, fired: [{ segments: SEGMENTS, outcome: 'short' }], changes: 'hold', again: true },
} satisfies Record<string, z.input<typeof request>>;
