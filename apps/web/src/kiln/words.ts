/** All that a running kiln, a rehearsal and practice say, in one place; figures come in as they are written. */

export const KILN_SCREEN = {
  running: 'Running',
  noFiringKiln: 'No firing in a kiln. Start one from its key-in sheet and it appears here.',
  toKeyIn: 'To key in',
  nothingKeyYet: 'Nothing to key in yet. Plan a firing and its schedule appears here.',
  scheduleOutDate: (outdated: string): string => `its schedule is out of date. ${outdated}`,
  practiseController: 'Practise at a controller',
  inTheControllers: 'In the controllers',
  noControllerShelves: 'No controller is on the shelves yet.',
  noProgramRecorded: 'no program recorded',
  known: (standing: number): string => `${standing === 1 ? 'one program' : `${standing} programs`} known`,
  programSomethingElse: (slot: number): string => `Program ${slot} is something else now.`,
  entryProgramTaken: (slot: number): string => `The entry of program ${slot} is taken out.`,
  programCame: 'Program 1 came with it.',
  programsCame: (first: number, last: number): string => `Programs 1 ${first === 3 ? 'and' : 'to'} ${last} came with it.`,
  figuresAsksThem: 'Figures as it asks for them, segment by segment.',
  program: (slot: number): string => `Program ${slot}: `,
  keySheet: 'Its key-in sheet',
  keySheetProgram: (slot: number): string => `Its key-in sheet: program ${slot}`,
  takeItOut: 'Take it out',
  takeEntryProgram: (slot: number): string => `Take the entry of program ${slot} out`,
  differentProgramSlot: 'Different program in this slot',
  differentProgramSlotProgram: (slot: number): string => `Different program in this slot: program ${slot}`,
} as const;

export const RUN_OUTCOME = {
  estimate: (emptyFiringOf: string, core: string): string => `Estimate: ${emptyFiringOf} ${core}.`,
  insideLoad: 'inside of the load',
  glassCore: 'glass core',
  ranPlanned: 'It ran as planned.',
  leftAloneGoes: 'Left alone it goes as planned.',
  ranOtherwiseThan: 'It ran otherwise than planned:',
  leftAloneComes: 'Left alone from here it comes to this:',
  asItRan: 'as it ran',
  asItRuns: 'as it runs',
  kilnGetsNo: (reading: string): string => `The kiln gets no further than ${reading}.`,
} as const;

export const SHARED = {
  passed: 'Passed.',
  notPassed: 'Not passed.',
  oneCounts: (controllerName: string, cannot: string, insteadName: string): string => ` '${controllerName}' ${cannot}: this one counts as '${insteadName}'.`,
} as const;

export const CUT_TASK = {
  soaksWayDown: (controllerName: string, cutFrom: string, cut: string, warm: string): string =>
    `'${controllerName}' soaks at ${cutFrom} on the way down when the power goes, for ${cut}. ${warm} When the power is back, what does it do?`,
  whatPapersSay: (papersOf: string): string => `What its papers say: ${papersOf}`,
  goesSoak: 'It goes on with the soak',
  stopsGlassCools: 'It stops, and the glass cools by itself',
  kilnCameDown: (target: string, afterCut: string): string => `The kiln came down to ${target}. ${afterCut}`,
  nobodyOpensKiln: 'Nobody opens the kiln.',
  afterCutProgram: 'after a cut the program is taken up again.',
  afterCutProgramTaken: (stillWarmK: string): string => `after a cut the program is taken up again where the kiln has lost no more than ${stillWarmK}.`,
  afterCutWaits: 'after a cut it waits to be started.',
} as const;

export const ENTER_TASK = {
  keyTheseSegments: (wanted: number, first: number, several: boolean, last: number): string =>
    `Key these ${wanted} segments into program ${first}${several ? ` or any up to ${last}` : ''}, and end the program.`,
  holdsWhatShould: 'It holds what it should.',
} as const;

export const FIND_TASK = {
  cannotShow: 'cannot show a program again',
  keyedOneFigure: (first: number, instead: string): string =>
    `This was to be keyed; one figure of what stands in program ${first} is another. Press Program, ${first}, then Look through, and Enter from figure to figure.${instead}`,
  segment: 'Segment',
  segmentOf: (i: number): string => `segment ${i}`,
  whichFigure: 'Which figure',
  thatIsThe: 'That is the slip',
} as const;

export const HOLD_LONGER = {
  aLongerHold: 'A longer hold',
  by: 'by',
  holdLonger: (by: string): string => `Hold ${by} longer`,
} as const;

export const RUN_VIEW = {
  whatControllerShows: 'What the controller shows',
  withoutPower: 'Without power',
  itRings: 'It rings',
  segment: (segment: number): string => `segment ${segment}`,
  left: (left: string): string => `${left} left`,
  quiet: 'Quiet',
  sendOn: 'Send on',
  sendNextSegment: 'Send on, to the next segment',
  longerHold: 'Longer hold',
  goHotter: (addsDegrees: string): string => `+ ${addsDegrees}: go hotter`,
  stopIt: 'Stop it',
  sinceStarted: (start: string, elapsed: string, said: string): string => `${start}, ${elapsed} since it was started.${said}`,
  lastIt: (said: string): string => ` Last: it ${said}.`,
  letTimeStand: 'Let time stand',
  letTimeGo: 'Let time go on',
  nextChange: 'To the next change',
  aSecondIs: 'A second is',
  aMinute: 'a minute',
  anHour: 'an hour',
  powerGoes: 'The power goes for',
} as const;

