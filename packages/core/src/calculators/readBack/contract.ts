import { z } from 'zod';
import { ControllerInputSchema, ProgramRowsSchema, aController } from '../../contract/controller';
import { AskedFiringSchema } from '../../contract/firing';
import { SEGMENTS_AT_MOST, SegmentSchema } from '../../contract/heat';
import { count, figure } from '../../contract/quantity';
import { EvaluationSchema } from '../../contract/results';
import { SLIP_KINDS } from '../../controller/readBack';
import { FIRING, SEGMENTS } from '../samples';

export const summary = 'Slips between a controller and its schedule, and what each would do, worst first';

export const request = z.strictObject({
  firing: AskedFiringSchema,
  segments: z.array(SegmentSchema).min(1, { error: 'A schedule needs at least one segment.' }).max(SEGMENTS_AT_MOST),
  controller: aController(ControllerInputSchema),
  shown: ProgramRowsSchema.min(1, { error: 'Say what at least one segment shows.' }),
  older: ProgramRowsSchema.default([]),
});

const SlipSchema = z.object({
  row: count('Segment that was to be keyed, from 0').nullable(),
  shownRow: count('Segment that is shown, from 0').nullable(),
  figure: z.enum(['rate', 'target', 'hold']).nullable().meta({ description: 'Null where the whole segment is meant' }),
  kinds: z.array(z.enum(SLIP_KINDS)).meta({ description: 'All that would explain it, the likeliest first' }),
  evaluation: EvaluationSchema,
  longer_s: figure('s', 'Longer than planned'),
});

export const answer = z.object({ slips: z.array(SlipSchema), asShown: EvaluationSchema.nullable(), asPlanned: EvaluationSchema });

const controller = { unit: 'C' as const, fullSpeedCode: 4000, mostSegments: 8 };
const bare = SEGMENTS.map(({ role: _role, ...segment }) => segment);
export const cases = {
  'Two digits swapped, and hours for minutes': {
    ...{ firing: FIRING, segments: bare, controller },
    shown: [
      { rate: 200, target: 870, hold_min: 10 },
      { rate: 4000, target: 515, hold_min: 1 },
      { rate: 80, target: 60, hold_min: 0 },
    ],
  },
} satisfies Record<string, z.input<typeof request>>;
