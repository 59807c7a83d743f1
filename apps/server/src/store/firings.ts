/** Recorded firings: each points at the schedule version it ran. */
import type { Firing, FiringDetail, NewFiring } from '@torvin/schema';
import { type SQL, desc, eq, getTableColumns } from 'drizzle-orm';
import type { Database } from '../db/open';
import { firings, pieces, schedules } from '../db/tables';
import { NotFound, Taken } from './failures';
import { findSchedule } from './schedules';

const { work_C, work_s, total_s, kilnName } = schedules;

const select = (db: Database, where?: SQL): Firing[] =>
  db
    .select({ ...getTableColumns(firings), pieceName: pieces.name, work_C, work_s, total_s, kilnName })
    .from(firings)
    .innerJoin(pieces, eq(firings.pieceId, pieces.id))
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .where(where)
    .orderBy(desc(firings.firedAt), desc(firings.id))
    .all();

export const listFirings = (db: Database): Firing[] => select(db);

function findOne(db: Database, id: string): Firing {
  const [firing] = select(db, eq(firings.id, id));
  if (!firing) throw new NotFound('firing', id);
  return firing;
}

export function findFiring(db: Database, id: string): FiringDetail {
  const firing = findOne(db, id);
  return { firing, schedule: findSchedule(db, firing.scheduleId) };
}

export function recordFiring(db: Database, wanted: NewFiring, now: number): Firing {
  return db.transaction((tx) => {
    const before = tx.select().from(firings).where(eq(firings.id, wanted.id)).get();
    if (before && before.scheduleId !== wanted.scheduleId) throw new Taken('firing', wanted.id);
    if (!before) {
      if (findSchedule(tx, wanted.scheduleId).pieceId !== wanted.pieceId) throw new NotFound('schedule of this piece', wanted.scheduleId);
      tx.insert(firings)
        .values({ ...wanted, createdAt: now })
        .run();
    }
    return findOne(tx, wanted.id);
  });
}
