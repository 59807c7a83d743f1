/** What stands in the programs of the studio's controllers: which schedule, since when, and how it was read back. */
import { ProgramRowsSchema, count, figure, id, instant, quantity, words } from '@torvin/core/contract';
import { z } from 'zod';

export const NewProgramSchema = z
  .strictObject({
    id,
    controllerId: words('Controller', 60, 1),
    slot: quantity('Program', '', 1, 99).int({ error: 'A program is a whole number.' }),
    /** Null where something stands there that Torvin does not know. */
    scheduleId: id.nullable(),
    /** As it was read back, or as it was to be keyed. */
    rows: ProgramRowsSchema,
    keyedAt: instant,
    /** Null where it was not read back, and so are the slips. */
    readAt: instant.nullable().default(null),
    slips: count('Slips found on reading back').nullable().default(null),
  })
  .refine(({ readAt, slips }) => (readAt === null) === (slips === null), {
    path: ['slips'],
    error: 'When it was read back and how many slips there were are said together.',
  })
  .meta({ id: 'NewProgram' });
export type NewProgram = z.input<typeof NewProgramSchema>;

export const ProgramSchema = z
  .object({
    ...NewProgramSchema.shape,
    /** Of its schedule; null where there is none, or none any more. */
    pieceId: id.nullable(),
    pieceName: z.string().nullable(),
    stepId: id.nullable(),
    ahead_s: figure('s', 'By how much the clock of the device that sent it was before the server’s when it came'),
    keyedOverAt: instant.nullable().meta({ description: 'When something else was keyed over it; null while it stands' }),
  })
  .meta({ id: 'Program' });
export type Program = z.infer<typeof ProgramSchema>;

export const ProgramQuerySchema = z.object({
  schedule: z.string().max(60).default('').meta({ description: 'Tells also where this schedule stood and was keyed over' }),
});
