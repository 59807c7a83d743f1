/** What was reckoned and kept: the newest of it. */
import { type NewReckoningSchema, RECKONINGS_KEPT, type Reckoning } from '@torvin/schema';
import { desc, eq, notInArray } from 'drizzle-orm';
import type { z } from 'zod';
import { type Database, writing } from '../db/database';
import { pieces, reckonings } from '../db/tables';
import { NotFound } from './failures';

type New = z.output<typeof NewReckoningSchema>;

const read = (db: Database) =>
  db.select({ reckoning: reckonings, pieceName: pieces.name }).from(reckonings).leftJoin(pieces, eq(reckonings.pieceId, pieces.id));

const shown = ({ reckoning, pieceName }: { reckoning: typeof reckonings.$inferSelect; pieceName: string | null }): Reckoning => ({ ...reckoning, pieceName });

export const keptReckonings = (db: Database): Reckoning[] => read(db).orderBy(desc(reckonings.keptAt), desc(reckonings.id)).all().map(shown);

/** Repeated with the same id it does nothing. What is older than the newest ones goes. */
export function keepReckoning(db: Database, reckoning: New): Reckoning {
  return writing(db, (tx) => {
    const piece = reckoning.pieceId === null ? undefined : tx.select({ id: pieces.id }).from(pieces).where(eq(pieces.id, reckoning.pieceId)).get();
    // A piece that was let go meanwhile takes nothing of this with it.
    tx.insert(reckonings)
      .values({ ...reckoning, pieceId: piece?.id ?? null })
      .onConflictDoNothing()
      .run();
    const kept = read(tx).where(eq(reckonings.id, reckoning.id)).get();
    if (!kept) throw new NotFound('reckoning', reckoning.id);
    const newest = tx.select({ id: reckonings.id }).from(reckonings).orderBy(desc(reckonings.keptAt), desc(reckonings.id)).limit(RECKONINGS_KEPT);
    tx.delete(reckonings).where(notInArray(reckonings.id, newest)).run();
    return shown(kept);
  });
}
