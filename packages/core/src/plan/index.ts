/** What of this room is used outside of the core. */
export {
  type Box,
  boxOf,
  centred,
  footprintRings,
  lengthOf,
  PART_SHAPES,
  partArea,
  partCorners,
  type PartOutline,
  partSides,
  type PlacedPart,
  type Point,
  wholeTurn,
} from './parts';
export { type Alignment, boxRound, type Mirror, movedBy, type Row } from './arrange';
export { inEvenRows, type Motif, type MotifPart, type Ring, ringOfSegments, stripsOnEdge, type WovenRows, wovenRows } from './motifs';
export { gapBetween, isWithin } from './clip';
export { type Guide, snapped, snappedTurn } from './snap';
export type { NextFiring, PlanConcern } from './concerns';
export { type CutGroup, cutList } from './cutList';
export { GRIND_WORDS, scoreWords } from './cutListWords';
export { concernWords } from './concernWords';
export type { PlanAsked, PlanTold, ToldMap } from './asked';
