/** The words of docs/glossary.md that are not used where a person reads. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROW = /^\| \*\*(.+?)\*\* \|[^|]*\|([^|]+)\|$/;

export interface NotUsed {
  /** Finds it as a word of its own, whatever its case. */
  found: RegExp;
  word: string;
  /** What is said in its place. */
  instead: string;
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

export const WORDS_NOT_USED: readonly NotUsed[] = readFileSync(join(__dirname, '../docs/glossary.md'), 'utf8')
  .split('\n')
  .flatMap((line) => {
    const [, instead, words] = ROW.exec(line) ?? [];
    return (words ?? '').split(',').flatMap((one) => {
      const word = one.trim();
      return word === '' ? [] : [{ word, instead, found: new RegExp(`(?<![\\w-])${escaped(word)}(?![\\w-])`, 'i') }];
    });
  });

/** The first of them in a text, in words; null where there is none. */
export function wordNotUsed(text: string): string | null {
  const hit = WORDS_NOT_USED.find(({ found }) => found.test(text));
  return hit ? `'${hit.word}' in '${text.trim().slice(0, 100)}': say ${hit.instead}` : null;
}
