/** Documents, requests and answers of Torvin, shared by server and web. */
export * from './records';
export * from './kinds/kind';
export * from './kinds/fields';
export * from './kinds/all';
export * from './kinds/shelves';
export * from './kinds/rename';
export * from './pieces';
export * from './documents';
export * from './pieceFile';
export * from './kilnTime';
export * from './programs';
export * from './reckonings';
export * from './access';
export * from './api';
export * from './spells';
export * from './csv';
export * from './waits';
