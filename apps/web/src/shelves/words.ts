/** What the records on the shelves are called, in this studio's units. */
import { glassName } from '@torvin/core/piece';
import type { Units } from '@torvin/core/units';
import { type About, type KindName, type Made, type Shelves, isKind, kindOf } from '@torvin/schema';
import { format } from 'date-fns/format';
import type { ShelfRecord } from '@/outside/records';

export function aboutShelves(shelves: Shelves, units: Units): About {
  const about: About = {
    units,
    nameOf(kind, id) {
      const named = isKind(kind) ? nameAmong(shelves, kind, id, about) : null;
      if (!named) return id;
      return named.note === undefined ? named.name : `${named.name} (${named.note})`;
    },
    day: (at) => format(at, 'd MMM yyyy'),
  };
  return about;
}

/** A record's name; with what a row says of it where another of its kind is called the same, as every maker's clear is. */
export function nameAmong(shelves: Shelves, kind: KindName, id: string, about: About): { name: string; note?: string } | null {
  const record = shelves[kind].find((one) => one.id === id);
  if (!record || !('name' in record)) return null;
  const { name } = record;
  const isAlone = shelves[kind].every((one) => one.id === id || !('name' in one) || one.name !== name);
  return isAlone ? { name } : { name, note: kindOf(kind).about(record, about) };
}

/** Where its figures are from; '' where that is not asked for. */
export const sourceOf = (record: ShelfRecord): string => ('source' in record ? record.source : '');

const LIES: Record<Made['lie'], string> = { level: 'in layers', upright: 'in stripes', crosswise: 'in stripes across it', mixed: 'mixed' };

/** 'Straw 25 %, Rose 75 %, in stripes': what made glass is of. */
export function madeOfWords({ stripes, lie }: Pick<Made, 'stripes' | 'lie'>, shelves: Shelves): string {
  const shares = new Map<string, number>();
  for (const { glassId, share } of stripes) shares.set(glassId, (shares.get(glassId) ?? 0) + share);
  const named = [...shares].map(([id, share]) => `${glassName(shelves, id)}${shares.size > 1 ? ` ${Math.round(100 * share)} %` : ''}`);
  return [...named, ...(shares.size > 1 ? [LIES[lie]] : [])].join(', ');
}

export const GLASS_CHOICE = {
  madeHere: 'Made here',
} as const;

export const FORM_MAKINGS = {
  makeItAgain: 'Make it again',
  makeItHere: 'Make it here',
  stepsWhatThey: (making: string): string => `${making}: its steps, what they take, and how long each waits`,
  makingNext: (stageTitle: string): string => `In the making: ${stageTitle} is next`,
} as const;

export const FORM_PIECES = {
  nothingBeenFired: 'Nothing has been fired with it yet',
  oneFiring: 'One firing with it',
  firingsWithIt: (fired: number): string => `${fired} firings with it`,
  ofThatIt: (lasts: number): string => `, of ${lasts} that it lasts`,
  theLast: (lastAt: string): string => `the last ${lastAt}`,
  hadFiringsLasts: (fired: number, lasts: number): string =>
    `It has had ${fired} of the ${lasts} firings that it lasts: look for cracks, ring it, weigh it against when it was new.`,
  pictureOf: (pieceName: string): string => `Picture of ${pieceName}`,
  noReleaseRecorded: (theOf: string): string => `No release recorded yet. A trial blank of ${theOf} costs less than coloured work.`,
  tryClearBlank: 'Try it with a clear blank',
  tryIt: (trial: string): string => `Try it with a clear blank, ${trial}`,
} as const;

export const FORM_COATS = {
  noCoatRecorded: 'No coat recorded. Enter what keeps glass off it, and since when. Firings are counted from then.',
  tellItsCoat: 'Tell its coat',
  anotherPlace: 'Another place',
  anotherPlaceCoated: 'Another place of it that is coated otherwise',
  dryingOf: (formName: string): string => `Drying of ${formName}`,
  planItsDrying: 'Plan its drying',
  planDryingFiring: 'Plan its drying: a firing with no glass in it',
  oneCoat: 'one coat',
  coats: (coats: number, crossed: boolean): string => `${coats} coats${crossed ? ' crossed' : ''}`,
  recoated: 'Recoated',
} as const;

