/** Pieces out to a file and in again, with all that hangs on them. */
import { laidLayers } from '@torvin/core/piece';
import { ProblemError } from '@torvin/core/problem';
import {
  type ImportQuery,
  type Imported,
  KINDS,
  KIND_LIST,
  type KindName,
  PIECE_FILE_FORMAT,
  PIECE_FILE_VERSION,
  type PieceDoc,
  type PieceFile,
  type Renames,
  type Shelves,
  type Stored,
  freeId,
  isKind,
  kindOf,
  namedAnew,
  namedInDoc,
  renameInDoc,
  renameInSnapshot,
} from '@torvin/schema';
import { and, asc, eq, gt, inArray, isNull, max, ne } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { type Database, writing } from '../db/database';
import { firings, loads, pieceStates, pieces, records, schedules } from '../db/tables';
import { Conflict, Taken } from './failures';
import { loadIdFor } from './firings';
import { mustBeFreeFor, putReadings, readingsOf } from './loads';
import { tellLoadSchedule } from './loadSchedules';
import { filedPhotos, takeFiledPhotos } from './photos';
import { mustComeFromElsewhere } from './made';
import { between, findPiece, tellFollowing } from './pieces';
import { columnsOf, documentOf, snapshotId, wholeSchedules } from './schedules';
import { addMissingRecord } from './records';
import { allShelves } from './shelfRows';
import { inSlices } from './slices';
import { clockWords } from './times';

/** Records that a piece names, and those that they name. */
function namedByPiece(shelves: Shelves, doc: PieceDoc): PieceFile['shelves'] {
  const named = new Set<string>();
  const take = (kind: string, id: string): void => {
    if (named.has(id) || !isKind(kind)) return;
    const record = (shelves[kind] as Stored[]).find((one) => one.id === id);
    if (!record) return;
    named.add(id);
    for (const name of kindOf(kind).names(record)) take(name.kind, name.id);
  };
  for (const { id, kinds } of namedInDoc(doc)) for (const kind of kinds) take(kind, id);
  return Object.fromEntries(KIND_LIST.map((kind) => [kind, (shelves[kind] as Stored[]).filter(({ id }) => named.has(id))])) as PieceFile['shelves'];
}

export function pieceFile(db: Database, dataDir: string, id: string): PieceFile {
  const { name, doc, createdAt, tags, finishedAt, patternAt, dueOn } = findPiece(db, id);
  const own = wholeSchedules(db).where(eq(schedules.pieceId, id)).orderBy(asc(schedules.createdAt), asc(schedules.id)).all();
  const fired = db
    .select()
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(and(eq(firings.pieceId, id), isNull(firings.deletedAt)))
    .orderBy(asc(loads.at), asc(firings.id))
    .all();
  return {
    format: PIECE_FILE_FORMAT,
    formatVersion: PIECE_FILE_VERSION,
    piece: { id, name, doc, createdAt, tags, finishedAt, patternAt, dueOn },
    schedules: own.map(documentOf),
    firings: fired.map(({ firings: firing, loads: { version: _saves, createdAt: _made, scheduleNumber: _number, ...load } }) => {
      const { pieceId: _piece, version: _version, deletedAt: _deleted, loadId: _load, ...rest } = firing;
      return { ...rest, firedAt: load.at, zone: load.zone, load: { ...load, readings: readingsOf(db, load.id) } };
    }),
    photos: filedPhotos(dataDir, [...fired.flatMap(({ firings: firing }) => firing.photos), ...(doc.under ? [doc.under.hash] : [])]),
    shelves: namedByPiece(allShelves(db), doc),
  };
}

/** The same file with every id of the piece, its layers, steps, schedules and firings made anew, wherever one stands. */
async function copyOf({ photos, shelves, ...file }: PieceFile): Promise<PieceFile> {
  const rest = inSlices();
  const { piece, schedules: versions, firings: fired } = file;
  const named = [piece, ...laidLayers(piece.doc), ...piece.doc.journey, ...versions, ...fired, ...fired.flatMap(({ load }) => (load ? [load] : []))];
  const next = new Map(named.map(({ id }) => [id, uuid()]));
  const renamed = <T>(value: T): T => {
    if (typeof value === 'string') return (next.get(value) ?? value) as T;
    if (Array.isArray(value)) return value.map(renamed) as T;
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, renamed(one as unknown)])) as T;
  };
  const eachRenamed = async <T>(list: readonly T[]): Promise<T[]> => {
    const done: T[] = [];
    for (const one of list) {
      done.push(renamed(one));
      await rest();
    }
    return done;
  };
  const copy = renamed(piece);
  return {
    ...file,
    piece: { ...copy, name: `${piece.name.slice(0, 72)}, copy` },
    schedules: await eachRenamed(versions),
    firings: await eachRenamed(fired),
    photos,
    shelves,
  };
}

