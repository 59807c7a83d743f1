/**
 * Who may speak to this server. It listens on loopback or a studio's own network and knows no passwords, so any page that a
 * browser has open could otherwise reach it: by a foreign name that resolves to this machine (rebinding), by a form or a plain
 * post from elsewhere, or by framing the app. Reads are kept in by the browser's same-origin rule once the name is right.
 */
import { networkInterfaces } from 'node:os';
import { ProblemError } from '@torvin/core';
import type { Express, Request, RequestHandler } from 'express';
import helmet from 'helmet';

export interface Reach {
  /** The address it listens on. */
  host: string;
  /** Further names that it is known by. */
  names: readonly string[];
}

/** The request was not meant for this server, or did not come from its own pages. */
export class NotAllowed extends ProblemError {
  constructor(
    readonly status: 403 | 415 | 421,
    code: string,
    message: string,
  ) {
    super({ code, path: '', message });
  }
}

const LOOPBACK_NAMES: readonly string[] = ['localhost', '127.0.0.1', '::1'];
const EVERYWHERE: readonly string[] = ['0.0.0.0', '::'];
const READING: readonly string[] = ['GET', 'HEAD', 'OPTIONS'];

/** The name in a Host header, without port and brackets, lower case; '' where it is none. */
export function nameIn(host: string | undefined): string {
  const [, bracketed, plain = ''] = /^(?:\[([0-9a-f:.]+)\]|([^:[\]]+))(?::\d+)?$/i.exec(host ?? '') ?? [];
  return (bracketed ?? plain).toLowerCase().replace(/\.$/, '');
}

const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .map(({ address }) => address.toLowerCase());

/** Loopback names, those configured, and where it listens everywhere this machine's own addresses: no other page can take those. */
export function isOwnName(name: string, { host, names }: Reach): boolean {
  if (LOOPBACK_NAMES.includes(name) || names.includes(name)) return true;
  return EVERYWHERE.includes(host) ? ownAddresses().includes(name) : name === host.toLowerCase() && name !== '';
}

const ownNamesOnly =
  (reach: Reach): RequestHandler =>
  (request, _response, next) => {
    const name = nameIn(request.headers.host);
    if (isOwnName(name, reach)) return next();
    throw new NotAllowed(421, 'foreign-name', `Torvin does not go by the name '${name}'. If it is yours, start it with TORVIN_NAMES=${name || 'that name'}.`);
  };

const isLoopback = (address = ''): boolean => address === '::1' || /^(::ffff:)?127\./.test(address);

/** What comes without a browser's word on where it is from may only be what a form cannot send. */
const isPlainlyOurs = (request: Request): boolean => isLoopback(request.socket.remoteAddress) && Boolean(request.is(['application/json', 'image/*']));

function isOwnOrigin(request: Request): boolean {
  const { origin, host } = request.headers;
  const site = request.headers['sec-fetch-site'];
  if (origin === undefined && site === undefined) return isPlainlyOurs(request);
  const sameOrigin = origin === undefined || origin === `${request.protocol}://${host}`;
  return sameOrigin && (site === undefined || site === 'same-origin');
}

const ownWritesOnly: RequestHandler = (request, _response, next) => {
  if (READING.includes(request.method) || isOwnOrigin(request)) return next();
  throw new NotAllowed(
    403,
    'foreign-origin',
    'This came from another page than Torvin’s own, so nothing was changed. Programs send JSON or a picture, from this machine.',
  );
};

/** helmet's defaults ask for https; over plain http they would leave the page blank. */
const headers = (secure: boolean): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        workerSrc: ["'self'"],
        // The interface's styles are injected as it renders.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    xFrameOptions: { action: 'deny' },
    strictTransportSecurity: secure,
    crossOriginOpenerPolicy: secure,
    originAgentCluster: secure,
  });

export function guard(app: Express, reach: Reach): void {
  const plain = headers(false);
  const secure = headers(true);
  app.use((request, response, next) => (request.secure ? secure : plain)(request, response, next));
  app.use(ownNamesOnly(reach), ownWritesOnly);
}

/** Refuses a picture that is sent as something else. */
export const picturesOnly: RequestHandler = (request, _response, next) => {
  if (request.is('image/*')) return next();
  throw new NotAllowed(415, 'no-picture-type', 'A picture is sent with its type, such as Content-Type: image/jpeg.');
};
