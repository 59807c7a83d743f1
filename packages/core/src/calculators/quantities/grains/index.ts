import { valueOf } from '../../../problem';
import { type StrewnAsked, strewn } from '../../../quantity/strewn';
import { calculator } from '../../calculator';

/** What grains on an area weigh, and how they will look. */
export const grains = calculator({ compute: (asked: StrewnAsked) => valueOf(strewn(asked)), contract: () => import('./contract'), light: true });
