/** What of this room is used outside of the core. */
export { steadyCooling } from './cooling';
