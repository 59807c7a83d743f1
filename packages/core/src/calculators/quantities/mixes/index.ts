import { valueOf } from '../../../problem';
import { type MixAsked, mix } from '../../../quantity/mix';
import { calculator } from '../../calculator';

/** Mixes as a bench weighs them. */
export const mixes = calculator({ compute: (asked: MixAsked) => valueOf(mix(asked)), contract: () => import('./contract'), light: true });
