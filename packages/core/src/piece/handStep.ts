/** What every step of a journey has, and what those have that hands do. */
import type { Footprint } from '../body/footprint';

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

/** How the body is cut, and what it is laid out as again. */
export type Cutting =
  /** To a smaller outline, or another form of it. */
  | { to: 'outline'; outline: Footprint }
  /** Into strips across its width, which are laid side by side again or stood on edge. */
  | { to: 'strips'; strip_m: number; stand: 'flat' | 'onEdge' }
  /** Into so many segments from its middle, laid to a ring or disc again. */
  | { to: 'segments'; count: number }
  /** A slice off a face. */
  | { to: 'slice'; face: Face; depth_m: number };
