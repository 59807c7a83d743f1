/** All that a piece and the list of pieces say, in one place; figures come in as they are written. */

export const PIECE_PAPER = {
  toCome: 'to come',
  keyedInto: (setup: string, nameOf: string, nameOf2: string, scheduleId: null | string): string =>
    `${setup}; ${nameOf}, keyed into ${nameOf2}${scheduleId === null ? '; no schedule yet' : ''}`,
  ofThem: (count: number): string => `${count} of them`,
  over: (cover: number): string => `over ${cover} %`,
  itsJourney: 'Its journey',
  liesShelfUp: 'As it lies, from the shelf up',
} as const;

export const ANOTHER_LIKE = {
  fromTo: (atMost: number): string => `From 1 to ${atMost}.`,
  nameLetters: 'A name of 1 to 80 letters.',
  duplicate: 'Duplicate',
  duplicateIt: 'Duplicate it',
  nameFirst: 'Name of the first',
  howMany: 'How many',
  firingsTheirSchedules: 'With its firings and their schedules',
  makeCopies: (count: number): string => `Make ${count} copies`,
  makeACopy: 'Make a copy',
  cancel: 'Cancel',
} as const;

export const NEXT_ACT = {
  planAFiring: 'Plan a firing',
  seeTheSchedule: 'See the schedule',
  start: 'Start',
  seeTheFiring: 'See the firing',
} as const;

export const NEXT_ACT_BAR = {
  next: 'Next',
  noFiringPlanned: 'No firing planned',
  opens: (total: string): string => `opens ${total}`,
} as const;

export const FILE_PIECE = {
  fewerTags: (tagsAtMost: number, tags: number): string => `Use ${tagsAtMost} tags or fewer (you have ${tags}).`,
  fewerLetters: (tagLettersAtMost: number, long: string, long2: number): string =>
    `Use ${tagLettersAtMost} letters or fewer in a tag ('${long} …' has ${long2}).`,
  tagsCommasBetween: 'Tags, with commas between',
  due: 'To be done by',
  finished: 'Finished',
  patternStartOthers: 'A pattern, to start others from',
  archive: 'Archive',
  archiveOutLists: (name: string): string => `Archive ${name}: out of the lists`,
  restore: (name: string): string => `Restore ${name}`,
} as const;

export const PIECE_FILE_ACTIONS = {
  export: 'Export',
  exportPieceFirings: 'Export: the piece with its firings',
  soFar: (done: number, of: number): string => `${done} of ${of} pieces are here now.`,
  areHereNow: (count: number): string => `${count} pieces are here now.`,
  isHereNow: 'is here now',
  hadBeenDeleted: 'had been deleted and is back, as in the file',
  copyPieceItself: 'is a copy: the piece itself is here still',
  notPieceFile: (fileName: string): string => `'${fileName}' is not a piece file: choose one that Torvin wrote, ending in .json.`,
  cannotRead: (fileName: string, message: string, path: string): string => `'${fileName}' cannot be read in: ${message}${path}`,
  at: (path: string): string => ` (at ${path})`,
  importAPiece: 'Import a piece',
  runsToo: 'It runs here too',
  leaveItOut: 'Leave it out',
  openIt: 'Open it',
} as const;

export const PIECE_MENU = {
  piece: (pieceName: string): string => `Piece: ${pieceName}`,
  closeTheMenu: 'Close the menu',
  renameOutline: 'Rename, outline',
  delete: (name: string): string => `Delete ${name}`,
  deletedWhatFired: (name: string): string => `${name} is deleted; what was fired of it stays in the Notebook.`,
} as const;

export const PIECE_ROWS = {
  fit: 'Fit',
  judgingTheFit: 'Judging the fit …',
  drawingHoldLayer: 'In the drawing, hold a layer to move it.',
  drawingDragLayer: 'In the drawing, drag a layer to move it.',
  laidUp: 'Laid up',
  history: 'History',
  madeGlass: 'Made glass',
} as const;

export const PIECE_PANE = {
  dammed: ', dammed',
  more: 'More',
  moreRenameFile: (layupName: string): string => `More: rename, file, export or delete ${layupName}`,
  dashedAfterFiring: 'dashed, as it is after this firing',
  afterFiring: 'after firing',
  layerOfGlass: '+ Layer of glass',
  noGlassShelf: 'No glass here: a shelf or a mould is fired empty. Add a layer to make it a piece.',
  setUp: 'Set-up',
} as const;

export const PIECE_FORM = {
  width: 'Width',
  length: 'Length',
  diameter: 'Diameter',
  holeInIt: 'Hole in it',
  eachTwoLengths: 'each as two lengths: 0 0; 20 0; 0 12 cm',
  eachAs: 'each as two lengths: 0 0; 8 0; 0 5 in',
  youWriteCm: 'as you write it: 240, 24 cm, 9 1/2 in',
  youWrite: 'as you write it: 9 1/2, 9-1/2 in, 9.5"',
  outline: 'Outline',
  areaFollowsSizes: 'Its area follows from its sizes.',
  atTheRim: 'At the rim',
  free: 'Free',
  insideADam: 'Inside a dam',
  bottomLies: 'At the bottom lies',
  noGlass: 'No glass',
  shelfMouldItself: 'a shelf or mould by itself',
  cuttingEyeProtection: 'Cutting: eye protection, and cut or grind wet. Shelf primer is dusty when dry: a respirator, and wipe up wet.',
} as const;

export const PATTERN_ROWS = {
  fromAPattern: 'From a pattern',
  allPatterns: (total: number): string => `All ${total} patterns`,
} as const;

export const PLAN_FIRING_SCREEN = {
  plan: (look: string): string => `plan ${look}`,
  planOn: (setup: string): string => `plan on ${setup}`,
  planOnPaper: 'plan on paper',
  planWhatIs: (wet: string): string => `plan what is ${wet}`,
} as const;

export const PIECES_PAPER = {
  noFiringPlanned: 'no firing planned yet',
} as const;

export const PIECES_PANE = {
  newPiece: 'New piece',
  more: 'More',
  moreToDo: 'More: import a piece, choose several',
  wordsName: 'words of its name',
  show: 'Show',
  thoseThatWait: 'those that wait',
  tag: 'Tag',
  inOrderOf: 'In order of',
  byName: 'by name',
  byWhenMade: 'by when made',
  found: ' found',
  noPieceLike: 'No piece is like that: search for fewer words, or show all.',
  startNewPiece: 'Start with a new piece: its outline and its glass, from which its firing is calculated.',
  noFiringPlanned: 'no firing planned yet',
} as const;

export const CHOSEN_PIECES = {
  fire: 'Fire together',
  archive: 'Archive',
  tag: 'Tag',
  export: 'Export',
  tagsAdded: 'Tags to add, commas between them',
  addThem: 'Add to each',
  archived: (many: string): string => `${many} archived.`,
  restored: (many: string): string => `${many} restored.`,
  tagged: (many: string, tags: string): string => `${many} tagged ${tags}.`,
} as const;
