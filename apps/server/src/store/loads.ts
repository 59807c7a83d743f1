/** Loads: what is in a kiln together. One kiln has one at a time; a kiln is free again once its load is opened or told of. */
import { RECIPES } from '@torvin/core/look';
import { ProblemError } from '@torvin/core/problem';
import { momentsOf } from '@torvin/core/schedule';
import { type KilnTime, type Load, type LoadAhead, type LoadChangeSchema, type LoadDetail, type LoadShown, type KilnReading, inTheWay } from '@torvin/schema';
import { and, asc, eq, gt, isNull, lt, ne, or, sql } from 'drizzle-orm';
import type { z } from 'zod';
import { type Database, writing } from '../db/database';
import { firings, loadSchedules, loads, pieces, readings, schedules } from '../db/tables';
import { Conflict, NotFound, Stale } from './failures';
import { differencesNow } from './outdated';
import { type Sent, once } from './receipts';
import { findSchedule } from './schedules';
import { CLOCKS_APART_MS, clockWords } from './times';

type Change = z.output<typeof LoadChangeSchema>;

const HOUR_MS = 3600e3;

export function findLoad(db: Database, id: string): Load {
  const row = db.select().from(loads).where(eq(loads.id, id)).get();
  if (!row) throw new NotFound('load', id);
  const { createdAt: _createdAt, ...load } = row;
  return load;
}

/** Loads that are in a kiln or planned for one, in the order of their starts. */
export function loadsAhead(db: Database): LoadAhead[] {
  const rows = db
    .select({
      load: loads,
      firing: firings.id,
      pieceId: pieces.id,
      pieceName: pieces.name,
      scheduleId: schedules.id,
      stepId: schedules.stepId,
      look: schedules.look,
      segments: schedules.segments,
      result: schedules.result,
    })
    .from(loads)
    .innerJoin(firings, eq(firings.loadId, loads.id))
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .innerJoin(pieces, eq(firings.pieceId, pieces.id))
    .where(and(isNull(loads.openedAt), isNull(firings.result), isNull(firings.deletedAt)))
    .orderBy(asc(loads.at), asc(firings.id))
    .all();
  const found = new Map<string, LoadAhead>();
  for (const { load, firing, pieceId, stepId, pieceName, scheduleId, look, segments, result } of rows) {
    const { createdAt: _createdAt, ...rest } = load;
    const after = (seconds: number): number => load.at + Math.ceil(seconds * 1000);
    const moments = momentsOf(segments, result.simulation);
    const [lookFrom, lookTo] = [after(moments.look.from_s), after(moments.look.to_s)];
    const ahead = found.get(load.id) ?? { ...rest, entries: [], lookFrom, lookTo, controlled: load.at, until: load.at };
    ahead.entries.push({ firingId: firing, pieceId, stepId, pieceName, look, scheduleId });
    // Old records may have put two schedules into one load.
    ahead.lookFrom = Math.min(ahead.lookFrom, lookFrom);
    ahead.lookTo = Math.max(ahead.lookTo, lookTo);
    ahead.controlled = Math.max(ahead.controlled, after(moments.controlled_s));
    ahead.until = Math.max(ahead.until, after(moments.opens_s));
    found.set(load.id, ahead);
  }
  return [...found.values()];
}

/** What differs by now from what the pieces of a load were judged by; once it was started that is history. */
function outdatedOf(db: Database, { startedAt }: Load, entries: LoadAhead['entries']): string[] {
  if (startedAt !== null) return [];
  return entries.flatMap(({ scheduleId, pieceName }) =>
    differencesNow(db, findSchedule(db, scheduleId)).map((difference) => (entries.length > 1 ? `${pieceName}: ${difference}` : difference)),
  );
}

export const loadsShown = (db: Database): LoadShown[] => loadsAhead(db).map((load) => ({ ...load, outdated: outdatedOf(db, load, load.entries) }));

