/** What of this room is used outside of the core. */
export {
  afterCutWords,
  type Cut,
  hideSlip,
  isShortened,
  lengthened,
  powerCut,
  PRACTICE_FIRING,
  READING_OFF,
  READS_OFF_K,
  type Seen,
  seenAs,
  SHORTEN,
  type Task,
  TASKS,
  toEnter,
} from './practice';
