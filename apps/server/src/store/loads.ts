/** Loads: what is in a kiln together. One kiln has one at a time; a kiln is free again once its load is opened or told of. */
import { ProblemError, momentsOf } from '@torvin/core';
import { type KilnTime, type Load, type LoadAhead, type LoadChangeSchema, inTheWay } from '@torvin/schema';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { z } from 'zod';
import type { Database } from '../db/database';
import { firings, loads, pieces, schedules } from '../db/tables';
import { Conflict, NotFound, Stale } from './failures';
import { type Sent, once } from './receipts';
import { CLOCKS_APART_MS, clockWords } from './times';

type Change = z.output<typeof LoadChangeSchema>;

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
  for (const { load, firing, pieceId, pieceName, scheduleId, look, segments, result } of rows) {
    const { createdAt: _createdAt, ...rest } = load;
    const after = (seconds: number): number => load.at + Math.ceil(seconds * 1000);
    const moments = momentsOf(segments, result.simulation);
    const [lookFrom, lookTo] = [after(moments.look.from_s), after(moments.look.to_s)];
    const ahead = found.get(load.id) ?? { ...rest, entries: [], lookFrom, lookTo, controlled: load.at, until: load.at };
    ahead.entries.push({ firingId: firing, pieceId, pieceName, look, scheduleId });
    // Old records may have put two schedules into one load.
    ahead.lookFrom = Math.min(ahead.lookFrom, lookFrom);
    ahead.lookTo = Math.max(ahead.lookTo, lookTo);
    ahead.controlled = Math.max(ahead.controlled, after(moments.controlled_s));
    ahead.until = Math.max(ahead.until, after(moments.opens_s));
    found.set(load.id, ahead);
  }
  return [...found.values()];
}

const names = ({ entries }: LoadAhead): string => entries.map(({ pieceName }) => pieceName).join(', ');

function inUse(load: LoadAhead, now: number): string {
  const { kilnName, at, until, zone } = load;
  if (at > now) return `${names(load)} is planned for the kiln '${kilnName}' from ${clockWords(at, zone)} to ${clockWords(until, zone)}.`;
  if (until > now) return `${names(load)} is in the kiln '${kilnName}' since ${clockWords(at, zone)}; it may be opened at ${clockWords(until, zone)}.`;
  return `${names(load)} is in the kiln '${kilnName}' since ${clockWords(at, zone)} and has not been told of; it was cool enough at ${clockWords(until, zone)}.`;
}

/** Refuses a load whose time in the kiln runs into another's; names that one. */
export function mustBeFree(db: Database, wanted: KilnTime, now: number): void {
  const other = inTheWay(loadsAhead(db), wanted, now);
  if (other) throw new Conflict('kiln-in-use', 'loadId', inUse(other, now), other);
}

/** Says when a kiln was opened: after the start, and not in time to come. */
export const saveLoad = (db: Database, id: string, change: Change, sent: Sent): Load =>
  once(
    db,
    sent,
    `load ${id}`,
    (tx) => changeLoad(tx, id, change, sent.at),
    (tx) => findLoad(tx, id),
  );

function changeLoad(tx: Database, id: string, { version: based, openedAt }: Change, now: number): Load {
  const load = findLoad(tx, id);
  if (load.version !== based) throw new Stale('load', load, based);
  if (openedAt !== null && (openedAt < load.at || openedAt > now + CLOCKS_APART_MS)) {
    const message = `It cannot have been opened at ${clockWords(openedAt, load.zone)}: that must be after its start at ${clockWords(load.at, load.zone)} and not in time to come.`;
    throw new ProblemError({ code: 'impossible-time', path: 'openedAt', message });
  }
  tx.update(loads)
    .set({ openedAt, version: based + 1 })
    .where(eq(loads.id, id))
    .run();
  return findLoad(tx, id);
}
