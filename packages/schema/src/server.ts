/** What only a server needs: the compute API with its schemas, and the OpenAPI document. */
export * from './compute';
export * from './computeMore';
export * from './computeApi';
export * from './openapi';
