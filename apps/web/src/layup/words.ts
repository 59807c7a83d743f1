/** All that laying up says, in one place; figures come in as they are written. */

export const ADD_LAYER = {
  layersAtMost: (layersAtMost: number): string => `${layersAtMost} layers at most`,
  onTopComes: 'On top comes',
} as const;

export const LAYER_FIGURES = {
  deepOnceMelted: (depth: string): string => `, ${depth} deep once it has melted`,
  partsLie: ['part lies', 'parts lie'],
  laid: 'laid',
  over: (over: string, deep: string): string => `over ${over}${deep}`,
  planMoveAdd: (parts: string, count: number, percent: string): string =>
    `${parts} on the plan and ${count === 1 ? 'covers' : 'cover'} ${percent}; move, add or take them away from above.`,
} as const;

export const LAYER_SHEET = {
  layerShelf: (glassName: string, layerKindName: string, index: number, count: number): string =>
    `${glassName}, ${layerKindName}, layer ${index} of ${count} from the shelf`,
  itsFigures: (name: string): string => `${name}, its figures`,
  doneWith: (name: string): string => `Done with ${name}`,
  up: 'Up',
  moveUp: (name: string): string => `Move ${name} up`,
  down: 'Down',
  moveDown: (name: string): string => `Move ${name} down`,
  turnOver: 'Turn over',
  layAnother: 'Lay another',
  layAnotherLike: (name: string): string => `Lay another like ${name}`,
  remove: (name: string): string => `Remove ${name}`,
  form: 'Form',
} as const;

export const PART_FIGURES = {
  turned: 'turned',
  theAngle: 'The angle',
  turn: (ids: string): string => `turn ${ids}`,
  thePart: 'The part',
} as const;

export const PART_PANELS = {
  theNumber: 'The number',
  theGap: 'The gap',
  inARow: 'in a row',
  staggered: 'Staggered',
  roundTheMiddle: 'Round the middle',
  layRowsOf: (rows: number, count: number): string => `Lay ${rows} rows of ${count}`,
  layRow: (count: number): string => `Lay ${count} in a row`,
  layRing: (count: number): string => `Lay a ring of ${count}`,
  layRingRound: (count: number): string => `Lay a ring of ${count} round the middle of the piece`,
  alsoLeftRight: 'Also left to right',
  alsoFrontBack: 'Also front to back',
  turnOver: 'Turn it over here',
  turnOverOwn: 'Turn it over here: its own mirror image in its own place',
  leftSides: 'Left sides',
  middlesAcross: 'Middles, across',
  rightSides: 'Right sides',
  fronts: 'Fronts',
  middlesFrontBack: 'Middles, front to back',
  backs: 'Backs',
  onOneLine: 'On one line',
  farApartOuter: 'As far apart, the outer ones stay',
  leftToRight: 'Left to right',
  frontToBack: 'Front to back',
  cutSheet: 'Cut from a sheet of',
} as const;

export const PART_SHEET = {
  parts: (chosen: number): string => `${chosen} parts`,
  onThePlan: (title: string): string => `${title}, on the plan`,
  doneWith: (title: string): string => `Done with ${title}`,
  repeat: 'Repeat',
  mirror: 'Mirror',
  ringOf: 'Ring of …',
  lineUp: 'Line up',
  all: (layerIds: number): string => `All ${layerIds}`,
  chooseAllGlass: (layerIds: number): string => `Choose all ${layerIds} of this glass`,
  remove: (title: string): string => `Remove ${title}`,
  size: (id: string): string => `size ${id}`,
  sheet: (thickness: string): string => `sheet ${thickness}`,
  ofInThis: (parts: number): string => `of ${parts} in this step`,
  touchesItsNeighbour: ' · touches its neighbour',
  fromItsNeighbour: (gap: string): string => ` · ${gap} from its neighbour`,
} as const;

export const ADD_PART = {
  rectangle: 'Rectangle',
  bentStrip: 'Bent strip',
  rod: 'Rod',
  stringer: 'Stringer',
  theRod: 'The rod',
  aPart: 'A part',
  wide: 'Wide',
  across: 'Across',
  long: 'Long',
  straightTellBends: 'straight; or tell its bends below',
  along: 'Along',
  alongWhereBends: 'Along, where it bends',
  rightBackEach: 'to the right and to the back of each, as 0 0; 30 0; 15 40',
  pointsMiddleLine: 'points of its middle line, as 0 0; 40 12; 90 0',
  cutSheet: 'Cut from a sheet of',
  layIt: 'Lay it',
  layPlan: 'Lay it on the plan',
  notPointsWrite: (points: string, example: string): string => `'${points}' are not points. Write two lengths for each, as ${example}.`,
  theDisc: 'The disc',
} as const;

export const ADD_MOTIF = {
  laid: (motifTitle: string): string => `${motifTitle} laid`,
  laidAs: 'Laid as',
  glassesTurnTouch: 'Its glasses, in turn; a touch takes one away',
  itsGlass: 'Its glass',
  anotherAfterIt: 'Another after it',
  anotherAfterGlass: 'Another after it: a glass that takes turns with these',
  withABorder: 'with a border',
  capOverEverything: 'with a cap over everything',
  replacingLayers: (count: string): string => `replacing the layers here (${count})`,
  pieceLargeDam: 'the piece is as large as that, in a dam',
  pieceLarge: 'the piece is as large as that',
  layIt: 'Lay it',
  layAllParts: 'Lay it: all of its parts',
  itsGlassSmall: 'its glass',
} as const;

