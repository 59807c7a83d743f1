/** All that the Bench and a kiln that fires say, in one place; figures come in as they are written. */
const one = (count: number, single: string, several: string): string => `${count} ${count === 1 ? single : several}`;

export const BENCH = {
  title: 'Bench',
  now: 'Now',
  next: 'Next up',
  dueOn: (day: string): string => `due ${day}`,
  decisions: 'Needs a decision',
  due: 'Due',
  taught: 'What firings taught',
  ofWhichKiln: 'Of which kiln',
  noFiring: 'No firing in a kiln. Start one from its key-in sheet and it appears here.',
  noPiece: 'Start with a piece: its outline and its glass. Its firing is calculated from them.',
  newPiece: 'New piece',
  goOn: 'Go on setting up',
  notSetUp: 'A few questions about units, kiln and glass are open. Then comes a first piece.',
  nothingToKey: 'Nothing to key in. Plan a firing and it appears here.',
  allWaiting: (count: number): string => `All ${count} that wait`,
  recoat: (form: string): string => `Recoat ${form}`,
  making: (form: string, step: string): string => `${form}: ${step.toLowerCase()}`,
  noResults: 'no results yet',
  taughtBy: (kiln: string, firings: number): string => `${kiln}, ${one(firings, 'firing', 'firings')}`,
  usedTwice: (kiln: string): string => `Two firings are in the kiln '${kiln}' at the same time. Mark the one that was opened, or record its result.`,
  step: 'a step',
  together: (many: number): string => `Fire ${many} of them together`,
  keyIn: 'Key in',
  open: 'Open',
} as const;

/** What a piece needs before it goes on. */
export const DECISIONS = {
  outdated: (firing: string, why: string): string => `${firing}: its schedule is out of date. ${why}`,
  noFiring: 'no firing chosen',
  tooFar: (firing: string): string => `${firing} went too far`,
  short: (firing: string): string => `${firing} fell short`,
  noSchedule: (firing: string): string => `${firing} has no schedule`,
  again: 'Calculate again',
  plan: 'Plan',
  nextPlan: 'See next plan',
} as const;

export const FIRING = {
  differs: (why: string): string => `Fired although the schedule was out of date. ${why}`,
  starts: (at: string): string => `Starts by itself at ${at}.`,
  opened: (at: string): string => `Opened ${at}.`,
  openedUntold: (at: string): string => `Opened ${at}; no result recorded yet.`,
  check: (from: string, to: string): string => `Check from ${from} to ${to}.`,
  segmentUntil: (name: string, at: string): string => `${name} until ${at}.`,
  openAfter: 'open after',
  coolSince: 'cool since',
  opensBelow: (reading: string): string => `kiln ${reading} or less`,
  kiln: 'kiln, estimated',
  core: 'glass core',
  inside: 'inside',
  see: 'See the firing',
  seeIn: (kiln: string): string => `See the firing in ${kiln}`,
  record: 'Record result',
  more: (count: number): string => `and ${count} more`,
  recordAll: (count: number): string => `Record ${count} results`,
  recordOf: (piece: string): string => `Record ${piece}`,
  openRecord: 'Open its record',
  openRecordOf: (piece: string): string => `Open its record: ${piece}`,
} as const;

export const CALL_FOLD = {
  alerts: 'Alerts',
  soundCheckTime: 'sound at check time, keep screen on, add to calendar',
  at: (theFrom: string): string => `at ${theFrom}`,
  nextCheck: 'at the next check',
  keepScreenUntil: 'Keep this screen on until the check is over',
  browserCannotKeep: 'This browser cannot keep the screen on here, for which it wants https: set the device’s own time-out instead.',
  callDeviceAny: (when: string): string => `Call on this device ${when}, from any page of Torvin that is open`,
  sleepingPhoneClosed:
    'A sleeping phone or a closed page cannot call, and every browser has limits of its own: set a kitchen timer too where much hangs on it.',
  hearTheCall: 'Hear the call',
  allowANotification: 'Allow a notification …',
  nothingHeardLook: 'That was it. Nothing heard? Look at the device’s volume, and whether it is on silent.',
  browserDoesNot: 'This browser does not let the page sound.',
  notificationsPageTurned: 'Notifications of this page are turned off in the browser’s own settings.',
  intoACalendar: 'Into a calendar',
  addCalendarCheck: 'Add to calendar: check, end of the program and opening, as a file',
} as const;

export const RUNNING_DRAWING = {
  nowAboutDeep: (depth: string, width: string, laid: string): string => `by now about ${depth} deep and ${width} wide, laid ${laid} wide`,
} as const;

export const IN_KILN = {
  stillClosed: 'It is still closed',
  kilnBeenOpened: 'The kiln has been opened',
  openedAt: 'Opened at',
  sayDayTime: 'Say a day and a time since it was started, that has been.',
  openedThen: 'It was opened then',
  calculatingWhereStands: 'Calculating where it stands …',
  segmentOfUntil: (segment: number, keyed: number, roleName: string, holding: boolean, target: string, ends: string): string =>
    `Segment ${segment} of ${keyed}, ${roleName}: ${holding ? 'holding at' : 'on its way to'} ${target} until ${ends}.`,
  programFinishedKiln: (target: string, ends: string): string => `Program finished. The kiln stays closed and cools to ${target} by about ${ends}.`,
  estimateKiln: (kiln: string, emptyFiringOf: string, core: string): string => `Estimate: kiln ${kiln}, ${emptyFiringOf} ${core}.`,
  insideLoad: 'inside of the load',
  glassCore: 'glass core',
  estimateCoolEnough: (total: string, opens: string): string => `Estimate: cool enough since ${total}. Open when the kiln reads ${opens} or less.`,
  openWhenKiln: (opens: string, total: string): string => `Open when the kiln reads ${opens} or less, about ${total}.`,
} as const;

