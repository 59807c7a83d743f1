/** What crosses the border of the core, as Zod schemas: glasses, bodies, kilns, firings and what the engine says of them. */
export * from './schemaFor';
export * from './quantity';
export * from './problem';
export * from './glass';
export * from './body';
export * from './coat';
export * from './controller';
export * from './heat';
export * from './hollow';
export * from './firing';
export * from './form';
export * from './results';
export * from './leaves';
export * from './placed';
