/** Pieces: made once, saved against the version they were based on, their last states kept for undo. */
import { firingsOf, namedGlasses, CANNOT_BE, placeOf, snapshotOf } from '@torvin/core/piece';
import { type Problem, ProblemError } from '@torvin/core/problem';
import { impossibleFiring } from '@torvin/core/schedule';
import type { LengthUnit } from '@torvin/core/units';
import {
  type Filing,
  type NewPiece,
  type Piece,
  type PieceChangeSchema,
  type PieceDoc,
  type PiecePage,
  type PieceQuery,
  type Shelves,
  namedInDoc,
} from '@torvin/schema';
import { and, asc, count, desc, eq, gt, gte, inArray, isNotNull, isNull, lt, lte, notExists, notInArray, or, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import patches, { type Operation } from 'fast-json-patch';
import type { z } from 'zod';
import { type Database, writing } from '../db/database';
import { firings, pieceStates, pieces, schedules, snapshots } from '../db/tables';
import { Deleted, NotFound, Stale } from './failures';
import { type Sent, once } from './receipts';
import { allShelves, studioShelves } from './shelfRows';
import { mentions } from './search';
import { keptWhile } from './keptWhile';
import { pieceRow } from './pieceRows';
import { readStudio } from './studio';
import { mustComeFromElsewhere } from './made';
import { tellUses } from './uses';
import { firedOf, tellWaiting, turnsOf } from './waiting';

type Change = z.output<typeof PieceChangeSchema>;

/** So many states are kept of each piece. */
export const STATES_KEPT = 100;
const DAY_MS = 24 * 3600e3;
export const DELETED_KEPT_MS = 30 * DAY_MS;

const now = alias(pieceStates, 'state_now');
const earlier = alias(pieceStates, 'state_earlier');
const later = alias(pieceStates, 'state_later');

function select(db: Database, where: SQL | undefined, there: SQL | undefined = isNull(pieces.deletedAt)): Piece[] {
  const { id, name, version, doc, position, createdAt, updatedAt, tags, finishedAt, awayAt, patternAt, dueOn } = pieces;
  return db
    .select({
      id,
      name,
      version,
      doc,
      createdAt,
      updatedAt,
      tags,
      finishedAt,
      awayAt,
      patternAt,
      dueOn,
      what: now.what,
      before: earlier.position,
      redo: later.what,
    })
    .from(pieces)
    .leftJoin(now, and(eq(now.pieceId, id), eq(now.position, position)))
    .leftJoin(earlier, and(eq(earlier.pieceId, id), eq(earlier.position, sql`${position} - 1`)))
    .leftJoin(later, and(eq(later.pieceId, id), eq(later.position, sql`${position} + 1`)))
    .where(and(there, where))
    .orderBy(desc(updatedAt), desc(id))
    .all()
    .map(({ what, before, ...piece }) => ({
      ...piece,
      undo: before === null ? null : what,
      fired: firedOf(db, [piece.id])(piece.id),
      turns: turnsOf(db, piece.id),
    }));
}

export const PAGE = 30;

/** What a list is ordered by, and how that stands in the cursor of a page. */
const SORTS = {
  changed: { by: pieces.updatedAt, falls: true },
  made: { by: pieces.createdAt, falls: true },
  name: { by: sql`${pieces.name} collate nocase`, falls: false },
} as const;

const tagged = (tag: string): SQL => sql`${pieces.tags} <> '[]' and exists (select 1 from json_each(${pieces.tags}) where value = ${tag})`;

function shownOnes({ show, text }: PieceQuery): SQL | undefined {
  if (show === 'away') return isNotNull(pieces.awayAt);
  if (show === 'patterns') return and(isNotNull(pieces.patternAt), isNull(pieces.awayAt));
  const here = text === undefined || text === '' ? and(isNull(pieces.awayAt), isNull(pieces.patternAt)) : undefined;
  return show === 'finished' ? and(here, isNotNull(pieces.finishedAt)) : here;
}

/** As lists show them; a page ends with where the next one begins. */
export function listPieces(db: Database, query: PieceQuery): PiecePage {
  const { text, waits, tag, after, sort = 'changed' } = query;
  const where = and(
    isNull(pieces.deletedAt),
    shownOnes(query),
    waits ? isNotNull(pieces.waits) : undefined,
    tag ? tagged(tag) : undefined,
    mentions(db, pieces.id, 'p', text),
  );
  const { by, falls } = SORTS[sort];
  const cut = after?.lastIndexOf('~') ?? -1;
  const last = after?.slice(cut + 1);
  const value = sort === 'name' ? after?.slice(0, cut) : Number(after?.slice(0, cut));
  const past = falls ? sql`<` : sql`>`;
  const beyond = cut < 0 ? undefined : sql`(${by} ${past} ${value} or (${by} = ${value} and ${pieces.id} ${past} ${last}))`;
  const { id, name, version, doc, createdAt, updatedAt, tags: filedAs, finishedAt, awayAt, patternAt, dueOn } = pieces;
  const found = db
    .select({ id, name, version, doc, createdAt, updatedAt, tags: filedAs, finishedAt, awayAt, patternAt, dueOn })
    .from(pieces)
    .where(and(where, beyond))
    .orderBy(falls ? desc(by) : asc(by), falls ? desc(id) : asc(id))
    .limit(PAGE + 1)
    .all();
  const page = found.slice(0, PAGE);
  const end = page.at(-1);
  const glasses = namedGlasses(allShelves(db));
  const fired = firedOf(
    db,
    page.map((piece) => piece.id),
  );
  const mark = end && { changed: end.updatedAt, made: end.createdAt, name: end.name }[sort];
  const rows = page.map((piece) => pieceRow(db, piece, fired(piece.id), glasses));
  const tags = tagsInUse(db);
  const total = db.select({ n: count() }).from(pieces).where(where).get()?.n ?? 0;
  const next = found.length > PAGE && end ? `${mark}~${end.id}` : null;
  return keptWhile(db, `pieces ${JSON.stringify(query)}`, [total, next, ...tags, ...rows], () => ({ pieces: rows, tags, total, next }));
}

/** A list offers no more of them than those that most pieces have. */
const TAGS_OFFERED = 40;

const tagsInUse = (db: Database): string[] =>
  db
    .all<{ tag: string }>(
      sql`select value as tag from ${pieces}, json_each(${pieces.tags}) where ${pieces.tags} <> '[]' and ${pieces.deletedAt} is null group by value order by count(*) desc, value limit ${TAGS_OFFERED}`,
    )
    .map(({ tag }) => tag)
    .sort((a, b) => a.localeCompare(b));

/** Filed anew: the last word stands. A piece that is finished, put away or a pattern waits for nothing. */
export function filePiece(db: Database, id: string, { tags, finishedAt, awayAt, patternAt, dueOn }: Filing): Piece {
  return writing(db, (tx) => {
    mustBeThere(tx, id);
    findPiece(tx, id);
    tx.update(pieces).set({ tags, finishedAt, awayAt, patternAt, dueOn }).where(eq(pieces.id, id)).run();
    tellWaiting(tx, id);
    return findPiece(tx, id);
  });
}

export const countPieces = (db: Database): number => db.select({ n: count() }).from(pieces).where(isNull(pieces.deletedAt)).get()?.n ?? 0;

/** Refuses a change of one that was deleted, as it stood then. */
export function mustBeThere(db: Database, id: string): void {
  const [gone] = select(db, eq(pieces.id, id), isNotNull(pieces.deletedAt));
  if (gone) throw new Deleted('piece', gone);
}

export function findPiece(db: Database, id: string): Piece {
  const [piece] = select(db, eq(pieces.id, id));
  if (!piece) throw new NotFound('piece', id);
  return piece;
}

/** What of a document's firings cannot be, each at its path. */
function impossibleIn(doc: PieceDoc, shelves: Shelves, unit: LengthUnit): Problem[] {
  return firingsOf(doc).flatMap((step) => {
    const snapshot = snapshotOf(doc, step, shelves);
    const found = snapshot.ok ? impossibleFiring(snapshot.value.firing, unit) : null;
    return found ? [{ ...found, path: `doc.journey.${placeOf(doc, step.id)}.${found.path}` }] : [];
  });
}

/** Refuses a firing that cannot be, unless the piece had that very fault before: a rule newer than a piece never locks it. */
function mustBePossible(db: Database, doc: PieceDoc, before: PieceDoc | null, shelves: Shelves): void {
  const { lengthUnit } = readStudio(db);
  const found = impossibleIn(doc, shelves, lengthUnit);
  if (found.length === 0) return;
  const known = before ? impossibleIn(before, shelves, lengthUnit).map(({ path }) => path) : [];
  const worse = found.find(({ path }) => !known.includes(path));
  if (worse) throw new ProblemError(worse);
}

/** Refuses a document whose records do not exist. */
function mustHold(db: Database, pieceId: string, doc: PieceDoc, shelves: Shelves): void {
  for (const { id: glassId, path, kinds } of namedInDoc(doc)) {
    if (!kinds.includes('glasses') || [...shelves.glasses, ...shelves.made].some(({ id }) => id === glassId)) continue;
    throw new ProblemError({ code: 'unknown-id', path: `doc.${path}`, message: `No glass '${glassId}' on the shelf.` });
  }
  mustComeFromElsewhere(db, pieceId, doc, shelves);
  for (const step of firingsOf(doc)) {
    const snapshot = snapshotOf(doc, step, shelves);
    // A step that cannot be done so is kept and says so where it stands; a schedule is not computed past it.
    if (!snapshot.ok && snapshot.problem.code !== CANNOT_BE) throw new ProblemError(snapshot.problem);
    const named = [step.scheduleId, step.computedId].filter((id): id is string => id !== null);
    const own = db
      .select({ id: schedules.id })
      .from(schedules)
      .where(and(inArray(schedules.id, named), eq(schedules.pieceId, pieceId)))
      .all();
    const missing = named.find((id) => !own.some((row) => row.id === id));
    if (missing)
      throw new ProblemError({
        code: 'unknown-id',
        path: `doc.journey.${placeOf(doc, step.id)}.scheduleId`,
        message: `This piece has no schedule '${missing}'.`,
      });
  }
}

export function createPiece(db: Database, { id, name, doc }: NewPiece, at: number): Piece {
  return writing(db, (tx) => {
    mustBeThere(tx, id);
    if (tx.select({ id: pieces.id }).from(pieces).where(eq(pieces.id, id)).get()) return findPiece(tx, id);
    const shelves = studioShelves(tx);
    mustHold(tx, id, doc, shelves);
    mustBePossible(tx, doc, null, shelves);
    tx.insert(pieces).values({ id, name, doc, version: 1, position: 0, createdAt: at, updatedAt: at }).run();
    tx.insert(pieceStates).values({ pieceId: id, position: 0, name, what: '' }).run();
    tellFollowing(tx, id, doc);
    return findPiece(tx, id);
  });
}

/** What lists know of a piece follows from its document. */
export function tellFollowing(tx: Database, id: string, doc: PieceDoc): void {
  tellWaiting(tx, id);
  tellUses(tx, id, doc);
}

type Row = typeof pieces.$inferSelect;

/** The row as it stands, if it is still at the version that a change was based on: read once, and handed on. */
export function unchanged(db: Database, id: string, version: number): Row {
  const row = db
    .select()
    .from(pieces)
    .where(and(eq(pieces.id, id), isNull(pieces.deletedAt)))
    .get();
  if (!row) {
    mustBeThere(db, id);
    throw new NotFound('piece', id);
  }
  if (row.version !== version) throw new Stale('piece', findPiece(db, id), version);
  return row;
}

/** Puts a new state behind the present one; what had been undone is gone, and so is what is older than is kept. */
export function changePiece(
  db: Database,
  { id, position, version, createdAt, doc: before, tags, finishedAt, awayAt, patternAt, dueOn }: Row,
  { name, doc, what }: Omit<Change, 'version'>,
  at: number,
): Piece {
  const next = position + 1;
  db.delete(pieceStates)
    .where(and(eq(pieceStates.pieceId, id), gt(pieceStates.position, position)))
    .run();
  db.insert(pieceStates)
    .values({ pieceId: id, position: next, name, what, ...between(before, doc) })
    .run();
  db.delete(pieceStates)
    .where(and(eq(pieceStates.pieceId, id), lte(pieceStates.position, next - STATES_KEPT - 1)))
    .run();
  db.update(pieces)
    .set({ name, doc, position: next, version: version + 1, updatedAt: at })
    .where(eq(pieces.id, id))
    .run();
  tellFollowing(db, id, doc);
  return {
    id,
    name,
    version: version + 1,
    doc,
    createdAt,
    updatedAt: at,
    ...{ tags, finishedAt, awayAt, patternAt, dueOn },
    undo: what,
    redo: null,
    fired: firedOf(db, [id])(id),
    turns: turnsOf(db, id),
  };
}

export function savePiece(db: Database, id: string, change: Change, sent: Sent): Piece {
  const standing = (tx: Database): Piece => findPiece(tx, id);
  return once(
    db,
    sent,
    `piece ${id}`,
    (tx) => {
      const row = unchanged(tx, id, change.version);
      const shelves = studioShelves(tx);
      mustHold(tx, id, change.doc, shelves);
      mustBePossible(tx, change.doc, row.doc, shelves);
      return changePiece(tx, row, change, sent.at);
    },
    standing,
  );
}

/** How two documents differ, in both directions. */
export const between = (before: PieceDoc, after: PieceDoc): { back: Operation[]; forth: Operation[] } => ({
  back: patches.compare(after, before),
  forth: patches.compare(before, after),
});

const stateAt = (db: Database, id: string, position: number): typeof pieceStates.$inferSelect | undefined =>
  db
    .select()
    .from(pieceStates)
    .where(and(eq(pieceStates.pieceId, id), eq(pieceStates.position, position)))
    .get();

const stepped = (doc: PieceDoc, difference: Operation[] | null | undefined): PieceDoc => patches.applyPatch(doc, difference ?? [], true, false).newDocument;

/** Goes one kept state back (-1) or forth (1); a document whose records have gone is refused as in a save. */
function goTo(db: Database, id: string, version: number, by: -1 | 1, at: number): Piece {
  return writing(db, (tx) => {
    const { position, doc: now } = unchanged(tx, id, version);
    const state = stateAt(tx, id, position + by);
    if (!state) {
      const message = by < 0 ? 'There is nothing left to undo.' : 'There is nothing to do again.';
      throw new ProblemError({ code: 'nothing-kept', path: '', message });
    }
    const doc = stepped(now, by < 0 ? stateAt(tx, id, position)?.back : state.forth);
    mustHold(tx, id, doc, allShelves(tx));
    tx.update(pieces)
      .set({ name: state.name, doc, position: state.position, version: version + 1, updatedAt: at })
      .where(eq(pieces.id, id))
      .run();
    tellFollowing(tx, id, doc);
    return findPiece(tx, id);
  });
}

export const undoPiece = (db: Database, id: string, version: number, at: number): Piece => goTo(db, id, version, -1, at);
export const redoPiece = (db: Database, id: string, version: number, at: number): Piece => goTo(db, id, version, 1, at);

/** Repeated, it does nothing. */
export function deletePiece(db: Database, id: string, version: number, at: number): { ok: true } {
  return writing(db, (tx) => {
    const row = tx.select().from(pieces).where(eq(pieces.id, id)).get();
    if (row?.deletedAt != null) return { ok: true };
    unchanged(tx, id, version);
    tx.update(pieces)
      .set({ deletedAt: at, version: version + 1 })
      .where(eq(pieces.id, id))
      .run();
    return { ok: true };
  });
}

export function restorePiece(db: Database, id: string): Piece {
  db.update(pieces).set({ deletedAt: null }).where(eq(pieces.id, id)).run();
  return findPiece(db, id);
}

/** Pieces that were deleted before a time, and that no firing remembers but such as were deleted before it too. */
function unseenBefore(db: Database, before: number) {
  const remembered = db
    .select({ id: firings.pieceId })
    .from(firings)
    .where(or(isNull(firings.deletedAt), gte(firings.deletedAt, before)));
  return db
    .select({ id: pieces.id })
    .from(pieces)
    .where(and(lt(pieces.deletedAt, before), notInArray(pieces.id, remembered)));
}

/** How much was deleted more than 30 days ago. A piece that a firing remembers stays, unseen, for the Notebook. */
export function countLongDeleted(db: Database, at: number): { pieces: number; firings: number } {
  const before = at - DELETED_KEPT_MS;
  const rows = db.select({ n: count() }).from(firings).where(lt(firings.deletedAt, before)).get();
  return { pieces: unseenBefore(db, before).all().length, firings: rows?.n ?? 0 };
}

/** Ends it for good. Only a person asks for that: a clock that has jumped ends nothing. */
export function eraseLongDeleted(db: Database, at: number): void {
  const before = at - DELETED_KEPT_MS;
  writing(db, (tx) => {
    tx.delete(firings).where(lt(firings.deletedAt, before)).run();
    tx.delete(schedules)
      .where(inArray(schedules.pieceId, unseenBefore(tx, before)))
      .run();
    tx.delete(pieces)
      .where(inArray(pieces.id, unseenBefore(tx, before)))
      .run();
    tx.delete(snapshots)
      .where(notExists(tx.select({ id: schedules.id }).from(schedules).where(eq(schedules.snapshotId, snapshots.id))))
      .run();
  });
}
