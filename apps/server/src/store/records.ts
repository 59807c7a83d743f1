/**
 * Records of every kind, by their definitions: saved against the version that they were based on, put away or deleted without
 * taking anything from what was made with them. What schedules were made from stands in their snapshots.
 */
import { ProblemError } from '@torvin/core/problem';
import {
  type About,
  type AnyRecord,
  KINDS,
  KIND_LIST,
  type KindName,
  type RecordOf,
  type Shelves,
  type Stored,
  isKind,
  kindOf,
  photosOf,
  titleOf,
  nameOf,
} from '@torvin/schema';
import { isDeepStrictEqual } from 'node:util';
import { eq, sql } from 'drizzle-orm';
import { type Database, writing } from '../db/database';
import { pieces, records } from '../db/tables';
import { Conflict, Deleted, NotFound, Stale, Taken } from './failures';
import { mustHavePhotos } from './photos';
import { type Sent, once } from './receipts';
import { allShelves, parsed, studioShelves } from './shelfRows';
import { CLOCKS_APART_MS } from './times';
import { recordChanged } from './uses';

type Row = typeof records.$inferSelect;

const rowOf = (db: Database, id: string): Row | undefined => db.select().from(records).where(eq(records.id, id)).get();

function present(db: Database, kind: KindName, id: string): Row | undefined {
  const row = rowOf(db, id);
  return row?.kind === kind && row.deletedAt === null ? row : undefined;
}

export function findRecord<K extends KindName>(db: Database, kind: K, id: string): RecordOf<K> {
  const row = present(db, kind, id);
  if (!row) throw new NotFound(KINDS[kind].one, id);
  return parsed(row) as RecordOf<K>;
}

export const listRecords = <K extends KindName>(db: Database, kind: K): RecordOf<K>[] => allShelves(db)[kind] as RecordOf<K>[];

function documentOf({ id: _id, version: _version, ...doc }: Stored): Record<string, unknown> {
  return doc;
}

/** Puts a record in as it is: for what ships, and for what a file brings. */
export function addRecord<K extends KindName>(db: Database, kind: K, record: RecordOf<K>, at: number): void {
  const { id, version } = record;
  db.insert(records)
    .values({ kind, id, version: Math.max(version, 1), doc: documentOf(record), createdAt: at, updatedAt: at })
    .run();
}

/** Puts in what a file brings: what is there already stays, what was deleted comes back. */
export function addMissingRecord<K extends KindName>(db: Database, kind: K, record: RecordOf<K>, at: number): void {
  if (!rowOf(db, record.id)) addRecord(db, kind, record, at);
  else db.update(records).set({ deletedAt: null }).where(eq(records.id, record.id)).run();
}

/** Refuses a record that names another which is not there. */
function mustName(db: Database, kind: KindName, record: Stored): void {
  for (const { kind: of, id } of kindOf(kind).names(record)) {
    if (isKind(of) && !present(db, of, id)) throw new NotFound(KINDS[of].one, id);
  }
}

function mustStayFixed<K extends KindName>(kind: K, before: AnyRecord, record: RecordOf<K>): void {
  const moved = kindOf(kind).fixed?.find((key) => !isDeepStrictEqual((before as Stored)[key], (record as Stored)[key]));
  if (moved) throw new ProblemError({ code: 'fixed', path: moved, message: `What a ${KINDS[kind].one} is of and where it came from stays as it was made.` });
}

/** Adds a record that names version 0, or changes one that still stands at the version named. */
export function saveRecord<K extends KindName>(db: Database, kind: K, id: string, record: RecordOf<K>, sent: Sent): RecordOf<K> {
  const { one } = KINDS[kind];
  if (record.id !== id) throw new ProblemError({ code: 'id-differs', path: 'id', message: `The record is '${record.id}' but was sent to '${id}'.` });
  return once(
    db,
    sent,
    `${kind} ${id}`,
    (tx) => {
      const before = present(tx, kind, id);
      const gone = before ? undefined : rowOf(tx, id);
      if (gone && gone.kind === kind) throw new Deleted(one, parsed(gone));
      if (gone) throw new Taken('record', id);
      if (before && record.version === 0) throw new Taken(one, id);
      if (!before && record.version !== 0) throw new NotFound(one, id);
      if (before && before.version !== record.version) throw new Stale(one, parsed(before), record.version);
      mustName(tx, kind, record);
      mustHaveBeen(kind, record, sent.at);
      mustHavePhotos(tx, photosOf(record), before ? photosOf(parsed(before)) : []);
      if (before) mustStayFixed(kind, parsed(before), record);
      if (!before) addRecord(tx, kind, record, sent.at);
      else {
        tx.update(records)
          .set({ doc: documentOf(record), version: record.version + 1, updatedAt: sent.at })
          .where(eq(records.id, id))
          .run();
        recordChanged(tx, kind, parsed(before), record);
      }
      return findRecord(tx, kind, id);
    },
    (tx) => findRecord(tx, kind, id),
  );
}

