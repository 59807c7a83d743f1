/** The HTTP server: guards and bodies, then the routes by feature, then what there is not. */
import { type AnswerOf, DISK_HEADER, EVENT_HEADER, STUDIO_HEADER, api } from '@torvin/schema';
import { type CalculatorEndpoint, openApiDocument } from '@torvin/schema/server';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import type { Access } from '../access/access';
import type { Backups } from '../backup/keeping';
import type { ComputePools } from '../compute/pool';
import type { Opened } from '../opening/open';
import type { Room } from '../folder/room';
import type { Hub } from '../live/hub';
import { ownApi } from './apiDigest';
import { answerErrors } from './errors';
import { LINK, deviceIn, enterByLink, makeDoor } from './door';
import { guard, sameVersionOnly } from './guard';
import { type LastLines, keepLastLines } from './lastLines';
import { type Works, routeOn } from './route';
import { accessRoutes } from './routes/access';
import { backupRoutes } from './routes/backups';
import { computeRoutes } from './routes/compute';
import { diagnosticsRoutes } from './routes/diagnostics';
import { firingRoutes } from './routes/firings';
import { photoRoutes } from './routes/photos';
import { pieceRoutes } from './routes/pieces';
import { recordRoutes } from './routes/records';
import { serveReference } from './reference';
import { mustBeJson, notThere } from './strayed';
import { mustBeShallow } from './tooDeep';
import { serveWeb } from './web';

export interface AppParts {
  opened: Opened;
  backups: Backups;
  pools: ComputePools;
  calculators: readonly CalculatorEndpoint[];
  dataDir: string;
  version: string;
  log: Logger;
  /** Folder of the exported web app; without it only the API is served. */
  webDir?: string;
  /** What draws the interface for programs as a page; without it only its document is served. */
  referenceScript?: string;
  /** The address it listens on, and further names that it is known by. */
  host?: string;
  names?: readonly string[];
  /** Whether what comes from this machine is taken for whoever sits at it. */
  trustsLoopback?: boolean;
  access: Access;
  hub: Hub;
  /** What was logged last; kept while the server runs. */
  lines?: LastLines;
  /** On the disk that the studio lies on. */
  room?: Room;
  /** What other devices may open to come here. */
  urls?: () => readonly string[];
  now?: () => number;
}

const BODY_LIMIT = '256kb';
/** What may be larger. */
const READ_BY_THEIR_ROUTES = ['/api/photos', api.importPiece.path, '/api/backups/restore'];
/** A small body can be a large one compressed: what comes compressed is not unpacked. */
const PLAIN = { inflate: false };

export function createApp({
  opened,
  backups,
  pools,
  calculators,
  dataDir,
  version,
  log,
  webDir,
  referenceScript,
  host = '127.0.0.1',
  names = [],
  trustsLoopback = true,
  access,
  hub,
  room,
  lines = keepLastLines(Date.now),
  urls = () => [],
  now = Date.now,
}: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  // A proxy on this machine is believed where a request comes from, and whether that was by https.
  app.set('trust proxy', 'loopback');
  guard(app, { host, names });
  const door = makeDoor(access, trustsLoopback);
  app.use(door.handler);
  app.get(LINK, enterByLink(access));
  app.use('/api', (_request, response, next) => {
    response.set({ [EVENT_HEADER]: hub.last, [STUDIO_HEADER]: opened.mark, ...(room?.isFull() ? { [DISK_HEADER]: 'full' } : {}) });
    next();
  });
  app.use('/api', sameVersionOnly(ownApi));
  app.use(compression());
  const json = express.json({ ...PLAIN, limit: BODY_LIMIT });
  app.use((request, response, next) => {
    if (READ_BY_THEIR_ROUTES.includes(request.path)) return next();
    mustBeJson(request);
    json(request, response, next);
  });
  app.use((request, _response, next) => {
    mustBeShallow(request.body);
    next();
  });

  const works: Works = { app, route: routeOn(app, now, hub.publish), publish: hub.publish, db: opened.db, pool: pools.own, dataDir, now };
  works.route(api.health, (_, _id, _query, _sent, { request }): AnswerOf<typeof api.health> => ({
    ...{ ok: true, version, schema: opened.schema, asks: door.isAsked(request) },
    ...(door.isAtHome(request) ? { dataDir } : {}),
  }));
  app.get('/api/events', (request, response) => {
    const after = request.get('Last-Event-ID') ?? request.query.after;
    hub.stream(response, typeof after === 'string' ? after : undefined, deviceIn(response));
  });
  accessRoutes(works, access, door, urls);
  pieceRoutes(works);
  firingRoutes(works);
  recordRoutes(works);
  photoRoutes(works);
  backupRoutes(works, backups);
  diagnosticsRoutes(works, access, backups, lines, { version, schema: opened.schema, host, names, trustsLoopback, isFull: () => room?.isFull() ?? false });
  computeRoutes({ ...works, pool: pools.others }, calculators);

  // It takes longer than all the rest, and few ask for it.
  let made: object | undefined;
  const openApi = (): object => (made ??= openApiDocument(version, calculators));
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApi());
  });
  serveReference(app, referenceScript, openApi);
  app.use('/api', notThere(app));
  if (webDir) serveWeb(app, webDir);
  app.use(answerErrors(log, lines, () => room?.ranOut()));
  return app;
}
