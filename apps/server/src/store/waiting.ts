/** What pieces wait for: told anew in the transaction of every change that it follows from, so that a list of it costs nothing. */
import { turnOf } from '@torvin/core/piece';
import type { Evaluation } from '@torvin/core/schedule';
import { type FiringResult, type Piece, waitingOf } from '@torvin/schema';
import { and, asc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, pieces, schedules } from '../db/tables';

/** What became of each turn in the kiln, oldest first. */
const resultsOf = (db: Database, pieceIds: readonly string[]) =>
  db
    .select({ id: firings.id, pieceId: firings.pieceId, stepId: schedules.stepId, result: firings.result })
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .where(and(inArray(firings.pieceId, [...pieceIds]), isNull(firings.deletedAt)))
    .orderBy(asc(loads.at), asc(firings.id))
    .all();

/** Results of a piece's steps, each by its last firing. */
export const lastResults = (db: Database, pieceId: string): Map<string, FiringResult | null> =>
  new Map(resultsOf(db, [pieceId]).map(({ stepId, result }) => [stepId, result]));

/** The last turn of a step in the kiln. */
export const lastFiring = (db: Database, pieceId: string, stepId: string): string | null =>
  resultsOf(db, [pieceId])
    .filter((one) => one.stepId === stepId)
    .at(-1)?.id ?? null;

/** The same of several pieces, as each tells it. */
export function firedOf(db: Database, pieceIds: readonly string[]): (pieceId: string) => Piece['fired'] {
  const fired = new Map<string, Piece['fired']>();
  for (const { pieceId, stepId, result } of resultsOf(db, pieceIds)) fired.set(pieceId, { ...fired.get(pieceId), [stepId]: result });
  return (pieceId) => fired.get(pieceId) ?? {};
}

/** Each turn in the kiln that was told of, as it ran, oldest first. */
export function turnsOf(db: Database, pieceId: string): Piece['turns'] {
  const ran = sql<string>`coalesce(${firings.asFiredResult}, ${schedules.result})`;
  return db
    .select({
      stepId: schedules.stepId,
      seen: firings.seen,
      readings: sql<string | null>`json_extract(${ran}, '$.readings')`,
      work_perPa: sql<string | null>`json_extract(${ran}, '$.work_perPa')`,
    })
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .where(and(eq(firings.pieceId, pieceId), isNotNull(firings.result), isNull(firings.deletedAt)))
    .orderBy(asc(loads.at), asc(firings.id))
    .all()
    .flatMap(({ stepId, seen, readings, work_perPa }) => {
      if (readings === null || work_perPa === null) return [];
      return {
        ...{ stepId, seen },
        ...turnOf({ readings: JSON.parse(readings) as Evaluation['readings'], work_perPa: JSON.parse(work_perPa) as Evaluation['work_perPa'] }),
      };
    });
}

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
