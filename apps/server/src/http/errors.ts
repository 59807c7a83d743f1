/** The one place where failures become answers. A problem travels as {code, path, message}. */
import { type Problem, ProblemError } from '@torvin/core/problem';
import type { ErrorRequestHandler, Request } from 'express';
import type { Logger } from 'pino';
import { Busy } from '../compute/pool';
import { Conflict, Deleted, NotFound, Stale, Taken } from '../store/failures';
import { faultOf } from '../folder/faults';
import { NotAllowed } from './guard';
import type { LastLines } from './lastLines';

/** A request that does not parse; status 422. */
export class BadRequest extends ProblemError {}

/** A body that is no JSON; status 400. */
export class MalformedJson extends Error {}

interface Answer {
  status: number;
  body: Problem & { current?: unknown };
  retryAfter_s?: number;
}

function answerFor(error: unknown): Answer | null {
  const fault = faultOf(error, "the studio's data folder");
  if (fault) return { status: fault.status, body: fault.problem, retryAfter_s: fault.retryAfter_s };
  if (error instanceof NotFound) return { status: 404, body: error.problem };
  if (error instanceof Taken) return { status: 409, body: error.problem };
  if (error instanceof Conflict) return { status: 409, body: { ...error.problem, current: error.current } };
  if (error instanceof Deleted) return { status: 409, body: { ...error.problem, current: error.current } };
  if (error instanceof Stale) return { status: 409, body: { ...error.problem, current: error.current } };
  if (error instanceof Busy) return { status: 503, body: error.problem, retryAfter_s: error.retryAfter_s };
  if (error instanceof NotAllowed) return { status: error.status, body: error.problem, retryAfter_s: error.retryAfter_s };
  if (error instanceof ProblemError) return { status: 422, body: error.problem };
  const { type, status, limit } = (error ?? {}) as { type?: string; status?: number; limit?: number };
  if (type === 'entity.parse.failed' || error instanceof MalformedJson)
    return { status: 400, body: { code: 'malformed-json', path: '', message: 'The request is not JSON.' } };
  if (type === 'encoding.unsupported') return { status: 415, body: { code: 'compressed', path: '', message: 'The request is compressed: send it as it is.' } };
  if (type === 'entity.too.large')
    return { status: 413, body: { code: 'too-large', path: '', message: `The request is larger than ${Math.round((limit ?? 0) / 1024)} kB.` } };
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return { status, body: { code: 'bad-request', path: '', message: error instanceof Error ? error.message : 'The request cannot be read.' } };
  }
  return null;
}

/** As the table of endpoints has it: what stands for its parts is nobody's business. */
const routeOf = (request: Request): string => String((request.route as { path?: unknown } | undefined)?.path ?? request.path.split('/').slice(0, 3).join('/'));

/** ranOut: told where the disk had no room for what was asked. */
export const answerErrors =
  (log: Logger, lines: LastLines, ranOut: () => void): ErrorRequestHandler =>
  (error, request, response, _next) => {
    const known = answerFor(error);
    if (known?.body.code === 'disk-full') ranOut();
    if (!known || known.status >= 500) lines.failed(`${known?.status ?? 500} ${request.method} ${routeOf(request)} ${known?.body.code ?? ''}`.trim(), error);
    if (!known || known.status === 500) log.error({ err: error, method: request.method, path: request.path }, 'request failed');
    const { status, body, retryAfter_s } = known ?? {
      status: 500,
      body: { code: 'internal', path: '', message: 'Something went wrong on the server; what you saved before is safe.' },
    };
    // What was being streamed is cut off, so that nobody takes it for whole.
    if (response.headersSent) return void response.destroy();
    if (retryAfter_s !== undefined) response.set('Retry-After', String(retryAfter_s));
    response.status(status).json(body);
  };
