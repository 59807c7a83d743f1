import { evaluate } from '../../schedule/check';
import type { FiringCase } from '../../schedule/firingCase';
import type { Segment } from '../../kiln/segment';
import { calculator } from '../calculator';

interface Asked {
  firing: FiringCase;
  segments: Segment[];
  /** With the curves of kiln, skin and core. */
  series?: boolean;
}

/** All that the engine makes of a schedule, in figures. */
export const evaluateFiring = calculator({
  compute: ({ firing, segments, series }: Asked, simulate) => evaluate(firing, segments, series, simulate),
  contract: () => import('./contract'),
});
