/** The engine by name, with every calculator there is. */
import { CALCULATORS } from './calculators/all';
import { type Engine, engineOf } from './calculators/engineOf';

export { type Answered, type Asked, CALCULATORS, type EngineCall, CALLS } from './calculators/all';
export { QUANTITIES } from './calculators/quantities/all';
export { type Engine, warmUp } from './calculators/engineOf';

export const createEngine = (): Engine => engineOf(CALCULATORS);