export const LOOK_TASK = {
  makesNoHoldLonger: 'makes no hold longer',
  kilnDoesLess: (right: string, instead: string): string =>
    `The kiln does less than it says. Let it hold and check. While it holds, make the hold longer until the glass is as it should be: ${right}.${instead}`,
  check: 'Check',
  youSee: (seen: string): string => `You see: ${seen}.`,
  cameOutShould: 'It came out as it should.',
  fellShortNeeded: (early: string): string => `It fell short: ${early}. It needed a longer hold before it went on.`,
  wentTooFar: (late: string): string => `It went too far: ${late}.`,
} as const;

export const SHORTEN_TASK = {
  controllerHoldsRun: (most: number, least: number): string =>
    `A controller that holds ${most} has to run these ${least}. Joined, two go straight to the second one's target at the slower of their rates.`,
  segments: (rows: number): string => `${rows} segments`,
  joinToNext: 'Join to next',
  joinNextSegment: (i: number): string => `Join to next: segment ${i}`,
  leaveOut: 'Leave out',
  leaveOutSegment: (i: number): string => `Leave out segment ${i}`,
  judgeIt: 'Judge it',
  fromTheBeginning: 'From the beginning',
  keepsEveryLimit: 'It keeps every limit.',
  withSix: 'with six',
} as const;

export const PRACTICE_SCREEN = {
  enterThis: 'Enter this',
  threeSegmentsFigure: 'three segments, figure by figure; one minute',
  findTheSlip: 'Find the slip',
  lookThroughProgram: 'look through a program and say which figure is wrong; one minute',
  checkAddMinutes: 'Check and add minutes',
  kilnDoesLess: 'this kiln does less than it says: check, and hold for longer; three minutes',
  shortenToSix: 'Shorten to six',
  joinEightSegments: 'join eight segments to six without harm to the glass; two minutes',
  afterPowerCut: 'After a power cut',
  sayWhatController: 'say what the controller does, and see what that does to the glass; one minute',
  practice: 'Practice',
  controllerNoMake: 'At a controller of no make; nothing here starts a kiln',
  fiveTasksTen: (controllerName: string): string =>
    `Five tasks, ten minutes in all, on a round tile of two sheets. It counts and behaves as '${controllerName}' does.`,
  asWhichController: 'As which controller',
  ofPassed: (passedOf: number, tasks: number): string => `${passedOf} of ${tasks} passed`,
  browserKeepsNothing: 'This browser keeps nothing: the score is gone when the page is.',
  onceMore: 'Once more',
  begin: 'Begin',
  onceMore2: 'once more',
  anotherTry: 'Another try',
  allTasks: 'All tasks',
  times: (count: number): string => `${count} times`,
  notTriedYet: 'Not tried yet.',
  triedNotPassed: (times: string): string => `Tried ${times}, not passed yet.`,
  triedPassedLast: (tried: string, passed: string, passedAt: string): string => `Tried ${tried}, passed ${passed}, last on ${passedAt}.`,
} as const;

export const REHEARSAL_SCREEN = {
  toKey: 'To key',
  keyMe: 'Key it for me',
  programHoldsAll: (kept: string, rows: number): string => `Program ${kept} holds all ${rows} segments as they should be.`,
  programHoldsMend: (kept: string, slips: number): string => `Program ${kept} holds ${slips === 1 ? 'a slip' : `${slips} slips`}. Mend it, or run it and see.`,
  toRun: 'To run',
  delayHours: 'Delay, hours',
  ringWhenTime: 'Ring when it is time to check',
  runQuickTime: 'Run it in quick time',
  keyProgramFirst: 'Key a program in first, or let it be keyed for you.',
  runItAgain: 'Run it again',
  rehearsal: 'Rehearsal',
  asCounts: (pieceName: string, controllerName: string): string => `${pieceName} · as ${controllerName} counts`,
  controllerNoMake: (controllerName: string): string =>
    `A controller of no make that asks, takes and refuses as '${controllerName}' does. Nothing here starts a kiln.`,
  scheduleOutDate: (outdated: string): string => `This schedule is out of date. ${outdated}`,
} as const;

export const OPENING = {
  draft: (id: string): string => `opening ${id}`,
  care: (look: string): string => `opening ${look}`,
  nth: (nth: number, of: number, name: string): string => `${name} · ${nth} of ${of}`,
  how: 'How did it come out?',
  sayHow: 'Choose one: short, right or too far.',
  by: 'By how much?',
  howFar: { little: 'A little', far: 'By far' },
  planned: (depth: string): string => `planned ${depth}; leave empty if it did`,
  seen: 'What else can be seen',
  seenAbout: 'bubbles, cracks, its rim, its colour',
  each: 'Each that is true',
  note: 'Note',
  skip: 'Skip',
  save: 'Save',
  saveNext: 'Save and next',
  done: 'Results',
  recorded: (told: number, of: number): string => `${told} of ${of} recorded`,
  nothing: 'Nothing in this load waits for a result.',
  next: 'Next time',
  see: 'See',
  toBench: 'Done',
} as const;