export function loadDetail(db: Database, id: string): LoadDetail {
  const load = findLoad(db, id);
  const entries = db
    .select({
      ...{ firingId: firings.id, pieceId: firings.pieceId, stepId: schedules.stepId, pieceName: pieces.name },
      ...{ look: schedules.look, scheduleId: firings.scheduleId, result: firings.result },
    })
    .from(firings)
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .innerJoin(pieces, eq(firings.pieceId, pieces.id))
    .where(and(eq(firings.loadId, id), isNull(firings.deletedAt)))
    .orderBy(asc(firings.createdAt), asc(firings.id))
    .all();
  const keyed = db
    .select()
    .from(loadSchedules)
    .where(and(eq(loadSchedules.loadId, id), eq(loadSchedules.number, load.scheduleNumber ?? 0)))
    .get();
  const { loadId: _load, ...schedule } = keyed ?? { loadId: id };
  const isAhead = load.openedAt === null && entries.every(({ result }) => result === null);
  return {
    ...load,
    schedule: keyed ? (schedule as NonNullable<LoadDetail['schedule']>) : null,
    entries,
    outdated: isAhead ? outdatedOf(db, load, entries) : [],
    readings: readingsOf(db, id),
  };
}

export const readingsOf = (db: Database, loadId: string): KilnReading[] =>
  db
    .select({ channel: readings.channel, at: readings.at, reading_C: readings.reading_C })
    .from(readings)
    .where(eq(readings.loadId, loadId))
    .orderBy(asc(readings.at), asc(readings.channel))
    .all();

/** What was read of one thermocouple at one moment counts once, as it came last. */
export function putReadings(tx: Database, loadId: string, read: readonly KilnReading[]): void {
  for (const { channel, at, reading_C } of read) {
    tx.insert(readings)
      .values({ loadId, channel, at, reading_C })
      .onConflictDoUpdate({ target: [readings.loadId, readings.channel, readings.at], set: { reading_C } })
      .run();
  }
}

/** Refuses what was not read while the load was in its kiln; a kiln may be read an hour before its start. */
export function addReadings(db: Database, id: string, { readings: read }: { readings: readonly KilnReading[] }, now: number): LoadDetail {
  return writing(db, (tx) => {
    const load = findLoad(tx, id);
    const until = Math.min(load.openedAt ?? now, now) + CLOCKS_APART_MS;
    const wrong = read.findIndex(({ at }) => at < load.at - HOUR_MS || at > until);
    if (wrong >= 0) {
      const message = `The load was in its kiln from ${clockWords(load.at, load.zone)} to ${clockWords(until, load.zone)}; this was read at ${clockWords(read[wrong].at, load.zone)}.`;
      throw new ProblemError({ code: 'impossible-time', path: `readings.${wrong}.at`, message });
    }
    putReadings(tx, id, read);
    return loadDetail(tx, id);
  });
}

const names = ({ entries }: LoadAhead): string => entries.map(({ pieceName }) => pieceName).join(', ');

function inUse(load: LoadAhead, now: number): string {
  const { kilnName, at, until, zone } = load;
  if (at > now) return `${names(load)} is planned for the kiln '${kilnName}' from ${clockWords(at, zone)} to ${clockWords(until, zone)}.`;
  if (until > now) return `${names(load)} is in the kiln '${kilnName}' since ${clockWords(at, zone)}; it may be opened at ${clockWords(until, zone)}.`;
  return `${names(load)} is in the kiln '${kilnName}' since ${clockWords(at, zone)} with no result recorded; it was cool enough at ${clockWords(until, zone)}.`;
}

/** Refuses a load whose time in the kiln runs into another's; names that one. */
export function mustBeFree(db: Database, wanted: KilnTime, now: number): void {
  const other = inTheWay(loadsAhead(db), wanted, now);
  if (other) throw new Conflict('kiln-in-use', 'loadId', inUse(other, now), other);
}

