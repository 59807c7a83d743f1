/** Pieces as lists show them, worked out once for each state of a piece, of its firings and of the glasses. */
import type { NamedGlass } from '@torvin/core/piece';
import { type Piece, type PieceRow, rowOfPiece } from '@torvin/schema';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, photos, type pieces } from '../db/tables';
import { firedChanges, keptWhile } from './keptWhile';

type Row = Pick<
  typeof pieces.$inferSelect,
  'id' | 'name' | 'version' | 'doc' | 'createdAt' | 'updatedAt' | 'tags' | 'finishedAt' | 'awayAt' | 'patternAt' | 'dueOn'
>;

export function pieceRow(db: Database, piece: Row, fired: Piece['fired'], glasses: readonly NamedGlass[]): PieceRow {
  const { id, version, tags, finishedAt, awayAt, patternAt, dueOn } = piece;
  // What it is filed under is no version of it.
  const rests = [version, tags.join('\n'), finishedAt, awayAt, patternAt, dueOn, glasses, firedChanges(db)];
  return keptWhile(db, `row ${id}`, rests, () => rowOfPiece({ ...piece, fired }, glasses, newestPhoto(db, id)));
}

/** Of its firings that have one here, the first picture of the one recorded last: those of a restored studio may have stayed elsewhere. */
function newestPhoto(db: Database, pieceId: string): string | null {
  const found = db
    .select({ photos: firings.photos })
    .from(firings)
    .where(and(eq(firings.pieceId, pieceId), isNull(firings.deletedAt), sql`json_extract(${firings.photos}, '$[0]') in (select ${photos.hash} from ${photos})`))
    .orderBy(desc(firings.createdAt))
    .limit(1)
    .get();
  return found?.photos[0] ?? null;
}
