/** What of this room is used outside of the core. */
export { fullPowerHeating, type KilnConstants, naturalCooling, settledCooling, steadyHeating } from './kiln';
export { type Elements, TYPICAL_KILN, acrossLagFrom } from './typical';
export { type Corner, cornersOf } from './corners';
export { NEVER_S, timesOf, climbingPast } from './times';
export type { PurposefulSegment, Role, Segment } from './segment';
