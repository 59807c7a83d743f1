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
} as const;

export const IN = {
  title: 'In',
  kiln: 'Kiln',
  controller: 'Controller',
  to: (top: string): string => `to ${top}`,
  both: (kiln: string, controller: string, profile: string): string => `${kiln}; ${controller}, ${profile}`,
  none: 'no kiln yet',
} as const;
