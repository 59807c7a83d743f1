/** The computation core: pure functions, SI units and °C, no interface, no clock, no I/O. What is not used outside is not named here. */
export { found, type Outcome, type Problem, ProblemError, refused } from './problem';
export {
  celsiusFrom,
  densityUnit,
  differenceIn,
  kelvinFrom,
  type LengthUnit,
  massFrom,
  massIn,
  type MassUnit,
  METRES_PER_INCH,
  METRIC,
  otherTemperature,
  otherUnits,
  strewnUnit,
  temperatureIn,
  type TemperatureUnit,
  type Units,
} from './units/convert';
export { fileName } from './units/fileName';
export { parseDensity, parseDifference, parseDuration, parseLength, parseMass, parseRate, parseStrewn, parseTemperature, unitsWritten } from './units/parse';
export {
  type Figure,
  formatArea,
  formatCoat,
  formatDensity,
  formatDifference,
  formatDuration,
  formatLength,
  formatMass,
  formatRate,
  formatStock,
  formatStress,
  formatStrewn,
  formatTemperature,
  formatVolume,
  text,
} from './units/format';
export { diffusivity, type GlassConstants, meltExpansion, type StateName } from './glass/constants';
export { fluidity, LOG_VISCOSITY, logViscosity, temperatureAt, viscosityOf } from './glass/viscosity';
export { type GlassState, glassStates, stateAt } from './glass/states';
export { TYPICAL_FAMILIES } from './glass/families';
export { CORNERS_AT_MOST, crossesItself, type Footprint, footprintArea, footprintHole, footprintSpan, sidesOf } from './body/footprint';
export { footprintWords } from './body/footprintWords';
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
} from './plan/parts';
export { type Alignment, boxRound, type Mirror, movedBy, type Row } from './plan/arrange';
export { inEvenRows, type Motif, type MotifPart, type Ring, ringOfSegments, stripsOnEdge, type WovenRows, wovenRows } from './plan/motifs';
export { gapBetween, isWithin } from './plan/clip';
export { type Guide, snapped, snappedTurn } from './plan/snap';
export type { NextFiring, PlanConcern } from './plan/concerns';
export { type CutGroup, cutList } from './plan/cutList';
export { GRIND_WORDS, scoreWords } from './plan/cutListWords';
export { concernWords } from './plan/concernWords';
export type { PlanAsked, PlanTold, ToldMap } from './plan/asked';
export { evenSheets, layerDepth, rowsOf } from './body/layers';
export { bodyFigures, mainGlass } from './body/body';
export { type Ghost, ghostOf } from './look/ghost';
export { type Look, LOOKS, RECIPES } from './look/recipes/all';
export { type OwnFigure, RECIPE_GROUPS, type RecipeGroup } from './look/recipe';
export { aimedWork, neededWork } from './look/work';
export type { Body } from './schedule/firingCase';
export { designDepth } from './look/unevenness';
export { TYPICAL_WORKS } from './look/works';
export { cavityOf, type Shaping, shapingDown, wareOf } from './look/shaping';
export { type Cone, CONES } from './ware/cones';
export { WARE_KINDS, WARE_MATERIALS, WARE_NAMES, type WareKind } from './ware/wares';
export { CONTENTS } from './fit/reactions';
export type { FitVerdict, PairFit } from './fit/fit';
export { fit } from './fit/fit';
export { fitReckoning, fitSentence, pairWords } from './fit/words';
export { type CoatingFinding, coatingFindings } from './fit/coating';
export { QUANTITY_NAMES, type QuantityName } from './quantity/names';
export { fromAbove, heldTo, type Hollow, lined, surfaceAt } from './quantity/hollow';
export { WATER_kg_m3 } from './quantity/howMuch';
export type { Brick, LaidCold, Stack } from './quantity/cold';
export { brickVolume } from './quantity/stock';
export type { Cavity, HowMuch } from './quantity/howMuch';
export type { Filler, Filling, FillingTold } from './quantity/filling';
export type { Stock } from './quantity/stock';
export { howMuchWords } from './quantity/howMuchWords';
export { fillingWords } from './quantity/fillingWords';
export { patchOf, type StrewnAsked, type StrewnLook, WETNESSES } from './quantity/strewn';
export { lookWords, strewnWords } from './quantity/strewnWords';
export { type MixAsked, type MixTold, SHARES_OF, type ShareOf } from './quantity/mix';
export { mixWords } from './quantity/mixWords';
export type { CuttingAsked, CuttingTold } from './quantity/cutting';
export { cuttingWords } from './quantity/cuttingWords';
export { type BlankAsked, type BlankTold, blank as blankOf, type OverBySide } from './quantity/blank';
export { type HollowForm, lobedRadius, type Measured, openingOf, type Plan, PLANS } from './form/surface';
export { blankWords } from './quantity/blankWords';
export { weighedWords } from './form/weighed';
export { blankFor, type FormFigure, formFigures, materialWords, printWords } from './quantity/formTold';
export type { InKiln, SameWorkAsked } from './quantity/sameWork';
export type { WrittenAsked } from './quantity/written';
export { coneWords, sameWorkWords, writtenWords } from './quantity/conversionWords';
export type { ToldQuantity, TwoUnits } from './quantity/told';
export { laidAsPut, putGlass, type PutAs, type ReckonedGlass, sheetsFor } from './piece/putGlass';
export { asItStands, givesShape, heldAcross, heldForm, leavesShelf, serves, shapeOf, shapingIn, shapingOf, standsOut, CANNOT_BE } from './piece/inForm';
export { betweenThem, type FormNotes, formNotes, rescueIn, stuckOn, overShelf } from './piece/formNotes';
export { type PutBlank, putBlank } from './piece/putBlank';
export { smokes, RELEASE_KINDS, type ReleaseKind } from './release/coat';
export { FORM_MATERIALS, FORM_MATERIAL_NAMES, type FormMaterialName, formPace, materialOf } from './form/materials';
export {
  BOTTOMS,
  type Bottom,
  FORM_USES,
  type FormShape,
  type FormUse,
  alongOf,
  depthOf,
  formMass,
  formProblem,
  insideOf,
  outlineIn,
  plateOf,
  roomOfForm,
} from './form/shape';
export type { SectionPoint } from './form/surface';
export { type FormSection, type View as FormView, formSection } from './form/section';
export { type LetGo, letGo } from './release/letGo';
export { COATED_BY, type CoatedBy, usedOf, usedWords } from './release/used';
export { letGoWords } from './release/letGoWords';
export { type Amounts, amountsFor, waxLeft } from './making/amounts';
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
} from './making/making';
export { FLEXIBLE_NAMES, MAKING_NAMES, MODEL_NAMES, dryingWords, stageCaution, stageDoes, stageTitle, waxLeftWords } from './making/makingWords';
export { RELEASED, RELEASED_NAMES, type Released, type Tally, tallyWords } from './release/released';
export { type Rescue, type RescueTold, rescueOf, rescueWords } from './release/rescue';
export { type FiredSince, HOT_FROM_C, type Wear, wearOf, wearWords, wornBy } from './release/wear';
export { fullPowerHeating, type KilnConstants, naturalCooling, settledCooling, steadyHeating } from './kiln/kiln';
export { TYPICAL_KILN } from './kiln/typical';
export { NEVER_S, timesOf, climbingPast } from './kiln/times';
export { keyIn, type KeyedSegment, type PanelRow, segmentsKeyed } from './controller/keyIn';
export { type FigureKind, figuresOf, type Key, keysFor, newPanel, type Panel, pressed, shown } from './controller/panel';
export { mightShow, readBack, type Slip } from './controller/readBack';
export { asItRuns, cutFor, pressedInRun, ran, ranSoFar, ranToChange, type Run, type RunKey, shownInRun, startRun, STILL_WARM_K } from './controller/running';
export { TYPICAL_CONTROLLERS } from './controller/typical';
export { countsWords, figuresKeyed, profileWords, rowWords } from './controller/words';
export {
  AFTER_CUTS,
  type Controller,
  HOLD_KINDS,
  KEY_ORDERS,
  type Profile,
  holdMeant,
  PROGRAM_ENDS,
  profileOf,
  RATE_KINDS,
  shownHold,
} from './controller/profile';
export { meshOf } from './heat/stack';
export { driveFrom } from './heat/drive';
export { heatSolver } from './heat/heatSolver';
export { hottestSegment, regimesOf } from './heat/regimes';
export type { Series } from './heat/figures';
export type { SimulationInput, SimulationResult } from './heat/simulation';
export { simulateFiring } from './heat/simulate';
export { settingFrom } from './heat/recorder';
export { sagAfter } from './flow/sag';
export { coatingRange } from './flow/harm';
export { glassySlope, relaxationOf } from './stress/relaxation';
export { edgeOn, retardation, rimBand } from './stress/polariser';
export { interferenceColour, TINT_PLATE_NM } from './stress/interference';
export type { PurposefulSegment, Role, Segment } from './kiln/segment';
export { DEFAULT_LIMITS } from './schedule/limits';
export { BARE_SHELF, SETUP_KINDS, SETUP_NAMES, type SetUpKind, setUpOf, SETUPS, WARE_SETUPS, type Wet, WETS, withPaper } from './schedule/setups';
export { DEFAULT_SCHOOL, type FiringCase, glassOf, type School } from './schedule/firingCase';
export { resolved, simulationOf } from './schedule/resolved';
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
} from './practice/practice';
export { type Moments, momentsOf } from './schedule/moments';
export { openingTemperature } from './schedule/opening';
export { brokenOf, evaluate, type Evaluation, heatWorkBand, type LimitName, marginOf, type Reading } from './schedule/check';
export { compose, tightest } from './schedule/compose';
export { settlesGrains } from './schedule/firstGuess';
export { impossibleFiring } from './schedule/possible';
export { wareFired } from './schedule/ware';
export { paceOfWare } from './schedule/wareWords';
export { slipDoes, slipSentence } from './schedule/slipWords';
export { brokenSentence, heatWorkFigures, inDamSentence, ownFigures, readingPhrase, ROLE_NAMES, TERMS, verdictOf, whyOf } from './schedule/words';
export { type GlassAt, glassInTime } from './schedule/inTime';
export { reckoningOf } from './schedule/reckoning';
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
} from './schedule/written';
export { addSegment, joinSegments, removeSegment, splitSegment } from './schedule/edit';
export { caseDifferences, type Consequence, consequences, segmentDifferences } from './schedule/differences';
export {
  type BenchStep,
  CLEANED_OFF,
  type CutFace,
  type Cutting,
  type Face,
  FORM_NAMES,
  type HandKind,
  type HandStep,
  type HeldForm,
  JOINED_BY,
  type JourneyStep,
  type LaidLayer,
  type OfFiredLayers,
  BOUGHT_FORMS,
  LAYER_FORMS,
  comesAs,
  type LayerForm,
  LAYERS_AT_MOST,
  type LayStep,
  LOOKED_WITH,
  PARTS_AT_MOST,
  type PieceDocument,
  type PlannedStep,
  STEP_KINDS,
  type StepKind,
  STEPS_AT_MOST,
  type Took,
} from './piece/document';
export { asJourney, type EarlierDocument, FIRST_LAID_ID, firingOf, firingsOf, isLaying, laidLayers, layingOf, placeOf, withStep } from './piece/journey';
export { untoldBefore, untoldWords } from './piece/untold';
export { type FitAsked, fitBefore, fitWarnings, standingWarnings } from './piece/standing';
export { journeyWarnings, type WorkOf } from './piece/journeyWarnings';
export { type AfterStep, bodiesAfter } from './piece/bodiesAfter';
export { type BodyNow, bodyOf, isOnePiece, isSealed, massNow, nothingYet } from './piece/bodyNow';
export { bodyWords, CLEANED_NAMES, FACE_NAMES, HAND_NAMES, JOINED_NAMES, LOOKED_NAMES, stepName, stepWords, strikeWords, TAKEN_NAMES } from './piece/stepWords';
export { setupWords, SHELF_STANDS, standsAs } from './piece/words';
export type { MadeFrom } from './piece/madeFrom';
export { undoes } from './piece/undoes';
export {
  addLayer,
  addStep,
  changeLayer,
  changeStep,
  firesNoGlass,
  type Edited,
  inForm,
  layerName,
  moveLayer,
  moveStep,
  removeLayer,
  removeStep,
  repeatLayer,
  setOutline,
  tellDone,
  tellMeasured,
  turnLayer,
} from './piece/commands';
export {
  alignParts,
  changePart,
  type Chosen,
  dealParts,
  isOf,
  middleOf,
  mirrorParts,
  moveParts,
  partsIn,
  placeParts,
  placeSpread,
  removeParts,
  repeatInRing,
  repeatInRows,
  spaceParts,
  spreadOf,
  type Stuff,
  turnParts,
} from './piece/placing';
export type { Sketch } from './piece/document';
export { layUnder, scaledBetween, SKETCH_RANGE_M } from './piece/sketch';
export { acrossOf, isPlaceable, isPlaced, leanLayer, mappedLayers, partsOf, type Placeable } from './piece/placed';
export { constantsOf, glassName, hasTwoFaces, type Lie, madeUpOf, type NamedGlass, namedGlasses, type ShelfMade, type Stripe } from './piece/shelf';
export { glassIdsIn, laidAs, MADE_FORMS, MADE_NAMES, type MadeForm, STRIPES_AT_MOST, stripesOf, takenBy, type Yield, yieldOf } from './piece/made';
export { layMotif, type LaidMotif } from './piece/layMotif';
export { bodyBefore } from './piece/bodyAt';
export { type Brought, heatOf, heatWords, type Turn, turnOf } from './piece/heatSoFar';
export { ledgerOf, ledgerWords } from './piece/ledger';
export { sideBySide, touchingWords } from './piece/touching';
export { type BodyProfile, type DrawnBody, drawnBody, type DrawnLayer, drawnLayers, bodyProfile } from './piece/drawnLayers';
export { fitQuestion } from './piece/fitQuestion';
export { drawnWare, snapshotOf } from './piece/snapshot';
export { anotherLike, nextName } from './piece/another';
export { outdatedBy } from './piece/outdated';
export { ENGINE_VERSION, earlierEngine, toldBy } from './version';
export {
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
} from './learn/corrections';
export { boundedBy, seenBody, type SeenFiring, seenFor } from './schedule/bounds';
export type { SeenWork } from './schedule/seenWork';
