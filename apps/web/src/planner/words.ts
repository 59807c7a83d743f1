/** All that planning a firing says, in one place; what belongs to a kind of firing or a form is declared with it. */

export const PLAN = {
  titles: { plan: 'Plan a firing', change: 'Change firing' },
  mine: 'the firing as it is planned here',
  working: 'Working out …',
  see: 'See the schedule',
  opensIfNow: (at: string): string => `opens ${at} if started now`,
  missing: (what: readonly string[]): string => `Still missing: ${what.join(' and ')}. Add ${what.length > 1 ? 'them' : 'it'} on Shelves.`,
  aKiln: 'a kiln',
  aController: 'a controller',
  given: 'I have a schedule for it',
  givenInFull: 'I have a schedule for it, on paper or from another firing',
} as const;

/** What can be instead. */
export const INSTEAD = {
  kiln: (name: string): string => `Fire in ${name}`,
  form: (name: string): string => `Take ${name}`,
  takes: (what: string, hours: string): string => `${what}: ${hours}`,
} as const;

export const LOOKS_SHOWN = {
  question: 'What should it become?',
  more: (count: number): string => `${count} more`,
  moreAbout: 'castings, melts, moulds, without glass',
  search: (count: number): string => `Search ${count} firing types`,
  hint: 'name, or what the glass does',
  none: 'None matches. Try ‘cast’, ‘melt’ or ‘dry’.',
} as const;

export const ON = {
  titles: { plain: 'On', measured: 'On, and its measures', empty: 'What is fired' },
  asLastTime: (stands: string): string => `${stands} · as last time`,
  forms: { stuck: 'Stuck in or on', asked: 'Mould or former', any: 'In or on' },
  byMeasures: { title: 'By its measures', note: 'typed below' },
  nothing: 'Nothing',
  noneOfShelf: 'none of the shelf',
  shelfAlone: 'the shelf alone',
  whichShelf: 'Which is on',
  aShelf: { title: 'A shelf', note: 'none of the studio’s own; its coats are not counted' },
  edgeDrops: 'Edge drops by',
  edgeHint: 'empty: all the way',
  outline: 'Seen from above, the mould is',
  thickest: 'Its thickest part is',
  slab: { title: 'Flat', note: 'a wall, a slab' },
  rod: { title: 'A rod', note: 'as thick all round' },
  ball: 'A ball',
  setUp: 'Set-up',
  under: 'Under the glass',
  release: (kind: string, top: string): string => `${kind}, to ${top}`,
  primer: 'Primer or spray',
  paper: 'Fibre paper',
  notJudged: 'any; its top is not judged',
  leaves: 'What has to leave first',
  dry: 'All is dry',
  damp: 'Water',
  glued: 'Glue or gel',
  lies: 'Where it lies',
  put: 'Where its load put it',
  hotter: (by: string, isHotter: boolean): string => `${by} ${isHotter ? 'hotter' : 'cooler'} there`,
  behind: (by: string): string => `${by} behind`,
  underShelf: 'under another shelf',
  withLoad: 'with the mass of its load',
  middle: 'By itself in the middle',
} as const;

export const IN = {
  title: 'In',
  kiln: 'Kiln',
  controller: 'Controller',
  to: (top: string): string => `to ${top}`,
  both: (kiln: string, controller: string, profile: string): string => `${kiln}; ${controller}, ${profile}`,
  none: 'no kiln yet',
} as const;

export const RESCUE_CARD = {
  typedNotTaken: 'It was typed, not taken from the shelf: calculated as bisque clay.',
} as const;

export const IN_FORM = {
  mark: (mark: string): string => `Mark: ${mark}.`,
  markedChippedCracked: 'It is marked as chipped, cracked or mended.',
  turnedOverPosts: (heldName: string, room: string): string => `'${heldName}' turned over on posts, cut through, to scale, with the piece: ${room} to drop`,
  cutThroughScale: (formUseName: string, heldName: string): string =>
    `${formUseName} '${heldName}' cut through, to scale, the blank dashed and the glass as it ends up`,
  cutFit: (footprint: string): string => `Cut it to fit: ${footprint}`,
} as const;

export const ANNEAL_AGAIN = {
  planSecondAnneal: 'Plan a second anneal',
  secondAnneal: 'To the second anneal',
  moreStressStayed:
    'More stress stayed in it than it may keep. A soak relaxes it, and a cool of its own leaves less. Until then it may break by itself: eyes covered, and no cutting or grinding.',
} as const;

export const STUCK = {
  itIsStuck: 'It is stuck',
  neverColdWarmed: 'never by cold: it is warmed upside down',
  tappedSoakedWarmed: 'tapped, soaked; warmed where that fails',
  planFiringFrees: 'Plan the firing that frees it',
  firingFrees: 'To the firing that frees it',
} as const;

export const STEP_IN_FORM = {
  cutThroughScale: (stepName: string, heldName: string): string =>
    `${stepName} in '${heldName}', cut through, to scale: the blank dashed, the glass as it ends up`,
} as const;

export const OUTDATED_NOTICE = {
  scheduleOutDate: (differences: string): string => `This schedule is out of date. ${differences}`,
} as const;

export const LOOK_IN_SIGNS = {
  doneWhen: 'Done when',
  notYetWhile: 'Not yet while',
  tooFarOnce: 'Too far once',
} as const;

export const EMPTY_ITEM_CHOICES = {
  whatIsFired: 'What is fired',
  toCone: 'To cone',
  stands: 'Stands',
  itIs: 'It is',
  dryTouch: 'Dry to the touch',
  damp: 'Damp',
} as const;

export const FORM_CHOICE = {
  makingNext: (stageTitle: string): string => `in the making: ${stageTitle} is next`,
} as const;

export const PLAN_BAR = {
  plan: 'Plan',
} as const;

export const EARLIER_ENGINE = {
  whatChangedNow: (said: string): string => `${said} What is changed from now on is judged by this one.`,
} as const;
