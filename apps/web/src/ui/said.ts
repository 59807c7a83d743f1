/** All that the parts that every place is built of say, in one place; figures come in as they are written. */

export const NOTICE = {
  takeCare: 'Take care. ',
} as const;

export const DRAWER = {
  done: 'Done',
} as const;

export const CONNECTION = {
  notKept: ', not kept',
  asOf: (asOf: string): string => `as of ${asOf}`,
  diskFull: 'disk full',
  notSaved: (refused: number): string => `${refused} not saved`,
  whatWaitsServer: (word: string): string => `${word}: what waits for the server`,
  asOfWaiting: (children: string): string => `as of ${children} …`,
  browserNoRoom: 'This browser has no room to keep it, so it is in this page alone: leave the page open until the server answers.',
  serverDoesNot: 'The server does not answer',
  theDisk: 'The disk is full',
  notSavedTitle: 'Not saved',
  whatWaits: 'What waits for the server',
  doneWhatWaits: 'Done with what waits',
  diskStudioLies:
    'The disk that the studio lies on is full. All that was saved is there; nothing more is saved until somebody makes room on it. What you change waits in this browser and goes by itself then.',
  savedBrowserEven: 'Saved in this browser, even if you close the tab. Sent in this order when the server answers:',
  nothingWaitsWhat: 'Nothing waits. What you change now is kept in this browser and sent when the server answers.',
  whatStandsPage: (moment: string): string => `What stands on this page is as of ${moment}.`,
  sendItAgain: 'Send it again',
  fireItAs: 'Fire it as it is',
  saveAllSame: 'Save it all the same',
  bringBackMine: 'Bring it back with mine',
  bringBothBack: 'Bring both back',
  letItGo: 'Let it go',
  wasNotTaken: (wordsOf: string, message: string): string => `${wordsOf} was not taken: ${message}`,
} as const;

export const ANNOUNCE = {
  torvin: (next: string): string => `${next} · Torvin`,
} as const;

export const SCREEN = {
  backTo: (title: string): string => `Back to ${title}`,
} as const;

export const READING = {
  reading: 'Reading …',
} as const;

export const LOADING = {
  tryAgain: 'Try again',
} as const;

export const FIGURE_BLOCK = {
  or: (value: string): string => `, or ${value}`,
} as const;

export const CAUTION = {
  takeCare: (firstOf: string): string => `Take care. ${firstOf}`,
  read: 'read',
} as const;

export const STEPPER = {
  less: (label: string): string => `${label} less`,
  more: (label: string): string => `${label} more`,
} as const;

export const GONE_CHOICE = {
  bringBackMine: 'Bring it back with mine',
  deletedElsewhereMeanwhile: (what: string): string => `This ${what} was deleted elsewhere meanwhile, and your change of it is not saved.`,
} as const;

export const TAKE_BACK = {
  bringBack: 'Bring back',
  leaveItSo: 'Leave it so',
} as const;

export const WHY = {
  why: (theOf: string): string => `Why? ${theOf}`,
  whyLabel: 'why?',
} as const;

export const RESULTS = {
  tooFar: 'too far',
  notOpened: 'not opened',
  brokeComingOff: 'broke coming off',
  byFar: ', by far',
  byALittle: ', by a little',
  glassWhileController: (glass: string, controller: string): string => `At the glass it was ${glass} while the controller read ${controller}.`,
  leftOutWhat: 'Left out of what the kiln has taught.',
} as const;

export const SIDE_BY_SIDE = {
  figure: 'figure',
  enoughOfThat: 'Enough of that',
  whatDoThese: 'What do these mean?',
} as const;

export const DRAFT_OFFER = {
  goOnWith: 'Go on with it',
  throwItAway: 'Throw it away',
  somethingEnteredNot: 'Something was entered here and not saved',
} as const;

export const HELD = {
  serverDoesNot: 'The server does not answer, and this browser has no room to keep this: leave the page open until it does.',
  serverDoesNotAnswer: 'The server does not answer. This is kept here and sent when it does; you can go on, or leave the page.',
} as const;

export const TIME_INPUT = {
  writeOrPm: 'Write 18:30 or 6.30 pm.',
} as const;

export const SEARCH = {
  clearTheSearch: 'Clear the search',
} as const;

export const FOUND_CHOICE = {
  findAmong: (label: string, options: number): string => `${label}: find among ${options}`,
  wordsName: 'words of its name',
} as const;

export const ENTER_PASSCODE = {
  phone: 'Phone',
  computer: 'Computer',
  torvin: 'Torvin',
  studioNetwork: 'a studio in this network',
  eachDeviceAsked:
    'Each device is asked once for the passcode of this studio. It was shown where Torvin was started, beside a link that lets in a browser on that computer.',
  keptBrowser: (waiting: number): string =>
    `${waiting === 1 ? 'One change made here waits' : `${waiting} changes made here wait`} for it, kept in this browser.`,
  passcode: 'Passcode',
  capitalLettersSpaces: 'capital letters, spaces and hyphens do not matter',
  nameDevice: 'Name of this device',
  listedShelves: 'as listed in Settings',
  looking: 'Looking …',
  letDevice: 'Let this device in',
} as const;

