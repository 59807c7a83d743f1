/** What of this room is used outside of the core. */
export { fullPowerHeating, type KilnConstants, naturalCooling, settledCooling, steadyHeating } from './kiln';
export { ELEMENT_PLACES, type Elements, TYPICAL_KILN, acrossLagFrom } from './typical';
export { type Corner, cornersOf } from './corners';
export {
  type Clearances,
  type Door,
  DOORS,
  type InKiln,
  type InsideTold,
  type Lying,
  type Room,
  SHELVES_AT_MOST,
  type Stands,
  USUAL_CLEARANCES,
  type Wall,
  WALLS,
  clearancesOf,
  furnished,
  hotterAt,
  isUnderShelf,
  lagAt,
  roomOf,
  standingOn,
} from './inside';
export { carrying, chamberOf } from './carrying';
export { NEVER_S, timesOf, climbingPast } from './times';
export type { PurposefulSegment, Role, Segment } from './segment';
