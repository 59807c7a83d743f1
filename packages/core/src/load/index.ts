export { composeLoad, type LoadComposed, type LoadedEntry } from './compose';
export { type Allowed, LOAD_AT_MOST, type LoadEntry, type Stores, atItsPlace } from './entry';
export type { SetBy } from './setBy';
export type { Split } from './apart';
export { fumeSays, loadSays } from './words';
export { arranged, type Arrangement, type Clash, clashesOf, freeNear } from './arrange';
export { type Insides, type Suggested, suggestedLoads, type Waits } from './suggest';
export { lyingOf, type Outline, outlineOf, type Placed } from './outline';
export { furnitureStores, storedBy } from './stored';