const doesNotHang = (path: string, message: string): never => {
  throw new ProblemError({ code: 'does-not-hang', path, message });
};

/** Every name inside a file must lead somewhere inside it. */
function mustHang({ piece, schedules: versions, firings: fired }: PieceFile): void {
  const ids = new Set(versions.map(({ id }) => id));
  const isHere = (id: string | null): boolean => id === null || ids.has(id);
  versions.forEach(({ pieceId, parentId }, i) => {
    if (pieceId !== piece.id) doesNotHang(`schedules.${i}.pieceId`, 'A schedule in this file belongs to another piece.');
    if (!isHere(parentId)) doesNotHang(`schedules.${i}.parentId`, 'A schedule in this file names a parent that is not in it.');
  });
  fired.forEach(({ scheduleId }, i) => {
    if (!isHere(scheduleId)) doesNotHang(`firings.${i}.scheduleId`, 'A firing in this file ran a schedule that is not in it.');
  });
  piece.doc.journey.forEach((step, i) => {
    if (step.kind === 'fire' && (!isHere(step.scheduleId) || !isHere(step.computedId)))
      doesNotHang(`piece.doc.journey.${i}`, 'A firing planned in this file has a schedule that is not in it.');
  });
}

/** What the piece and the records in a file name must come with it, or stand on a shelf here. */
function mustBeKnown(db: Database, { piece: { doc }, shelves }: PieceFile): void {
  const here = allShelves(db);
  const known = new Map(KIND_LIST.map((kind) => [kind as string, new Set([...(shelves[kind] as Stored[]), ...(here[kind] as Stored[])].map(({ id }) => id))]));
  const must = (kind: string, id: string, path: string, who: string): void => {
    if (known.get(kind)?.has(id)) return;
    const one = isKind(kind) ? KINDS[kind].one : kind;
    doesNotHang(path, `${who} names the ${one} '${id}', which is neither in the file nor on a shelf here. Nothing imported.`);
  };
  for (const kind of KIND_LIST) {
    const { names, one } = kindOf(kind);
    (shelves[kind] as Stored[]).forEach((record, i) => {
      for (const name of names(record)) must(name.kind, name.id, `shelves.${kind}.${i}.${name.path}`, `The ${one} '${record.id}' in this file`);
    });
  }
  for (const { id, path, kinds } of namedInDoc(doc)) {
    if (!kinds.some((kind) => known.get(kind)?.has(id))) must(kinds[0], id, `piece.doc.${path}`, 'The piece in this file');
  }
}

/** Ids in a file that are those of another piece here would have it share that one's schedules and firings. */
function mustBeItsOwn(db: Database, { piece: { id }, schedules: versions, firings: fired }: PieceFile): void {
  for (const [name, table, list] of [
    ['schedules', schedules, versions],
    ['firings', firings, fired],
  ] as const) {
    const ids = list.map((one) => one.id);
    if (ids.length === 0) continue;
    const [other] = db
      .select({ id: table.id })
      .from(table)
      .where(and(inArray(table.id, ids), ne(table.pieceId, id)))
      .limit(1)
      .all();
    if (other) doesNotHang(`${name}.${ids.indexOf(other.id)}.id`, `The id '${other.id}' belongs to another piece here. Nothing imported.`);
  }
}

