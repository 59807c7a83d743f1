/** What only a server needs: the compute API with its schemas, and the OpenAPI document. */
export * from './computeApi';
export * from './openapi';
export * from './examples';
