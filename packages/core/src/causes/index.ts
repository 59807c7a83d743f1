/** What of this room is used outside of the core. */
export { CAUSES, CAUSE_NAMES, type CauseName } from './causes';
export { causesOf, isLikely, type LikelyCause } from './causesOf';
export type { Fault, Known } from './facts';
