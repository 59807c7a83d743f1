/** What pieces wait for: told anew in the transaction of every change that it follows from, so that a list of it costs nothing. */
import { type FiringResult, waitingOf } from '@torvin/schema';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, pieces, schedules } from '../db/tables';

/** Results of a piece's steps, each by its last firing. */
export function lastResults(db: Database, pieceId: string): Map<string, FiringResult | null> {
  const rows = db
    .select({ stepId: schedules.stepId, result: firings.result })
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .where(and(eq(firings.pieceId, pieceId), isNull(firings.deletedAt)))
    .orderBy(asc(loads.at), asc(firings.id))
    .all();
  return new Map(rows.map(({ stepId, result }) => [stepId, result]));
}

/** The same as a piece tells it. */
export const firedOf = (db: Database, pieceId: string): Record<string, FiringResult | null> => Object.fromEntries(lastResults(db, pieceId));

export function tellWaiting(tx: Database, pieceId: string): void {
  const { doc, finishedAt, awayAt, patternAt } = pieces;
  const piece = tx.select({ doc, finishedAt, awayAt, patternAt }).from(pieces).where(eq(pieces.id, pieceId)).get();
  if (!piece) return;
  const last = lastResults(tx, pieceId);
  const isOver = piece.finishedAt !== null || piece.awayAt !== null || piece.patternAt !== null;
  const waiting = isOver ? null : waitingOf(piece.doc.journey, (stepId) => last.get(stepId));
  tx.update(pieces)
    .set({ waits: waiting?.for ?? null, waitsStepId: waiting?.stepId ?? null })
    .where(eq(pieces.id, pieceId))
    .run();
}
