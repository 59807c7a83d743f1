import { z } from 'zod';
import { AskedFiringSchema } from '../../contract/firing';
import { SegmentsSchema } from '../../contract/heat';
import { UnitsSchema, figure } from '../../contract/quantity';
import { ReadingSchema } from '../../contract/results';
import { FIRING, SEGMENTS } from '../samples';

export const summary = 'Any schedule held against every limit';

export const request = AskedFiringSchema.extend({ segments: SegmentsSchema, units: UnitsSchema.optional() });

export const answer = z.object({
  ok: z.boolean(),
  broken: z.array(ReadingSchema.extend({ message: z.string() })),
  readings: z.array(ReadingSchema),
  verdict: z.array(z.string()),
  total_s: figure('s'),
});

export const cases = { 'A schedule of three lines': { ...FIRING, segments: SEGMENTS } } satisfies Record<string, z.input<typeof request>>;