export const CUT_LIST_PANEL = {
  no: (number: number, pieces: string): string => `No. ${number}: ${pieces}`,
  printThePlan: 'Print the plan, 1:1',
  printPlanCutting: 'Print the plan, 1:1, and its cutting list',
} as const;

export const SKETCH_SHEET = {
  takingItIn: 'Taking it in …',
  waitsServer: 'Waits for the server …',
  pictureSketch: 'A picture of the sketch',
  theDistance: 'The distance',
  sketch: (key: string): string => `sketch ${key}`,
  scaleTwoPlaces: 'Scale by two places',
  takeItAway: 'Take it away',
  takeAwaySketch: 'Take it away: the sketch',
  touchSketchWhose: (places: number): string => `Touch ${places === 0 ? 'a place' : 'another place'} on the sketch whose distance you know.`,
  theyLieApart: (place: string): string => `They lie ${place} apart now.`,
  apartYouMeasured: 'Apart, as you measured it',
  scaleIt: 'Scale it',
  wide: 'wide',
  theSketch: 'The sketch',
  sketchWidth: 'sketch width',
} as const;

export const PLAN_PANEL = {
  moreParts: ['more part', 'more parts'],
  leavesUneven: (look: string): string => `It is uneven after a ${look} too. Its schedule is calculated from both depths and how far each reaches.`,
  leavesBare: (look: string, depth: string, times: string): string =>
    `The shelf stays bare in places after a ${look}. Its schedule is calculated for ${depth}, ${times} times its deepest place.`,
  levels: (look: string, depth: string): string => `A ${look} levels it: its schedule is calculated as for ${depth}.`,
  partsByKeys: 'parts by keys',
  aPart: 'a part',
  seenOtherFace: 'Seen from the other face',
  manyParts: '+ Many parts',
  partPlan: '+ Part on the plan',
  manyPartsOnce: '+ Many parts at once',
  several: (chosen: number): string => `Several: ${chosen}`,
  several2: 'Several',
  severalChosenChoose: (chosen: number): string => `Several: ${chosen} chosen, choose one at a time again`,
  severalChooseMore: 'Several: choose more than one',
  place: (name: string): string => `Place ${name}`,
  placeGivePlaces: (name: string, count: number): string => `Place ${name}: give ${count > 1 ? `its ${count} parts` : 'it'} places of their own`,
  seen: 'Seen',
  inGrey: 'In grey',
  otherFace: 'Other face',
  sketch: 'Sketch',
  dashedDrawnEvenly: (spread: number): string => `Dashed: drawn evenly spread, as nobody has said yet where ${spread === 1 ? 'it lies' : 'they lie'}.`,
  markedPlan: (count: string): string => `and ${count} marked on the plan`,
  when: 'When',
  asItIs: 'As it is laid',
  afterTheFiring: 'After the firing',
  thickAllOver: (isAfter: boolean, depth: string): string => `As thick all over${isAfter ? ' then' : ''}: ${depth}.`,
  afterThe: (recipeName: string): string => ` after the ${recipeName}`,
  whereThinnestWhere: (thinnest: string, deepest: string, when: string, whole: string, thick: string): string =>
    `${thinnest} where it is thinnest, ${deepest} where it is deepest${when}${whole}.${thick}`,
  changesUpOne: (depth: string): string => `; it changes by up to ${depth} from one place to the next`,
  thickGlassUp: (thick: string, thin: string): string => ` Its thick glass is up to ${thick} from thin, its thin glass up to ${thin} from thick.`,
} as const;

export const FIT = {
  fits: 'Fits',
  oneGlass: 'one glass',
  likelyToFit: 'Likely to fit',
  estimatedNotTested: 'estimated, not tested',
  fitDoubtful: 'Fit doubtful',
  testStripThese: 'Test a strip of these glasses first.',
  doesNotFit: 'Does not fit',
  firedTogetherThey: 'Fired together they crack. Change a glass before you fire.',
  oneLayer: 'one layer',
  reactWantedNot: (pair: string, because: string): string => `${pair} react: ${because}. Wanted or not, it will show.`,
  glassesOneTested: (count: string): string => `${count} glasses, one tested family`,
} as const;

export const FIT_NOTES = {
  judgingTheFit: 'Judging the fit …',
} as const;

export const LAYER_ROWS = {
  layersTopOne: 'Layers, top one first',
  coating: (coated: string): string => `coating ${coated}`,
  placeOf: (name: string): string => `Place of ${name}`,
  ofFromThe: (index: number, count: number): string => `${index} of ${count} from the shelf`,
} as const;

export const MADE_NOTES = {
  madeGlassOpen: (oneName: string): string => `${oneName}, made glass: open it`,
  goesIntoFewer: (oneName: string, words: null | string): string => `Of '${oneName}' ${words}: it goes into fewer pieces, or thinner.`,
  madeGlassFrom: (fromName: string): string => `made glass from ${fromName}`,
  madeGlass: 'made glass',
} as const;
