import type { PanelRow } from '../../controller/keyIn';
import type { Controller } from '../../controller/profile';
import type { Segment } from '../../kiln/segment';
import type { FiringCase } from '../../schedule/firingCase';
import { judgedSlips } from '../../schedule/slips';
import { calculator } from '../calculator';

interface Asked {
  firing: FiringCase;
  segments: Segment[];
  controller: Controller;
  shown: PanelRow[];
  older: PanelRow[];
}

/** What a controller shows, against what it was to be keyed with. */
export const readKeyed = calculator({
  compute: ({ firing, segments, controller, shown, older }: Asked, simulate) => judgedSlips(firing, segments, controller, shown, older, simulate),
  contract: () => import('./contract'),
});
