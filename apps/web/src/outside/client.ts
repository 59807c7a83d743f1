/** Calls the server by the endpoint table. Whatever goes wrong becomes one ApiProblem. */
import type { Problem } from '@torvin/core/problem';
import {
  API_HEADER,
  type AnswerOf,
  type Asked,
  CLOCK_HEADER,
  DISK_HEADER,
  type Endpoint,
  EVENT_HEADER,
  PAGE_HEADER,
  type Photo,
  type RequestOf,
  type Restored,
  STUDIO_HEADER,
} from '@torvin/schema';
import { noteEvent } from './changes';
import { endsAfter, passcodeWanted, serverAnswered, serverSilent } from './connection';
import { noteDisk } from './disk';
import { isAsked } from './door';
import { takeEarly } from './early';
import { API, PAGE } from './page';
import { noteStudio } from './readingStore';
import { noteApi } from './version';

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
  /** By which a save that comes again is known for the same; such a one is asked again where no answer comes. */
  key?: string;
}

function unanswered(): never {
  serverSilent();
  throw new ApiProblem(OFFLINE, 0);
}

/** With everything that changes something: who asks, when by its own clock, and what it means by it. */
const written = (type: string): Record<string, string> => ({
  ...{ 'Content-Type': type, [PAGE_HEADER]: PAGE, [CLOCK_HEADER]: String(Date.now()) },
  ...(API === null ? {} : { [API_HEADER]: API }),
});

/** A save that has had no answer for so long is taken for lost: a network that fell away may never say so. */
const SAVE_ANSWERED_WITHIN_MS = 30_000;

/** Browsers refuse to keep larger requests alive. */
const KEEPALIVE_AT_MOST = 60_000;

export async function call<E extends Endpoint>(endpoint: Asked<E>, { id, body, query = {}, signal, key }: CallInput<E> = {}): Promise<AnswerOf<E>> {
  const asked = Object.entries(query).filter((entry): entry is [string, string] => Boolean(entry[1]));
  const path = endpoint.path.replace(':id', encodeURIComponent(id ?? '')) + (asked.length > 0 ? `?${new URLSearchParams(asked)}` : '');
  const sent = body === undefined ? undefined : JSON.stringify(body);
  const early = endpoint.method === 'get' ? takeEarly(path) : undefined;
  const asking =
    early ??
    fetch(path, {
      method: endpoint.method.toUpperCase(),
      ...(sent === undefined ? {} : { body: sent, headers: { ...written('application/json'), ...(key === undefined ? {} : { 'Idempotency-Key': key }) } }),
      // A save goes through even when the tab is closed meanwhile.
      keepalive: sent !== undefined && sent.length < KEEPALIVE_AT_MOST,
      signal: signal ?? (key === undefined ? undefined : endsAfter(SAVE_ANSWERED_WITHIN_MS)),
    });
  const response = await asking.catch((error: unknown) => {
    if (signal?.aborted) throw error;
    return unanswered();
  });
  return answered<AnswerOf<E>>(response, signal);
}

/** A picture goes as its bytes. Where the system does not know its type, the server finds out by them. */
export async function sendPhoto(file: Blob): Promise<Photo> {
  const headers = written(file.type.startsWith('image/') ? file.type : 'image/unknown');
  const response = await fetch('/api/photos', { method: 'POST', body: file, headers }).catch(unanswered);
  return answered<Photo>(response);
}

/** A file of the server's, as it is: the page does not read what it only hands on. */
export async function takeFile(endpoint: Asked<Endpoint>, id: string): Promise<Blob> {
  const response = await fetch(endpoint.path.replace(':id', encodeURIComponent(id))).catch(unanswered);
  return response.ok ? response.blob() : answered(response);
}

/** Sends a file of the person's as it is. */
export async function sendFile<E extends Endpoint>(endpoint: Asked<E>, file: Blob, query: Record<string, string> = {}): Promise<AnswerOf<E>> {
  const response = await fetch(`${endpoint.path}?${new URLSearchParams(query)}`, { method: 'POST', body: file, headers: written('application/json') }).catch(
    unanswered,
  );
  return answered<AnswerOf<E>>(response);
}

/** A backup from this device goes as its bytes, however many. */
export async function sendBackup(file: Blob): Promise<Restored> {
  const response = await fetch('/api/backups/restore', { method: 'POST', body: file, headers: written('application/zip') }).catch(unanswered);
  return answered<Restored>(response);
}

async function answered<T>(response: Response, signal?: AbortSignal): Promise<T> {
  let isCut = false;
  const answer: unknown = await response.json().catch((error: unknown) => {
    if (signal?.aborted) throw error;
    isCut = true;
    return null;
  });
  // Cut off on its way, as by leaving the page: what was asked may have been done or not, and is asked again. A null that came whole is an answer.
  if (response.ok && isCut) return unanswered();
  if (response.status === 401 && isProblem(answer) && answer.code === 'passcode') {
    passcodeWanted();
    // As if nothing had come: what waits is sent once the device is let in.
    throw new ApiProblem(answer, 0);
  }
  noteApi(response.headers.get(API_HEADER));
  noteStudio(response.headers.get(STUDIO_HEADER));
  noteDisk(response.headers.get(DISK_HEADER));
  if (!isAsked()) serverAnswered();
  // It was renewed: what was to be saved waits for the new page.
  if (response.status === 412 && isProblem(answer)) throw new ApiProblem(answer, 0);
  noteEvent(response.headers.get(EVENT_HEADER));
  if (response.ok) return answer as T;
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
