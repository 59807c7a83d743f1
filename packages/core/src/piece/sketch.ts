/** A picture of a sketch that lies under a plan: which one, how large it is and where. */
import type { Point } from '../plan/parts';
import { type Outcome, found, refused } from '../problem';
import type { Edited } from './commands';
import type { PieceDocument, Sketch } from './document';

export function layUnder(doc: PieceDocument, sketch: Sketch | null): Outcome<Edited> {
  if (sketch) return found({ doc: { ...doc, under: sketch }, what: doc.under?.hash === sketch.hash ? 'sketch moved' : 'sketch laid under' });
  const { under: _under, ...rest } = doc;
  return found({ doc: rest, what: 'sketch removed' });
}

/** Two places that are hardly apart scale nothing, m. */
const APART_M = 0.001;
export const SKETCH_RANGE_M = { least: 0.005, most: 5 } as const;

/** The sketch so large that two of its places lie so far apart; the first of them stays where it is. */
export function scaledBetween(sketch: Sketch, [x0, y0]: Point, [x1, y1]: Point, apart_m: number): Outcome<Sketch> {
  const now_m = Math.hypot(x1 - x0, y1 - y0);
  if (now_m < APART_M) return refused('too-near', 'under', 'The two places are one: touch two that lie apart.');
  const by = apart_m / now_m;
  const width_m = sketch.width_m * by;
  if (width_m < SKETCH_RANGE_M.least || width_m > SKETCH_RANGE_M.most)
    return refused(
      'out-of-range',
      'under',
      `So the sketch would be ${width_m.toPrecision(3)} m wide; it must be from ${SKETCH_RANGE_M.least} to ${SKETCH_RANGE_M.most} m.`,
    );
  return found({ ...sketch, width_m, x_m: x0 + (sketch.x_m - x0) * by, y_m: y0 + (sketch.y_m - y0) * by });
}
