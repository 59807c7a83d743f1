/**
 * Asks for the passcode, once, whoever does not sit at the machine itself. Where Torvin listens on this machine alone and nothing
 * else was said, a request from this machine needs nothing: whoever sits there has its files. Where others may come, a connection
 * from this machine proves nothing, since a proxy or a tunnel makes one for a stranger: then this machine shows a token too.
 */
import { parse } from 'cookie';
import type { Request, RequestHandler, Response } from 'express';
import type { Access } from '../access/access';
import { isLoopback, isLoopbackName } from '../access/addresses';
import { A_MINUTE_MS, type Guesses, TooOften } from '../access/guesses';
import { NotAllowed, nameIn } from './guard';

const COOKIE = 'torvin';
/** Browsers keep none for longer; using it begins it anew. */
const COOKIE_KEPT_MS = 400 * 24 * 3600e3;

/** Where the link leads that lets in a browser of this machine; its query holds the token. */
export const LINK = '/api/access/link';

/** What may be asked from outside: whether it is up, and to be let in. */
const OUTSIDE: readonly string[] = ['/api/health', '/api/access/enter', LINK];

export interface Door {
  handler: RequestHandler;
  /** Whether a request would be asked for the passcode. */
  isAsked(request: Request): boolean;
  /** Whether it comes from the machine itself, as far as that can be known: never, where something says that it was handed on. */
  isAtHome(request: Request): boolean;
}

const HANDED_ON: readonly string[] = ['forwarded', 'via', 'x-real-ip'];

/** Whether a header says that something stands between. */
export const isHandedOn = ({ headers }: Pick<Request, 'headers'>): boolean =>
  Object.keys(headers).some((name) => HANDED_ON.includes(name) || name.startsWith('x-forwarded'));

const shown = ({ headers }: Request): string | undefined => parse(headers.cookie ?? '')[COOKIE];
const bearer = ({ headers }: Request): string | undefined => /^Bearer +(\S+)$/i.exec(headers.authorization ?? '')?.[1];

export function letIn(request: Request, response: Response, token: string): void {
  response.cookie(COOKIE, token, { httpOnly: true, sameSite: 'lax', secure: request.secure, maxAge: COOKIE_KEPT_MS, path: '/' });
}

/** The device that asks, where it is one that was let in. */
export const deviceIn = (response: Response): string | null => (response.locals.deviceId as string | undefined) ?? null;

/** trustsLoopback: what comes from this machine, under one of its own names, is taken for whoever sits at it. */
export function makeDoor(access: Access, trustsLoopback: boolean): Door {
  const comesFromHere = ({ socket, headers }: Request): boolean => trustsLoopback && isLoopback(socket.remoteAddress) && isLoopbackName(nameIn(headers.host));
  const isAtHome = (request: Request): boolean =>
    !isHandedOn(request) && (comesFromHere(request) || access.isOwnToken(bearer(request)) || access.deviceOf(shown(request))?.device.own === true);
  const isIn = (request: Request): boolean => isAtHome(request) || access.isOwnToken(bearer(request));
  return {
    isAtHome,
    isAsked: (request) => !isIn(request) && access.deviceOf(shown(request)) === null,
    handler(request, response, next) {
      const token = shown(request);
      const seen = access.deviceOf(token);
      response.locals.deviceId = seen?.device.id;
      if (seen?.again && token) letIn(request, response, token);
      if (seen || isIn(request) || !/^\/api(\/|$)/i.test(request.path) || OUTSIDE.includes(request.path)) return next();
      throw new NotAllowed(401, 'passcode', 'This device has not given the passcode of this studio yet. Open Torvin on it and enter it.');
    },
  };
}

/** A browser of this machine that follows the link that the start prints has the token's rights from then on, and no token in its address. */
export const enterByLink =
  (access: Access): RequestHandler =>
  (request, response) => {
    response.set('Cache-Control', 'no-store');
    const { token } = request.query;
    if (typeof token === 'string' && access.isOwnToken(token) && access.deviceOf(shown(request)) === null) letIn(request, response, access.enterOwn());
    // Whoever comes with another token is asked for the passcode there.
    response.redirect(303, '/');
  };

/** Looks at a passcode in its turn; an address that was wrong too often waits. */
export async function judged<T>(guesses: Guesses, request: Request, look: () => Promise<T | null>): Promise<T | null> {
  try {
    return await guesses.judge(request.ip, look);
  } catch (error) {
    if (!(error instanceof TooOften)) throw error;
    throw new NotAllowed(429, 'too-many', 'That was wrong too often. Wait a minute, then try again.', 'passcode', A_MINUTE_MS / 1000);
  }
}
