/** All that the Notebook and its records say, in one place; figures come in as they are written. */

export const COMPARE_PICKER = {
  compareWith: 'Compare with',
  noOtherFiring: 'There is no other firing yet to compare with.',
} as const;

export const DIFFERENCES = {
  over: (cover: number): string => `over ${cover} %`,
  coating: (coated: string): string => `coating ${coated}`,
  outlineFor: (is: string, was: string): string => `Outline: ${is} for ${was}.`,
  layerShelfLeft: (i: number, one: null | string): string => `Layer ${i} from the shelf left out: ${one}.`,
  layerShelfMore: (i: number, other: string): string => `Layer ${i} from the shelf more: ${other}.`,
  layerShelf: (i: number, other: string, one: string): string => `Layer ${i} from the shelf: ${other} for ${one}.`,
  standsOn: 'Stands on',
  place: 'Place',
  notSaid: 'not said',
  for: (what: string, is: string, was: string): string => `${what}: ${is} for ${was}.`,
} as const;

export const COMPARE_SCREEN = {
  title: (count: number): string => `${['', '', 'Two', 'Three', 'Four'][count]} firings`,
  curvesOf: (heads: string): string => `Temperature over time: ${heads}`,
  addAnother: 'Add another',
  series: 'As a test series',
  count: (count: number, of: string): string =>
    `${of === '' ? '' : `${of}: `}${count === 0 ? 'nothing differs that is on record' : count === 1 ? 'one thing differs' : `${count} things differ, so no single one of them explains the result`}`,
  whatChangedEarlier: 'what changed from the earlier to the later',
  layUp: 'Lay-up',
  setUp: 'Set-up',
  scheduleRan: 'Schedule as it ran',
  theSame: 'The same.',
} as const;

export const FACED = {
  edgesPlanShows: 'Its edges as the plan shows it from above.',
  towards: (facedName: string): string => `Towards ${facedName}`,
  notSaid: 'Not said',
  edge: (capital: string): string => `${capital} edge`,
  hotSide: 'hot side',
  fromAbove: (words: string): string => `From above: ${words}`,
} as const;

export const RECORD_PAPER = {
  in: (recipeName: string, kilnName: string, fired: string): string => `${recipeName} in ${kilnName}, ${fired}`,
  asItRan: 'As it ran',
  itsSchedule: 'Its schedule',
  toHold: (ratePerH: string, target: string, hold: string): string => `${ratePerH} to ${target}, hold ${hold}`,
  otherwiseThanPlanned: 'Otherwise than planned',
  plannedRan: 'Planned, and as it ran',
  then: (before: string, after: string): string => `${before}, then ${after}`,
  saidWhenStarted: 'Said when it was started',
} as const;

export const LOAD_PANEL = {
  aloneKiln: 'alone in the kiln',
  with: (others: string, day: undefined | string): string => `with ${others}${day}`,
  and: (others: string): string => `${others} and `,
  differentSchedules: ', different schedules',
  program: (slot: number, controllerName: string): string => `; program ${slot}${controllerName}`,
  of: (controllerName: string): string => ` of ${controllerName}`,
  couldNotRead: 'It could not be read.',
  reading: 'Reading …',
  noteWholeLoad: 'Note on the whole load',
  whatHeldAll: 'what held for all that was in the kiln',
  keepTheNote: 'Keep the note',
  oneReadingKiln: (least: string): string => `One reading from the kiln: ${least}.`,
  readingsKiln: (readings: number, least: string, most: string): string => `${readings} readings from the kiln, ${least} to ${most}.`,
} as const;

