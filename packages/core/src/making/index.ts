/** What of this room is used outside of the core. */
export { type Amounts, amountsFor, waxLeft } from './amounts';
export {
  FLEXIBLES,
  type Flexible,
  MAKING_WAYS,
  MODELS,
  type Making,
  type MakingWay,
  type Model,
  STAGES,
  type StageName,
  type StageTold,
  type Standing,
  makingProblem,
  stagesOf,
  standing,
  standsIn,
} from './making';
export { FLEXIBLE_NAMES, MAKING_NAMES, MODEL_NAMES, dryingWords, stageCaution, stageDoes, stageTitle, waxLeftWords } from './makingWords';
