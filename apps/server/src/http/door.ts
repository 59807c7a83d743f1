/** Asks every other device for the passcode, once. Whoever sits at the machine itself has its files before them and is asked nothing. */
import { parse } from 'cookie';
import type { Request, RequestHandler, Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Access } from '../access/access';
import { isLoopback, isLoopbackName } from '../access/addresses';
import { NotAllowed, nameIn } from './guard';

const COOKIE = 'torvin';
/** Browsers keep none for longer; using it begins it anew. */
const COOKIE_KEPT_MS = 400 * 24 * 3600e3;

/** What may be asked from outside: whether it is up, and to be let in. */
const OUTSIDE: readonly string[] = ['/api/health', '/api/access/enter'];

/** By where it comes from and by what name it calls: what a proxy on this machine hands on comes under another name. */
export const isAtHome = ({ socket, headers }: Request): boolean => isLoopback(socket.remoteAddress) && isLoopbackName(nameIn(headers.host));

const shown = ({ headers }: Request): string | undefined => parse(headers.cookie ?? '')[COOKIE];

/** Whether it would be asked. */
export const isAsked = (request: Request, access: Access): boolean => !isAtHome(request) && access.deviceOf(shown(request)) === null;

export function letIn(request: Request, response: Response, token: string): void {
  response.cookie(COOKIE, token, { httpOnly: true, sameSite: 'lax', secure: request.secure, maxAge: COOKIE_KEPT_MS, path: '/' });
}

/** The device that asks, where it is one that was let in. */
export const deviceIn = (response: Response): string | null => (response.locals.deviceId as string | undefined) ?? null;

export const door =
  (access: Access): RequestHandler =>
  (request, response, next) => {
    const token = shown(request);
    const seen = access.deviceOf(token);
    response.locals.deviceId = seen?.device.id;
    if (seen?.again && token) letIn(request, response, token);
    if (seen || isAtHome(request) || !/^\/api(\/|$)/i.test(request.path) || OUTSIDE.includes(request.path)) return next();
    throw new NotAllowed(401, 'passcode', 'This device has not given the passcode of this studio yet. Open Torvin on it and enter it.');
  };

const A_MINUTE_MS = 60_000;
const WRONG_A_MINUTE = 5;
const WRONG_A_MINUTE_OF_ALL = 40;

const slowAfter = (limit: number, keyGenerator: (request: Request) => string): RequestHandler =>
  rateLimit({
    windowMs: A_MINUTE_MS,
    limit,
    keyGenerator,
    skipSuccessfulRequests: true,
    validate: false,
    standardHeaders: false,
    legacyHeaders: false,
    handler(_request, response) {
      response
        .set('Retry-After', String(A_MINUTE_MS / 1000))
        .status(429)
        .json({ code: 'too-many', path: 'passcode', message: 'That was wrong too often. Wait a minute, then try again.' });
    },
  });

/** A device may be wrong a few times a minute, and all of them together some more. */
export const slowToGuess = (): RequestHandler[] => [
  slowAfter(WRONG_A_MINUTE_OF_ALL, () => 'all'),
  slowAfter(WRONG_A_MINUTE, ({ socket }) => ipKeyGenerator(socket.remoteAddress ?? '')),
];
