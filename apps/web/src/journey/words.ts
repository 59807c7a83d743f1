/** All that the steps of a journey say, in one place; figures come in as they are written. */

export const ADD_STEP = {
  afterStepComes: (place: number): string => `After step ${place} comes`,
  nextComes: 'Next comes',
} as const;

export const BODY_FIGURES = {
  anotherForm: (look: string): string => `A ${look} takes another form: see its schedule.`,
  thickerThanFull: (rest: string): string => `Thicker than ${rest}: at full fuse it spreads at the rim unless dammed.`,
  thinnerThanFull: (rest: string): string => `Thinner than ${rest}: at full fuse the rim draws in and thickens.`,
  nearRimHardly: (rest: string): string => `Near ${rest}: the rim hardly moves.`,
  fullFuseFills: 'At full fuse it fills its dam.',
  filmGrainsFar: (rest: string): string => `A film of grains, far thinner than ${rest}: hot, it draws together into lace or islands. Its outline stays.`,
  touching: (words: string, more: number): string => `Touching: ${words}${more > 0 ? ` and ${more} more` : ''}.`,
  to: (figure: string, figure2: string): string => `${figure} to ${figure2}`,
  thickness: 'thickness',
  mass: 'mass',
  rimMoves: 'rim moves',
  inThisFiring: 'in this firing',
  ifLeftFlow: 'if left to flow',
  or: (figure: string): string => `, or ${figure}`,
  notFiredYet: 'not fired yet',
} as const;

export const CUT_FIELDS = {
  toAnOutline: 'To an outline',
  sliceOffFace: 'A slice off a face',
  cut: 'Cut',
  wide: 'wide',
  aStrip: 'A strip',
  laidAgain: 'Laid again',
  flatSideSide: 'Flat, side by side',
  onEdge: 'On edge',
  number: 'number',
  numberSegments: 'The number of segments',
  fromThe: 'From the',
  deep: 'deep',
  theSlice: 'The slice',
  kerf: 'kerf',
  theKerf: 'The kerf',
  outline: 'Outline',
  across: 'across',
  theOutline: 'The outline',
  hole: 'hole',
  theHole: 'The hole',
  long: 'long',
} as const;

export const HAND_FIELDS = {
  laid: 'Laid',
  onTop: 'On top',
  underIt: 'Under it',
} as const;

export const STEP_MOVES = {
  earlier: 'Earlier',
  moveEarlier: (stepName: string): string => `Move ${stepName} earlier`,
  later: 'Later',
  moveLater: (stepName: string): string => `Move ${stepName} later`,
  remove: (stepName: string): string => `Remove ${stepName}`,
} as const;

export const STEP_TOLD = {
  whatItTook: 'What it took',
  theTime: 'The time',
  itTookWeighed: 'It took, weighed',
  itTookTime: 'It took, time',
  keepWhatTook: 'Keep what it took',
} as const;

export const HAND_STEP = {
  massLeft: 'mass left',
  doneSinceWhat: 'Done, since what comes after it is',
  done: 'Done',
  scaleLeftFalls: 'Scale that is left falls into the glass at the next firing: knock and wipe the ring clean, and line it again.',
} as const;

export const JOURNEY_STRIP = {
  fellShort: 'fell short',
  tooFar: 'too far',
  toCome: 'to come',
  journeyStepAfter: 'Journey, step after step',
  stepJourney: '+ Step of its journey',
} as const;

export const BODY_VIEWS = {
  fromTheSide: 'From the side',
  fromAbove: 'From above',
  howThick: 'How thick',
  lookedAt: 'Looked at',
} as const;

export const FIRING_SET_UP = {
  forInAll: (target: string, hold: string, total: string, kilnName: string): string => `${target} for ${hold} · ${total} in all · ${kilnName}`,
  reading: 'Reading …',
  scheduleAsCalculated: 'Schedule as calculated',
  scheduleTypedIn: 'Schedule typed in',
  scheduleCalculatedThen: 'Schedule calculated, then changed by hand',
  runSheet: 'Run sheet ›',
  changeFiring: 'Change firing',
  it: 'It',
  cameDownWhere: 'Came down by, where it fell short',
  plannedNextFiring: (planned: string): string => `planned: ${planned}; the next firing goes on from there`,
  keepHowFar: 'Keep how far it came down',
} as const;

export const KEEP_MADE = {
  madeGlassPiece: (madeName: string): string => `${madeName}, made glass from this piece: open it`,
  madeGlass: (madeSize: string): string => `made glass from this, ${madeSize}`,
  keepMadeGlass: 'Keep as made glass',
  keepMadeGlassCut: 'Keep as made glass, to be cut and laid in other pieces',
  across: 'Across',
  grain: 'Grain',
  howMany: 'How many',
  theThickness: 'The thickness',
  allOfIt: 'All of it',
  giveNameFind: 'Give it a name to find it by.',
  asItIs: (stepWords: string, madeOf: string, count: string): string => `As it is after '${stepWords}': ${madeOf}${count}.`,
  each: 'each ',
  whatItIs: 'What it is',
  longEach: 'Long, each',
  massAll: 'Mass of all of it',
  calculatedWeighIf: 'calculated; weigh it if some broke or was kept back',
  fragileLaidItself: 'Fragile: to be laid by itself',
  nothingHoldsThese: 'Nothing holds these layers together at this step: look at the firing that does, and keep it from there.',
  pieceKeptMade: (there: string, mass: string): string =>
    `${there} from this piece are kept as made glass already, and it weighs ${mass}: correct that one where this is the same glass.`,
  noFiringSchedule: 'It has no firing with a schedule yet, so its heat so far is not counted in what you make of it.',
  keepIt: 'Keep it',
  keepAmongMade: 'Keep it: among the made glass on Shelves',
} as const;
