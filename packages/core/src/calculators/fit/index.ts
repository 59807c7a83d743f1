import { type FitInput, fit } from '../../fit/fit';
import { calculator } from '../calculator';

/** Whether glasses that touch fit, by the strongest evidence. */
export const fitGlasses = calculator({ compute: (input: FitInput) => fit(input), contract: () => import('./contract') });