export const FIRING_SCREEN = {
  nextTime: 'Next time',
  in: (recipeName: string, kilnName: string, start: string, zone: string, ahead: string): string => `${recipeName} in ${kilnName}, ${start}${zone}${ahead}`,
  ranOtherwiseThan: 'Ran otherwise than planned',
  firedAsCalculated: 'Fired as calculated',
  firedChangedHand: 'Fired as changed by hand',
  ranBesideWhat: 'As it ran, beside what was planned',
  asItRan: 'as it ran',
  itsLoad: 'Its load',
  whatShouldStayed: 'what should have stayed as stress, beside your pictures',
  inAllRecorded: (total: string, createdAt: string): string => `${total} in all; recorded ${createdAt}.`,
  cameOut: 'as it came out',
  reachedA: (recipeName: string): string => `; reached a ${recipeName}`,
  firedAlthoughSchedule: (differences: string): string => `Fired although the schedule was out of date. ${differences}`,
  stoodAgainstWhen: (accepted: string): string => `This stood against it when it was started. ${accepted}`,
  editResult: 'Edit result',
  freeIt: 'Free it',
  freeWhatLoosens: 'Free it: what loosens it, and the firing for that',
  annealItAgain: 'Anneal it again',
  annealAgainMore: 'Anneal it again: more stress stayed in it than it may keep',
  compare: 'Compare',
  runItAgain: 'Run it again',
  runAgainPiece: 'Run it again, on this piece or another',
  planCalculatedEarlier: (engine: string, engineVersion: string): string =>
    `The plan was calculated by an earlier Torvin (engine ${engine}), the run by this one (engine ${engineVersion}).`,
  firingDeleted: (pieceName: string): string => `The firing of ${pieceName} is deleted.`,
  deleteThisFiring: 'Delete this firing',
} as const;

export const AS_FIRED_ROWS = {
  asItCould: 'as it could',
  howItRan: 'How it ran',
  asPlanned: 'As planned',
  otherwise: 'Otherwise',
  planned: (target: string, hold: string): string => `planned ${target}, ${hold}`,
  target: 'target',
  rate: 'rate',
  took: 'took',
  hold: 'hold',
} as const;

export const LESSON_FIELDS = {
  theReading: 'The reading',
  thermocoupleWitnessCone:
    'A thermocouple or witness cone at the glass shows how far the controller is off. No result shows that by itself. Of one moment, best late in a hold.',
  theControllerRead: 'The controller read',
  mayLeftOut: 'may be left out',
  atTheGlass: 'At the glass it was',
  sameMoment: 'at the same moment',
  leaveFiringOut: 'Leave this firing out of what the kiln has taught',
} as const;

export const RECORD_FORM = {
  sayWhenStarted: 'Say when it was started: a day and a time that the clock showed.',
  started: 'Started',
  saveAllSame: 'Save it all the same',
  beforeThisFiring: (untold: string): string => `${untold} Before this firing`,
  theyWereDone: 'They were done',
  theyWereLeft: 'They were left out',
  takenJourney: 'taken from its journey',
  sayWhetherThey: 'Say whether they were done.',
  howDidCome: 'How did it come out?',
  notOpenedYet: 'Not opened yet',
  byHowMuch: 'By how much?',
  notSaid: 'Not said',
  aLittle: 'A little',
  someMinutes: 'some minutes',
  byFar: 'By far',
  anotherFiring: 'another firing',
  whatElseCan: 'What else can be seen',
  bubblesCracksRim: 'bubbles, cracks, its rim, its colour',
  eachTrue: 'Each that is true',
  lookItReached: 'Look it reached',
  whichWayLay: 'Which way it lay',
  edgesTowardsDoor: 'its edges towards the door, a mark, the hot side',
  thisFiring: 'this firing',
  whatItTeaches: 'What it teaches',
  saveNotebook: 'Save to the notebook',
  howDidComeOut: 'How did it come out of the mould?',
  howDidComeOutDam: 'How did it come out of the dam?',
  howDidComeOff: 'How did it come off the former?',
  howDidComeOffPlate: 'How did it come off the plate?',
  howDidComeOffShelf: 'How did it come off the shelf?',
  howDidComeOffBelow: 'How did it come off below?',
  leftOut: 'left out',
  readingGlassLeave: 'a reading at the glass; or leave it out',
  readingGlass: 'with a reading at the glass',
} as const;

