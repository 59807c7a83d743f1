/** All that the Bench and a kiln that fires say, in one place; figures come in as they are written. */
const one = (count: number, single: string, several: string): string => `${count} ${count === 1 ? single : several}`;

export const BENCH = {
  title: 'Bench',
  now: 'Now',
  next: 'Next up',
  decisions: 'Needs a decision',
  due: 'Due',
  taught: 'What firings taught',
  ofWhichKiln: 'Of which kiln',
  noFiring: 'No firing in a kiln. Start one from its key-in sheet and it appears here.',
  noPiece: 'Start with a piece: its outline and its glass. Its firing is calculated from them.',
  newPiece: 'New piece',
  nothingToKey: 'Nothing to key in. Plan a firing and it appears here.',
  allWaiting: (count: number): string => `All ${count} that wait`,
  recoat: (form: string): string => `Recoat ${form}`,
  making: (form: string, step: string): string => `${form}: ${step.toLowerCase()}`,
  noResults: 'no results yet',
  taughtBy: (kiln: string, firings: number): string => `${kiln}, ${one(firings, 'firing', 'firings')}`,
  usedTwice: (kiln: string): string => `Two firings are in the kiln '${kiln}' at the same time. Mark the one that was opened, or record its result.`,
  step: 'a step',
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
  recordOf: (piece: string): string => `Record ${piece}`,
  openRecord: 'Open its record',
  openRecordOf: (piece: string): string => `Open its record: ${piece}`,
} as const;
