/** Schedule versions: immutable rows, each with what it was made from and what the engine made of it. */
import { hottestSegment } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { snapshotOf, firingOf, firingsOf, withStep } from '@torvin/core/piece';
import { ProblemError } from '@torvin/core/problem';
import { type Evaluation, brokenOf } from '@torvin/core/schedule';
import {
  type Alike,
  type NewSchedule,
  type Piece,
  type SavedSchedule,
  type Schedule,
  type ScheduleVersion,
  type Shelves,
  type Snapshot,
  listedVersions,
} from '@torvin/schema';
import { and, asc, count, desc, eq, getTableColumns, isNull, ne, sql } from 'drizzle-orm';
import { type Database, writing } from '../db/database';
import { firings, pieces, schedules, snapshots } from '../db/tables';
import { NotFound, Stale, Taken } from './failures';
import { changePiece, findPiece, mustBeThere, unchanged } from './pieces';
import { allShelves, studioShelves } from './shelfRows';
import { seenFirings } from './seen';

type Row = typeof schedules.$inferSelect & { snapshot: Snapshot };

/** Schedules with what they were made from. */
export const wholeSchedules = (db: Database) =>
  db
    .select({ ...getTableColumns(schedules), snapshot: snapshots.doc })
    .from(schedules)
    .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
    .$dynamic();

/** What a version was made from, kept once for all versions of a step that were made from the same. */
export function snapshotId(tx: Database, stepId: string, snapshot: Snapshot): number {
  const known = tx
    .select({ id: snapshots.id })
    .from(schedules)
    .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
    .where(and(eq(schedules.stepId, stepId), eq(snapshots.doc, snapshot)))
    .get();
  return known?.id ?? tx.insert(snapshots).values({ doc: snapshot }).returning({ id: snapshots.id }).get().id;
}

/** A schedule without the columns that only lists read. */
export function documentOf(row: Row): Schedule {
  const { work_C: _target, work_s: _hold, total_s: _length, kilnName: _kiln, familyName: _family, look: _look, ...rest } = row;
  const { kilnId: _kilnId, familyId: _familyId, formId: _formId, shelfId: _shelfId, snapshotId: _snapshot, ...document } = rest;
  return document;
}

/** The id of the one record that goes by a name; null where there are none or several. */
const onlyOne = (list: readonly { id: string; name: string }[], name: string): string | null => {
  const called = list.filter((one) => one.name === name);
  return called.length === 1 ? called[0].id : null;
};

/** What lists and learning read of a schedule. An old snapshot names its kiln and family by their names alone. */
export function columnsOf({ segments, snapshot, result }: Pick<Schedule, 'segments' | 'snapshot' | 'result'>, { kilns, families }: Shelves) {
  const { target_C: work_C, hold_s: work_s } = segments[hottestSegment(segments)];
  const { kilnName, familyName, firing } = snapshot;
  return {
    ...{ work_C, work_s, total_s: result.simulation.total_s, kilnName, familyName, look: firing.look },
    kilnId: snapshot.madeFrom?.kiln.id ?? onlyOne(kilns, kilnName),
    familyId: snapshot.familyId ?? onlyOne(families, familyName),
    formId: snapshot.setup.form?.id ?? null,
    shelfId: snapshot.setup.shelf?.id ?? null,
  };
}

export function findSchedule(db: Database, id: string): Schedule {
  const schedule = wholeSchedules(db).where(eq(schedules.id, id)).get();
  if (!schedule) throw new NotFound('schedule', id);
  return documentOf(schedule);
}

/** The versions of a piece that are worth a line, newest first, without their documents. */
export function listVersions(db: Database, { id: pieceId, doc }: Pick<Piece, 'id' | 'doc'>, now: number): ScheduleVersion[] {
  const { id, name, stepId, parentId, origin, createdAt, work_C, work_s, total_s, kilnName } = schedules;
  const engine = sql<string>`json_extract(${snapshots.doc}, '$.engine')`;
  const versions = db
    .select({ id, name, stepId, parentId, origin, createdAt, work_C, work_s, total_s, kilnName, engine, firings: count(firings.id) })
    .from(schedules)
    .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
    .leftJoin(firings, and(eq(firings.scheduleId, id), isNull(firings.deletedAt)))
    .where(eq(schedules.pieceId, pieceId))
    .groupBy(id)
    .orderBy(desc(createdAt), desc(id))
    .all();
  return listedVersions(versions, new Set(firingsOf(doc).flatMap(({ scheduleId }) => (scheduleId === null ? [] : [scheduleId]))), now);
}

export function nameSchedule(db: Database, id: string, name: string): Schedule {
  db.update(schedules).set({ name }).where(eq(schedules.id, id)).run();
  return findSchedule(db, id);
}

