/** One endpoint of a table, answered by one function: the request is held to its schema before, the answer is sent. */
import { problemOf } from '@torvin/core/contract';
import { type AnswerOf, type Change, type Endpoint, PAGE_HEADER } from '@torvin/schema';
import type { Express, Request, Response } from 'express';
import { gzipSync } from 'node:zlib';
import type { z } from 'zod';
import type { ComputePool } from '../compute/pool';
import type { Opened } from '../opening/open';
import { Stale } from '../store/failures';
import { isKept } from '../store/keptWhile';
import type { Sent } from '../store/receipts';
import { BadRequest } from './errors';
import { tooLong } from './tooLong';

/** What routes work with. */
export interface Works {
  app: Express;
  route: Route;
  /** Tells all pages of what was changed beside what an endpoint says that it changes. */
  publish: (change: Change) => void;
  db: Opened['db'];
  pool: ComputePool;
  dataDir: string;
  now: () => number;
}

type Parsed<E extends Endpoint> = E['request'] extends z.ZodType ? z.output<E['request']> : undefined;
type Query<E extends Endpoint> = E['query'] extends z.ZodType ? z.output<E['query']> : undefined;

export type Route = <E extends Endpoint>(
  endpoint: E,
  handle: (body: Parsed<E>, id: string, query: Query<E>, sent: Sent, asked: { request: Request; response: Response }) => AnswerOf<E> | Promise<AnswerOf<E>>,
) => void;

/** publish: told of what each endpoint has changed that says it changes something. */
export const routeOn =
  (app: Express, now: () => number, publish: (change: Change) => void): Route =>
  (endpoint, handle) => {
    type E = typeof endpoint;
    app[endpoint.method](endpoint.path, async (request, response) => {
      const { older = (sent: unknown) => sent } = endpoint;
      const query = (endpoint.query ? read(endpoint.query, request.query) : undefined) as Query<E>;
      const body = (endpoint.request ? read(endpoint.request, older(request.body ?? {})) : undefined) as Parsed<E>;
      const id = String(request.params.id ?? '');
      const sent = { key: keyOf(request), at: now() };
      const answer = await afterEarlier(async () => handle(body, id, query, sent, { request, response }));
      if (endpoint.changes) publish({ topic: endpoint.changes, id: id || idIn(answer), page: request.get(PAGE_HEADER) });
      send(answer, request, response);
    });
  };

/** Of what is kept and was asked for twice: as it goes out, compressed. */
const zipped = new WeakMap<object, Buffer | null>();

function send(answer: unknown, request: Request, response: Response): void {
  if (!isKept(answer) || !request.acceptsEncodings('gzip')) return void response.json(answer);
  const before = zipped.get(answer);
  if (before === undefined) {
    zipped.set(answer, null);
    return void response.json(answer);
  }
  const bytes = before ?? gzipSync(JSON.stringify(answer));
  zipped.set(answer, bytes);
  response.vary('Accept-Encoding').set('Content-Encoding', 'gzip').type('json').send(bytes);
}

/** So many saves may be ahead of those that they rest on, and are waited for so long. */
const AHEAD_AT_MOST = 5;
const WAITED_AT_MOST_MS = 3000;
const LOOKS_AGAIN_MS = 50;

/**
 * A page that is being left sends all it has at once, each save on top of the one before, and a later one may come first: it is tried
 * again until the earlier one is in. What is behind what stands, or far ahead of it, is refused as it is.
 */
async function afterEarlier<T>(save: () => Promise<T>): Promise<T> {
  const until = Date.now() + WAITED_AT_MOST_MS;
  for (;;) {
    try {
      return await save();
    } catch (error) {
      const ahead = error instanceof Stale ? error.based - error.current.version : 0;
      if (ahead < 1 || ahead > AHEAD_AT_MOST || Date.now() > until) throw error;
    }
    await new Promise((resolve) => setTimeout(resolve, LOOKS_AGAIN_MS));
  }
}

const idIn = (answer: unknown): string | undefined =>
  typeof answer === 'object' && answer !== null && 'id' in answer && typeof answer.id === 'string' ? answer.id : undefined;

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

/** Holds a request, or what stands at a path of it, to its schema. */
export function read<T extends z.ZodType>(schema: T, input: unknown, path = ''): z.output<T> {
  const long = tooLong(schema, input, path);
  if (long) throw new BadRequest(long);
  const outcome = schema.safeParse(input);
  if (!outcome.success) throw new BadRequest(problemOf(outcome.error, path));
  return outcome.data;
}
