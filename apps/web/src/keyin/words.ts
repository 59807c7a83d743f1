/** All that keying in, reading back and starting say, in one place; figures come in as they are written. */

export const BEFORE_START = {
  glassReady: 'Is the glass ready?',
  isItReady: 'Is it ready?',
  isTheKiln: 'Is the kiln?',
} as const;

export const SLOTS = {
  notReadBack: 'not read back',
  readBackWithout: 'read back without a slip',
  readBackWith: (slips: number): string => `read back with ${slips === 1 ? 'a slip' : `${slips} slips`}`,
  whichStillCome: (keyedAt: string): string => `${keyedAt}, which is still to come: a clock was wrong`,
  nothingTorvinKnows: 'nothing that Torvin knows of',
  since: (clockNote: string): string => `since ${clockNote}`,
  somethingElse: (since: string): string => `something else, ${since}`,
} as const;

export const IN_PROGRAM = {
  takenAsItStands: 'Use it as it stands',
  theseFiguresProgram: (slot: number, stands: string): string => `These figures are in program ${slot} already: ${stands}.`,
  stoodProgramUntil: (slot: number, keyedOverAt: string, pieceName: string): string =>
    `It stood in program ${slot} until ${keyedOverAt}, when ${pieceName} was keyed over it.`,
  somethingElse: 'something else',
  program: 'Program',
  programBefore: 'Program before',
  programUnknown: 'Program …',
  lookingWhichOne: 'looking which one is free',
  programOf: (slot: number): string => `Program ${slot}`,
  thereNow: (stands: string): string => `there now: ${stands}`,
  programAfter: 'Program after',
} as const;

export const KEY_IN_DECK = {
  keyOneFigure: 'To key in, one figure at a time',
  hoursAndMinutes: 'hours and minutes',
  fastCan: 'as fast as it can',
  anHour: (unit: string): string => `${unit} an hour`,
  aMinute: (unit: string): string => `${unit} a minute`,
  inProgram: (slot: number): string => `In program ${slot}.`,
  programMayWritten: 'In a program that may be written over.',
  showsUntilThen: (stood: string): string => `It shows ${stood} there until then, from an older program.`,
  asksFirstHow: (rows: number): string => `It asks first how many segments: ${rows}.`,
  thenEndProgram: 'Then end the program.',
  holdNoneFiring: 'This hold is none of the firing: it ends the program.',
  thenKeyEnds: 'Then key 0: that ends the program.',
  segmentOf: (segment: number, rows: number, roleName: string): string => `Segment ${segment} of ${rows}, ${roleName}`,
  keyed: 'Keyed',
  keyedNowRead: 'Keyed; now read it back',
  keyedNext: 'Keyed; next',
  keyedReadBack: 'Keyed, read it back',
  keyedNextTitle: 'Keyed, next',
  backOne: 'Back one',
} as const;

export const OTHER_KILN = {
  controller: 'Controller',
  oneSheet: 'That is the one this sheet is for.',
  judgeItThere: 'Judge it there',
  keepsEveryLimit: 'There it keeps every limit.',
  thereItBreaks: (broken: number, which: string): string => `There it breaks ${broken === 1 ? 'a limit' : `${broken} limits`}. ${which}`,
  planItThere: 'Plan it there, as it is',
} as const;

export const READ_BACK = {
  controllerShowsNo: 'The controller shows no segment of it: key it in again.',
  letControllerShow: (program: null | number): string =>
    `Let the controller show ${program === null ? 'the program' : `program ${program}`} again and say what stands there: a slip is found here, not in the kiln.`,
  readItBack: 'Read it back',
  readBackAgain: 'Read it back again',
  judgingWhatShows: 'Judging what it shows …',
  readingBack: 'Reading back',
  segmentWhatDoes: (index: number, rows: number): string => `Segment ${index} of ${rows}: what does the controller show?`,
  itShowsThat: 'It shows that',
  somethingElse: 'Something else',
  itIsNot: 'It is not there',
  backOne: 'Back one',
  enterFigureShows: 'Enter the figure it shows.',
  enterHoldShows: (shownHold: string): string => `Enter the hold as it shows it, such as ${shownHold}.`,
  showsAllSegments: (rows: number, total: string): string => `It shows all ${rows} segments as they should be: ${total} in all.`,
  showsOneSlip: 'It shows one slip. Mend it in the controller, then read it back again.',
  showsSlipsWorst: (slips: number): string => `It shows ${slips} slips, the worst first. Mend them in the controller, then read it back again.`,
} as const;

export const ROUNDED = {
  thisControllerRounds: (segmentDifferences: string, worse: boolean, changes: number): string =>
    `This controller rounds. ${segmentDifferences} ${worse ? 'So keyed it breaks a limit that it kept.' : changes === 0 ? 'In the glass it changes nothing that shows.' : 'In the glass it changes this:'}`,
  asKeyed: 'as keyed',
} as const;

