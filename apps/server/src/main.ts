/** Starts Torvin: database, engine thread, HTTP. Runs as the bundle dist/server/main.mjs. */
import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Express } from 'express';
import { computeEndpoints } from '@torvin/schema/server';
import pino from 'pino';
import { version } from '../../../package.json';
import { computePool } from './compute/pool';
import { configFrom } from './config';
import { OrphanedPictures, openDatabase } from './db/open';
import { addDemoPhotos } from './db/demoPhotos';
import { seedDemo, seedOwn } from './db/seed';
import { type Claim, FolderInUse, claimFolder } from './folder/claim';
import { faultOf, moveAside } from './folder/faults';
import { createApp } from './http/app';
import { sweepPhotos } from './store/photos';
import { forgetOldReceipts } from './store/receipts';

/** Exit codes of a start that comes to nothing: it wants to be told something first; a server has the folder already. */
const ASKS = 3;
const RUNS_ALREADY = 4;

const here = dirname(fileURLToPath(import.meta.url));
const root = join(here, '..', '..');
const log = pino({ level: process.env.TORVIN_LOG ?? 'warn' });

const config = saidIfNot('', () => configFrom(process.env, root));
const { dataDir } = config;
const claim = saidIfNot(dataDir, claimed);
const opened = saidIfNot(dataDir, () => openDatabase(dataDir, join(here, 'migrations'), config));
const pool = computePool(new URL('./computeWorker.mjs', import.meta.url));
if (config.start === 'own') seedOwn(opened.db);
else if (seedDemo(opened.db, Date.now())) await addDemoPhotos(opened.db, dataDir, Date.now());
forgetOldReceipts(opened.db, Date.now());
sweepPhotos(opened.db, dataDir, Date.now());
const app = createApp({
  opened,
  pool,
  calculators: await computeEndpoints(),
  dataDir,
  version,
  log,
  webDir: join(root, 'apps', 'web', 'dist'),
  host: config.host,
  names: config.names,
});

const server = await listen(app, config.host, config.port);
const address = server.address();
const port = typeof address === 'object' && address ? address.port : config.port;
const reached = `http://${config.host === '0.0.0.0' ? 'localhost' : config.host}:${port}`;
claim.at(reached);
process.stdout.write(`Torvin is at ${reached}\nIts data lies in ${dataDir}\n`);

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    server.close();
    server.closeAllConnections();
    void pool.close().then(() => {
      opened.close();
      claim.release();
      process.exit(0);
    });
  });
}

/** The folder is this server's own from here on; asked for afresh, what lies in it is moved aside, which no other server may be using. */
function claimed(): Claim {
  const wasThere = existsSync(dataDir);
  const claim = claimFolder(dataDir);
  if (!config.fresh || !wasThere) return claim;
  claim.release();
  const aside = moveAside(dataDir);
  process.stdout.write(`The old data was moved to ${aside}\n`);
  return claimFolder(dataDir);
}

/** What keeps it from starting is said in a sentence, and is its end. */
function saidIfNot<T>(where: string, step: () => T): T {
  try {
    return step();
  } catch (error) {
    const said = faultOf(error, where)?.problem.message ?? (error as Error).message;
    process.stderr.write(`${said}\n`);
    process.exit(error instanceof OrphanedPictures ? ASKS : error instanceof FolderInUse ? RUNS_ALREADY : 1);
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
