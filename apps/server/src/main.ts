/** Starts Torvin: database, engine thread, HTTP. Runs as the bundle dist/server/main.mjs. */
import type { Server } from 'node:http';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Express } from 'express';
import { computeEndpoints } from '@torvin/schema/server';
import pino from 'pino';
import { version } from '../../../package.json';
import { computePool } from './compute/pool';
import { configFrom } from './config';
import { type Opened, OrphanedPictures, openDatabase } from './db/open';
import { addDemoPhotos } from './db/demoPhotos';
import { seedDemo, seedOwn } from './db/seed';
import { createApp } from './http/app';
import { sweepPhotos } from './store/photos';
import { sweepDeleted } from './store/pieces';
import { forgetOldReceipts } from './store/receipts';

/** The exit code of a start that wants to be told something first. */
const ASKS = 3;

const here = dirname(fileURLToPath(import.meta.url));
const root = join(here, '..', '..');
const log = pino({ level: process.env.TORVIN_LOG ?? 'warn' });

const config = configFrom(process.env, root);
const opened = openOrAsk();
const pool = computePool(new URL('./computeWorker.mjs', import.meta.url));
if (config.start === 'own') seedOwn(opened.db);
else if (seedDemo(opened.db, Date.now())) await addDemoPhotos(opened.db, config.dataDir, Date.now());
sweepDeleted(opened.db, Date.now());
forgetOldReceipts(opened.db, Date.now());
sweepPhotos(opened.db, config.dataDir, Date.now());
const app = createApp({
  opened,
  pool,
  calculators: await computeEndpoints(),
  dataDir: config.dataDir,
  version,
  log,
  webDir: join(root, 'apps', 'web', 'dist'),
  host: config.host,
  names: config.names,
});

const server = await listen(app, config.host, config.port);
const address = server.address();
const port = typeof address === 'object' && address ? address.port : config.port;
process.stdout.write(`Torvin is at http://${config.host === '0.0.0.0' ? 'localhost' : config.host}:${port}\nIts data lies in ${config.dataDir}\n`);

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    server.close();
    server.closeAllConnections();
    void pool.close().then(() => {
      opened.close();
      process.exit(0);
    });
  });
}

/** Pictures without their database end the start with a question, which the demo command puts to the person. */
function openOrAsk(): Opened {
  try {
    return openDatabase(config.dataDir, join(here, 'migrations'), config);
  } catch (error) {
    if (!(error instanceof OrphanedPictures)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exit(ASKS);
  }
}

/** Listens on the port, or on the next free one. */
function listen(handler: Express, host: string, first: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const attempt = (port: number): void => {
      const candidate = handler.listen(port, host, (error?: Error & { code?: string }) => {
        if (!error) resolve(candidate);
        else if (error.code === 'EADDRINUSE' && port < first + 50) attempt(port + 1);
        else reject(error);
      });
    };
    attempt(first);
  });
}
