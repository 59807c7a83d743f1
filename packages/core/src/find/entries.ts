/** Finding in what is held in memory: what Torvin can do, its help, and what a browser keeps while its server is away. */
import { nearWords } from './near';
import { type Wanted, soughtIn, wordsOf } from './sought';

export interface Entry {
  /** All that it is found by. */
  text: string;
  /** When it was last changed, ms since 1970; newer ones come first. */
  at?: number;
}

const standsIn = (words: readonly string[], phrase: string): boolean => {
  const wanted = phrase.split(' ');
  const last = wanted.length - 1;
  return words.some((_, i) => wanted.every((one, k) => (k === last ? (words[i + k]?.startsWith(one) ?? false) : words[i + k] === one)));
};

/** Those that have all that was typed, newest first; with slips forgiven where there would be none. Nothing typed finds nothing. */
export function findAmong<T extends Entry>(typed: string, entries: readonly T[]): T[] {
  const sought = soughtIn(typed);
  if (sought.length === 0) return [];
  const told = entries.map((entry) => ({ entry, words: wordsOf(entry.text) }));
  const having = (all: readonly Wanted[]): T[] =>
    told.flatMap(({ entry, words }) => (all.every((wanted) => wanted.some((phrase) => standsIn(words, phrase))) ? [entry] : []));
  const found = having(sought);
  const newestFirst = (all: T[]): T[] => all.sort((a, b) => (b.at ?? 0) - (a.at ?? 0));
  if (found.length > 0) return newestFirst(found);
  const vocabulary = new Set(told.flatMap(({ words }) => words));
  return newestFirst(having(sought.map((wanted) => forgiving(wanted, (phrase) => told.some(({ words }) => standsIn(words, phrase)), vocabulary))));
}

/** With the words nearest to it, where nothing has it as it was typed. */
export const forgiving = (wanted: Wanted, isThere: (phrase: string) => boolean, vocabulary: Iterable<string>): Wanted =>
  wanted.some(isThere) ? wanted : [...wanted, ...nearWords(wanted[0], vocabulary)];
