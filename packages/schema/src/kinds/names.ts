/** What each kind of record is called, and where it is found: what can be known of it without what it holds. */
export interface KindNames {
  /** In addresses. */
  path: string;
  one: string;
  many: string;
  /** On the switch between shelves, where many is too long for it. */
  short?: string;
  /** Where a piece's document names records of this kind. */
  inPieces?: 'glassId' | 'kilnId' | 'controllerId' | 'releaseId';
}

/** In the order in which they name one another: what a record names stands before it. */
export const KIND_NAMES = {
  families: { path: 'families', one: 'glass family', many: 'glass families', short: 'Families' },
  glasses: { path: 'glasses', one: 'glass', many: 'glasses', short: 'Glass', inPieces: 'glassId' },
  made: { path: 'made', one: 'made glass', many: 'made glasses', short: 'Made here', inPieces: 'glassId' },
  kilns: { path: 'kilns', one: 'kiln', many: 'kilns', inPieces: 'kilnId' },
  controllers: { path: 'controllers', one: 'controller', many: 'controllers', inPieces: 'controllerId' },
  stripTests: { path: 'strip-tests', one: 'strip test', many: 'strip tests' },
  releases: { path: 'releases', one: 'release', many: 'releases', inPieces: 'releaseId' },
  materials: { path: 'materials', one: 'material of your own', many: 'materials of your own', short: 'Materials' },
  forms: { path: 'forms', one: 'mould or former', many: 'moulds and formers', short: 'Moulds' },
  coated: { path: 'coats', one: 'coat', many: 'coats' },
  findings: { path: 'findings', one: 'finding of a test series', many: 'findings of test series', short: 'Findings' },
  makings: { path: 'makings', one: 'mould in the making', many: 'moulds in the making', short: 'In the making' },
} as const satisfies Record<string, KindNames>;

export type KindName = keyof typeof KIND_NAMES;
export const KIND_LIST = Object.keys(KIND_NAMES) as KindName[];

/** One kind among others. */
export const namesOf = (kind: KindName): KindNames => KIND_NAMES[kind];

/** Those that have a page of their own on the shelves, in the order in which they stand there. */
export const SHELF_KINDS = [
  'glasses',
  'made',
  'families',
  'stripTests',
  'forms',
  'materials',
  'kilns',
  'controllers',
  'releases',
  'coated',
  'makings',
  'findings',
] as const satisfies readonly KindName[];
export type ShelfKind = (typeof SHELF_KINDS)[number];

export const isKind = (name: string): name is KindName => name in KIND_NAMES;
