/** When somebody has to be at the kiln, by a schedule and what its simulation makes of it. */
import { hottestSegment } from '../heat/regimes';
import type { Segment } from '../kiln/segment';
import { switchesOff } from '../controller/keyIn';

/** All in seconds since the start. */
export interface Moments {
  /** While it holds at its hottest. */
  look: { from_s: number; to_s: number };
  /** The controller has nothing more to do from here on. */
  controlled_s: number;
  /** It may be opened. */
  opens_s: number;
}

/** segments must be those that were simulated. */
export function momentsOf(segments: readonly Segment[], simulation: { segments: readonly { end_s: number }[]; total_s: number }): Moments {
  const ends = simulation.segments.map(({ end_s }) => end_s);
  const hottest = Math.max(hottestSegment(segments), 0);
  const controlled = segments.length - (switchesOff(segments) ? 2 : 1);
  return {
    look: { from_s: ends[hottest] - segments[hottest].hold_s, to_s: ends[hottest] },
    controlled_s: ends[controlled],
    opens_s: simulation.total_s,
  };
}
