/** Pieces: made once, saved against the version they were based on. */
import { ProblemError } from '@torvin/core';
import { type NewPiece, type Piece, type PieceChange, type PieceDoc, snapshotOf } from '@torvin/schema';
import { and, desc, eq, inArray } from 'drizzle-orm';
import type { Database } from '../db/open';
import { pieces, schedules } from '../db/tables';
import { NotFound, Stale } from './failures';
import { allShelves } from './shelves';

export const listPieces = (db: Database): Piece[] => db.select().from(pieces).orderBy(desc(pieces.updatedAt)).all();

export function findPiece(db: Database, id: string): Piece {
  const piece = db.select().from(pieces).where(eq(pieces.id, id)).get();
  if (!piece) throw new NotFound('piece', id);
  return piece;
}

/** Refuses a document whose records do not exist or do not belong together. */
function mustHold(db: Database, pieceId: string, doc: PieceDoc): void {
  const shelves = allShelves(db);
  for (const step of doc.steps) {
    const snapshot = snapshotOf(doc, step, shelves);
    if (!snapshot.ok) throw new ProblemError(snapshot.problem);
    const named = [step.scheduleId, step.computedId].filter((id): id is string => id !== null);
    const own = db
      .select({ id: schedules.id })
      .from(schedules)
      .where(and(inArray(schedules.id, named), eq(schedules.pieceId, pieceId)))
      .all();
    const missing = named.find((id) => !own.some((row) => row.id === id));
    if (missing) throw new ProblemError({ code: 'unknown-id', path: 'doc.steps.0.scheduleId', message: `This piece has no schedule '${missing}'.` });
  }
}

export function createPiece(db: Database, { id, name, doc }: NewPiece, now: number): Piece {
  return db.transaction((tx) => {
    const before = tx.select().from(pieces).where(eq(pieces.id, id)).get();
    if (before) return before;
    mustHold(tx, id, doc);
    return tx.insert(pieces).values({ id, name, doc, version: 1, createdAt: now, updatedAt: now }).returning().get();
  });
}

export function savePiece(db: Database, id: string, { version, name, doc }: PieceChange, now: number): Piece {
  return db.transaction((tx) => {
    const before = findPiece(tx, id);
    if (before.version !== version) throw new Stale('piece', before, version);
    mustHold(tx, id, doc);
    return tx
      .update(pieces)
      .set({ name, doc, version: version + 1, updatedAt: now })
      .where(eq(pieces.id, id))
      .returning()
      .get();
  });
}
