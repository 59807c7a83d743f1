/** Where made glass came from: no piece is made of itself. */
import { glassIdsIn } from '@torvin/core/piece';
import { ProblemError } from '@torvin/core/problem';
import type { PieceDoc, Shelves } from '@torvin/schema';
import type { Database } from '../db/database';
import { glassesOf } from './uses';

/** Refuses a piece that would be made of glass which came from itself, also by way of other pieces. */
export function mustComeFromElsewhere(db: Database, pieceId: string, doc: PieceDoc, { made }: Pick<Shelves, 'made'>): void {
  const seen = new Set<string>();
  const comesFrom = (ids: readonly string[]): boolean =>
    ids.some((id) => {
      const from = made.find((one) => one.id === id)?.from?.pieceId;
      if (from === undefined || seen.has(from)) return false;
      if (from === pieceId) return true;
      seen.add(from);
      return comesFrom(glassesOf(db, from));
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
