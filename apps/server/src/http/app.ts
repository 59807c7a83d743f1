/** The HTTP server: guards and bodies, then the routes by feature, then what there is not. */
import { type AnswerOf, api } from '@torvin/schema';
import { type CalculatorEndpoint, openApiDocument } from '@torvin/schema/server';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import type { ComputePool } from '../compute/pool';
import type { Opened } from '../db/open';
import { answerErrors } from './errors';
import { guard } from './guard';
import { type Works, routeOn } from './route';
import { computeRoutes } from './routes/compute';
import { firingRoutes } from './routes/firings';
import { photoRoutes } from './routes/photos';
import { pieceRoutes } from './routes/pieces';
import { recordRoutes } from './routes/records';
import { serveWeb } from './web';

export interface AppParts {
  opened: Opened;
  pool: ComputePool;
  calculators: readonly CalculatorEndpoint[];
  dataDir: string;
  version: string;
  log: Logger;
  /** Folder of the exported web app; without it only the API is served. */
  webDir?: string;
  /** The address it listens on, and further names that it is known by. */
  host?: string;
  names?: readonly string[];
  now?: () => number;
}

const BODY_LIMIT = '256kb';
/** A piece of some years with a few hundred pictures. */
/** A small body can be a large one compressed: what comes compressed is not unpacked. */
const PLAIN = { inflate: false };
const FILE_LIMIT = '128mb';

export function createApp({ opened, pool, calculators, dataDir, version, log, webDir, host = '127.0.0.1', names = [], now = Date.now }: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  guard(app, { host, names });
  app.use(api.importPiece.path, express.json({ ...PLAIN, limit: FILE_LIMIT }));
  const json = express.json({ ...PLAIN, limit: BODY_LIMIT });
  app.use((request, response, next) => (request.path === '/api/photos' ? next() : json(request, response, next)));

  const works: Works = { app, route: routeOn(app, now), db: opened.db, pool, dataDir, now };
  works.route(api.health, (): AnswerOf<typeof api.health> => ({ ok: true, version, dataDir, schema: opened.schema }));
  pieceRoutes(works);
  firingRoutes(works);
  recordRoutes(works);
  photoRoutes(works);
  computeRoutes(works, calculators);

  const openApi = openApiDocument(version, calculators);
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApi);
  });
  app.use('/api', (request, response) => {
    response.status(404).json({ code: 'unknown-path', path: request.originalUrl, message: `There is no ${request.method} ${request.originalUrl}.` });
  });
  if (webDir) serveWeb(app, webDir);
  app.use(answerErrors(log));
  return app;
}
