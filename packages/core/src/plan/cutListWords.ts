/** What a cutting list says of the sides of its parts. */
import type { Grind } from './cutList';

export const GRIND_WORDS: Record<Grind, string> = {
  shows: 'grind: the cut shows',
  levels: 'no grinding: it runs level',
  hidden: 'no grinding: covered, or against its neighbour',
  rimLater: 'no grinding now: the rim is ground later',
};

/** Which face is scored. */
export const scoreWords = (coated: boolean): string =>
  coated ? 'Score the bare side, never the coating.' : 'Score the smoother of the two faces; a textured or rolled one leads the score astray.';
