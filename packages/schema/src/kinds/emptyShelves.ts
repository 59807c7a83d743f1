import type { Shelves } from './shelves';

/** Before anything stands on them. */
export const EMPTY_SHELVES: Shelves = {
  families: [],
  glasses: [],
  made: [],
  kilns: [],
  controllers: [],
  stripTests: [],
  releases: [],
  materials: [],
  forms: [],
  coated: [],
  makings: [],
  findings: [],
  archived: [],
};
