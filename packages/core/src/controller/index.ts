/** What of this room is used outside of the core. */
export { keyIn, type KeyedSegment, type PanelRow, segmentsKeyed } from './keyIn';
export { type FigureKind, figuresOf, type Key, keysFor, newPanel, type Panel, pressed, shown } from './panel';
export { mightShow, readBack, type Slip } from './readBack';
export { asItRuns, cutFor, heldLonger, pressedInRun, ran, ranSoFar, ranToChange, type Run, type RunKey, shownInRun, startRun, STILL_WARM_K } from './running';
export { TYPICAL_CONTROLLERS } from './typical';
export { countsWords, figuresKeyed, profileWords, rowWords } from './words';
export { AFTER_CUTS, type Controller, HOLD_KINDS, KEY_ORDERS, type Profile, holdMeant, PROGRAM_ENDS, profileOf, RATE_KINDS, shownHold } from './profile';
