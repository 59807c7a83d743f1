import { z } from 'zod';
import { AskedFiringSchema, SchoolSchema } from '../../contract/firing';
import { PurposefulSegmentSchema } from '../../contract/heat';
import { UnitsSchema, count, figure } from '../../contract/quantity';
import { EvaluationSchema, ReadingSchema } from '../../contract/results';
import { BISQUE, FIRING, SLUMP } from '../samples';

export const summary = 'A schedule for a body, a look, a set-up and a kiln';

export const request = AskedFiringSchema.extend({ units: UnitsSchema.optional() });

export const answer = EvaluationSchema.extend({
  segments: z.array(
    PurposefulSegmentSchema.extend({
      why: z.string(),
      limitedBy: ReadingSchema.shape.limit.nullable(),
      margin: figure('', 'Room left under the limit as a share of it; negative when broken').nullable(),
    }),
  ),
  total_s: figure('s'),
  verdict: z.array(z.string()),
  evaluations: count('Simulations spent'),
  converged: z.boolean(),
  school: SchoolSchema,
  remarks: z.array(z.string()).meta({ description: 'What was done otherwise than asked, and why' }),
});

export const cases = {
  'Contour in a mould': FIRING,
  'A slump, in °F': { ...SLUMP, units: { temperature: 'F' } },
  'A mould of clay, with no glass': BISQUE,
} satisfies Record<string, z.input<typeof request>>;
