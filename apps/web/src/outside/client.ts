/** Calls the server by the endpoint table. Whatever goes wrong becomes one ApiProblem. */
import type { Problem } from '@torvin/core';
import { serverAnswered, serverSilent } from './connection';
import type { AnswerOf, Endpoint, Photo, RequestOf } from '@torvin/schema';

export class ApiProblem extends Error {
  constructor(
    readonly problem: Problem,
    /** 0 when no answer came. */
    readonly status: number,
    /** The current state, with a stale save. */
    readonly current?: unknown,
    /** When it may be tried again, where the server says so. */
    readonly retryAfter_s?: number,
  ) {
    super(problem.message);
    this.name = 'ApiProblem';
  }
}

const OFFLINE: Problem = {
  code: 'offline',
  path: '',
  message: 'No answer from the Torvin server. Is it running? What you enter is kept here and sent when it is back.',
};
const UNREADABLE: Problem = { code: 'unreadable-answer', path: '', message: 'The server sent something that cannot be read.' };

interface CallInput<E extends Endpoint> {
  id?: string;
  body?: RequestOf<E>;
  /** What stands after the question mark; parts that say nothing are left out. */
  query?: Record<string, string | null | undefined>;
  signal?: AbortSignal;
  /** By which the server knows a save that comes again. */
  key?: string;
}

function unanswered(): never {
  serverSilent();
  throw new ApiProblem(OFFLINE, 0);
}

/** Browsers refuse to keep larger requests alive. */
const KEEPALIVE_AT_MOST = 60_000;

export async function call<E extends Endpoint>(endpoint: E, { id, body, query = {}, signal, key }: CallInput<E> = {}): Promise<AnswerOf<E>> {
  const asked = Object.entries(query).filter((entry): entry is [string, string] => Boolean(entry[1]));
  const path = endpoint.path.replace(':id', encodeURIComponent(id ?? '')) + (asked.length > 0 ? `?${new URLSearchParams(asked)}` : '');
  const written = body === undefined ? undefined : JSON.stringify(body);
  const response = await fetch(path, {
    method: endpoint.method.toUpperCase(),
    ...(written === undefined
      ? {}
      : { body: written, headers: { 'Content-Type': 'application/json', ...(key === undefined ? {} : { 'Idempotency-Key': key }) } }),
    // A save goes through even when the tab is closed meanwhile.
    keepalive: written !== undefined && written.length < KEEPALIVE_AT_MOST,
    signal,
  }).catch((error: unknown) => {
    if (signal?.aborted) throw error;
    return unanswered();
  });
  return answered<AnswerOf<E>>(response);
}

/** A picture goes as its bytes. Where the system does not know its type, the server finds out by them. */
export async function sendPhoto(file: Blob): Promise<Photo> {
  const headers = { 'Content-Type': file.type.startsWith('image/') ? file.type : 'image/unknown' };
  const response = await fetch('/api/photos', { method: 'POST', body: file, headers }).catch(unanswered);
  return answered<Photo>(response);
}

/** A file of the server's, as it is: the page does not read what it only hands on. */
export async function takeFile(endpoint: Endpoint, id: string): Promise<Blob> {
  const response = await fetch(endpoint.path.replace(':id', encodeURIComponent(id))).catch(unanswered);
  return response.ok ? response.blob() : answered(response);
}

/** Sends a file of the person's as it is. */
export async function sendFile<E extends Endpoint>(endpoint: E, file: Blob): Promise<AnswerOf<E>> {
  const response = await fetch(endpoint.path, { method: 'POST', body: file, headers: { 'Content-Type': 'application/json' } }).catch(unanswered);
  return answered<AnswerOf<E>>(response);
}

async function answered<T>(response: Response): Promise<T> {
  serverAnswered();
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok && answer !== null) return answer as T;
  const again_s = Number(response.headers.get('Retry-After') ?? NaN);
  const retryAfter_s = Number.isFinite(again_s) ? again_s : undefined;
  if (isProblem(answer)) throw new ApiProblem(answer, response.status, answer.current, retryAfter_s);
  throw new ApiProblem(UNREADABLE, response.status, undefined, retryAfter_s);
}

const isProblem = (value: unknown): value is Problem & { current?: unknown } =>
  typeof value === 'object' && value !== null && 'message' in value && 'code' in value && 'path' in value;

/** The problem of any thrown thing. */
export const problemOfError = (error: unknown): Problem =>
  error instanceof ApiProblem ? error.problem : { code: 'unexpected', path: '', message: error instanceof Error ? error.message : String(error) };

/** Whether the same request may go through later: not what the server understood and refused. */
export const mayRecover = (error: unknown): boolean => !(error instanceof ApiProblem) || error.status === 0 || error.status >= 500;
