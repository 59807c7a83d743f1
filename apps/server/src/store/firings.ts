/** Firings: each points at the schedule version it ran, and is told more of once it has been opened. */
import type { Evaluation } from '@torvin/core';
import type { Firing, FiringChangeSchema, FiringDetail, FiringPage, FiringQuery, NewFiringSchema } from '@torvin/schema';
import { type SQL, and, count, desc, eq, isNull, lt, or, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { Database } from '../db/open';
import { firings, pieces, schedules } from '../db/tables';
import { NotFound, Stale, Taken, isRepeated } from './failures';
import { mustHavePhotos } from './photos';
import { findSchedule } from './schedules';

type Recorded = z.output<typeof NewFiringSchema>;
type Change = z.output<typeof FiringChangeSchema>;

export const PAGE = 50;

const { id, pieceId, scheduleId, firedAt, zone, place, result, lookReached, note, asFired, photos, version, createdAt } = firings;
const { stepId, work_C, work_s, total_s, kilnName, familyName, look } = schedules;
const COLUMNS = {
  ...{ id, pieceId, scheduleId, stepId, firedAt, zone, place, result, lookReached, note, asFired, photos, version, createdAt },
  ...{ pieceName: pieces.name, work_C, work_s, total_s, kilnName, familyName, look },
};

const joined = (db: Database) =>
  db.select(COLUMNS).from(firings).innerJoin(pieces, eq(pieceId, pieces.id)).innerJoin(schedules, eq(scheduleId, schedules.id)).$dynamic();

const contains = (column: SQL | typeof note, text: string): SQL => sql`${column} like ${`%${text.replace(/[\\%_]/g, '\\$&')}%`} escape '\\'`;

/** Every word must be found somewhere. */
const mentions = (text: string): SQL[] =>
  text
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => contains(sql`${pieces.name} || ' ' || ${note} || ' ' || ${place} || ' ' || ${kilnName} || ' ' || ${familyName}`, word));

function narrowed({ text, look: wanted, result: outcome, kiln, piece }: FiringQuery): SQL | undefined {
  return and(
    isNull(firings.deletedAt),
    ...(text ? mentions(text) : []),
    wanted && eq(look, wanted),
    outcome && (outcome === 'open' ? isNull(result) : eq(result, outcome)),
    kiln ? eq(kilnName, kiln) : undefined,
    piece ? eq(pieceId, piece) : undefined,
  );
}

/** Newest first; a page ends with where the next one begins. */
export function listFirings(db: Database, query: FiringQuery): FiringPage {
  const where = narrowed(query);
  const [time, last] = query.after?.split('~') ?? [];
  const beyond = last === undefined ? undefined : or(lt(firedAt, Number(time)), and(eq(firedAt, Number(time)), lt(id, last)));
  const found = joined(db)
    .where(and(where, beyond))
    .orderBy(desc(firedAt), desc(id))
    .limit(PAGE + 1)
    .all();
  const page = found.slice(0, PAGE);
  const end = page.at(-1);
  const [{ total }] = db
    .select({ total: count() })
    .from(firings)
    .innerJoin(pieces, eq(pieceId, pieces.id))
    .innerJoin(schedules, eq(scheduleId, schedules.id))
    .where(where)
    .all();
  return { firings: page, total, next: found.length > PAGE && end ? `${end.firedAt}~${end.id}` : null };
}

function findOne(db: Database, wanted: string): Firing {
  const [firing] = joined(db)
    .where(and(eq(id, wanted), isNull(firings.deletedAt)))
    .all();
  if (!firing) throw new NotFound('firing', wanted);
  return firing;
}

export function findFiring(db: Database, wanted: string): FiringDetail {
  const firing = findOne(db, wanted);
  const row = db.select({ told: firings.asFiredResult }).from(firings).where(eq(id, wanted)).get();
  return { firing, schedule: findSchedule(db, firing.scheduleId), asFiredResult: row?.told ?? null };
}

/** asFiredResult: the engine's word on firing.asFired, where there is any. */
export function recordFiring(db: Database, wanted: Recorded, asFiredResult: Evaluation | null, now: number): Firing {
  return db.transaction((tx) => {
    const before = tx.select().from(firings).where(eq(id, wanted.id)).get();
    if (before && before.scheduleId !== wanted.scheduleId) throw new Taken('firing', wanted.id);
    if (!before) {
      if (findSchedule(tx, wanted.scheduleId).pieceId !== wanted.pieceId) throw new NotFound('schedule of this piece', wanted.scheduleId);
      mustHavePhotos(tx, wanted.photos, []);
      tx.insert(firings)
        .values({ ...wanted, asFiredResult, createdAt: now })
        .run();
    }
    return findOne(tx, wanted.id);
  });
}

function unchanged(db: Database, wanted: string, based: number): void {
  const current = findOne(db, wanted);
  if (current.version !== based) throw new Stale('firing', current, based);
}

export function saveFiring(db: Database, wanted: string, { version: based, ...told }: Change, asFiredResult: Evaluation | null): FiringDetail {
  return db.transaction((tx) => {
    if (isRepeated(findOne(tx, wanted), based, told)) return findFiring(tx, wanted);
    unchanged(tx, wanted, based);
    mustHavePhotos(tx, told.photos, findOne(tx, wanted).photos);
    tx.update(firings)
      .set({ ...told, asFiredResult, version: based + 1 })
      .where(eq(id, wanted))
      .run();
    return findFiring(tx, wanted);
  });
}

/** Repeated, it does nothing. */
export function deleteFiring(db: Database, wanted: string, based: number, now: number): { ok: true } {
  return db.transaction((tx) => {
    const row = tx.select().from(firings).where(eq(id, wanted)).get();
    if (row?.deletedAt != null) return { ok: true };
    unchanged(tx, wanted, based);
    tx.update(firings)
      .set({ deletedAt: now, version: based + 1 })
      .where(eq(id, wanted))
      .run();
    return { ok: true };
  });
}

export function restoreFiring(db: Database, wanted: string): Firing {
  db.update(firings).set({ deletedAt: null }).where(eq(id, wanted)).run();
  return findOne(db, wanted);
}
