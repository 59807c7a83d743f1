export { composeLoad, type LoadComposed, type LoadedEntry } from './compose';
export { LOAD_AT_MOST, type LoadEntry } from './entry';
export type { SetBy } from './setBy';
export type { Split } from './apart';
export { loadSays } from './words';