/** What a schedule of this piece's step would be computed from now; refuses a save based on an older piece. */
export function caseFor(db: Database, pieceId: string, wanted: NewSchedule): Snapshot {
  mustBeThere(db, pieceId);
  const piece = findPiece(db, pieceId);
  if (piece.version !== wanted.pieceVersion) throw new Stale('piece', piece, wanted.pieceVersion);
  const step = firingOf(piece.doc, wanted.stepId);
  if (!step) throw new NotFound('step', wanted.stepId);
  const snapshot = snapshotOf(piece.doc, step, { ...studioShelves(db), seen: seenFirings(db, { kiln: step.kilnId, look: step.look }) });
  if (!snapshot.ok) throw new ProblemError(snapshot.problem);
  return snapshot.value;
}

/** The answer to a repeated request with the same id, if there is one. */
export function alreadySaved(db: Database, pieceId: string, id: string): SavedSchedule | null {
  const schedule = wholeSchedules(db).where(eq(schedules.id, id)).get();
  if (!schedule) return null;
  if (schedule.pieceId !== pieceId) throw new Taken('schedule', id);
  return { schedule: documentOf(schedule), piece: findPiece(db, pieceId) };
}

/** Adds the version and makes it its step's, in one transaction; the piece must still be as it was. */
export function addSchedule(db: Database, pieceId: string, wanted: NewSchedule, snapshot: Snapshot, result: Evaluation, now: number): SavedSchedule {
  return writing(db, (tx) => {
    const repeated = alreadySaved(tx, pieceId, wanted.id);
    if (repeated) return repeated;
    const before = unchanged(tx, pieceId, wanted.pieceVersion);
    const { id, stepId, parentId, origin, segments } = wanted;
    if (parentId !== null && findSchedule(tx, parentId).pieceId !== pieceId) throw new NotFound('schedule', parentId);
    const document = { id, name: '', pieceId, stepId, parentId, origin, segments, result, createdAt: now };
    tx.insert(schedules)
      .values({ ...document, snapshotId: snapshotId(tx, stepId, snapshot), ...columnsOf({ ...document, snapshot }, allShelves(tx)) })
      .run();
    const schedule = findSchedule(tx, id);
    const step = firingOf(before.doc, stepId);
    const doc = step ? withStep(before.doc, { ...step, scheduleId: id, computedId: origin === 'computed' ? id : step.computedId }) : before.doc;
    const what = origin === 'computed' ? 'schedule calculated' : 'schedule changed';
    const piece = changePiece(tx, before, { name: before.name, doc, what }, now);
    return { piece, schedule };
  });
}

/** As many as one start can take along. */
const ALIKE_AT_MOST = 24;
const LOOKED_AT = 500;

/** The rows as a controller has them: two schedules with the same are one to it. */
export const rowsOf = (segments: readonly PurposefulSegment[]): string =>
  segments.map(({ rate_C_per_h, target_C, hold_s }) => `${rate_C_per_h} ${target_C} ${hold_s}`).join();

/** Other pieces whose next firing is in the same kiln by the very same rows, by name. */
export function alikeOnes(db: Database, { id, pieceId, segments }: Schedule): Alike[] {
  const own = db.select({ kilnId: schedules.kilnId, work_C: schedules.work_C, work_s: schedules.work_s }).from(schedules).where(eq(schedules.id, id)).get();
  if (!own?.kilnId) return [];
  return db
    .select({ pieceId: pieces.id, pieceName: pieces.name, scheduleId: schedules.id, segments: schedules.segments, result: schedules.result })
    .from(schedules)
    .innerJoin(pieces, eq(schedules.pieceId, pieces.id))
    .where(
      and(
        ...[eq(schedules.kilnId, own.kilnId), eq(schedules.work_C, own.work_C), eq(schedules.work_s, own.work_s)],
        ...[ne(pieces.id, pieceId), isNull(pieces.deletedAt), eq(pieces.waits, 'kiln'), eq(pieces.waitsStepId, schedules.stepId), inUse],
      ),
    )
    .orderBy(asc(pieces.name), asc(pieces.id))
    .limit(LOOKED_AT)
    .all()
    .filter((one) => rowsOf(one.segments) === rowsOf(segments))
    .slice(0, ALIKE_AT_MOST)
    .map(({ segments: _rows, result, ...one }) => ({ ...one, broken: brokenOf(result.readings).length }));
}

/** It stands in its piece's journey. */
export const inUse = sql`exists (select 1 from json_each(${pieces.doc}, '$.journey') as step where json_extract(step.value, '$.scheduleId') = ${schedules.id})`;
