import { valueOf } from '../../../problem';
import { type CuttingAsked, cutting as cut } from '../../../quantity/cutting';
import { calculator } from '../../calculator';

/** What is cut, how many and how large. */
export const cutting = calculator({ compute: (asked: CuttingAsked) => valueOf(cut(asked)), contract: () => import('./contract'), light: true });
