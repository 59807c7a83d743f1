export { composeLoad, type LoadComposed, type LoadedEntry } from './compose';
export { LOAD_AT_MOST, type LoadEntry } from './entry';
export type { SetBy } from './setBy';
export type { Split } from './apart';
export { loadSays } from './words';
export { arranged, type Arrangement, type Clash, clashesOf, freeNear } from './arrange';
export { lyingOf, type Outline, outlineOf, type Placed } from './outline';
