/** What was reckoned at the bench and kept: the last of it, with what was typed, so that it can be taken up again. */
import { QUANTITY_NAMES } from '@torvin/core/quantity';
import { id, instant, oneOf, words } from '@torvin/core/contract';
import { z } from 'zod';

const FIELDS_AT_MOST = 120;

export const NewReckoningSchema = z
  .strictObject({
    id,
    kind: oneOf('Kind', QUANTITY_NAMES),
    typed: z
      .record(words('Field', 40, 1), words('What was typed', 200))
      .refine((typed) => Object.keys(typed).length <= FIELDS_AT_MOST, { error: `At most ${FIELDS_AT_MOST} fields.` })
      .meta({ description: 'By field, with its unit' }),
    told: words('Answer', 300, 1),
    /** Where it was asked from; null where from nowhere. */
    pieceId: id.nullable().default(null),
    keptAt: instant,
  })
  .meta({ id: 'NewReckoning' });
export type NewReckoning = z.input<typeof NewReckoningSchema>;

export const ReckoningSchema = z
  .object({
    ...NewReckoningSchema.shape,
    pieceId: id.nullable(),
    pieceName: z.string().nullable().meta({ description: 'Null where there is none, or none any more' }),
  })
  .meta({ id: 'Reckoning' });
export type Reckoning = z.infer<typeof ReckoningSchema>;
