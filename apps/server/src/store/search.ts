/** Words as people search them: each must be there, or begin one that is. The index is kept by triggers (migration 0012). */
import { type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';

/** In the index's own language; null where nothing that was typed is a word. */
export function matching(typed: string): string | null {
  const words = typed.split(/\s+/).filter((word) => /[\p{L}\p{N}]/u.test(word));
  return words.length === 0 ? null : words.map((word) => `"${word.replaceAll('"', '""')}"*`).join(' ');
}

/** of: 'p' for pieces, 'f' for firings. Narrows nothing where nothing that was typed is a word. */
export function mentions(id: SQLiteColumn, of: 'p' | 'f', typed: string | undefined): SQL | undefined {
  const match = matching(typed ?? '');
  if (match === null) return undefined;
  return sql`${id} in (select substr(k.id, 2) from search_words w join search_keys k on k.docid = w.rowid where search_words match ${match} and k.id between ${of} and ${`${of}~`})`;
}
