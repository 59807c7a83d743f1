/** What of this room is used outside of the core. */
export { type Cone, CONES } from './cones';
export { WARE_KINDS, WARE_MATERIALS, WARE_NAMES, type WareKind } from './wares';
