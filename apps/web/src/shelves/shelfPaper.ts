/** A shelf on paper. */
import { type Paper, row } from '@/paper/paperPages';

export const shelfPaper = (title: string, rows: readonly { name: string; about: string }[]): Paper => ({
  title,
  about: `${rows.length} on this shelf`,
  blocks: rows.map(({ name, about }) => row(name, [about])),
});
