import { valueOf } from '../../../problem';
import { type BlankAsked, blank as sized } from '../../../quantity/blank';
import { calculator } from '../../calculator';

/** The blank for a hollow or a former. */
export const blank = calculator({ compute: (asked: BlankAsked) => valueOf(sized(asked)), contract: () => import('./contract'), light: true });
