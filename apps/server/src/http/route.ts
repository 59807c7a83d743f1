/** One endpoint of a table, answered by one function: the request is held to its schema before, the answer is sent. */
import { problemOf } from '@torvin/core/contract';
import type { AnswerOf, Endpoint } from '@torvin/schema';
import type { Express, Request } from 'express';
import type { z } from 'zod';
import type { ComputePool } from '../compute/pool';
import type { Opened } from '../db/open';
import type { Sent } from '../store/receipts';
import { BadRequest } from './errors';

/** What routes work with. */
export interface Works {
  app: Express;
  route: Route;
  db: Opened['db'];
  pool: ComputePool;
  dataDir: string;
  now: () => number;
}

type Parsed<E extends Endpoint> = E['request'] extends z.ZodType ? z.output<E['request']> : undefined;
type Query<E extends Endpoint> = E['query'] extends z.ZodType ? z.output<E['query']> : undefined;

export type Route = <E extends Endpoint>(
  endpoint: E,
  handle: (body: Parsed<E>, id: string, query: Query<E>, sent: Sent) => AnswerOf<E> | Promise<AnswerOf<E>>,
) => void;

export const routeOn =
  (app: Express, now: () => number): Route =>
  (endpoint, handle) => {
    type E = typeof endpoint;
    app[endpoint.method](endpoint.path, async (request, response) => {
      const { older = (sent: unknown) => sent } = endpoint;
      const query = (endpoint.query ? read(endpoint.query, request.query) : undefined) as Query<E>;
      const body = (endpoint.request ? read(endpoint.request, older(request.body ?? {})) : undefined) as Parsed<E>;
      response.json(await handle(body, String(request.params.id ?? ''), query, { key: keyOf(request), at: now() }));
    });
  };

const KEY = /^[\w-]{8,100}$/;

/** The key of a save that may come again; the standard's header for that. */
function keyOf(request: Request): string | undefined {
  const key = request.get('Idempotency-Key');
  if (key === undefined || KEY.test(key)) return key;
  throw new BadRequest({
    code: 'unreadable-key',
    path: 'Idempotency-Key',
    message: 'The key of a save has 8 to 100 letters, digits and hyphens, such as a uuid.',
  });
}

function read(schema: z.ZodType, input: unknown): unknown {
  const outcome = schema.safeParse(input);
  if (!outcome.success) throw new BadRequest(problemOf(outcome.error));
  return outcome.data;
}
