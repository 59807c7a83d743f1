/** What of this room is used outside of the core. */
export { glassySlope, relaxationOf } from './relaxation';
export { edgeOn, retardation, rimBand } from './polariser';
export { interferenceColour, TINT_PLATE_NM } from './interference';
export { FRINGE_NM, greatestTension, type StressRead, stressRead } from './measured';
