/** What takes how much of which glass: told in the transaction of every change, so that what is left is asked for and nobody opens documents. */
import { constantsOf, glassIdsIn, namedGlasses, takenBy } from '@torvin/core/piece';
import type { AnyRecord, KindName, MadeUse, PieceDoc, Shelves } from '@torvin/schema';
import { isDeepStrictEqual } from 'node:util';
import { and, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { type Database, writing } from '../db/database';
import { pieces, uses } from '../db/tables';
import { allShelves } from './shelfRows';
import { inSlices } from './slices';

/** In the transaction of every change of a piece's document. */
export function tellUses(tx: Database, pieceId: string, doc: PieceDoc): void {
  tx.delete(uses).where(eq(uses.pieceId, pieceId)).run();
  const told = [...takenBy(doc, namedGlasses(allShelves(tx)))].map(([glassId, mass_kg]) => ({ pieceId, glassId, mass_kg }));
  if (told.length > 0) tx.insert(uses).values(told).run();
}

/** Which glasses a piece names, with its masses still to be told: for documents of before there was a table of uses. */
export function nameUses(tx: Database, pieceId: string, doc: PieceDoc): void {
  const named = glassIdsIn(doc).map((glassId) => ({ pieceId, glassId, mass_kg: null }));
  if (named.length > 0) tx.insert(uses).values(named).onConflictDoNothing().run();
}

/** Ids of the glasses that a piece names. */
export const glassesOf = (db: Database, pieceId: string): string[] =>
  db
    .select({ id: uses.glassId })
    .from(uses)
    .where(eq(uses.pieceId, pieceId))
    .all()
    .map(({ id }) => id);

/** What of a record masses depend on; what it is called, its colour and its price are not. */
function weighing(kind: KindName, record: AnyRecord): unknown {
  if (kind === 'families') return constantsOf(record as Shelves['families'][number]);
  if (kind === 'glasses') return (record as Shelves['glasses'][number]).familyId;
  const { lie, stripes, footprint } = record as Shelves['made'][number];
  return { lie, stripes, footprint };
}

const FAMILY_KINDS: readonly KindName[] = ['families', 'glasses', 'made'];

/** In the transaction that changes a record: pieces that hold a glass of other figures than before are to be told anew. */
export function recordChanged(tx: Database, kind: KindName, before: AnyRecord, now: AnyRecord): void {
  if (!FAMILY_KINDS.includes(kind) || isDeepStrictEqual(weighing(kind, before), weighing(kind, now))) return;
  const { glasses, made } = allShelves(tx);
  const own = kind === 'families' ? glasses.filter(({ familyId }) => familyId === now.id).map(({ id }) => id) : [now.id];
  const changed = [...own, ...made.filter(({ stripes }) => stripes.some(({ glassId }) => own.includes(glassId))).map(({ id }) => id)];
  const holding = tx.select({ id: uses.pieceId }).from(uses).where(inArray(uses.glassId, changed));
  tx.update(uses)
    .set({ mass_kg: sql`null` })
    .where(inArray(uses.pieceId, holding))
    .run();
}

/** So many documents are opened in one transaction, so that others come in between. */
const AT_ONCE = 20;

/** Tells what has been left untold since a glass was changed. */
async function tellRest(db: Database): Promise<void> {
  const rest = inSlices();
  for (;;) {
    const told = writing(db, (tx) => {
      const untold = tx.selectDistinct({ id: uses.pieceId }).from(uses).where(isNull(uses.mass_kg)).limit(AT_ONCE);
      const found = tx.select({ id: pieces.id, doc: pieces.doc }).from(pieces).where(inArray(pieces.id, untold)).all();
      for (const { id, doc } of found) tellUses(tx, id, doc);
      return found.length;
    });
    if (told < AT_ONCE) return;
    await rest();
  }
}

/** What becomes of made glass: how much each piece takes of it, and whether the piece that it came from is there still. */
export async function usesOfMade(db: Database): Promise<MadeUse[]> {
  const { made } = allShelves(db);
  if (made.length === 0) return [];
  await tellRest(db);
  const origins = made.flatMap(({ from }) => from?.pieceId ?? []);
  const there = new Map(
    db
      .select({ id: pieces.id, name: pieces.name })
      .from(pieces)
      .where(and(inArray(pieces.id, origins), isNull(pieces.deletedAt)))
      .all()
      .map(({ id, name }) => [id, name]),
  );
  const found = new Map(made.map(({ id, from }): [string, MadeUse] => [id, { id, fromName: from ? (there.get(from.pieceId) ?? null) : null, taken: [] }]));
  const rows = db
    .select({ id: uses.glassId, pieceId: pieces.id, pieceName: pieces.name, mass_kg: uses.mass_kg })
    .from(uses)
    .innerJoin(pieces, eq(uses.pieceId, pieces.id))
    // What is a pattern for others is not made itself.
    .where(and(inArray(uses.glassId, [...found.keys()]), isNotNull(uses.mass_kg), isNull(pieces.deletedAt), isNull(pieces.patternAt)))
    .orderBy(pieces.createdAt, pieces.id)
    .all();
  for (const { id, pieceId, pieceName, mass_kg } of rows) found.get(id)?.taken.push({ pieceId, pieceName, mass_kg: mass_kg ?? 0 });
  return [...found.values()];
}