export const NEWER_TORVIN = {
  loading: 'Loading …',
  loadIt: 'Load it',
  serverRunsAnother: (wait: string): string => `The server runs another version of Torvin than this page. ${wait}`,
  newerTorvinReady: 'A newer Torvin is ready.',
  yourChangesWait: 'Your changes wait here until you reload the page.',
  sentOnceYou: (waiting: number): string =>
    `${waiting === 1 ? 'One change waits' : `${waiting} changes wait`} here and ${waiting === 1 ? 'is' : 'are'} sent once you reload the page.`,
} as const;

export const OVER_HTTP = {
  overPlainHttp: 'Over plain http Torvin goes on without its server only while this page stays open. Settings say what https adds.',
  understood: 'Understood',
} as const;

export const TOOLS = {
  find: 'Find anything',
  help: 'Help for this page',
} as const;

export const FRAME = {
  find: 'Find',
  help: 'Help',
  settings: 'Settings',
  reckon: 'Reckon',
  places: 'Places',
  tools: 'Tools',
} as const;

export const BROKEN = {
  pageCouldNot: 'This page could not be drawn',
  faultTorvinNot: 'That is a fault of Torvin, not of your work: what was saved is safe, and what was not sent yet is kept in this browser.',
  drawItAgain: 'Draw it again',
  goBench: 'Go to the Bench',
} as const;

/** Short words that more than one place says. */
export const WORDS = {
  toPieces: 'Go to Pieces',
  toThePage: 'To the page',
  delete: 'Delete',
  named: (name: string, figure: string): string => `${name} ${figure}`,
  saveMineOver: 'Save mine over it',
  firing: 'Firing',
  piece: 'Piece',
  disc: 'Disc',
  oval: 'Oval',
  corners: 'Corners',
  theWidth: 'The width',
  theLength: 'The length',
  glass: 'Glass',
  strips: 'Strips',
  segments: 'Segments',
  remove: 'Remove',
  keep: 'Keep',
  inTheKiln: 'in the kiln',
  inAll: 'in all',
  fromLeft: 'from left',
  fromFront: 'from front',
  thick: 'Thick',
  cuttingList: 'Cutting list',
  notNow: 'Not now',
  letMineGo: 'Let mine go',
  keyIn: 'Key in',
  asPlanned: 'as planned',
  name: 'Name',
  recordResult: 'Record result',
  restore: 'Restore',
  label: 'Label',
  pieces: 'Pieces',
  calculated: 'calculated',
  calculating: 'Calculating …',
  calculateAgain: 'Calculate again',
  kiln: 'Kiln',
  notebook: 'Notebook',
  betweenCrossedPolarisers: 'Between crossed polarisers',
  aLimit: 'a limit',
  judging: 'Judging …',
  aSlip: 'a slip',
  close: 'Close',
  notYet: 'Not yet',
  print: 'Print',
  shelves: 'Shelves',
  changedByHand: 'changed by hand',
  howMany: 'how many',
  result: 'Result',
  search: 'Search',
} as const;

export const UNDO_BAR = {
  undo: 'Undo',
  redo: 'Redo',
} as const;

export const BROUGHT = {
  dropPicture: 'Drop it: the picture is added here.',
  dropFile: 'Drop it: a piece is imported, a schedule is read.',
  noPicture: 'No picture is kept here. Open the record of a firing, or a glass or mould on the shelves.',
  noSchedule: 'This is no piece of Torvin’s. To read a schedule, open the piece that it is for.',
  close: 'Close',
} as const;

export const CHOSEN = {
  none: 'Tap what you mean',
  count: (count: number): string => `${count} chosen`,
  region: 'What is done with those that are chosen',
  end: 'Choose no more',
  all: (shown: number): string => `All ${shown} shown`,
  several: 'Choose several',
} as const;

export const CALENDAR = {
  check: 'Check',
  holdsHottestSchedule: 'It holds at its hottest, by the schedule.',
  controllerDone: 'The controller is done',
  closedKilnCools: 'From here on the closed kiln cools by itself.',
  mayBeOpened: 'May be opened',
  estimatedOpenWhen: (opensBelow: string): string => `Estimated. Open when the kiln reads ${opensBelow} or less.`,
  in: (what: string, kilnName: string): string => `${what} in ${kilnName}`,
  calendarCouldNot: 'The calendar could not be written.',
} as const;

export const QUEUE_NOTICE = {
  piece: 'piece',
  tryAgain: 'Try again',
  letItGo: 'Let it go',
} as const;

export const STALE_CHOICE = {
  takeSavedOne: 'Take the saved one',
  pieceChangedElsewhere: (currentName: string, footprint: string, layers: string, mine: string): string =>
    `This piece was changed elsewhere meanwhile. Saved now: ${currentName}, ${footprint}, ${layers}. Yours, not yet saved: ${mine}.`,
} as const;
