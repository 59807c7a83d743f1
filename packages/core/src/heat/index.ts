/** What of this room is used outside of the core. */
export { meshOf } from './stack';
export { driveFrom } from './drive';
export { heatSolver } from './heatSolver';
export { hottestSegment, regimesOf } from './regimes';
export type { Series } from './figures';
export type { SimulationInput, SimulationResult } from './simulation';
export { simulateFiring } from './simulate';
export { settingFrom } from './recorder';