export const MARKS = {
  edgesOf: (flaw: string): string => `Edges where it ${flaw}`,
  edges: [
    { value: 'unsaid', title: 'Not said' },
    { value: 'sharp', title: 'Sharp', note: 'broke late' },
    { value: 'rounded', title: 'Rounded', note: 'broke on the way up' },
  ],
  courseOf: (flaw: string): string => `Course where it ${flaw}`,
  courses: [
    { value: 'unsaid', title: 'Not said' },
    { value: 'across', title: 'Across', note: 'from rim to rim' },
    { value: 'join', title: 'Along a join', note: 'of two glasses' },
    { value: 'form', title: 'At its form', note: 'or its dam' },
  ],
  sizeOf: (flaw: string): string => `Size: ${flaw}`,
  sizes: [
    { value: 'unsaid', title: 'Not said' },
    { value: 'small', title: 'Small', note: 'under 2 mm (1/16 in)' },
    { value: 'large', title: 'Large' },
  ],
  whichOne: 'Which one is marked',
  tapWhere: (flaw: string): string => `Tap where: ${flaw}`,
  tapEnds: 'Tap where the crack begins, then where it ends',
  removeLast: 'Remove mark',
  markIt: 'Mark where it is',
  fromAbove: (words: string): string => `From above${words === '' ? '' : `: ${words}`}`,
} as const;

export const NEXT = {
  title: 'Next time',
  stepGone: 'This firing is no longer in the journey of its piece. Run it again on another piece from its page.',
  noGlass: 'Nothing of glass was fired. Change its hold on its own page and run it again.',
  notThis: 'The piece, its form or its kiln was changed since. This result does not hold for it any more: plan the firing on its own page.',
  notOpened: 'No result yet. Record it, and the next schedule appears here.',
  nothing: 'It came out right, and nothing else was seen on it. Run it again as it is.',
  whatGoes: 'What goes in',
  thisPiece: 'This piece again',
  whatItHad: 'counts the heat it had',
  another: 'Another like it',
  changes: 'What changes first',
  changed: { temperature: 'Temperature', hold: 'Hold' },
  temperature: 'top temperature',
  hold: 'hold',
  right: 'right',
  same: 'as before',
  inTen: (chance: number): string => (chance > 0.95 ? 'over 9 in 10' : chance < 0.05 ? 'under 1 in 10' : `${Math.round(10 * chance)} in 10`),
  else: (short: string, past: string): string => `short ${short}, too far ${past}`,
  plan: 'Plan it',
  trial: 'Try it in clear',
  trialWhole: 'Try it in clear glass first, as a piece of its own',
  trialOf: (name: string): string => `${name.slice(0, 66)}, clear trial`,
  heldBack: 'An earlier change of this piece waits for your decision. Open the piece first.',
  like: 'Like this one',
  likeAbout: (count: number): string => (count === 1 ? 'one firing, with its result' : `${count} firings, with their results`),
  likeRow: (at: string, result: string): string => `${at}: ${result}`,
  whyFlaw: (flaw: string): string => `${flaw}: likely causes`,
  otherCauses: 'Other causes',
  likely: 'likely',
  possible: 'possible',
  noFigure: 'No figure of this firing shows it.',
} as const;

export const SERIES = {
  title: 'Test series',
  about: 'firings that differ in one thing',
  differIn: (factor: string): string => `They differ in ${factor}`,
  factors: { temperature: 'top temperature', hold: 'hold', thickness: 'thickness', amount: 'grains', height: 'height' },
  next: 'next trial',
  found: 'found',
  between: 'it changes at',
  nineInTen: '9 in 10',
  range: (low: string, high: string): string => `${low} to ${high}`,
  enough: 'Known well enough. Another trial would tell little more.',
  refired: 'fired before: not counted',
  alsoChanged: 'something else changed too: not counted',
  add: 'Add a trial',
} as const;

export const NOTEBOOK_PAPER = {
  for: (recipeName: string, ran: string, ran2: string): string => `${recipeName}, ${ran} for ${ran2}`,
} as const;

export const NOTEBOOK_PANE = {
  pieceNotePlace: 'piece, note, place, kiln, glass',
  mouldOrFormer: 'Mould or former',
  in: (findName: string): string => `in ${findName}`,
  mouldGone: 'a mould that is gone',
  filter: 'Filter',
  found: ' found',
  noFiringMatches: 'No firing matches. Search for fewer words, or remove a filter.',
  firedPiecesAppear: 'Fired pieces appear here with what you saw. Open a piece, plan its firing and record the result.',
  resultFiringType: 'result, firing type',
  firingType: 'Firing type',
  for: (recipeName: string, ran: string, ran2: string): string => `${recipeName}, ${ran} for ${ran2}`,
  pictureOf: (pieceName: string): string => `Picture of ${pieceName}`,
} as const;
