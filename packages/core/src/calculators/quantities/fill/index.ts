import { type Filling, filling } from '../../../quantity/filling';
import { valueOf } from '../../../problem';
import { calculator } from '../../calculator';

/** How far an amount of glass fills what holds it. */
export const fill = calculator({ compute: (asked: Filling) => valueOf(filling(asked)), contract: () => import('./contract'), light: true });