export const WAITING = {
  firingChosen: 'a firing to be chosen',
  decisionWentToo: (name: string): string => `a decision: its ${name} went too far`,
  anotherLastFell: (name: string): string => `another ${name}: the last fell short`,
  theScheduleOf: (name: string): string => `the schedule of its ${name}`,
  theKilnFor: (name: string): string => `the kiln, for its ${name}`,
  theBench: (step: string): string => `the bench: ${step}`,
  aStep: 'a step',
} as const;

export const CALLS = {
  checkNow: 'Check now',
  holdsHottestUntil: (whatOf: string, lookTo: string): string => `${whatOf}. It holds at its hottest until ${lookTo} by its schedule.`,
  throughPeepHole: 'Through the peep hole: face shield and gloves, power off before a hand goes in.',
  pageNotBeen: 'This page has not been touched since it was opened, so the browser keeps it silent.',
  iAmLooking: 'I am looking',
  againInMinutes: 'Again in 5 minutes',
  checkNowTitle: 'Check now · ',
} as const;

export const LEARNED = {
  ofThem: (apart: string): string => `; of them ${apart}`,
  controllerReadsTrue: 'its controller reads true',
  controllerReadsGlass: (offset: string, signed: number): string => `its controller reads ${offset} ${signed > 0 ? 'over' : 'under'} the glass`,
  looksTakeTimes: (workFactor: string, looks: string, reads: string): string => `looks take ${workFactor} times the usual heat work${looks}; ${reads}`,
  nothingYetRecord: 'Nothing yet. Record a result, and what it teaches about your kiln appears here.',
  everyRecordedFiring: (kilnName: string, familyName: string): string =>
    `${kilnName}, ${familyName}: every recorded firing is left out, so the usual values apply.`,
  from: (kilnName: string, familyName: string, firings: number, words: string): string =>
    `${kilnName}, ${familyName}, from ${firings} ${firings === 1 ? 'firing' : 'firings'}: ${words}.`,
  nineTenTimes: (factors: string, spread: string, separated: boolean): string =>
    `Nine in ten: ${factors} times, and within ${spread} of that reading. ${separated ? 'These firings separate the two.' : 'These firings cannot tell the two apart: a witness cone or a thermocouple at the glass, or a look at another temperature, would.'}`,
  drifted: (by: string, hotter: number): string =>
    `The last 10 firings came out ${by} ${hotter > 0 ? 'hotter' : 'cooler'} than those before. Check the thermocouple, then fire a cone or a test tile.`,
  plansKilnGo: 'Plans in this kiln go by it.',
  plansKilnGoEarlier: (words: string): string => `Plans in this kiln go by an earlier word: ${words}.`,
  goodUsualPlans: 'That is as good as usual: plans need no correction.',
  plansDoNot: 'Plans do not go by it yet.',
  whatLearnt: 'What it was learnt from',
  planByIt: 'Plan by it',
  planAsUsual: 'Plan as usual',
  whatBelievedBefore: 'what was believed before, each firing, what is believed now',
  firingsLeftOut: (out: number, lessons: number): string => `${out} of ${lessons} firings left out`,
  toTimes: (theFrom: string, to: string): string => `${theFrom} to ${to} times`,
  to: (theFrom: string, to: string): string => `${theFrom} to ${to}`,
  heatWorkLooks: 'Heat work that looks take, against usual',
  oneOfThem: (recipeName: string): string => `Of them ${recipeName}`,
  controllerLessGlass: 'Controller less glass',
  paleBeforeAny:
    'Pale: before any firing. Thin: what each firing says, the newest on top; of heat work as if the kiln read true, of the controller by what was read at the glass; broken where it is left out. Strong: now. Nine in ten each.',
  leastNeeds: (recipeName: string, result: string, by: string, ofLeast: number, witness: string, leftOut: boolean): string =>
    `${recipeName}: ${result}${by}, at ${ofLeast} % of the least it needs${witness}${leftOut ? '; left out' : ''}`,
  readingGlass: ', with a reading at the glass',
  cone: (over: string): string => `, its cone says ${over} over the glass`,
  measured: ', by its measured shape',
  without: (offset: string, factor: string): string => `Without it: controller less glass ${offset}, looks ${factor} times.`,
  littleWithout: 'Without it: nearly the same.',
  leaveOut: 'Leave out',
  count: 'Count it',
  line: (from: string, to: string): string => `Controller less glass, ten firings at a time: ${from} at first, ${to} now. Dotted: it reads true.`,
  before: (title: string, now: string, was: string): string => `${title}: ${now}; before ${was}`,
} as const;

export const BENCH_PAPER = {
  openedNoResult: (openedAt: string): string => `opened ${openedAt}; no result recorded yet`,
  scheduleUntilMay: (isToCome: boolean, start: string, total: string, opens: string): string =>
    `${isToCome ? 'starts by itself at' : 'started'} ${start}; by its schedule ${total} until it may be opened, ${opens}`,
  bench: 'Bench',
  asItStands: (day: string): string => `as it stands ${day}`,
  inTheKiln: 'In the kiln',
  nothing: 'Nothing.',
  waiting: 'Waiting',
  waitsFor: (waitsFor: string, total: string): string => `waits for ${waitsFor}${total}`,
  andMore: (more: number): string => `and ${more} more`,
  toRecoat: 'To recoat',
  inTheMaking: 'In the making',
  isNext: (title: string, why: string): string => `${title} is next. ${why}`,
} as const;

export const BENCH_SCREEN = {
  reading: 'Reading …',
} as const;
