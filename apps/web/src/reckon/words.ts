/** All that Reckon says, in one place; figures come in as they are written. */

export const BLANK_DRAWING = {
  cutThroughScale: (way: boolean, plan: string): string =>
    `The ${way ? 'mould' : 'former'} cut through, to scale: the blank as it is laid on, dashed, and as it comes to lie${plan}`,
  besideBlankAbove: '; beside it the blank from above',
} as const;

export const OF_GLASS = {
  of: (part: string, ofName: string): string => `${part} of ${ofName}`,
  ofWithDensity: (ofName: string, density: string): string => `of ${ofName}, ${density}`,
  another: 'Another',
  closeTheGlasses: 'Close the glasses',
  anotherGlass: 'Another glass',
  glass: (part: string): string => `Glass, ${part}`,
} as const;

export const PUT_OR_KEEP = {
  noLayerYet: 'No layer is there yet.',
  takesAwayWhat: (names: string): string => `Takes away what is laid there: ${names}.`,
  whatLaidStays: (names: string): string => `What is laid there stays under it: ${names}.`,
  placeWhatLaid: (laid: number): string => `in place of what is laid there (${laid === 1 ? 'one layer' : `${laid} layers`})`,
  putInto: (pieceName: string): string => `Put into ${pieceName}`,
  beginPiece: 'Begin a piece with it',
  kept: 'Kept',
} as const;

export const TOLD_ANSWER = {
  whatToTake: 'What to take',
  and: (missing: string, missing2: string): string => `${missing} and ${missing2}`,
  stillToTell: (names: string): string => `Still to tell: ${names}.`,
} as const;

export const BLANK_SHEET = {
  bentOneWay: 'bent one way',
  atTheDoor: 'at the door',
  atTheBack: 'at the back',
  onTheLeft: 'on the left',
  onTheRight: 'on the right',
  glassThick: 'glass thick',
  empty: (thickness: string): string => `empty: ${thickness}`,
  edgeUnderRim: 'edge under the rim',
  emptyRim: 'empty: at the rim',
  fromTheShelf: 'From the shelf',
  measuresShelf: 'by its measures on the shelf',
  mouldFormerMeasures: 'a mould or former with its measures',
  mouldOrFormer: 'Mould or former',
  byItsMeasures: 'By its measures',
  typedBelow: 'typed below',
  hangsDown: 'hangs down',
  emptyAllBut: 'empty: to all but the shelf',
  itGoes: 'It goes',
  intoAMould: 'into a mould',
  overAFormer: 'over a former',
  seenFromAbove: 'seen from above',
  of: (kind: boolean, pieceName: string): string => `${kind ? 'Mould' : 'Former'} of ${pieceName}`,
  whatLastTime: 'What last time told',
  blankCutWhere: 'the blank that was cut, and where its edge ended',
  lastBlank: 'last blank',
  betweenLobes: 'between lobes',
  theOtherWay: 'the other way',
  cutSum: (summed: string): string => `It was cut by the sum: ${summed}`,
  forgetLastTime: 'Forget last time',
  over: (sideLabel: string): string => `over ${sideLabel}`,
  minusShort: 'minus: short',
} as const;

export const CONVERSION_SHEET = {
  otherUnits: 'other units',
  sameWork: 'same work',
  anotherTemperature: 'another temperature',
  anotherHold: 'another hold',
  whichCone: 'which cone',
  whereItBends: 'where it bends',
  toBeAt: 'to be at',
  toBeHeld: 'to be held',
  or: '20, or 1:30',
  whatIsConverted: 'What is converted',
  asItIs: 'as it is written',
  theSame: 'the same work for',
  itWasAt: 'it was at',
  asked: 'asked',
  cone: 'cone',
  upTo: 'up to',
  lastHoursAt: 'last hours at',
  emptyNotAll: 'empty: not at all',
  inAnotherKiln: 'In another kiln',
  whichKilnWhich: 'from which kiln to which, and how fast each climbs',
  itWasFired: 'it was fired in',
  toBeFired: 'to be fired in',
  itClimbedBy: 'it climbed by',
  emptyFullSpeed: 'empty: full speed',
  toClimbBy: 'to climb by',
} as const;

export const HOLLOW_FIELDS = {
  form: 'Form',
  sizesOf: (pieceName: string): string => `Sizes of ${pieceName}`,
  fromTheShelf: 'From the shelf',
  damMouldSizes: 'a dam or mould with its sizes and its liner',
  mouldOrDam: 'Mould or dam',
  asTyped: 'As typed',
} as const;

export const CUTTING_SHEET = {
  onEdge: 'on edge',
  wovenPanel: 'woven panel',
  largerCap: 'larger cap',
  emptyUsual: (value: string | number): string => `empty: ${value}`,
  glassThick: 'glass thick',
  sheetWide: 'sheet wide',
  sheetLong: 'sheet long',
  stripWide: 'strip wide',
  emptyScored: 'empty: scored',
  emptyOneSheet: 'empty: one sheet',
  toFillWide: 'to fill, wide',
  stripHigh: 'strip high',
  emptyOne: 'empty: one',
  upNumber: 'up, number',
  emptyNone: 'empty: none',
  capThick: 'cap thick',
  capOver: 'cap over',
  emptyFlush: 'empty: flush',
  slabLong: 'slab long',
  stopAt: 'stop at',
  slabWide: 'slab wide',
  layThem: 'to lay them in',
  slabDeep: 'slab deep',
  largerBy: 'larger by',
  paperThick: 'paper thick',
  whatIsCut: 'what is cut',
  acrossIt: 'across it',
  itsCap: 'its cap',
} as const;

