/** Writes the OpenAPI document from the endpoint table. */
import { z } from 'zod';
import { type Endpoint, api, recordApi } from './api';
import { computeApi } from './computeApi';
import { ProblemSchema } from './problem';

const jsonOf = (schema: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _, ...body } = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Record<string, unknown>;
  return { 'application/json': { schema: body } };
};

export function openApiDocument(version: string) {
  const paths: Record<string, Record<string, unknown>> = {};
  const problem = { description: 'What was wrong, where, and what would be right', content: jsonOf(ProblemSchema, 'output') };
  const ofRecords = Object.entries(recordApi).flatMap(([kind, endpoints]) =>
    Object.entries<Endpoint>(endpoints).map(([what, endpoint]) => [`${kind}-${what}`, endpoint] as const),
  );
  for (const [operationId, endpoint] of [...Object.entries<Endpoint>({ ...api, ...computeApi }), ...ofRecords]) {
    const path = endpoint.path.replace(/:(\w+)/g, '{$1}');
    const parameters = [...endpoint.path.matchAll(/:(\w+)/g)].map(([, name]) => ({ name, in: 'path', required: true, schema: { type: 'string' } }));
    paths[path] ??= {};
    paths[path][endpoint.method] = {
      operationId,
      summary: endpoint.summary,
      ...(parameters.length > 0 ? { parameters } : {}),
      ...(endpoint.request ? { requestBody: { required: true, content: jsonOf(endpoint.request, 'input') } } : {}),
      responses: { 200: { description: 'Done', content: jsonOf(endpoint.answer, 'output') }, default: problem },
    };
  }
  return { openapi: '3.1.0', info: { title: 'Torvin', version, description: 'Kiln firings: SI units and °C throughout.' }, paths };
}
