/**
 * Words as people search them: each must be there, or begin one that is, or stand for one that is; slips are forgiven where nothing
 * would be found. The index is kept by triggers (migrations 0012 and 0028).
 */
import { type Wanted, forgiving, soughtIn } from '@torvin/core/find';
import { type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { Database } from '../db/database';
import { keptWhile } from './keptWhile';

/** Whose words: pieces, firings, records of the shelves, what was calculated and kept. */
export type Of = 'p' | 'f' | 'r' | 'c';

/** In the index's own language. */
const phrase = (said: string): string => `"${said.replaceAll('"', '""')}"*`;
const anyOf = (wanted: Wanted): string => (wanted.length === 1 ? phrase(wanted[0]) : `(${wanted.map(phrase).join(' OR ')})`);

/** Whether anything begins so; one word is looked up among the terms, several one after another in the index. */
function isThere(db: Database, said: string): boolean {
  const found = said.includes(' ')
    ? sql`select 1 from search_words where search_words match ${phrase(said)} limit 1`
    : sql`select 1 from search_terms where term >= ${said} and term < ${`${said}\u{10FFFF}`} limit 1`;
  return db.all(found).length > 0;
}

/** All words that there are, read when the first is asked for; kept until something is written. */
function* terms(db: Database): Generator<string> {
  const writes = db.get<{ n: number }>(sql`select total_changes() as n`)?.n;
  yield* keptWhile(db, 'terms', [writes], () => db.all<{ term: string }>(sql`select term from search_terms`).map(({ term }) => term));
}

/** null where nothing that was typed is a word. */
export function matching(db: Database, typed: string): string | null {
  const sought = soughtIn(typed);
  if (sought.length === 0) return null;
  return sought.map((wanted) => anyOf(forgiving(wanted, (said) => isThere(db, said), terms(db)))).join(' AND ');
}

/** The ids of what has all that was typed. */
export const idsMatching = (of: Of, match: string): SQL =>
  sql`(select substr(k.id, 2) from search_words w join search_keys k on k.docid = w.rowid where search_words match ${match} and k.id between ${of} and ${`${of}~`})`;

/** Narrows nothing where nothing that was typed is a word. */
export function mentions(db: Database, id: SQLiteColumn, of: Of, typed: string | undefined): SQL | undefined {
  const match = matching(db, typed ?? '');
  return match === null ? undefined : sql`${id} in ${idsMatching(of, match)}`;
}
