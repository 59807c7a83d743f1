/** What of this room is used outside of the core. */
export type { Body } from './firingCase';
export { DEFAULT_LIMITS } from './limits';
export { bolderLimits, bolderSentences, limitsOf, STUDIO_LIMIT_NAMES, STUDIO_LIMITS, type StudioLimit, type StudioLimits } from './studioLimits';
export { BARE_SHELF, SETUP_KINDS, SETUP_NAMES, type SetUpKind, setUpOf, SETUPS, EMPTY_SETUPS, type Wet, WETS, withPaper } from './setups';
export { DEFAULT_SCHOOL, type FiringCase, glassOf, type School } from './firingCase';
export { plainBeside } from './alongside';
export { resolved } from './resolved';
export { simulationOf } from './simulationOf';
export { type Moments, momentsOf } from './moments';
export { openingTemperature } from './opening';
export { evaluate } from './check';
export { brokenOf, type Evaluation, heatWorkBand, type LimitName, marginOf, type Reading, tightest } from './reading';
export { compose, estimatedTop_C } from './compose';
export { settlesGrains } from './firstGuess';
export { impossibleFiring } from './possible';
export { emptyFiringOf } from './emptyFiring';
export { paceOfEmpty } from './emptyFiringWords';
export { slipDoes, slipSentence } from './slipWords';
export { ROLE_NAMES } from './roles';
export { DIFFERENCE_NAMES, brokenSentence, differenceName, heatWorkFigures, inDamSentence, ownFigures, readingPhrase, TERMS, verdictOf, whyOf } from './words';
export { glassAfter, type GlassAt, glassInTime, type GlassShape } from './inTime';
export { reckoningOf } from './reckoning';
export {
  closedAfter,
  type PaperAs,
  rowsWritten,
  segmentsWritten,
  unitDoubt,
  withRoles,
  WRITTEN_HOLDS,
  WRITTEN_ROWS_AT_MOST,
  type WrittenRow,
  writtenRows,
} from './written';
export { addSegment, joinSegments, removeSegment, splitSegment } from './edit';
export { caseDifferences, type Consequence, consequences, segmentDifferences } from './differences';
export { boundedBy, likeThis, seenAt, seenBody, type SeenFiring, seenFor } from './bounds';
export { CHANGES_FIRST, type ChangesFirst, nextFiring, type NextFiring, type SeenLike, workSeen } from './nextFiring';
export { changeWords, expectedWords, nextWhy } from './nextWords';
export { FACTOR_NAMES, factorFigure, type Finding, findingSentences, rangeWords } from './findings';
export { nearestFirst } from './nearest';
export { type Series, seriesOf, type Tried } from './seriesOf';
export type { SeenWork } from './seenWork';
