/** What of this room is used outside of the core. */
export { laidAsPut, putGlass, type PutAs, type ReckonedGlass, sheetsFor } from './putGlass';
export { asItStands, givesShape, heldAcross, heldForm, leavesShelf, serves, shapeOf, shapingIn, shapingOf, standsOut, CANNOT_BE } from './inForm';
export { betweenThem, type FormNotes, formNotes, rescueIn, stuckOn, overShelf } from './formNotes';
export { type PutBlank, putBlank } from './putBlank';
export { LAYERS_AT_MOST, PARTS_AT_MOST, STEPS_AT_MOST } from './atMost';
export {
  type BenchStep,
  type CutFace,
  type Cutting,
  type Face,
  type HandKind,
  type HandStep,
  type HeldForm,
  type JourneyStep,
  type LaidLayer,
  type OfFiredLayers,
  BOUGHT_FORMS,
  LAYER_FORMS,
  comesAs,
  type LayerForm,
  type LayStep,
  type PieceDocument,
  type PlannedStep,
  STEP_KINDS,
  type StepKind,
  type Took,
} from './document';
export { asJourney, type EarlierDocument, FIRST_LAID_ID, firingOf, firingsOf, isLaying, laidLayers, layingOf, placeOf, withStep } from './journey';
export { LIKELY_SHOWN, likelyGroup, likelyLook, likelyLooks, setUpIn, setUpsFor, usualSetUp, wasShapedBefore } from './likely';
export { untoldBefore, untoldWords } from './untold';
export { type FitAsked, findingWarnings, fitBefore, fitWarnings, formWarnings, standingWarnings } from './standing';
export { journeyWarnings, type WorkOf } from './journeyWarnings';
export { type AfterStep, applySteps } from './applySteps';
export { type BodyNow, bodyOf, isOnePiece, isSealed, massNow, nothingYet } from './bodyNow';
export { BENCH_KINDS, BENCH_STEPS, benchKind, usualStep } from './steps/all';
export { BLASTED_FOR } from './steps/blast';
export { CLEANED_OFF } from './steps/clean';
export { type FiredSo, type Left, leftOn } from './leftOn';
export { KERF_RANGE_M, SEGMENTS_RANGE, STRIP_RANGE_M } from './steps/cut';
export { HOLE_RANGE_M, HOLES_RANGE } from './steps/drill';
export { FILL_RANGE_KG, SPOT_RANGE_M } from './steps/fill';
export { JOINED_BY } from './steps/join';
export { LOOKED_WITH } from './steps/look';
export { type BenchKind, type ChoiceField, FACE_NAMES, FACES, OFF_RANGE_M, type StepField } from './steps/step';
export { bodyWords, handName, stepName, stepWords, strikeWords, TAKEN_NAMES } from './stepWords';
export { setupWords, SHELF_STANDS, standsAs } from './words';
export type { MadeFrom } from './madeFrom';
export { undoes } from './undoes';
export {
  addLayer,
  addStep,
  changeLayer,
  changeStep,
  firesNoGlass,
  type Edited,
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
} from './commands';
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
} from './placing';
export type { HeldPlace, Sketch } from './document';
export { placeIn } from './snapshot';
export { layUnder, scaledBetween, SKETCH_RANGE_M } from './sketch';
export { acrossOf, isPlaceable, isPlaced, leanLayer, mappedLayers, partsOf, type Placeable } from './placed';
export { constantsOf, glassName, hasTwoFaces, type Lie, madeUpOf, type NamedGlass, namedGlasses, type ShelfMade, type Stripe } from './shelf';
export { glassIdsIn, laidAs, MADE_FORMS, MADE_NAMES, type MadeForm, STRIPES_AT_MOST, stripesOf, takenBy, type Yield, yieldOf } from './made';
export { layMotif, type LaidMotif } from './layMotif';
export { bodyBefore } from './bodyAt';
export { type Brought, facesHazed, heatOf, heatWords, type LaidTurn, type Turn, turnOf } from './heatSoFar';
export { ledgerOf, ledgerWords } from './ledger';
export { sideBySide, touchingWords } from './touching';
export { type BodyProfile, type DrawnBody, drawnBody, type DrawnLayer, drawnLayers, bodyProfile } from './drawnLayers';
export { fitQuestion } from './fitQuestion';
export { drawnEmptyItem, snapshotOf } from './snapshot';
export { anotherLike, nextName } from './another';
export { outdatedBy } from './outdated';
export { type AskedOfLayer, askedOf, inForm, LAYER_KINDS, withFigure } from './layers/all';
export { COVER_RANGE, GRAIN_RANGE_KG_M2, ROD_RANGE_M, SHEET_RANGE_M } from './layers/layer';
