import { equalWork } from '../../schedule/equalWork';
import type { FiringCase } from '../../schedule/firingCase';
import type { PurposefulSegment } from '../../kiln/segment';
import { calculator } from '../calculator';

interface Asked {
  firing: FiringCase;
  segments: PurposefulSegment[];
  /** Of the hottest segment. */
  target_C: number;
  work_perPa: number;
}

/** The same heat work at another temperature. */
export const sameWork = calculator({
  compute: ({ firing, segments, target_C, work_perPa }: Asked, simulate) => equalWork(firing, segments, target_C, work_perPa, simulate),
  contract: () => import('./contract'),
});
