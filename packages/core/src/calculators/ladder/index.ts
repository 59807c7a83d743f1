import type { GlassConstants } from '../../glass/constants';
import { viscosityOf } from '../../glass/viscosity';
import { type Ladder, climbLadder } from '../../learn/ladder';
import { valueOf } from '../../problem';
import { calculator } from '../calculator';

/** The next trial of a series that finds where a result changes. */
export const ladder = calculator({
  compute: ({ glass, ...asked }: Ladder & { glass: GlassConstants }) => valueOf(climbLadder(asked, viscosityOf(glass))),
  contract: () => import('./contract'),
});
