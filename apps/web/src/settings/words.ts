/** All that Settings say, in one place; figures come in as they are written. */

export const SETTINGS = {
  title: 'Settings',
  about: 'Units, limits, screen, alerts, devices and backup.',
  units: 'Units',
  unitsNow: (temperature: string, length: string, mass: string): string => `°${temperature}, ${length}, ${mass}`,
  limits: 'Limits',
  limitsUsual: 'as usual',
  limitsOwn: (count: number): string => (count === 1 ? 'one set by the studio' : `${count} set by the studio`),
  results: 'Results',
  resultsNow: { asks: 'plans ask first', atOnce: 'used at once' },
  screen: 'Screen',
  screens: { system: 'as the device', light: 'light', dark: 'dark' },
  alerts: 'Alerts and keys',
  alertsOn: 'called on this device at check time',
  alertsOff: 'not called on this device',
  callHere: 'Call on this device at check time, from any page of Torvin that is open',
  stayAwake: 'Keep the screen on while a check is near',
  letters: 'Single-letter shortcuts on a keyboard',
  devices: 'Phones and other devices',
  devicesAbout: 'their address, the passcode, who has been let in',
  device: 'This device without the server',
  deviceAbout: 'what it can do, what is kept here',
  backup: 'Backup',
  backupLast: (at: string): string => `last ${at}`,
  backupNone: 'none yet',
  report: 'Fault report',
  reportAbout: 'what goes into it, to send with a fault',
} as const;

export const AFTER_RESULTS = {
  learning: 'What firings teach about a kiln',
  learnings: {
    asks: { title: 'Ask', note: "'Plan by it' on the Bench" },
    atOnce: { title: 'Use at once', note: 'from each new result on' },
  },
  learningAbout: 'Either way each schedule says what it used. Used at once, a wrong result moves the next plan too: leave it out on the Bench.',
  changes: 'What changes first after a result that was not right',
  changed: { temperature: 'Temperature', hold: 'Hold' },
} as const;

export const STUDIO_UNITS = {
  decimalComma: 'decimal comma',
  temperature: 'Temperature',
  length: 'Length',
  mass: 'Mass',
  gKg: 'g, kg',
  ozLb: 'oz, lb',
  writeSizeMass: 'Write a size, mass or temperature in any unit: 3/8 in, 6 mm, 33 oz, 1390F. A bare number is in the unit chosen here.',
  lookScreen: 'Look of the screen',
  asTheDevice: 'As the device',
  lightOrDark: 'light or dark',
  light: 'Light',
  dark: 'Dark',
  kilnRoom: 'for the kiln room',
  tablesSpreadsheet: 'Tables for a spreadsheet',
  decimalPoint: 'decimal point',
  change: (name: string): string => `Change ${name}`,
  itShows: 'It shows',
  theyShow: 'They show',
  setKeySheets: (oneName: string, theirs: string, unit: string): string =>
    `${oneName} is set to °${theirs}, and its key-in sheets are written so. Does it show °${unit}?`,
  setTheirKey: (others: string, theirs: string, unit: string): string =>
    `${others} are set to °${theirs}, and their key-in sheets are written so. Does one of them show °${unit}?`,
} as const;

export const STUDIO_LIMITS_WORDS = {
  mixed: 'Glass of different families may share a load',
  mixedAbout: 'Each is soaked where its own glass asks. It costs hours, and each piece is heated and cooled through what the others need.',
  about: 'Every new schedule keeps within these. Those planned before say that they are out of date. Past firings keep theirs.',
  of: {
    residual_Pa: { title: 'Tension left', short: 'at most', about: 'in the cold piece, as calculated' },
    setting_K: { title: 'Difference while it sets', short: 'at most', about: 'from the hottest to the coldest of it, on the first cool' },
    even_K: { title: 'Even before cooling', short: 'within', about: 'from the hottest to the coldest of it, at the end of the soak' },
    pull_Pa: { title: 'Tension on the way', short: 'at most', about: 'in brittle glass that warms or cools; plans keep a reserve below it' },
    open_C: { title: 'Opened at, usual work', short: 'at most', about: 'kiln temperature at which the lid may be lifted' },
    openThick_C: { title: 'Opened at, thick or moulded work', short: 'at most', about: 'never above usual work' },
  },
  reserves: (pull: string, coolPull: string, setting: string, bulge: string): string =>
    `Plans keep a distance from them. They stay ${pull} times under the tension on the way, ${coolPull} times where uneven work cools. Even plates stay ${setting} times under the difference while they set. How far the inside of uneven work lags counts ${bulge} times.`,
  bolder: (names: string): string => `Bolder than usual: ${names}. Pieces are more likely to crack, at once or in use. Try it on work that can be lost.`,
  asUsual: 'All as usual',
} as const;

