/** What a load was keyed with: immutable versions, each made for all that was in it then. */
import type { PurposefulSegment } from '@torvin/core/kiln';
import { and, asc, desc, eq, isNull } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Database } from '../db/database';
import { type LoadEntry, firings, loadSchedules, loads, schedules } from '../db/tables';
import { rowsOf } from './schedules';

const entriesOf = (db: Database, loadId: string): (LoadEntry & { segments: PurposefulSegment[] })[] =>
  db
    .select({ pieceId: firings.pieceId, stepId: schedules.stepId, scheduleId: firings.scheduleId, segments: schedules.segments })
    .from(firings)
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .where(and(eq(firings.loadId, loadId), isNull(firings.deletedAt)))
    .orderBy(asc(firings.createdAt), asc(firings.id))
    .all();

/** In the transaction in which something comes into a load or leaves it. One that everything has left keeps what it had. */
export function tellLoadSchedule(tx: Database, loadId: string, at: number): void {
  const found = entriesOf(tx, loadId);
  if (found.length === 0) return;
  const [{ segments }] = found;
  const isUnlike = found.some((one) => rowsOf(one.segments) !== rowsOf(segments));
  if (isUnlike) {
    tx.update(loads).set({ scheduleNumber: null }).where(eq(loads.id, loadId)).run();
    return;
  }
  const entries = found.map(({ segments: _rows, ...entry }) => entry);
  const last = tx.select().from(loadSchedules).where(eq(loadSchedules.loadId, loadId)).orderBy(desc(loadSchedules.number)).limit(1).get();
  const stands = last !== undefined && isDeepStrictEqual(last.entries, entries) && rowsOf(last.segments) === rowsOf(segments);
  const number = stands ? last.number : (last?.number ?? 0) + 1;
  if (!stands) tx.insert(loadSchedules).values({ loadId, number, segments, entries, createdAt: at }).run();
  tx.update(loads).set({ scheduleNumber: number }).where(eq(loads.id, loadId)).run();
}

/** Loads of before they had schedules of their own. */
export function tellAllLoadSchedules(tx: Database): void {
  for (const { id, createdAt } of tx.select({ id: loads.id, createdAt: loads.createdAt }).from(loads).all()) tellLoadSchedule(tx, id, createdAt);
}
