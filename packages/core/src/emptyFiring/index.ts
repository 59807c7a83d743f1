/** What of this room is used outside of the core. */
export { type Cone, CONES } from './cones';
export { EMPTY_ITEM_KINDS, EMPTY_ITEM_MATERIALS, EMPTY_ITEM_NAMES, type EmptyItemKind } from './emptyItems';
