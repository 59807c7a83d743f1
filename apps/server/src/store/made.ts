/** Who takes of made glass, and where that came from: what is left of it is never stored, and no piece is made of itself. */
import { ProblemError, glassIdsIn, namedGlasses, takenBy } from '@torvin/core';
import type { MadeUse, PieceDoc, Shelves } from '@torvin/schema';
import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { pieces, records } from '../db/tables';
import { allShelves } from './shelfRows';
import { inSlices } from './slices';

/** Which of these ids are those of made glass. */
const madeAmong = (db: Database, ids: readonly string[]): string[] =>
  db
    .select({ id: records.id })
    .from(records)
    .where(and(eq(records.kind, 'made'), inArray(records.id, [...ids])))
    .all()
    .map(({ id }) => id);

/** Told anew in the transaction of every change of a piece's document. */
export function tellTaken(tx: Database, pieceId: string, doc: PieceDoc): void {
  const takes = madeAmong(tx, glassIdsIn(doc));
  tx.update(pieces).set({ takes }).where(eq(pieces.id, pieceId)).run();
}

/** Documents are opened by a few, so that others come in between. */
const AT_ONCE = 20;

/** What becomes of made glass: how much each piece takes of it, and whether the piece that it came from is there still. */
export async function usesOfMade(db: Database): Promise<MadeUse[]> {
  const shelves = allShelves(db);
  if (shelves.made.length === 0) return [];
  const glasses = namedGlasses(shelves);
  const origins = shelves.made.flatMap(({ from }) => from?.pieceId ?? []);
  const there = new Map(
    db
      .select({ id: pieces.id, name: pieces.name })
      .from(pieces)
      .where(and(inArray(pieces.id, origins), isNull(pieces.deletedAt)))
      .all()
      .map(({ id, name }) => [id, name]),
  );
  const uses = new Map(
    shelves.made.map(({ id, from }): [string, MadeUse] => [id, { id, fromName: from ? (there.get(from.pieceId) ?? null) : null, taken: [] }]),
  );
  const rest = inSlices();
  // What is a pattern for others is not made itself.
  const taking = db
    .select({ id: pieces.id })
    .from(pieces)
    .where(and(sql`${pieces.takes} <> '[]'`, isNull(pieces.deletedAt), isNull(pieces.patternAt)))
    .orderBy(pieces.createdAt, pieces.id)
    .all()
    .map(({ id }) => id);
  for (let from = 0; from < taking.length; from += AT_ONCE) {
    const read = db
      .select({ pieceId: pieces.id, pieceName: pieces.name, doc: pieces.doc })
      .from(pieces)
      .where(inArray(pieces.id, taking.slice(from, from + AT_ONCE)))
      .orderBy(pieces.createdAt, pieces.id)
      .all();
    for (const { pieceId, pieceName, doc } of read) {
      for (const [id, mass_kg] of takenBy(doc, glasses)) uses.get(id)?.taken.push({ pieceId, pieceName, mass_kg });
    }
    await rest();
  }
  return [...uses.values()];
}

/** Refuses a piece that would be made of glass which came from itself, also by way of other pieces. */
export function mustComeFromElsewhere(db: Database, pieceId: string, doc: PieceDoc, { made }: Pick<Shelves, 'made'>): void {
  const takesOf = (id: string): string[] => db.select({ takes: pieces.takes }).from(pieces).where(eq(pieces.id, id)).get()?.takes ?? [];
  const seen = new Set<string>();
  const comesFrom = (ids: readonly string[]): boolean =>
    ids.some((id) => {
      const from = made.find((one) => one.id === id)?.from?.pieceId;
      if (from === undefined || seen.has(from)) return false;
      if (from === pieceId) return true;
      seen.add(from);
      return comesFrom(takesOf(from));
    });
  const own = glassIdsIn(doc).find((id) => comesFrom([id]));
  if (own === undefined) return;
  const name = made.find(({ id }) => id === own)?.name ?? own;
  throw new ProblemError({
    code: 'made-of-itself',
    path: 'doc.journey',
    message: `'${name}' came from this piece, or from one that is made of it: no piece is made of itself. Take other glass.`,
  });
}
