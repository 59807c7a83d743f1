/** What of this room is used outside of the core. */
export { fullPowerHeating, type KilnConstants, naturalCooling, settledCooling, steadyHeating } from './kiln';
export { TYPICAL_KILN } from './typical';
export { NEVER_S, timesOf, climbingPast } from './times';
export type { PurposefulSegment, Role, Segment } from './segment';
