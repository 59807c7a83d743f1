/** All that the run sheet says, in one place; figures come in as they are written. */

export const LIVE_FIGURES = {
  of: (differenceIn: number, one: string): string => `of ${differenceIn} °${one}`,
  heatWork: 'heat work',
  work: (figure: string): string => `work ${figure} %`,
  heatWorkOf: (sentence: string, figure: string, band: string): string => `${sentence} Heat work ${figure} % ${band}.`,
  ofAllowed: (allowed: string): string => `of ${allowed}`,
  to: (opens: string): string => `to ${opens}`,
  throughIt: 'through it',
  atMost: 'at most',
  howMuchWarmer: 'How much warmer its outside is than its inside at most; a wall goes by its pace, so no limit is set on this.',
  asAsked: 'as asked',
  notAsAsked: 'not as asked',
  noLimitNear: 'no limit near',
  fastestWallShelf: 'The fastest that its wall, or the shelf, warms or cools where that counts, and its limit.',
  inAllOpens: (
    capital: string,
    coreToSkin: string,
    heatLabel: string,
    heat: string,
    tensionLabel: string,
    tension: string,
    inAll: string,
    opensAt: string,
  ): string => `${capital} ${coreToSkin}, ${heatLabel} ${heat}, ${tensionLabel} ${tension}, ${inAll} in all, opens ${opensAt}.`,
} as const;

export const POLARISER_VIEWS = {
  bodyEdgewiseBetween: 'The body edgewise between crossed polarisers',
  bodyLookedThrough: 'The body looked through between crossed polarisers',
  scaleCompressionTension: (stress: string): string => `Scale: from ${stress} of compression to ${stress} of tension`,
  compression: (stress: string): string => `compression ${stress}`,
  tension: (stress: string): string => `tension ${stress}`,
} as const;

export const POLARISER_PANEL = {
  standsForUneven: (depth: string): string => `This body is uneven: what is drawn is the even plate of ${depth} that stands for it.`,
  theseViewsPlates: 'These views are of plates; this body is none.',
  betweenThePolarisers: 'Between the polarisers',
  nothing: 'Nothing',
  aTintPlate: 'A tint plate',
  tellsTensionCompression: 'tells tension from compression',
  edgewiseThroughGreatest: (written: string, tension: string, compression: string, mostNm: string): string =>
    `Edgewise, through ${written}: greatest tension ${tension}, greatest compression ${compression}, ${mostNm} nm.`,
  lookedThroughDeep: (written: string, rimNm: string): string =>
    `Looked through, ${written} deep: dark but for a band along the rim, half its depth wide, ${rimNm} nm; drawn wider than it is where it would be too thin to see.`,
  nm: (retardationNm: string): string => `${retardationNm} nm`,
  stressStaysUnderside: 'Stress that stays, from the underside up',
  retardationEdgewise: 'retardation edgewise',
  besideStandsYour: 'Beside it stands your own look: add a picture taken between polarisers to a firing of this piece, in the Notebook.',
  picturePieceAfter: 'A picture of this piece after a firing',
  picture: (i: number): string => `Picture ${i}`,
  readBeside: (read: string, kept: string): string => `Read: ${read} of tension. Calculated: ${kept}.`,
  readOnPlain: (read: string, plain: string, here: string, kept: string): string =>
    `Read on the plain piece: ${read} of tension, where ${plain} is calculated. So this piece keeps about ${here}, where ${kept} is calculated.`,
} as const;

export const COLUMNS = {
  to: (figure: string, to: string): string => `${figure} to ${to}`,
  from: (theFrom: string): string => `from ${theFrom}`,
} as const;

export const JOINT_TABLE = {
  itsSkin: 'its skin',
  itsCore: 'its core',
  targetReached: (name: string): string => `${name}, target reached`,
  holdEnded: (name: string): string => `${name}, hold ended`,
  mark: (i: number): string => `mark ${i}`,
} as const;

export const RUN_ROW = {
  switchOff: 'switch off',
  hold: (hold: string): string => `hold ${hold}`,
} as const;

export const TIME_TAG = {
  timeLooked: 'Time that is looked at',
} as const;

export const RUN_SHEET = {
  hold: (hold: string): string => `hold ${hold}`,
  noHold: 'no hold',
  temperaturesWhereSegments: 'Temperatures where the segments end',
  backToCalculated: 'Back to calculated',
  targetRateHold: 'target, rate, hold',
} as const;

