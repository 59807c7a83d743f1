import { z } from 'zod';
import { ControllerInputSchema, aController } from '../../contract/controller';
import { SEGMENTS_AT_MOST, SegmentSchema } from '../../contract/heat';
import { count, figure, quantity } from '../../contract/quantity';
import { TYPICAL_CONTROLLERS } from '../../controller/typical';
import { SEGMENTS } from '../samples';

export const summary = 'What a schedule is keyed into a controller as: its figures, its presses, and what that rounds';

const { id: _id, name: _name, ...counting } = TYPICAL_CONTROLLERS[1];

export const KeyedRowSchema = z.object({
  segment: count('Index in the schedule'),
  rate: z.number().meta({ 'x-unit': 'as unit says', description: 'Degrees an hour or a minute, or minutes, as the controller counts' }),
  target: z.number().meta({ 'x-unit': 'as unit says', description: 'Degrees of the controller’s unit' }),
  hold_min: figure('min'),
  hold: z.string().meta({ description: 'As it is keyed' }),
  fullSpeed: z.boolean(),
});

export const request = z.strictObject({
  segments: z.array(SegmentSchema).min(1, { error: 'A schedule needs at least one segment.' }).max(SEGMENTS_AT_MOST),
  controller: aController(ControllerInputSchema),
  slot: quantity('Program', '', 1, 99).int({ error: 'A program is a whole number.' }).optional(),
});

export const answer = z.object({
  rows: z.array(KeyedRowSchema),
  switchOff: z.boolean().meta({ description: 'The last segment is the closed kiln, switched off: no row is keyed for it' }),
  remarks: z.array(z.object({ kind: z.enum(['rounded', 'parted', 'cannot']), message: z.string() })),
  keys: z.array(z.string()).meta({ description: 'What is pressed, from the choice of a program to its end; none where it does not fit' }),
});

const bare = SEGMENTS.map(({ role: _role, ...segment }) => segment);
export const cases = {
  'In degrees of Fahrenheit, holds with a point': { segments: bare, controller: counting, slot: 2 },
  'As it usually is': { segments: bare, controller: { unit: 'C', fullSpeedCode: 4000, mostSegments: 8 } },
} satisfies Record<string, z.input<typeof request>>;
