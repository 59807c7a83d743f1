/** All that pages say before what they show is there, in one place; figures come in as they are written. */

export const AGAIN_PAGE = {
  runAgain: 'Run again',
  firedWhichPiece: (pieceName: string): string => `As '${pieceName}' was fired; on which piece?`,
  noPieceName: 'No piece of that name.',
} as const;

export const COMPARE_PAGE = {
  compare: 'Compare',
} as const;

export const EDIT_PIECE_PAGE = {
  outlineAndName: 'Outline and name',
  piece: 'piece',
  saveOutline: 'Save outline',
} as const;

export const GIVEN_PAGE = {
  fromPaper: 'From paper',
  planFiringPiece: 'Plan a firing of this piece first: what it is for, how it stands, in which kiln. Then a schedule can be judged for it.',
  toThePiece: 'To the piece',
} as const;

export const LABEL_PAGE = {
  andMore: (more: number): string => ` and ${more} more`,
  noSuchAny: (one: string): string => `There is no such ${one} any more.`,
} as const;

export const NEW_PIECE_PAGE = {
  newPiece: 'New piece',
  sayHowBig: 'Say how big it is and what lies at the bottom; the other layers are laid on its drawing. A shelf or a mould that is fired by itself has none.',
  savePiece: 'Save piece',
} as const;

export const PLAN_FIRING_PAGE = {
  planAFiring: 'Plan a firing',
} as const;

export const PLAN_PRINT_PAGE = {
  printThePlan: 'Print the plan',
} as const;

export const RECORD_FIRING_PAGE = {
  recordTheFiring: 'Record the firing',
  stepsToldDone: 'steps told as done',
  stepsLeftOut: 'steps left out',
  of: (firingName: string, pieceName: string): string => `${firingName} of ${pieceName}`,
} as const;

export const REHEARSAL_PAGE = {
  rehearsal: 'Rehearsal',
} as const;

export const RUN_PAGE = {
  runSheet: 'Run sheet',
} as const;

export const NEXT_PAGE = {
  title: 'Next time',
} as const;

export const OPENING_PAGE = {
  title: 'Record results',
} as const;

export const SERIES_PAGE = {
  title: 'Test series',
} as const;

export const TELL_PAGE = {
  editResult: 'Edit result',
  somebodyElseRecorded: 'Somebody else has recorded this firing meanwhile. You can add your changes to theirs.',
  firing: 'firing',
} as const;

export const ADDRESSES = {
  nothingHere: 'Nothing here',
  leadsNowhere: 'This address leads nowhere in Torvin.',
  noFirings: 'What is fired and recorded stands here.',
  noPieces: 'What is made stands here, drawn from the side.',
  openedHere: 'What you open of a shelf stands here.',
} as const;