export const TRUE_TIME_CHART = {
  temperaturesOverTime: (segments: number, total: string, marks: string): string => `Temperatures over time: ${segments} segments, ${total} in all${marks}`,
  temperaturesClock: 'Temperatures by the clock',
  nowAt: (start: string): string => `now at ${start}`,
  checkFrom: (start: string): string => `check from ${start}`,
  mayOpened: (start: string): string => `may be opened at ${start}`,
} as const;

export const COMPARED_PANEL = {
  nothingDiffersCalculated: 'Nothing differs: it is as calculated.',
  asCalculated: 'as calculated',
  inHand: 'in hand',
} as const;

export const EQUAL_WORK_PANEL = {
  workingTemperature: 'Working temperature',
  hold: (target: string, shownHold: string): string => `${target}, hold ${shownHold}`,
  rampsAloneDo: (share: number): string => `The ramps alone do ${share} % of the work: no hold is short enough.`,
  evenDayDoes: (share: number): string => `Even a day does only ${share} % of the work.`,
  takeIt: 'Take it',
  takeTemperatureHold: 'Take it: this temperature and hold',
} as const;

export const COMPOSED_ROW = {
  inUse: 'in use',
  takeIt: 'Take it',
  takeIt2: (name: string): string => `Take it: ${name}`,
  for: (target: string, hold: string): string => `${target} for ${hold}`,
  breaks: (broken: number): string => `Breaks ${broken === 1 ? 'a limit' : `${broken} limits`}.`,
} as const;

export const SCHOOL_PANEL = {
  coolerAndLonger: 'Cooler and longer',
  hotterAndShorter: 'Hotter and shorter',
  soakAnnealingPoint: 'soak at the annealing point',
  soakLowNear: 'soak low, near the strain point',
  crisperEdgesEasier: 'Crisper edges and easier to hit; longer where glass devitrifies.',
  lessTimeWhere: 'Less time where glass devitrifies; a minute or a few degrees matter more.',
  inAll: (figure: string): string => `${figure} in all`,
  devit: (figure: string): string => `devit ${figure}`,
  stressLeft: 'stress left',
  left: (figure: string): string => `${figure} left`,
  insideComesFar: 'Its inside comes as far as its outside; the last stretch takes twice as long.',
  shorterThickWall: 'Shorter; a thick wall comes out harder outside than inside.',
  throughIt: 'through it',
  throughMost: (figure: string): string => `${figure} through it at most`,
  inUse: (heat: string): string => `In use: ${heat}. Every row is calculated for this wall and kiln.`,
  inUseForWall: (heat: string, thick: string, grains: boolean): string =>
    `In use: ${heat}, ${thick}${grains ? ', held while the grains sink' : ''}. Every row is calculated for this body and kiln.`,
  soakThicknessLow: (thick: string): string => `soak by thickness, low from ${thick}`,
  heldWhileGrains: 'Held while the grains sink together',
  airLeavesBetween: 'Air leaves between them before they seal, so less seed; longer, and longer where glass devitrifies.',
  straightUpWork: 'Straight up to its work',
  shorterSeedOnly: 'Shorter; seed has only the long hold to rise in.',
} as const;

export const STANDS_PANEL = {
  lowPostsSome: 'Low posts: some heat comes from below. What most schedules are for.',
  highPostsUnderside: 'High posts: its underside sees the elements and cools freely. It must stand level.',
  noHeatBelow: 'No heat from below: the floor is warmed through the glass, and slow to cool.',
  insulatedBelowShelf: 'Insulated from below: the shelf hardly draws on it; the board sheds fibres.',
  inAll: (figure: string): string => `${figure} in all`,
  tensionWay: (figure: string): string => `tension on the way ${figure}`,
  stressLeft: 'stress left',
  left: (figure: string): string => `${figure} left`,
  inUse: (setupName: string, releaseName: string): string => `In use: ${setupName}. Every row is calculated for this body and kiln${releaseName}.`,
  with: (releaseName: string): string => `, with ${releaseName}`,
  onFibrePaper: ', on fibre paper',
} as const;

export const VERSIONS_PANEL = {
  changedFrom: (parent: number): string => `changed from ${parent}`,
  inUse: ', in use',
  forInAll: (createdAt: string, top: string, hold: string, total: string, engine: string, count: string): string =>
    `${createdAt} · ${top} for ${hold}, ${total} in all${engine} · ${count}`,
  byEngine: (engine: string): string => ` by engine ${engine}`,
  notFired: 'not fired',
  fired: (count: string): string => `fired ${count}`,
  nameOfVersion: (number: number): string => `Name of version ${number}`,
  taken: 'Use it',
  takenVersion: (number: number): string => `Use it: version ${number}`,
} as const;

