/**
 * The shelves as they stand, read once and kept: of what is written afterwards only those rows are read again. Triggers of the connection
 * itself note which those are, whoever writes them; what was read inside a transaction is read once more after it, since it may have been
 * taken back. One connection writes (folder/claim.ts), so that nothing else can have changed.
 */
import { type AnyRecord, KIND_LIST, type KindName, type Shelves, inOrder, isKind, kindOf } from '@torvin/schema';
import type Driver from 'better-sqlite3';
import { eq, getTableColumns, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { records, studio } from '../db/tables';

type Row = typeof records.$inferSelect;

const TRIGGERS = `
  create temp table if not exists shelf_changes (id text primary key);
  create temp trigger if not exists shelf_added after insert on main.records begin insert or ignore into shelf_changes values (new.id); end;
  create temp trigger if not exists shelf_changed after update on main.records begin insert or ignore into shelf_changes values (new.id); end;
  create temp trigger if not exists shelf_erased after delete on main.records begin insert or ignore into shelf_changes values (old.id); end;
`;

interface Known {
  shelves: Shelves;
  /** Those that stand, each with its kind. */
  kinds: Map<string, KindName>;
  /** In which order they were put in, by which those of one name or moment stand. */
  places: Map<string, number>;
  /** Read inside a transaction that may still be taken back. */
  unsure: Set<string>;
}

/** By the connection's session, which a transaction shares; null where nothing has been read yet. */
const known = new WeakMap<object, Known | null>();

/** What a database and the transactions on it have in common. */
export const sessionOf = (db: Database): { client: Driver.Database } => Reflect.get(db, 'session') as { client: Driver.Database };

/** From here on what is written to the shelves through this connection is noted. Before that, shelves are read whole each time. */
export function noteChanges(db: Database): void {
  const session = sessionOf(db);
  session.client.exec(TRIGGERS);
  known.set(session, null);
}

/** A rule that is newer than a record never locks it: it is handed on as it stands, and held to the rule when it is saved. */
export function parsed({ kind, id, version, doc }: Pick<Row, 'kind' | 'id' | 'version' | 'doc'>): AnyRecord {
  if (!isKind(kind)) throw new Error(`The record '${id}' is of a kind '${kind}' that this program does not know.`);
  const read = kindOf(kind).schema.safeParse({ ...doc, id, version });
  return (read.success ? read.data : { ...doc, id, version }) as AnyRecord;
}

function readAll(db: Database): Known {
  const rows = db
    .select({ ...getTableColumns(records), place: sql<number>`rowid` })
    .from(records)
    .where(isNull(records.deletedAt))
    .orderBy(sql`rowid`)
    .all();
  const places = new Map(rows.map(({ id, place }) => [id, place]));
  const kinds = new Map<string, KindName>();
  const lists = new Map<KindName, AnyRecord[]>(KIND_LIST.map((kind) => [kind, []]));
  for (const row of rows) {
    const record = parsed(row);
    kinds.set(row.id, row.kind as KindName);
    lists.get(row.kind as KindName)?.push(record);
  }
  const byKind = Object.fromEntries(KIND_LIST.map((kind) => [kind, inOrder(kind, lists.get(kind) ?? [])]));
  const shelves = { ...byKind, archived: rows.flatMap(({ id, archived }) => (archived ? [id] : [])).sort() } as Shelves;
  return { shelves, kinds, places, unsure: new Set() };
}

/** The list, which is in its order, with a record put where it belongs. */
function withRecord(kind: KindName, list: readonly AnyRecord[], record: AnyRecord, places: ReadonlyMap<string, number>): AnyRecord[] {
  const isBefore = (other: AnyRecord): boolean => {
    const [first, again] = [inOrder(kind, [other, record])[0], inOrder(kind, [record, other])[0]];
    return first === again ? first === record : (places.get(record.id) ?? 0) < (places.get(other.id) ?? 0);
  };
  let [from, to] = [0, list.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (isBefore(list[middle])) to = middle;
    else from = middle + 1;
  }
  return [...list.slice(0, from), record, ...list.slice(from)];
}

/** What stands of one row by now, put into what is known. */
function readAgain(db: Database, { shelves, kinds, places, unsure }: Known, id: string): Known {
  const row = db
    .select({ ...getTableColumns(records), place: sql<number>`rowid` })
    .from(records)
    .where(eq(records.id, id))
    .get();
  const was = kinds.get(id);
  const next: Record<string, unknown> = { ...shelves };
  const list = (kind: KindName): AnyRecord[] => next[kind] as AnyRecord[];
  if (was) next[was] = list(was).filter((one) => one.id !== id);
  const archived = shelves.archived.filter((one) => one !== id);
  kinds.delete(id);
  places.delete(id);
  if (row && row.deletedAt === null && isKind(row.kind)) {
    kinds.set(id, row.kind);
    places.set(id, row.place);
    next[row.kind] = withRecord(row.kind, list(row.kind), parsed(row), places);
    if (row.archived) archived.push(id);
  }
  return { shelves: { ...next, archived: archived.sort() } as Shelves, kinds, places, unsure };
}

export function allShelves(db: Database): Shelves {
  const session = sessionOf(db);
  let now = known.get(session);
  if (now === undefined) return readAll(db).shelves;
  const noted = db.all<{ id: string }>(sql`select id from temp.shelf_changes`).map(({ id }) => id);
  if (noted.length > 0) db.run(sql`delete from temp.shelf_changes`);
  const again = new Set([...noted, ...(now?.unsure ?? [])]);
  if (now) for (const id of again) now = readAgain(db, now, id);
  now ??= readAll(db);
  now.unsure = session.client.inTransaction ? again : new Set();
  known.set(session, now);
  return now.shelves;
}

const withLimits = new WeakMap<Shelves, { told: string; shelves: Shelves }>();

/** With the limits that the studio has set, by which its schedules are made and judged; the same as long as neither changes. */
export function studioShelves(db: Database): Shelves {
  const shelves = allShelves(db);
  const limits = db.select({ limits: studio.limits }).from(studio).get()?.limits;
  if (!limits || Object.keys(limits).length === 0) return shelves;
  const told = JSON.stringify(limits);
  const known = withLimits.get(shelves);
  if (known?.told === told) return known.shelves;
  const now = { ...shelves, limits };
  withLimits.set(shelves, { told, shelves: now });
  return now;
}
