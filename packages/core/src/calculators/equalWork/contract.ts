import { z } from 'zod';
import { AskedFiringSchema } from '../../contract/firing';
import { PurposefulSegmentSchema, SEGMENTS_AT_MOST } from '../../contract/heat';
import { figure, quantity } from '../../contract/quantity';
import { EvaluationSchema } from '../../contract/results';
import { FIRING, SEGMENTS } from '../samples';

export const summary = 'The hold that does the same heat work at another temperature';

export const request = z.strictObject({
  firing: AskedFiringSchema,
  segments: z.array(PurposefulSegmentSchema).min(1, { error: 'A schedule needs at least one segment.' }).max(SEGMENTS_AT_MOST),
  target_C: quantity('Target of the hottest segment', '°C', 300, 1700),
  work_perPa: quantity('Heat work to keep', '1/Pa', 1e-9, 100),
});

export const answer = z.object({
  segments: z.array(PurposefulSegmentSchema),
  evaluation: EvaluationSchema,
  share: figure('', 'Heat work reached over the heat work asked for'),
  reached: z.boolean(),
});

export const cases = {
  'Ten degrees cooler': { firing: FIRING, segments: SEGMENTS, target_C: 770, work_perPa: 0.02 },
} satisfies Record<string, z.input<typeof request>>;
