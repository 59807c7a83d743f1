/** What of this room is used outside of the core. */
export { smokes, RELEASE_KINDS, type ReleaseKind } from './coat';
export { type FormClearance, formClearance } from './formClearance';
export { COATED_BY, type CoatedBy, usedOf, usedWords } from './used';
export { formClearanceWords } from './formClearanceWords';
export { RELEASED, RELEASED_NAMES, type Released, type Tally, tallyWords } from './released';
export { type Rescue, type RescueTold, rescueOf, rescueWords } from './rescue';
export { type FiredSince, HOT_FROM_C, type Wear, wearOf, wearWords, wornBy } from './wear';