/** Refuses times that are still to come where only what has been is told. */
function mustHaveBeen<K extends KindName>(kind: K, record: RecordOf<K>, now: number): void {
  const ahead = kindOf(kind)
    .past?.(record)
    .find(({ at }) => at > now + CLOCKS_APART_MS);
  if (ahead) throw new ProblemError({ code: 'impossible', path: ahead.path, message: 'That is in the future. Enter a time that has passed.' });
}

/** Puts a record away, or back. Nothing that was made with it changes. */
export function archiveRecord(db: Database, kind: KindName, id: string, archived: boolean): Shelves {
  return writing(db, (tx) => {
    findRecord(tx, kind, id);
    if (!KINDS[kind].archives) throw new ProblemError({ code: 'no-archive', path: 'archived', message: `A ${KINDS[kind].one} is not archived: delete it.` });
    tx.update(records).set({ archived }).where(eq(records.id, id)).run();
    return studioShelves(tx);
  });
}

/** What names a record: other records, and pieces, those that were deleted too. */
function namedBy(db: Database, kind: KindName, id: string): string[] {
  const shelves = allShelves(db);
  const about: About = {
    units: { temperature: 'C', length: 'mm', mass: 'g' },
    nameOf: (of, named) => nameOf(shelves, of, named),
    day: (at) => new Date(at).toISOString().slice(0, 10),
  };
  const others = KIND_LIST.flatMap((other) =>
    (shelves[other] as AnyRecord[]).flatMap((record) =>
      kindOf(other)
        .names(record)
        .some((name) => name.kind === kind && name.id === id)
        ? [`the ${KINDS[other].one} '${titleOf(other, record, about)}'`]
        : [],
    ),
  );
  const { inPieces: key } = KINDS[kind];
  if (!key) return others;
  const named = sql`exists (select 1 from json_tree(${pieces.doc}, '$.journey') as part where part.key = ${key} and part.atom = ${id})`;
  const inUse = db.select({ name: pieces.name }).from(pieces).where(named).all();
  return [...others, ...inUse.map(({ name }) => `the piece '${name}'`)];
}

const NAMED_AT_MOST = 3;

/** Repeated, it does nothing. */
export function removeRecord(db: Database, kind: KindName, id: string, version: number, at: number): { ok: true } {
  return writing(db, (tx) => {
    const row = rowOf(tx, id);
    if (row?.kind === kind && row.deletedAt !== null) return { ok: true };
    const current = findRecord(tx, kind, id);
    if (current.version !== version) throw new Stale(KINDS[kind].one, current, version);
    const names = namedBy(tx, kind, id);
    if (names.length > 0) {
      const more = names.length > NAMED_AT_MOST ? ` and ${names.length - NAMED_AT_MOST} more` : '';
      throw new Conflict('in-use', 'id', `It is in use by ${names.slice(0, NAMED_AT_MOST).join(', ')}${more}; put it away instead.`, names);
    }
    tx.update(records)
      .set({ deletedAt: at, version: version + 1 })
      .where(eq(records.id, id))
      .run();
    return { ok: true };
  });
}

/** What a record names and was deleted, and what that names in its turn; each once. */
function deletedNames(db: Database, record: Stored, kind: KindName, found = new Map<string, Row>()): Row[] {
  for (const { kind: of, id } of kindOf(kind).names(record)) {
    const row = isKind(of) && !found.has(id) ? rowOf(db, id) : undefined;
    if (!isKind(of) || row?.kind !== of || row.deletedAt === null) continue;
    found.set(id, row);
    deletedNames(db, parsed(row), of, found);
  }
  return [...found.values()];
}

/** Brings a record back; what it names and was deleted too only where that is said. Repeated, it does nothing. */
export function restoreRecord<K extends KindName>(db: Database, kind: K, id: string, withNamed = false): RecordOf<K> {
  return writing(db, (tx) => {
    const row = rowOf(tx, id);
    if (row?.kind !== kind) throw new NotFound(KINDS[kind].one, id);
    const named = row.deletedAt === null ? [] : deletedNames(tx, parsed(row), kind);
    if (named.length > 0 && !withNamed) {
      const words = named.map((one) => `the ${isKind(one.kind) ? KINDS[one.kind].one : one.kind} '${titleOfRow(one)}'`).join(', ');
      throw new Conflict('names-deleted', 'withNamed', `It belongs to ${words}, deleted too. Bring both back, or leave it deleted.`, named.map(titleOfRow));
    }
    for (const one of [row, ...named]) tx.update(records).set({ deletedAt: null }).where(eq(records.id, one.id)).run();
    return findRecord(tx, kind, id);
  });
}

const titleOfRow = ({ id, doc }: Row): string => (typeof doc.name === 'string' ? doc.name : id);
