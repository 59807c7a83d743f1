import { valueOf } from '../../problem';
import { type QuantityText, readQuantity } from '../../units/read';
import { calculator } from '../calculator';

/** A quantity as people type it. */
export const quantity = calculator({ compute: (asked: QuantityText) => valueOf(readQuantity(asked)), contract: () => import('./contract'), light: true });