export const HOLLOW_DRAWING = {
  hollowCutThrough: 'The hollow cut through, to scale',
  filledDeep: (level: string): string => `filled ${level} deep`,
  billetsTheyLie: 'with billets as they lie cold',
} as const;

export const GOES_IN_AS = {
  pieceThick: 'a piece is thick',
  empty: (suggested: string): string => `empty: ${suggested}`,
  andWide: 'and wide',
  goesInAs: 'goes in as',
} as const;

export const FILL_SHEET = {
  aMass: 'a mass',
  notTold: 'not told',
  fullFuse: 'full fuse',
  emptyNone: 'empty: none',
  theyStand: 'they stand',
  ofTheFloor: 'of the floor, %',
  layThem: 'to lay them in',
  glassTheirBulk: 'glass in their bulk, %',
  empty: (loosePercent: number): string => `empty: ${loosePercent}`,
  massLastTime: 'mass of last time',
  stoodBackWall: 'it stood back from the wall by',
  laysSegmentsDeep: (count: number, name: string, depth: string, cover: number, isBegun: string): string =>
    `Lays ${count} segments of ${name}, ${depth} deep and on ${cover} % of the outline${isBegun}.`,
  inADam: ', in a dam of it',
  segments: (footprint: string): string => `Segments, ${footprint}`,
  filledWith: 'Filled with',
  pouredGrains: 'poured in as grains',
  howHotLast: 'How hot, and last time',
  doesHeapRun: 'does a heap run level; a rim that stayed back',
  willHot: 'It will be as hot as for a',
} as const;

export const PATCH_DRAWING = {
  patchAboveScale: (look: string): string => `A patch from above, to scale: ${look}`,
} as const;

export const GRAINS_SHEET = {
  itsFiring: 'its firing',
  tackFuse: 'tack fuse',
  fullFuse: 'full fuse',
  notFired: 'not fired',
  grainsAllArea: 'grains, in all or on an area',
  or: (mass: string, units: string): string => `${mass} or ${units}`,
  aHoleIn: 'a hole in it',
  orSidesWith: 'or 2 sides with ×',
  emptyOne: 'empty: one',
  stencilOpen: 'stencil open, %',
  emptyNoStencil: 'empty: no stencil',
  emptyAsChosen: 'empty: as chosen',
  filmWanted: 'film wanted',
  placeMass: 'in place of the mass',
  laysOf: (mass: string, name: string, perArea: string): string => `Lays ${mass} of ${name}, ${perArea}.`,
  sprinkled: (footprint: string): string => `Sprinkled, ${footprint}`,
  grain: 'grain',
  firedAs: 'fired as',
  its: (nextName: string): string => `its ${nextName}`,
  holesStencilCoats: 'Holes, stencil, coats, grain',
  whatStaysFree: 'what stays free, several coats, powder that cracks',
  paperLay: 'on paper it lay',
} as const;

export const HOW_MUCH_SHEET = {
  bySize: 'by size',
  byWater: 'by water',
  byAModel: 'by a model',
  filledTo: 'filled to',
  emptyTheRim: 'empty: the rim',
  waterInIt: 'water in it',
  ozFlOz: 'as 22 oz or 20 fl oz',
  gMl: 'as 640 g or 640 ml',
  mouldDrank: 'mould drank',
  emptyNone: 'empty: none',
  itWeighs: 'it weighs',
  itsDensity: 'its density',
  emptyWax: (wAX: string): string => `empty: wax, ${wAX}`,
  glassThatThere: 'glass that there is',
  howDeepGets: 'how deep it gets',
  staysPotGrid: 'stays in pot, on grid, at rim',
  weighedTop: 'weighed on top of it',
  stripsThick: 'strips as thick as',
  stackTrough: 'for a stack in a trough',
  shorterEachEnd: 'shorter at each end by',
  empty: (suggested: string): string => `empty: ${suggested}`,
  cavity: (index: number): string => `Cavity ${index}`,
  howCavityMeasured: 'How the cavity is measured',
  emptyOne: 'empty: one',
  cavityAnotherOne: '+ Cavity, another one',
  lastOneAway: 'Last one away',
  whatWhatStays: 'What there is, what stays, a stack',
  howFarAmount: 'how far an amount goes; pot, grid or rim; strips for a trough',
} as const;

export const MIX_SHEET = {
  theWhole: 'the whole',
  theGlass: 'the glass',
  aSolution: 'a solution',
  scaleStep: 'scale step',
  glassShelfName: 'a glass of the shelf by its name',
  liquidOfGlass: 'liquid, % of glass',
  perCentOf: 'per cent of',
  lastPartAway: 'Last part away',
  lastAdditiveAway: 'Last additive away',
  orWanted: 'or wanted',
  ofOneGrade: 'of one grade',
  of: 'of',
  laysOfGrains: (all: string, named: string): string => `Lays ${all} of grains: ${named}.`,
  whatIsMixed: 'What is mixed',
  emptyUsual: (value: string | number): string => `empty: ${value}`,
  eachTakes: 'each takes',
  waterTo: 'water to 1',
  waterPowderMass: 'water to powder by mass, not by volume',
  plasterSilicaWater: 'plaster : silica : water',
} as const;

export const KEPT_RECKONINGS = {
  kept: 'Kept',
} as const;

export const RECKON_PANEL = {
  reckon: 'Reckon',
  closeReckon: 'Close Reckon',
  whatToReckon: 'What to reckon',
} as const;
