/** What was typed to find something, as words each of which must be there, with all that may stand for each of them. */
import { OTHER_NAMES, SPELLINGS } from './spellings';

/** One thing that must be there: any of these will do; each is a word, or several one after another. */
export type Wanted = readonly string[];

/** Apart by what is neither letter nor digit; lower case, without accents, as the index has them. */
export const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** A word as it is spelled on the other side of an ocean, where it is; typed so far that it tells. */
function otherSpelling(word: string): string[] {
  return SPELLINGS.flatMap((pair) =>
    pair.flatMap((one, i) => {
      const other = pair[1 - i];
      // 'program' begins 'programme' too: what is common to both needs no other.
      return word.startsWith(one) && !word.startsWith(other) && !other.startsWith(one) ? [other + word.slice(one.length)] : [];
    }),
  );
}

/** Shorter ones may end so without being several. */
const SEVERAL_FROM = 5;

/** One of what was typed as several; the other way round each word stands for what it begins. */
function single(word: string): string[] {
  if (word.length < SEVERAL_FROM || !word.endsWith('s') || word.endsWith('ss')) return [];
  return /(ch|sh|x|s)es$/.test(word) ? [word.slice(0, -2)] : [word.slice(0, -1)];
}

const NAMES = OTHER_NAMES.map(([typed, names]) => ({ typed: wordsOf(typed), names }));
const MOST_WORDS = Math.max(...NAMES.map(({ typed }) => typed.length));

/** The last word may still be being typed, so that each stands for all that begin with it; see matches. */
export function soughtIn(typed: string): Wanted[] {
  const words = wordsOf(typed);
  const sought: Wanted[] = [];
  for (let i = 0; i < words.length;) {
    const found = [...Array(MOST_WORDS).keys()]
      .map((less) => MOST_WORDS - less)
      .flatMap((count) => NAMES.filter((one) => one.typed.length === count && one.typed.every((word, k) => words[i + k] === word)))
      .at(0);
    const count = found?.typed.length ?? 1;
    const said = words.slice(i, i + count).join(' ');
    const others = count === 1 ? [said, ...single(said)].flatMap((one) => [one, ...otherSpelling(one)]) : [said];
    sought.push([...others, ...(found?.names ?? [])]);
    i += count;
  }
  return sought;
}
