import { z } from 'zod';
import { AskedFiringSchema } from '../../contract/firing';
import { SegmentsSchema } from '../../contract/heat';
import { EvaluationSchema } from '../../contract/results';
import { FIRING, SEGMENTS } from '../samples';

export const summary = 'All that the engine makes of a schedule, in figures';

export const request = z.strictObject({
  firing: AskedFiringSchema,
  segments: SegmentsSchema,
  series: z.boolean().optional().meta({ description: 'With the curves of kiln, skin and core' }),
});

export const answer = EvaluationSchema;

export const cases = { 'A schedule of three lines, with its curves': { firing: FIRING, segments: SEGMENTS, series: true } } satisfies Record<
  string,
  z.input<typeof request>
>;
