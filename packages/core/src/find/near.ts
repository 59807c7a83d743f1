/** Words that differ by slips of the fingers. */

/** Longer words may have two slips. */
const TWO_FROM = 8;
/** Shorter ones are found as they are, or not at all. */
const ONE_FROM = 4;

/** How many slips a word of so many letters may have. */
export const slipsIn = (letters: number): number => (letters < ONE_FROM ? 0 : letters < TWO_FROM ? 1 : 2);

/**
 * How many slips make one word of the other: a letter left out, put in, another in its place, or two neighbours swapped
 * (optimal string alignment, after Damerau 1964). More than `most` gives most + 1.
 */
export function slipsBetween(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let [older, before, now]: [number[], number[], number[]] = [[], Array.from({ length: b.length + 1 }, (_, j) => j), []];
  for (let i = 1; i <= a.length; i++) {
    now = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const change = before[j - 1] + (a[i - 1] === b[j - 1] ? 0 : 1);
      const swap = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1] ? older[j - 2] + 1 : Infinity;
      now[j] = Math.min(before[j] + 1, now[j - 1] + 1, change, swap);
      least = Math.min(least, now[j]);
    }
    if (least > most) return most + 1;
    [older, before] = [before, now];
  }
  return Math.min(before[b.length], most + 1);
}

/** Of a vocabulary, the words nearest to one that is not in it, the first letter kept: slips are rarest there. Also what it would begin. */
export function nearWords(word: string, vocabulary: Iterable<string>): string[] {
  const most = slipsIn(word.length);
  if (most === 0) return [];
  let nearest = most;
  let found: string[] = [];
  for (const one of vocabulary) {
    if (one[0] !== word[0] && one[1] !== word[0]) continue;
    const slips = Math.min(slipsBetween(word, one, most), one.length > word.length ? slipsBetween(word, one.slice(0, word.length), most) : Infinity);
    if (slips > nearest) continue;
    if (slips < nearest) found = [];
    nearest = slips;
    found.push(one);
  }
  return found;
}
