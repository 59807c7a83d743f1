/** Pieces out to a file and in again, with all that hangs on them. */
import { ProblemError } from '@torvin/core';
import {
  type Imported,
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
  renameInDoc,
  renameInSnapshot,
} from '@torvin/schema';
import { and, asc, eq, inArray, isNull, max } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { type Database, writing } from '../db/database';
import { firings, loads, pieceStates, pieces, records, schedules } from '../db/tables';
import { loadIdFor } from './firings';
import { filedPhotos, takeFiledPhotos } from './photos';
import { findPiece } from './pieces';
import { columnsOf, documentOf } from './schedules';
import { addMissingRecord, allShelves } from './records';

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
  for (const kind of KIND_LIST) {
    const { inPieces } = kindOf(kind);
    if (inPieces) for (const one of doc[inPieces.list]) take(kind, String((one as unknown as Record<string, unknown>)[inPieces.key]));
  }
  return Object.fromEntries(KIND_LIST.map((kind) => [kind, (shelves[kind] as Stored[]).filter(({ id }) => named.has(id))])) as PieceFile['shelves'];
}

export function pieceFile(db: Database, dataDir: string, id: string): PieceFile {
  const { name, doc, createdAt } = findPiece(db, id);
  const own = db.select().from(schedules).where(eq(schedules.pieceId, id)).orderBy(asc(schedules.createdAt), asc(schedules.id)).all();
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
    piece: { id, name, doc, createdAt },
    schedules: own.map(documentOf),
    firings: fired.map(({ firings: firing, loads: { version: _saves, createdAt: _made, ...load } }) => {
      const { pieceId: _piece, version: _version, deletedAt: _deleted, loadId: _load, ...rest } = firing;
      return { ...rest, firedAt: load.at, zone: load.zone, load };
    }),
    photos: filedPhotos(
      dataDir,
      fired.flatMap(({ firings: firing }) => firing.photos),
    ),
    shelves: namedByPiece(allShelves(db), doc),
  };
}

/** The same file with every id of the piece, its layers, steps, schedules and firings made anew. */
function copyOf({ photos, ...file }: PieceFile): PieceFile {
  const ids = [file.piece.id, ...[...file.piece.doc.layers, ...file.piece.doc.steps, ...file.schedules, ...file.firings].map(({ id }) => id)];
  ids.push(...file.firings.flatMap(({ load }) => (load ? [load.id] : [])));
  let text = JSON.stringify(file);
  for (const id of new Set(ids)) text = text.replaceAll(id, uuid());
  const copy = JSON.parse(text) as typeof file;
  return { ...copy, photos, piece: { ...copy.piece, name: `${copy.piece.name.slice(0, 72)}, copy` } };
}

/** Every name inside a file must lead somewhere inside it. */
function mustHang(file: PieceFile): void {
  const schedule = (id: string | null): boolean => id === null || file.schedules.some((one) => one.id === id);
  const problem = (path: string, message: string): never => {
    throw new ProblemError({ code: 'does-not-hang', path, message });
  };
  file.schedules.forEach(({ pieceId, parentId }, i) => {
    if (pieceId !== file.piece.id) problem(`schedules.${i}.pieceId`, 'A schedule in this file belongs to another piece.');
    if (!schedule(parentId)) problem(`schedules.${i}.parentId`, 'A schedule in this file names a parent that is not in it.');
  });
  file.firings.forEach(({ scheduleId }, i) => {
    if (!schedule(scheduleId)) problem(`firings.${i}.scheduleId`, 'A firing in this file ran a schedule that is not in it.');
  });
  file.piece.doc.steps.forEach(({ scheduleId, computedId }, i) => {
    if (!schedule(scheduleId) || !schedule(computedId)) problem(`piece.doc.steps.${i}`, 'A firing planned in this file has a schedule that is not in it.');
  });
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
    const next: Record<string, unknown> = { ...record, id: by(kind, record.id) };
    for (const name of kindOf(kind).names(record)) if (isKind(name.kind)) next[name.path] = by(name.kind, name.id);
    return next as unknown as Stored;
  };
  return {
    ...file,
    piece: { ...file.piece, doc: renameInDoc(file.piece.doc, renames) },
    schedules: file.schedules.map((schedule) => ({ ...schedule, snapshot: renameInSnapshot(schedule.snapshot, renames) })),
    firings: file.firings.map((firing) => (firing.load?.kilnId ? { ...firing, load: { ...firing.load, kilnId: by('kilns', firing.load.kilnId) } } : firing)),
    shelves: Object.fromEntries(filed.map(([kind, list]) => [kind, list.map((record) => renamed(kind, record))])) as unknown as PieceFile['shelves'],
  };
}

function addMissingRecords(db: Database, shelves: PieceFile['shelves'], now: number): void {
  for (const kind of KIND_LIST) {
    for (const record of shelves[kind]) addMissingRecord(db, kind, record, now);
  }
}

export async function importPiece(db: Database, dataDir: string, asked: PieceFile, now: number): Promise<Imported> {
  mustHang(asked);
  // Before the piece: pictures that nothing names are swept, a piece without its pictures would stay so.
  await takeFiledPhotos(db, dataDir, asked.photos, now);
  return writing(db, (tx) => {
    const before = tx.select().from(pieces).where(eq(pieces.id, asked.piece.id)).get();
    const outcome: Imported['outcome'] = before === undefined ? 'new' : before.deletedAt === null ? 'copied' : 'restored';
    const file = fitted(tx, outcome === 'copied' ? copyOf(asked) : asked);
    const { id, name, doc, createdAt } = file.piece;
    addMissingRecords(tx, file.shelves, now);
    if (outcome === 'restored') {
      const last = tx
        .select({ position: max(pieceStates.position) })
        .from(pieceStates)
        .where(eq(pieceStates.pieceId, id))
        .get();
      const position = (last?.position ?? -1) + 1;
      tx.update(pieces)
        .set({ name, doc, createdAt, position, version: (before?.version ?? 0) + 1, updatedAt: now, deletedAt: null })
        .where(eq(pieces.id, id))
        .run();
      tx.insert(pieceStates).values({ pieceId: id, position, name, doc, what: 'read in from a file' }).run();
    } else {
      tx.insert(pieces).values({ id, name, doc, createdAt, position: 0, version: 1, updatedAt: now }).run();
      tx.insert(pieceStates).values({ pieceId: id, position: 0, name, doc, what: '' }).run();
    }
    const shelves = allShelves(tx);
    for (const schedule of file.schedules) {
      // A version never changes: one that is here already is the same.
      tx.insert(schedules)
        .values({ ...schedule, ...columnsOf(schedule, shelves) })
        .onConflictDoNothing()
        .run();
    }
    const ids = file.firings.map((firing) => firing.id);
    // The driver takes a lone null for named values that are none: without firings there is nothing to ask anyway.
    if (ids.length > 0) tx.update(firings).set({ deletedAt: null }).where(inArray(firings.id, ids)).run();
    for (const { load, firedAt, zone, ...firing } of file.firings) {
      const schedule = file.schedules.find((one) => one.id === firing.scheduleId);
      const loadId = load?.id ?? loadIdFor(firing.id);
      const told = load ?? {
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
    }
    return { piece: findPiece(tx, id), outcome };
  });
}
