/** Schedule versions: immutable rows, each with what it was made from and what the engine made of it. */
import { type Evaluation, ProblemError } from '@torvin/core';
import { type NewSchedule, type Piece, type SavedSchedule, type Schedule, type Snapshot, snapshotOf } from '@torvin/schema';
import { eq } from 'drizzle-orm';
import type { Database } from '../db/open';
import { pieces, schedules } from '../db/tables';
import { NotFound, Stale, Taken } from './failures';
import { findPiece } from './pieces';
import { allShelves } from './shelves';

export function findSchedule(db: Database, id: string): Schedule {
  const schedule = db.select().from(schedules).where(eq(schedules.id, id)).get();
  if (!schedule) throw new NotFound('schedule', id);
  return schedule;
}

/** What a schedule of this piece's step would be computed from now; refuses a save based on an older piece. */
export function caseFor(db: Database, pieceId: string, wanted: NewSchedule): Snapshot {
  const piece = findPiece(db, pieceId);
  if (piece.version !== wanted.pieceVersion) throw new Stale('piece', piece, wanted.pieceVersion);
  const step = piece.doc.steps.find(({ id }) => id === wanted.stepId);
  if (!step) throw new NotFound('step', wanted.stepId);
  const snapshot = snapshotOf(piece.doc, step, allShelves(db));
  if (!snapshot.ok) throw new ProblemError(snapshot.problem);
  return snapshot.value;
}

/** The answer to a repeated request with the same id, if there is one. */
export function alreadySaved(db: Database, pieceId: string, id: string): SavedSchedule | null {
  const schedule = db.select().from(schedules).where(eq(schedules.id, id)).get();
  if (!schedule) return null;
  if (schedule.pieceId !== pieceId) throw new Taken('schedule', id);
  return { schedule, piece: findPiece(db, pieceId) };
}

/** Adds the version and makes it its step's, in one transaction; the piece must still be as it was. */
export function addSchedule(db: Database, pieceId: string, wanted: NewSchedule, snapshot: Snapshot, result: Evaluation, now: number): SavedSchedule {
  return db.transaction((tx) => {
    const repeated = alreadySaved(tx, pieceId, wanted.id);
    if (repeated) return repeated;
    const before = findPiece(tx, pieceId);
    if (before.version !== wanted.pieceVersion) throw new Stale('piece', before, wanted.pieceVersion);
    const { id, stepId, parentId, origin, segments } = wanted;
    if (parentId !== null && findSchedule(tx, parentId).pieceId !== pieceId) throw new NotFound('schedule', parentId);
    const schedule = tx.insert(schedules).values({ id, pieceId, stepId, parentId, origin, segments, snapshot, result, createdAt: now }).returning().get();
    const doc: Piece['doc'] = {
      ...before.doc,
      steps: before.doc.steps.map((step) =>
        step.id === stepId ? { ...step, scheduleId: id, computedId: origin === 'computed' ? id : step.computedId } : step,
      ),
    };
    const piece = tx
      .update(pieces)
      .set({ doc, version: before.version + 1, updatedAt: now })
      .where(eq(pieces.id, pieceId))
      .returning()
      .get();
    return { piece, schedule };
  });
}
