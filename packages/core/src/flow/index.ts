/** What of this room is used outside of the core. */
export { sagAfter } from './sag';
export { coatingRange } from './harm';