/** The file with the ids that it keeps here: where one of its records has an id that is another kind's here, it gives way. */
function fitted(db: Database, file: PieceFile): PieceFile {
  const kinds = new Map(
    db
      .select({ id: records.id, kind: records.kind })
      .from(records)
      .all()
      .map(({ id, kind }) => [id, kind]),
  );
  const renames: Renames = {};
  const filed = Object.entries(file.shelves) as [KindName, Stored[]][];
  for (const [kind, list] of filed) {
    for (const { id } of list) {
      if ((kinds.get(id) ?? kind) === kind) kinds.set(id, kind);
      else {
        // What was read in before under its new name is that record still.
        const next = freeId(id, kind, (one) => (kinds.get(one) ?? kind) !== kind);
        renames[kind] = { ...renames[kind], [id]: next };
        kinds.set(next, kind);
      }
    }
  }
  if (Object.keys(renames).length === 0) return file;
  const by = (kind: KindName, id: string): string => renames[kind]?.[id] ?? id;
  const renamed = (kind: KindName, record: Stored): Stored => {
    const named = kindOf(kind)
      .names(record)
      .reduce<unknown>((now, { kind: of, id, path }) => (isKind(of) ? namedAnew(now, path, by(of, id)) : now), record);
    return { ...(named as Stored), id: by(kind, record.id) };
  };
  return {
    ...file,
    piece: { ...file.piece, doc: renameInDoc(file.piece.doc, renames) },
    schedules: file.schedules.map((schedule) => ({ ...schedule, snapshot: renameInSnapshot(schedule.snapshot, renames) })),
    firings: file.firings.map((firing) => (firing.load?.kilnId ? { ...firing, load: { ...firing.load, kilnId: by('kilns', firing.load.kilnId) } } : firing)),
    // Each list keeps its kind: fromEntries forgets which key has which.
    // eslint-disable-next-line no-restricted-syntax -- the file is held to its schema before it comes here
    shelves: Object.fromEntries(filed.map(([kind, list]) => [kind, list.map((record) => renamed(kind, record))])) as unknown as PieceFile['shelves'],
  };
}

function addMissingRecords(db: Database, shelves: PieceFile['shelves'], now: number): void {
  for (const kind of KIND_LIST) {
    for (const record of shelves[kind]) addMissingRecord(db, kind, record, now);
  }
}

/** Whether a firing in a file stands in a kiln, or waits for one. */
const isOpen = ({ result, load }: PieceFile['firings'][number]): boolean => result === null && load?.openedAt == null;

export interface Importing {
  now: number;
  running: ImportQuery['running'];
}

/** What of a file is taken in: a firing that is open would fill a kiln of the Bench, so that somebody is asked first. */
function asWanted(file: PieceFile, running: ImportQuery['running']): PieceFile {
  const open = file.firings.filter(isOpen);
  if (open.length === 0 || running === 'in') return file;
  if (running === 'out') return { ...file, firings: file.firings.filter((firing) => !isOpen(firing)) };
  const words = open.map(
    ({ load, firedAt, zone }) => `in the kiln '${load?.kilnName ?? ''}' ${load?.startedAt === null ? 'planned for' : 'since'} ${clockWords(firedAt, zone)}`,
  );
  const message = `A firing in this file has no result yet: ${words.join(', ')}. Does it run here too, or shall it be left out?`;
  throw new Conflict('running', 'running', message, words);
}

export async function importPiece(db: Database, dataDir: string, sent: PieceFile, { now, running }: Importing): Promise<Imported> {
  mustHang(sent);
  const asked = asWanted(sent, running);
  mustBeKnown(db, asked);
  const standing = db.select({ deletedAt: pieces.deletedAt }).from(pieces).where(eq(pieces.id, asked.piece.id)).get();
  const file = standing?.deletedAt === null ? await copyOf(asked) : asked;
  mustBeItsOwn(db, file);
  // Before the piece: pictures that nothing names are swept, a piece without its pictures would stay so.
  await takeFiledPhotos(db, dataDir, asked.photos, now);
  return takeIn(db, fitted(db, file), file === asked, now);
}

const VERSIONS_AT_ONCE = 10;

/**
 * Its versions, which can be very many, go in by a few, under a piece that is not there yet for anybody: one that was deleted, or a
 * row that says so. All else, and that it is there, follows in one transaction.
 */