export const THIS_DEVICE = {
  torvinOpensWithout: 'Torvin opens here without its server too, with what was read last. What you change then waits here and is sent when it answers.',
  oncePageBeen: 'Once this page has been open for a moment, Torvin opens here without its server too.',
  pageCameOver:
    'This page came over plain http. While it stays open it goes on without the server, and what you change waits here. Closed, it cannot be opened again until the server answers; nor can it be installed, keep the screen on, or notify you.',
  torvinStartedCertificate: 'For that, start Torvin with a certificate that this device trusts: TORVIN_CERT and TORVIN_KEY, as its README says.',
  keptStudioWhoever: (count: string, count2: string): string =>
    `Kept here of the studio: ${count} and ${count2}. Whoever can unlock this device can read them.`,
  putTorvinAmong: 'Put Torvin among the apps',
  forgetWhatKept: 'Forget what is kept here',
} as const;

export const OTHER_DEVICES = {
  pointCameraType: 'Point its camera at this, or type the address into its browser. It has to be in the same network as the computer that Torvin runs on.',
  doesNotOpen: 'It does not open',
  whatLook: 'what to look at',
  phoneSameNetwork:
    'Is the phone in the same network? In one for guests devices do not see each other? Does the computer’s firewall let others in? It may have asked when Torvin was started. Does the computer sleep?',
  computerOtherAddresses: 'This computer has other addresses too; the one that the phone can reach may be among them:',
  torvinAnswersComputer:
    'Torvin answers on this computer alone. Start it with npm run studio (or npm run demo -- --lan) to open it on phones in the same network. Each is asked once for a passcode.',
  addressCamera: (url: string): string => `The address ${url}, for a camera`,
  lettersDigitsCapital: (least: number, most: number): string => `${least} to ${most} letters or digits; capital letters, spaces and hyphens do not matter`,
  passcodeChangedEvery: 'The passcode is changed. Every other device is asked for it.',
  changeThePasscode: 'Change the passcode …',
  chooseAPasscode: 'Choose a passcode …',
  otherDeviceSigned: 'The other device that is signed in must enter it again.',
  otherDevicesSigned: (others: number): string => `The ${others} other devices that are signed in must enter it again.`,
  passcodeUntilNow: 'Passcode until now',
  whoeverLostChanges: 'whoever has lost it changes it on the computer that Torvin runs on',
  newPasscode: 'New passcode',
  useThisOne: 'Use this one',
  leaveIt: 'Leave it',
  devicesThatAre: 'Devices that are in',
  thisOne: (name: string): string => `${name} (this one)`,
  sinceLastSeen: (enteredAt: string, seenAt: string): string => `since ${enteredAt}; last seen ${seenAt}`,
  leave: 'Leave',
  letNoLonger: (name: string): string => `Let ${name} in no longer`,
} as const;

export const BACKUPS = {
  askedFor: 'asked for',
  beforeNewVersion: 'before a new version',
  lastWith: (madeAt: string, holds: string, megabytes: string): string => `Last: ${madeAt}, with ${holds}; ${megabytes}.`,
  noBackupYet: 'No backup yet.',
  oneMadeItself: (folder: string): string =>
    `One is made by itself each day that Torvin runs; the last 14 are kept in ${folder}. A disk can fail with all that lies on it: keep one on another disk too.`,
  backingUp: 'Backing up …',
  backUpNow: 'Back up now',
  asOpenFiles: 'As open files',
  allStudioOpen: 'All of the studio as open files: JSON for each piece, tables, pictures',
  restoreABackup: 'Restore a backup',
  downloadDeleteOne: 'or download or delete one',
  leaveIt: 'Leave it',
  checkingEveryHash: 'Checking every hash …',
  restoreIt: 'Restore it',
  restoreAllNow: (askingName: string): string =>
    `Restore ${askingName}? All that is here now is moved aside, and what was done since is not in the backup. Others who have Torvin open see it at once.`,
  keepIt: 'Keep it',
  deleteForGood: 'Delete for good',
  deleteBackupCannot: (dayOf: string): string => `Delete the backup of ${dayOf}? This cannot be undone.`,
  download: 'Download',
  delete: 'Delete …',
  fromAFile: 'From a file …',
  nowWhatSaved: (dayOf: string, holds: string, aside: null | string): string =>
    `Here is now what was saved on ${dayOf}: ${holds}.${aside === null ? '' : ` What was here before lies in ${aside}.`}`,
} as const;

export const SET_ASIDE = {
  mb: (bytes: string): string => `${bytes} MB`,
  setAside: 'Set aside',
  deletedMoreThan: (deleted: string): string => `Deleted more than 30 days ago: ${deleted}.`,
  noFiringHad: (lost: string): string => `${lost}: no firing has had them for a day. They come back by themselves when a database that names them is restored.`,
  keepThem: 'Keep them',
  eraseForGood: 'Erase for good',
  eraseCannotUndone: (what: string): string => `Erase ${what}? This cannot be undone.`,
  eraseThem: 'Erase them …',
} as const;

export const DIAGNOSTICS_SCREEN = {
  xPoint: (innerWidth: number, innerHeight: number, devicePixelRatio: number): string => `${innerWidth} x ${innerHeight}, ${devicePixelRatio} to a point`,
  faultReport: 'For a fault report',
  versionsSettingsHow:
    'Versions, settings, how many there are of what, and what the server logged last. No names, notes, pictures or passcodes are in it; look it through before you hand it on.',
  download: 'Download',
} as const;
