/** What was found by words: the newest of each kind, and how many there are. */
import { count } from '@torvin/core/contract';
import { z } from 'zod';
import { FiringRowSchema } from './documents';
import { SHELF_KINDS } from './kinds/names';
import { PieceSchema, asked, recordId } from './pieces';
import { ReckoningSchema } from './reckonings';

/** So many of each kind are told. */
export const FOUND_AT_MOST = 8;

export const FindQuerySchema = z.object({ text: asked(80) });

export const FoundPieceSchema = PieceSchema.pick({ id: true, name: true, tags: true, updatedAt: true, finishedAt: true, awayAt: true });
export const FoundSchema = z
  .object({
    pieces: z.array(FoundPieceSchema),
    firings: z.array(FiringRowSchema),
    /** Of the shelves; their pages have what they hold. */
    records: z.array(z.object({ kind: z.enum(SHELF_KINDS), id: recordId('Record') })),
    reckonings: z.array(ReckoningSchema),
    total: z.object({ pieces: count(), firings: count(), records: count(), reckonings: count() }),
  })
  .meta({ id: 'Found' });
export type Found = z.infer<typeof FoundSchema>;