export const SHELVES_SCREEN = {
  settings: 'Settings',
  everythingCalculatedThese: 'everything is calculated from these; past work keeps the figures it was made with',
  shelf: 'Shelf',
  typicalFiguresBegin: 'Typical figures to begin with: open what you have and write its own over them, since everything is calculated from these.',
  whatSeriesFound: 'Findings come from test series: open a firing in the Notebook, compare it with others like it, then choose As a test series.',
  whatComesOut: 'What comes out of a piece to be cut again: open the piece at its last firing, and keep it as made glass from there.',
  new: (one: string): string => `New ${one}`,
  findAmong: (all: number, many: string): string => `Find among ${all} ${many}`,
  wordsNameSource: 'words of its name, source, contents',
  noYet: (one: string): string => `No ${one} yet.`,
  noneThemThese: 'None of them has these words.',
  archived: 'Archived',
  pictureOf: (titleOf: string): string => `Picture of ${titleOf}`,
} as const;

export const DELETE_RECORD = {
  isDeleted: (name: string): string => `${name} is deleted.`,
  delete: (name: string): string => `Delete ${name}`,
} as const;

export const FORM_STORY = {
  cutThroughScale: (formUseName: string, view: string): string => `${formUseName}, cut through ${view}, to scale`,
  cutThrough: 'Cut through',
  cutThroughMeasured: 'Cut through, as it was measured on each side',
  leftToRight: 'left to right',
  theOtherWay: 'the other way',
  doorToBack: 'door to back',
  for: (familyName: string): string => `For ${familyName}`,
  anotherGlassDraws: 'another glass draws in otherwise',
  runsOverRim: (rim: string): string => `It runs over: the rim is ${rim} over the floor.`,
  filledUpOver: 'Filled up to, over its floor',
  depthGlassAnswer: 'a depth of glass; the answer is how much that takes',
  ofGlass: (m3: string, m32: string): string => `${m3}, ${m32} of glass`,
} as const;

export const KILN_TIMES = {
  doesNotGet: 'it does not get there',
  writeHowLong: 'Write how long it took, such as 1:20 or 80 min: the others tell too little without it. Empty them all to leave it as it is.',
  at: (perHour: string): string => `${perHour} at`,
  noFurtherAt: 'no further at',
  wallsStoreTimes: (wallOverChamber: string): string => ` Its walls store ${wallOverChamber} times what its chamber does, and give it back as it cools.`,
  constantsFollowFull: (cold: string, hot: string, theAt: string, perHour: string, wall: string): string =>
    `Its constants follow: at full power it climbs ${cold} cold and ${hot} ${theAt}; closed it falls ${perHour} there.${wall} Save to keep them.`,
  asItIs: (kept: string): string => `as it is kept: ${kept}`,
  whatClockTells: 'What a clock tells of it',
  emptyUsualShelf: 'Empty, with its usual shelf: full power from cold, then switched off and left closed. What the engine calculates with follows.',
  coldFullPower: (degrees: string): string => `From cold to ${degrees} at full power`,
  fromColdTo: (degrees: string): string => `From cold to ${degrees}`,
  tellsLossesTop: 'it tells the losses at the top',
  coldIfGoes: (degrees: string): string => `From cold to ${degrees}, if it goes there`,
  closedOff: (theFrom: string, to: string): string => `Closed and off, from ${theFrom} to ${to}`,
  andOnFrom: (theFrom: string, to: string): string => `And on from ${theFrom} to ${to}`,
  nextMorningThick: 'the next morning; thick walls that store heat show in it',
  betweenTwoPlaces: (units: boolean, degrees: string): string => `Between two places ${units ? '12 in' : '300 mm'} apart, climbing past ${degrees}`,
  ifKnownSuch: (unit: string): string => `if it is known, such as ${unit}`,
  workOutConstants: 'Work out its constants',
} as const;

