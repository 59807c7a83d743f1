/** All that what is taken out or printed says, in one place; figures come in as they are written. */

export const KEY_IN_SVG = {
  target: (unit: string): string => `target, °${unit}`,
  thenNothingAfter: (rows: number): string => `Then nothing: after segment ${rows} it switches off, and the closed kiln cools slower than it may.`,
  outDateFired: (differences: string): string => `Out of date, fired as it is. ${differences}`,
  toKeyIn: (pieceName: string): string => `${pieceName}, to key in`,
  whichCounts: (recipeName: string, familyName: string, kilnName: string, controllerName: string, unit: string): string =>
    `${recipeName}, ${familyName}, in ${kilnName}; ${controllerName}, which counts in °${unit}.`,
  readBack: 'read back',
  endsIt: 'Ends it',
  powerOffBefore: 'Power off before reaching in.',
} as const;

export const LABEL_SCREEN = {
  theHeight: 'The height',
  theGap: 'The gap',
  wide: 'Wide',
  high: 'High',
  gapAcross: 'Gap across',
  emptyNone: 'empty: none',
  printedOn: 'Printed on',
  letterSheet: 'Letter sheet',
  aLabelPrinter: 'A label printer',
  onePageSize: 'one to a page of its size',
  number: 'number',
  numberLabels: 'The number of labels',
  used: 'used',
  placesFirstSheet: 'Places of the first sheet that are gone',
  noSuchLabel: (paper: string, leastMarginMm: string): string => `No such label fits on ${paper} with a margin of ${leastMarginMm} all round.`,
  sheetPrint: (count: string, count2: string, each: number): string => `${count} on ${count2}, ${each} to a sheet. Print at 100 %.`,
  printAt: (count: string): string => `${count}. Print at 100 %.`,
  itsCodeOpens: (url: string, isHereAlone: boolean): string =>
    `Its code opens ${url}.${isHereAlone ? ' Only this computer can open that. For phones, start Torvin with --lan.' : ''}`,
} as const;

export const PLAN_PRINT_SCREEN = {
  version: (pieceName: string, version: number): string => `${pieceName}, version ${version}`,
  printThePlan: 'Print the plan',
  a4OrLetter: (count: string): string => `${count}, A4 or Letter`,
  printNotFitted: 'Print at 100 %, not fitted to the page. Measure the 100 mm on the first sheet before you cut.',
  mirroredOtherFace: 'Mirrored, as from the other face',
  cuttingList: 'With the cutting list',
  fitsOnePage: 'It fits on one page.',
  pagesWhichOverlap: (rows: number, columns: number): string => `${rows} × ${columns} pages, which overlap by 10 mm.`,
  planPageOf: (i: number, pages: number): string => `Plan, page ${i} of ${pages}`,
} as const;

export const RUN_SHEET_SVG = {
  outOfDate: (asItIs: boolean, differences: string): string =>
    `Out of date${asItIs ? ', fired as it is' : ': calculate it again before it is fired'}. ${differences}`,
  hold: (hold: string): string => `hold ${hold}`,
  noHold: 'no hold',
  engine: (made: string, toldBy: string): string => `${made}, engine ${toldBy}`,
  figuresCounts: (recipeName: string, kilnName: string, familyName: string, unit: string, controllerName: string): string =>
    `${recipeName} in ${kilnName}, ${familyName}. Figures in °${unit}, as ${controllerName} counts.`,
  startsAllOpen: (start: string, total: string, start2: string): string => `Starts ${start}; ${total} in all; open at ${start2}.`,
  powerOffBefore: (emptyFiringOf: string): string => `Power off before reaching in.${emptyFiringOf}`,
  stressEstimate: ' Stress is an estimate.',
} as const;

export const PRINT_SCREEN = {
  onePageA4: 'one page, A4 or Letter',
  printItAs: 'Print it as it is',
  runSheetSegments: (pieceName: string, segments: number): string => `Run sheet of ${pieceName}: ${segments} segments`,
} as const;

export const FILES_PANEL = {
  printRunSheet: 'Print the run sheet on one page',
  svg: 'SVG',
  svgPageDrawing: 'SVG: the page as a drawing',
  csv: 'CSV',
  csvSegmentsTable: 'CSV: the segments as a table',
  json: 'JSON',
  jsonScheduleData: 'JSON: the schedule as data',
  calendar: 'Calendar',
  calendarCheckEnd: 'Calendar: check, end of the program and opening, from the start chosen above',
  csvCountsShown: (unit: string): string =>
    `CSV counts in °${unit}, as shown; JSON is for other programs, in the units that it names. The whole piece with its firings is a file of its own, on the piece’s page.`,
} as const;
