/** What of this room is used outside of the core. */
export {
  driftOf,
  factorOf,
  HOW_FAR,
  type HowFar,
  type LookFactors,
  type LookSeen,
  PRIOR,
  type TakenOver,
  WITNESS_ERROR_K,
  type Witness,
  correctionsOf,
  workAsRead,
} from './corrections';
export { type ConeSeen, CONE_TELLS_DEG, type WitnessCone, WITNESS_CONES, witnessOfCone } from './witnessCone';
export { SAME_AS_TAKEN, type Told, isTakenOver, takenOverOf } from './takenOver';
export { climbLadder, LADDER_FACTORS, type LadderFactor } from './ladder';
