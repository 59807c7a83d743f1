/**
 * What was worked out from the database, kept until what it rests on is another: rows that name their version, the shelves as they stand,
 * and for whatever rests on firings a count of all changes of them and of what their pieces are called, which triggers of the connection keep.
 */
import { sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { sessionOf } from './shelfRows';

const TABLES = ['firings', 'loads', 'schedules'] as const;
const COUNTED = ['insert', 'update', 'delete'] as const;
const TRIGGERS = [
  'create temp table if not exists fired_changes (n integer not null, names integer not null, pieces integer not null)',
  'delete from fired_changes',
  'insert into fired_changes values (0, 0, 0)',
  ...TABLES.flatMap((table) =>
    COUNTED.map((what) => `create temp trigger if not exists ${table}_${what} after ${what} on main.${table} begin update fired_changes set n = n + 1; end`),
  ),
  ...COUNTED.map(
    (what) => `create temp trigger if not exists pieces_${what} after ${what} on main.pieces begin update fired_changes set pieces = pieces + 1; end`,
  ),
  'create temp trigger if not exists pieces_renamed after update of name on main.pieces when old.name <> new.name begin update fired_changes set names = names + 1; end',
].join(';');

interface Kept {
  rests: readonly unknown[];
  value: unknown;
}

/** Of each connection's session; the ones asked for last stand last. */
const kept = new WeakMap<object, Map<string, Kept>>();
const KEPT_AT_MOST = 3000;

/** From here on changes of firings are counted. Before that nothing is kept. */
export function countChanges(db: Database): void {
  const session = sessionOf(db);
  session.client.exec(TRIGGERS);
  kept.set(session, new Map());
}

/** Another one whenever a firing, a load or a schedule has changed. */
export const firedChanges = (db: Database): number => (kept.has(sessionOf(db)) ? (db.get<{ n: number }>(sql`select n from temp.fired_changes`)?.n ?? 0) : 0);

/** Another one whenever a piece is called otherwise. */
export const nameChanges = (db: Database): number =>
  kept.has(sessionOf(db)) ? (db.get<{ names: number }>(sql`select names from temp.fired_changes`)?.names ?? 0) : 0;

/** Another one whenever a piece has changed. */
export const pieceChanges = (db: Database): number =>
  kept.has(sessionOf(db)) ? (db.get<{ pieces: number }>(sql`select pieces from temp.fired_changes`)?.pieces ?? 0) : 0;

/** What was given out of what is kept: the same object means the same answer, for as long as it is kept. */
const given = new WeakSet();
export const isKept = (answer: unknown): answer is object => typeof answer === 'object' && answer !== null && given.has(answer);

/** name: what it is of. rests: compared one by one, as what they are and not by what is in them. Inside a transaction nothing is kept. */
export function keptWhile<T>(db: Database, name: string, rests: readonly unknown[], make: () => T): T {
  const session = sessionOf(db);
  const all = kept.get(session);
  if (!all || session.client.inTransaction) return make();
  const known = all.get(name);
  if (known && known.rests.length === rests.length && known.rests.every((one, i) => Object.is(one, rests[i]))) {
    all.delete(name);
    all.set(name, known);
    return known.value as T;
  }
  const value = make();
  all.delete(name);
  all.set(name, { rests, value });
  if (typeof value === 'object' && value !== null) given.add(value);
  for (const oldest of all.keys()) {
    if (all.size <= KEPT_AT_MOST) break;
    all.delete(oldest);
  }
  return value;
}