export const MADE_STORY = {
  pieceBeenDeleted: (fromName: string): string => `From ${fromName}, a piece that has been deleted since.`,
  from: (fromName: string): string => `From ${fromName}`,
  openPiece: (fromName: string): string => `From ${fromName}: open that piece`,
  madeTakeLess: (mass: string, left: string): string => `${mass} made, ${left}: take less in one of these pieces, or weigh what there was.`,
  made: (mass: string, left: string): string => `${mass} made, ${left}`,
  laidThesePieces: 'Laid in these pieces, cut or to be cut; what a saw turns to mud comes on top.',
} as const;

export const MAKING_STORY = {
  coatsOf: (on: number, of: number): string => `, ${on} of ${of} coats`,
  allDone: 'All of it is done.',
  goOnTo: (stageTitle: string): string => `Go on to: ${stageTitle}`,
  itWeighs: 'It weighs',
  theWaxWeighs: 'The wax weighs',
  waxCameOut: 'Wax that came out weighs',
  sayWhenDay: 'Say when: a day and a time.',
  stillComeTell: 'That is still to come: tell it once it is done.',
  keepTheWeighing: 'Keep the weighing',
  coatIsOn: (coatsOn: number): string => `Coat ${coatsOn} is on`,
  done: (stageTitle: string): string => `Done: ${stageTitle}`,
  weighItAgain: 'Weigh it again',
  leftAloneGo: 'Left alone; go on',
  paceDryAbout: (dryAt: string): string => `At this pace it is dry about ${dryAt}.`,
  bagGoodUntil: (bagUntil: string): string => `Its bag was good until ${bagUntil}: try a cupful first, and see that it sets.`,
  planThatFiring: 'Plan that firing',
  planFiringNo: 'Plan that firing: with no glass in it',
  tellItsCoat: 'Tell its coat',
  when: 'When',
  takeLastBack: 'Take the last back',
  takeThe: (stageTitle: string): string => `Take the last back: ${stageTitle}`,
} as const;

export const RECORD_FIELDS = {
  colourHint: '# and six hexadecimal digits',
  noneOfThem: 'None of them',
  noYetMake: (what: string): string => `There is no ${what} yet: make one first.`,
  youNoneYet: (label: string): string => `${label}: you have none yet.`,
  pickIt: (label: string): string => `${label}: pick it`,
} as const;

export const RELEASE_STORY = {
  emptyGave: (coats: number): string => `It is empty: it gave ${coats}`,
  emptyGaveCount: (coats: number): string => `It is empty: it gave ${coats}; count from today on`,
} as const;

export const RECORD_SCREEN = {
  new: (one: string): string => `New ${one}`,
  nameTooAnother: (capital: string, called: string, twinAbout: string): string =>
    `${capital} '${called}'${twinAbout} has this name too. Another name tells them apart.`,
  tryIt: 'Try it',
  keyedOneBeside: 'keyed as the one beside your kiln would be',
  save: 'Save',
  archive: 'Archive',
  takenAs: (takenName: string): string => `taken as ${takenName}`,
  recordChangedElsewhere: (stands: string): string => `This record was changed elsewhere meanwhile; it is now ${stands}.`,
  beginAs: 'Begin as',
  notShelfYet: 'It is not on the shelf yet',
  notShelfYetDescribe: 'Not on the shelf yet: describe the mould to make',
  itIs: 'It is',
  ofAFamily: 'Of a family',
  makerSells: 'as its maker sells it',
  foundMadeBefore: 'Found or made before',
  tumblerPaneOld: 'a tumbler, a pane, an old casting',
  fuseNoOther:
    'Fuse it with no other glass before a strip test of the two holds. Anneal its first piece longer and cooler, and look at it between polarisers. It gets a family of its own, with the figures of the one chosen here until you know better.',
} as const;

export const CHOSEN_RECORDS = {
  archive: 'Archive',
  export: 'Export',
  exportTable: 'Export as a table (CSV)',
  archived: (many: string): string => `${many} archived.`,
  restored: (many: string): string => `${many} restored.`,
} as const;

export const FINDING_STORY = {
  said: (look: string, factor: string, range: string): string => `${look}: from short to too far at ${range} of ${factor}, nine in ten.`,
  trials: (count: number): string => `Its ${count} trials, as a series`,
} as const;
