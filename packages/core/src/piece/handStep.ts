/** What every step of a journey has, and what those have that hands do. */

/** Which face of the body, as it lies now: the one that looks into the kiln, or the one on the shelf. */
export type Face = 'up' | 'down';

/** What was seen of a step when it was done, beside what was planned. */
export interface Took {
  /** Glass that it took away or put on, as weighed. */
  mass_kg?: number;
  time_s?: number;
}

export interface AnyStep {
  id: string;
  /** What the studio calls it; its kind names it where this is left out. */
  name?: string;
}

/** A step that hands do. */
export interface HandStep extends AnyStep {
  /** When it was done, ms since 1970; not done yet where left out. */
  doneAt?: number;
  took?: Took;
}
