/** What of this room is used outside of the core. */
export { type FieldMap, type Spot, steadyCooling } from './cooling';
export type { UnevenBody } from './body';