export const CHANGE = {
  backToCalculated: 'back to calculated',
  anotherVersionTaken: 'another version taken',
  scheduleChanged: 'schedule changed',
} as const;

export const RUN_PANELS = {
  comparedWithCalculated: 'Compared with calculated',
  whatDiffersWhat: 'what differs, and what that does',
  versions: 'Versions',
  earlierSchedules: 'earlier schedules',
  alternatives: 'Alternatives',
  schoolsSetUps: 'schools, set-ups, another heat',
  hotterOrCooler: 'hotter or cooler',
  together: 'With others in the kiln',
  oneSchedule: 'one schedule for all of a load',
  schools: 'Schools',
  hotterCoolerWhat: (bare: boolean): string => `hotter or cooler${bare ? ', soak high or low' : ''}: what each costs here`,
  setUps: 'Set-ups',
  raisedFloorBoard: 'raised, on the floor, on board: what each costs here',
  sameWorkOther: 'Same work, other heat',
  moveTemperatureHold: 'move the temperature; the hold follows',
  printAndFiles: 'Print and files',
  stressStays: 'the stress that stays',
} as const;

export const BROKEN_BANNER = {
  othersToo: (others: number): string => `, and ${others} more`,
  andMoreSentence: (standing: number): string => ` And ${standing} more.`,
} as const;

export const GLASS_IN_TIME = {
  closeGlassTime: 'Close the glass in time',
  at: (section: string, clockShort: string, far: string): string => `${section}; at ${clockShort} ${far}`,
  atTime: 'at',
  kiln: 'kiln',
  glass: 'glass',
  of: (figure: string): string => `of ${figure}`,
  reliefStanding: 'relief standing',
  grainsRunTogether: 'grains run together',
  sheetsLainDown: 'sheets lain down',
  edgesRounded: 'edges rounded',
} as const;

export const RUN_ACTIONS = {
  starts: 'starts',
  record: 'Record',
  recordTheFiring: 'Record the firing',
} as const;

export const SEGMENT_SHEET = {
  aboveKilnsTop: (shown: string, most: string): string => `${shown} is above this kiln's top of ${most}; write up to ${most}.`,
  notAboveRoom: (shown: string, room: string): string => `${shown} is not above room temperature, ${room}.`,
  rateFull: (rateAtLeastCPerH: string, rateAtMostCPerH: string): string => `A rate is from ${rateAtLeastCPerH} to ${rateAtMostCPerH}, or 'full'.`,
  holdMost: (holdAtMostS: string): string => `A hold is at most ${holdAtMostS}.`,
  figures: (roleName: string): string => `${roleName}, figures`,
  doneTheseFigures: 'Done with these figures',
  target: 'target',
  rate: 'rate',
  hold: 'hold',
  whatLimitsSay: 'What the limits say',
  addAfter: 'Add after',
  split: 'Split',
  joinToNext: 'Join to next',
} as const;

export const RUN_SHEET_SCREEN = {
  saving: 'saving …',
  asCalculated: 'as calculated',
  outDateJudged: 'Out of date: judged by what it was made from.',
  scheduleYouSee: 'the schedule as you see it here',
  glassTime: 'The glass in time',
  byTheClock: 'By the clock',
  sameCurveTrue: 'the same curve in true time',
  keepsEveryLimit: 'Keeps every limit.',
  thinLineSurface:
    'Thin line: surface of the glass; dotted: its core, both calculated. Tension is an estimate for a body free to bow. Check it between crossed polarisers.',
  thinLineOutside: 'Thin line: outside of the wall; dotted: its inside, both calculated. Water and smoke are not in it.',
  linesBelowAbout: 'The lines below are about the lay-up it was calculated for, not the present one:',
  atTheCheck: 'At the check',
  doneWhen: (split: string): string => `done when ${split}`,
} as const;

export const HEAT_DRAWING = {
  section: 'Its section while it sets, the hotter the stronger.',
  hottest: (lead: string): string => `hottest +${lead}`,
  coldest: (lead: string): string => `coldest +${lead}`,
  overKiln: 'Over the kiln, at the rate of this segment once that has settled.',
  heads: ['place', 'from the middle or the left', 'over the floor'],
} as const;
