/**
 * Who may speak to this server. It listens on loopback, where it asks for nothing, or on a studio's own network, so any page that a
 * browser has open could otherwise reach it: by a foreign name that resolves to this machine (rebinding), by a form or a plain
 * post from elsewhere, or by framing the app. Reads are kept in by the browser's same-origin rule once the name is right.
 */
import { ProblemError } from '@torvin/core/problem';
import { API_HEADER } from '@torvin/schema';
import type { Express, Request, RequestHandler } from 'express';
import helmet from 'helmet';
import { isEverywhere, isLoopback, isLoopbackName, ownNames } from '../access/addresses';

export interface Reach {
  /** The address it listens on. */
  host: string;
  /** Further names that it is known by. */
  names: readonly string[];
}

/** The request was not meant for this server, or did not come from its own pages. */
export class NotAllowed extends ProblemError {
  constructor(
    readonly status: 401 | 403 | 412 | 415 | 421 | 429,
    code: string,
    message: string,
    path = '',
    readonly retryAfter_s?: number,
  ) {
    super({ code, path, message });
  }
}

const READING: readonly string[] = ['GET', 'HEAD', 'OPTIONS'];

/** The name in a Host header, without port and brackets, lower case; '' where it is none. */
export function nameIn(host: string | undefined): string {
  const [, bracketed, plain = ''] = /^(?:\[([0-9a-f:.]+)\]|([^:[\]]+))(?::\d+)?$/i.exec(host ?? '') ?? [];
  return (bracketed ?? plain).toLowerCase().replace(/\.$/, '');
}

/** Loopback names, those configured, and where it listens everywhere this machine's own addresses and name: no other page can take those. */
export function isOwnName(name: string, { host, names }: Reach): boolean {
  if (isLoopbackName(name) || names.includes(name)) return true;
  return isEverywhere(host) ? ownNames().includes(name) : name === host.toLowerCase() && name !== '';
}

/** By what a browser called it: where a proxy on this machine changes that on the way, by what the proxy says too. */
function hostsOf(request: Request): string[] {
  const { host = '', 'x-forwarded-host': before } = request.headers;
  return isLoopback(request.socket.remoteAddress) && typeof before === 'string' ? [host, before] : [host];
}

const ownNamesOnly =
  (reach: Reach): RequestHandler =>
  (request, _response, next) => {
    const name = hostsOf(request)
      .map(nameIn)
      .find((one) => !isOwnName(one, reach));
    if (name === undefined) return next();
    throw new NotAllowed(421, 'foreign-name', `Torvin does not go by the name '${name}'. If it is yours, start it with TORVIN_NAMES=${name || 'that name'}.`);
  };

/** What comes without a browser's word on where it is from may only be what a form cannot send: a type, or a header, of its own. */
const isPlainlyOurs = (request: Request): boolean =>
  (isLoopback(request.socket.remoteAddress) || request.headers.authorization !== undefined) &&
  Boolean(request.is(['application/json', 'application/zip', 'image/*']));

function isOwnOrigin(request: Request): boolean {
  const { origin } = request.headers;
  const site = request.headers['sec-fetch-site'];
  if (origin === undefined && site === undefined) return isPlainlyOurs(request);
  const sameOrigin = origin === undefined || hostsOf(request).some((host) => origin === `${request.protocol}://${host}`);
  return sameOrigin && (site === undefined || site === 'same-origin');
}

/** Of a body that is nothing that is read here. */
export function notJson(request: Request): NotAllowed {
  const type = request.get('Content-Type');
  const came = type ? `It came as ${type.slice(0, 80)}` : 'It came without a Content-Type';
  return new NotAllowed(
    415,
    'not-json',
    `${came}. Send JSON as application/json, a picture as image/jpeg or the like, a backup as application/zip.`,
    'Content-Type',
  );
}

const ownWritesOnly: RequestHandler = (request, _response, next) => {
  if (READING.includes(request.method) || isOwnOrigin(request)) return next();
  const { origin, 'sec-fetch-site': site, 'content-type': type } = request.headers;
  // A browser that says where it is from is told that; a program, what to send.
  if (origin === undefined && site === undefined && type !== undefined && isLoopback(request.socket.remoteAddress)) throw notJson(request);
  throw new NotAllowed(
    403,
    'foreign-origin',
    'This came from a page that is not Torvin’s, so it was refused. Programs send JSON or a picture, from this machine.',
  );
};

/** helmet's defaults ask for https; over plain http they would leave the page blank. */
const headers = (secure: boolean): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        // The engine's inner loops are WebAssembly, which it says this of; where a browser forbids it they run plain.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
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
    // A browser that is told to would refuse this machine, on every port, once a studio has gone back to http.
    strictTransportSecurity: false,
    crossOriginOpenerPolicy: secure,
    originAgentCluster: secure,
  });

export function guard(app: Express, reach: Reach): void {
  const plain = headers(false);
  const secure = headers(true);
  app.use((request, response, next) => (request.secure ? secure : plain)(request, response, next));
  app.use(ownNamesOnly(reach), ownWritesOnly);
}

/** What a page of another version means may be something else here: nothing that it changes is taken. apiOf: the digest of this one's. */
export const sameVersionOnly =
  (apiOf: () => string): RequestHandler =>
  (request, response, next) => {
    const api = apiOf();
    response.set(API_HEADER, api);
    const theirs = request.get(API_HEADER);
    if (READING.includes(request.method) || theirs === undefined || theirs === api) return next();
    throw new NotAllowed(412, 'other-version', 'This page is from another version of Torvin than its server. Reload it: what you entered is kept.');
  };

/** Refuses a backup that is sent as something else. */
export const archivesOnly: RequestHandler = (request, _response, next) => {
  if (request.is('application/zip')) return next();
  throw new NotAllowed(415, 'no-zip', 'A backup is sent as a zip: Content-Type: application/zip.');
};

/** Refuses a picture that is sent as something else. */
export const picturesOnly: RequestHandler = (request, _response, next) => {
  if (request.is('image/*')) return next();
  throw new NotAllowed(415, 'no-picture-type', 'A picture is sent with its type, such as Content-Type: image/jpeg.');
};
