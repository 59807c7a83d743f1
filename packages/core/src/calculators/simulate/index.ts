import { simulateFiring } from '../../heat/simulate';
import type { SimulationInput } from '../../heat/simulation';
import { calculator } from '../calculator';

/** Heat through a layered stack along a schedule or a measured curve, with flow and stress. */
export const simulate = calculator({ compute: (input: SimulationInput) => simulateFiring(input), contract: () => import('./contract') });