export const KILN_IN_USE = {
  plannedKiln: (pieces: string, be: string, kilnName: string, moment: string, until: string): string =>
    `${pieces} ${be} planned for the kiln '${kilnName}' from ${moment} to ${until}.`,
  kilnSince: (pieces: string, be: string, kilnName: string, moment: string): string => `${pieces} ${be} in the kiln '${kilnName}' since ${moment}`,
  mayOpened: (since: string, until: string): string => `${since}; it may be opened at ${until}.`,
  coolEnough: (since: string, until: string): string => `${since}; it was cool enough at ${until}.`,
  joinThisLoad: 'Join this load',
  beenOpened: 'It has been opened',
  startWhenFree: 'Start when it is free',
  anotherKiln: 'Another kiln',
  oneKilnOne: 'One kiln, one load at a time.',
  opened: 'Opened',
  freeTheKiln: 'Free the kiln',
  putThem: 'Put it in with them',
  theirSchedulePiece: (broken: number): string => `With their schedule this piece breaks ${broken === 1 ? 'a limit' : `${broken} limits`}.`,
  theirSchedulePieceKeeps: 'With their schedule this piece keeps every limit.',
} as const;

export const DELAY = {
  startedNowLooked: (look: string, open: string): string => `started now, it is looked into at ${look} and opened at ${open}`,
  wouldHadStart: (start: string, earliest: string): string => `It would have had to start at ${start}: too late for that. The earliest is this: ${earliest}.`,
  controllerDelaysStart: (mostDelay: string, start: string): string => `Its controller delays a start by ${mostDelay} at most: set it from ${start} on.`,
  startsNightNearby: 'It starts at night. Be nearby for the first hour.',
  checkFallsNight: 'The check falls at night.',
  startsDelayNow: (start: string, wait: string, look: string, open: string): string =>
    `Starts at ${start}, a delay of ${wait} from now; check from ${look}, open at ${open}.`,
} as const;

export const START_FIRING = {
  startsByItself: 'Starts by itself',
  lookedInto: 'To be looked into',
  toBeOpened: 'To be opened',
  rowsNotTicked: (unticked: number): string => `${unticked} of the rows ${unticked === 1 ? 'is' : 'are'} not ticked.`,
  controllerShowsMend: (slips: number): string =>
    `The controller shows ${slips === 1 ? 'a slip' : `${slips} slips`}: mend ${slips === 1 ? 'it' : 'them'} and read back again.`,
  itBreaksFor: (name: string, broken: number): string => `For ${name} it breaks ${broken === 1 ? 'a limit' : `${broken} limits`}.`,
  theScheduleBreaks: (broken: number): string => `The schedule breaks ${broken === 1 ? 'a limit' : `${broken} limits`}.`,
  startAllSame: 'Start all the same',
  setPutBench: 'It is set: put it on the Bench',
  runningPutBench: 'It is running: put it on the Bench',
  sayWhenDay: 'Say when: a day and a time.',
  tooLateChoose: 'Too late for that: choose a later time.',
  itStarts: 'It starts',
  now: 'Now',
  later: 'Later',
  delayController: 'a delay on the controller',
  theTimeIs: 'The time is that of',
  theStart: 'The start',
  theCheck: 'The check',
  theOpening: 'The opening',
  inTheKiln: 'In the kiln with it',
  theseWaitKiln: 'These wait for this kiln with the very same schedule; tick those that stand beside it.',
  allOfThem: (alike: number): string => `All ${alike} of them`,
} as const;

export const KEY_IN_SCREEN = {
  countsHoldsSegments: (pieceName: string, controllerName: string, kilnName: string, unit: string, mostSegments: number): string =>
    `${pieceName} · ${controllerName} on ${kilnName} · counts in °${unit} · holds ${mostSegments} segments`,
  printKeySheet: 'Print the key-in sheet, one page',
  scheduleYouSee: 'the schedule as you see it here',
  fireItAs: 'Fire it as it is',
  segmentsTouchRow: (rows: number, counts: string): string => `${rows} segments. ${counts} Touch a row when it is keyed.`,
  rowsWereTicked: (left: number, rows: number): string => `${left} of ${rows} rows were ticked here and the firing not started`,
  goOnFrom: 'Go on from there',
  startOver: 'Start over',
  oneFigureTime: 'One figure at a time',
  rehearseItFirst: 'Rehearse it first',
  sameAnotherKiln: 'The same in another kiln',
  anotherControllerCounts: 'as another controller counts it, and what it does there',
  thenNothingAfter: (rows: number): string => `Then nothing: after segment ${rows} it switches off, and the closed kiln cools slower than it may.`,
  allKeyedNow: 'All keyed. Now let the controller show them, and read them back.',
  ofKeyed: (keyed: number, rows: number): string => `${keyed} of ${rows} keyed`,
  thisScheduleBreaks: (broken: number, roleName: string, brokenSentence: string): string =>
    `This schedule breaks ${broken === 1 ? 'a limit' : `${broken} limits`}. ${roleName}: ${brokenSentence}`,
  segmentsKey: 'Segments to key in',
  endsIt: 'Ends it',
} as const;
