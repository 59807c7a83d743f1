/** Documents, requests and answers of Torvin, shared by server and web. */
export * from './quantity';
export * from './problem';
export * from './engineInput';
export * from './compute';
export * from './records';
export * from './documents';
export * from './firingCaseOf';
export * from './api';
export * from './openapi';