/** Stands unopened once more: refused where its kiln has taken another load meanwhile. */
export function mustBeFreeFor(db: Database, { id, kilnId, at }: Pick<Load, 'id' | 'kilnId' | 'at'>, now: number): void {
  const length_s = db
    .select({ total_s: schedules.total_s })
    .from(firings)
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .where(and(eq(firings.loadId, id), isNull(firings.deletedAt)))
    .all();
  if (length_s.length === 0) return;
  const to = at + 1000 * Math.max(...length_s.map(({ total_s }) => total_s));
  const other = inTheWay(
    loadsAhead(db).filter((one) => one.id !== id),
    { kilnId, from: at, to: Math.max(to, now + 1) },
    now,
  );
  if (other) throw new Conflict('kiln-in-use', 'loadId', inUse(other, now), other);
}

interface Told {
  firingId: string;
  pieceId: string;
  loadId: string;
  kilnId: string | null;
  from: number;
  to: number;
  zone: string;
}

/** Refuses, to be asked, a time at which the piece was in another firing, or the kiln had another load; names that with its times. */
export function mustNotOverlap(db: Database, { firingId, pieceId, loadId, kilnId, from, to, zone }: Told): void {
  const ends = sql<number>`min(coalesce(${loads.openedAt}, 9e15), ${loads.at} + 1000 * ${schedules.total_s})`;
  const found = db
    .select({ pieceId: firings.pieceId, pieceName: pieces.name, look: schedules.look, kilnName: loads.kilnName, at: loads.at, until: ends })
    .from(loads)
    .innerJoin(firings, eq(firings.loadId, loads.id))
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .innerJoin(pieces, eq(firings.pieceId, pieces.id))
    .where(
      and(
        isNull(firings.deletedAt),
        ne(loads.id, loadId),
        ne(firings.id, firingId),
        or(eq(firings.pieceId, pieceId), kilnId === null ? sql`0` : eq(loads.kilnId, kilnId)),
        lt(loads.at, to),
        gt(ends, from),
      ),
    )
    .orderBy(asc(loads.at))
    .all();
  const other = found.find((one) => one.pieceId === pieceId) ?? found.at(0);
  if (!other) return;
  const time = (a: number, b: number): string => `${clockWords(a, zone)} to ${clockWords(b, zone)}`;
  const there = `from ${time(other.at, other.until)}`;
  const stood =
    other.pieceId === pieceId
      ? `This piece was in a ${RECIPES[other.look].name.toLowerCase()} ${there}`
      : `The kiln '${other.kilnName}' had '${other.pieceName}' in it ${there}`;
  throw new Conflict('overlaps', 'firedAt', `${stood}; this one would be from ${time(from, to)}. Correct its start, or save it all the same.`, other);
}

/** Says when a kiln was opened: after the start, and not in time to come; or notes something of its load. */
export const saveLoad = (db: Database, id: string, change: Change, sent: Sent): Load =>
  once(
    db,
    sent,
    `load ${id}`,
    (tx) => changeLoad(tx, id, change, sent.at),
    (tx) => findLoad(tx, id),
  );

function changeLoad(tx: Database, id: string, { version: based, ...change }: Change, now: number): Load {
  const load = findLoad(tx, id);
  const { openedAt, note } = { ...load, ...change };
  if (load.version !== based) throw new Stale('load', load, based);
  if (openedAt !== null && openedAt !== load.openedAt && (openedAt < load.at || openedAt > now + CLOCKS_APART_MS)) {
    const message = `It cannot have been opened at ${clockWords(openedAt, load.zone)}: that must be after its start at ${clockWords(load.at, load.zone)} and not in time to come.`;
    throw new ProblemError({ code: 'impossible-time', path: 'openedAt', message });
  }
  if (openedAt === null && load.openedAt !== null) mustBeFreeFor(tx, load, now);
  tx.update(loads)
    .set({ openedAt, note, version: based + 1 })
    .where(eq(loads.id, id))
    .run();
  return findLoad(tx, id);
}
