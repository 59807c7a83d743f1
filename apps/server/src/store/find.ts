/** Whatever has all the words that were typed, the newest of each kind. */
import { FOUND_AT_MOST, type Found, SHELF_KINDS } from '@torvin/schema';
import { and, count, desc, inArray, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, pieces, reckonings, records } from '../db/tables';
import { firingRows } from './firings';
import { keptReckonings } from './reckonings';
import { idsMatching, matching } from './search';

const NOTHING: Found = { pieces: [], firings: [], records: [], reckonings: [], total: { pieces: 0, firings: 0, records: 0, reckonings: 0 } };

export function find(db: Database, typed: string): Found {
  const match = matching(db, typed);
  if (match === null) return NOTHING;
  const ofPieces = and(isNull(pieces.deletedAt), sql`${pieces.id} in ${idsMatching('p', match)}`);
  const ofFirings = and(isNull(firings.deletedAt), sql`${firings.id} in ${idsMatching('f', match)}`);
  const ofRecords = and(isNull(records.deletedAt), inArray(records.kind, [...SHELF_KINDS]), sql`${records.id} in ${idsMatching('r', match)}`);
  const calculations = new Set(
    db
      .select({ id: reckonings.id })
      .from(reckonings)
      .where(sql`${reckonings.id} in ${idsMatching('c', match)}`)
      .all()
      .map(({ id }) => id),
  );
  const kept = calculations.size === 0 ? [] : keptReckonings(db).filter(({ id }) => calculations.has(id));
  const counted = (from: typeof pieces | typeof firings | typeof records, where: ReturnType<typeof and>): number =>
    db.select({ count: count() }).from(from).where(where).get()?.count ?? 0;
  return {
    pieces: db
      .select({ id: pieces.id, name: pieces.name, tags: pieces.tags, updatedAt: pieces.updatedAt, finishedAt: pieces.finishedAt, awayAt: pieces.awayAt })
      .from(pieces)
      .where(ofPieces)
      .orderBy(desc(pieces.updatedAt), desc(pieces.id))
      .limit(FOUND_AT_MOST)
      .all(),
    firings: firingRows(db, ofFirings, FOUND_AT_MOST),
    records: db
      .select({ kind: records.kind, id: records.id })
      .from(records)
      .where(ofRecords)
      .orderBy(records.archived, desc(records.updatedAt), desc(records.id))
      .limit(FOUND_AT_MOST)
      .all()
      .flatMap(({ kind, id }) => SHELF_KINDS.flatMap((one) => (one === kind ? [{ kind: one, id }] : []))),
    reckonings: kept.slice(0, FOUND_AT_MOST),
    total: { pieces: counted(pieces, ofPieces), firings: counted(firings, ofFirings), records: counted(records, ofRecords), reckonings: kept.length },
  };
}
