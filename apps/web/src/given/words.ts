/** All that a schedule from elsewhere says, in one place; figures come in as they are written. */

export const JUDGED_HERE = {
  afterLastRow: (openingTemperature: string): string => `After its last row the closed kiln cools by itself to ${openingTemperature}.`,
  kilnWouldGet: (theAt: string): string => `The kiln would get no further than ${theAt}.`,
  pieceKeepsEvery: 'For this piece it keeps every limit.',
  pieceBreaks: (broken: number, said: string): string => `For this piece it breaks ${broken === 1 ? 'a limit' : `${broken} limits`}. ${said}`,
  asItWas: 'as it was there',
} as const;

export const PAPER_ROWS = {
  degrees: 'Degrees',
  ratesAre: 'Rates are',
  anHour: 'an hour',
  aMinute: 'a minute',
  minutesToGo: 'minutes to go',
  holdsAre: 'Holds are',
  rows: 'Rows',
  takeRowAway: (i: number): string => `Take row ${i} away`,
} as const;

export const PROVEN = {
  pieceNoteGlass: 'Piece, note or glass',
  noFiringMarked: 'No firing marked right yet.',
  noneThoseCame: 'None of those that came out right.',
  for: (pieceName: string, recipeName: string, top: string, hold: string, firedAt: string): string =>
    `${pieceName}, ${recipeName}: ${top} for ${hold}, ${firedAt}`,
} as const;

export const GIVEN_SCREEN = {
  noLineFigure: 'No line of it has a figure that could be a segment: a rate, a target, a hold.',
  runAgain: 'Run again',
  fromPaper: 'From paper',
  writeStandsPaper: 'Write it as it stands on the paper. It is judged for this piece; nothing is calculated in its place.',
  rateLeftEmpty: 'A rate left empty is as fast as the kiln can. A figure with its own unit, such as 1480 °F or 1 h 30, means that.',
  pasteTakeFile: 'Paste it, or take it from a file',
  linesTextTable: 'lines of text, or a table from a spreadsheet',
  pasted: 'Pasted',
  suchLineEach: "such as '1. 270 1067 30', a line for each segment",
  takeItIn: 'Take it in',
  aFile: 'A file',
  judgePiece: 'Judge it for this piece',
  takeFiring: 'Take it for this firing',
  notThisOne: 'Not this one',
  firingCameOut: 'From a firing that came out right',
  runAgainPiece: 'run again on this piece, with what differs and what that does',
  ranCanChanged: (pieceName: string, recipeName: string, kilnName: string): string =>
    `As it ran on '${pieceName}', ${recipeName} in ${kilnName}. It can be changed here before it is judged.`,
  whatFiredThen: 'What was fired then and what lies here are the same.',
} as const;