async function takeIn(db: Database, file: PieceFile, isItself: boolean, now: number): Promise<Imported> {
  const { id, name, doc, createdAt } = file.piece;
  const isNew = writing(db, (tx) => {
    const before = tx.select().from(pieces).where(eq(pieces.id, id)).get();
    if (before?.deletedAt === null) throw new Taken('piece', id);
    if (!before) tx.insert(pieces).values({ id, name, doc, createdAt, version: 0, updatedAt: now, deletedAt: now }).run();
    return !before;
  });
  const shelves = withFiled(allShelves(db), file.shelves);
  const rest = inSlices();
  for (let from = 0; from < file.schedules.length; from += VERSIONS_AT_ONCE) {
    const versions = file.schedules.slice(from, from + VERSIONS_AT_ONCE);
    writing(db, (tx) => {
      for (const { snapshot, ...version } of versions) {
        const row = { ...version, snapshotId: snapshotId(tx, version.stepId, snapshot), ...columnsOf({ ...version, snapshot }, shelves) };
        // A version never changes: one that is here already is the same.
        tx.insert(schedules).values(row).onConflictDoNothing().run();
      }
    });
    await rest();
  }
  return writing(db, (tx) => show(tx, file, !isItself ? 'copied' : isNew ? 'new' : 'restored', now));
}

/** What columns read of shelves, with the records that a file brings. */
const withFiled = (here: Shelves, filed: PieceFile['shelves']): Shelves => {
  const joined = <T extends { id: string }>(own: T[], brought: T[]): T[] => [...own, ...brought.filter(({ id }) => !own.some((one) => one.id === id))];
  return { ...here, kilns: joined(here.kilns, filed.kilns), families: joined(here.families, filed.families) };
};

/** Makes the piece be there, with its records and firings. */
function show(tx: Database, file: PieceFile, outcome: Imported['outcome'], now: number): Imported {
  const { id, name, doc, createdAt, tags, finishedAt, patternAt, dueOn } = file.piece;
  const before = tx.select().from(pieces).where(eq(pieces.id, id)).get();
  if (before?.deletedAt === null) throw new Taken('piece', id);
  addMissingRecords(tx, file.shelves, now);
  // What had been undone is gone, as after any change.
  if (before)
    tx.delete(pieceStates)
      .where(and(eq(pieceStates.pieceId, id), gt(pieceStates.position, before.position)))
      .run();
  const last = tx
    .select({ position: max(pieceStates.position) })
    .from(pieceStates)
    .where(eq(pieceStates.pieceId, id))
    .get();
  const known = before && last?.position != null ? before : null;
  const position = known ? known.position + 1 : 0;
  tx.update(pieces)
    .set({ name, doc, createdAt, tags, finishedAt, patternAt, dueOn, position, version: (before?.version ?? 0) + 1, updatedAt: now, deletedAt: null })
    .where(eq(pieces.id, id))
    .run();
  tx.insert(pieceStates)
    .values({ pieceId: id, position, name, what: outcome === 'restored' ? 'read in from a file' : '', ...(known ? between(known.doc, doc) : {}) })
    .run();
  const versions = new Map(file.schedules.map((schedule) => [schedule.id, schedule]));
  const ids = file.firings.map((firing) => firing.id);
  // The driver takes a lone null for named values that are none: without firings there is nothing to ask anyway.
  if (ids.length > 0) tx.update(firings).set({ deletedAt: null }).where(inArray(firings.id, ids)).run();
  for (const { load, firedAt, zone, ...firing } of file.firings) {
    const schedule = versions.get(firing.scheduleId);
    const loadId = load?.id ?? loadIdFor(firing.id);
    const { readings: read = [], ...told } = load ?? {
      kilnId: null,
      kilnName: schedule?.snapshot.kilnName ?? '',
      plannedAt: null,
      startedAt: firedAt,
      openedAt: null,
      at: firedAt,
      zone,
    };
    tx.insert(loads)
      .values({ ...told, id: loadId, createdAt: firing.createdAt })
      .onConflictDoNothing()
      .run();
    tx.insert(firings)
      .values({ ...firing, pieceId: id, loadId })
      .onConflictDoNothing()
      .run();
    putReadings(tx, loadId, read);
    tellLoadSchedule(tx, loadId, now);
  }
  for (const firing of file.firings.filter(isOpen)) {
    const [row] = tx
      .select({ load: loads })
      .from(firings)
      .innerJoin(loads, eq(firings.loadId, loads.id))
      .where(and(eq(firings.id, firing.id), isNull(firings.result), isNull(loads.openedAt)))
      .all();
    if (row) mustBeFreeFor(tx, row.load, now);
  }
  mustComeFromElsewhere(tx, id, doc, allShelves(tx));
  tellFollowing(tx, id, doc);
  return { piece: findPiece(tx, id), outcome };
}
