/** Starts Torvin: database, engine thread, HTTP. Runs as the bundle dist/server/main.mjs. */
import { existsSync, readFileSync } from 'node:fs';
import { type Server, createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { dirname, join } from 'node:path';
import { createSecureContext } from 'node:tls';
import { fileURLToPath } from 'node:url';
import { computeEndpoints } from '@torvin/schema/server';
import pino from 'pino';
import QRCode from 'qrcode';
import { version } from '../../../package.json';
import { hostsForOthers, inUrl, isEverywhere } from './access/addresses';
import { keeperIn } from './backup/thread';
import { computePool } from './compute/pool';
import { configFrom } from './config';
import { OrphanedPictures } from './opening/open';
import { addDemoPhotos } from './opening/demoPhotos';
import { seedDemo, seedOwn } from './opening/seed';
import { type Claim, FolderInUse, claimFolder } from './folder/claim';
import { faultOf, moveAside } from './folder/faults';
import { LINK } from './http/door';
import { runStudio } from './running';
import { sweepPhotos } from './store/photos';
import { forgetOldReceipts } from './store/receipts';

/** Exit codes of a start that comes to nothing: it wants to be told something first; a server has the folder already. */
const ASKS = 3;
const RUNS_ALREADY = 4;

const here = dirname(fileURLToPath(import.meta.url));
const root = join(here, '..', '..');
const engine = new URL('./computeWorker.mjs', import.meta.url);
const log = pino({ level: process.env.TORVIN_LOG ?? 'warn' });

/** How many ports are tried, one after the other. */
const PORTS_TRIED = 50;
const LAST_PORT = 65535;

const config = await saidIfNot('', () => configFrom(process.env, root, process.argv.slice(2)));
const { dataDir } = config;
const tls = await saidIfNot('', certificate);
const scheme = tls ? 'https' : 'http';
const claim = await saidIfNot(dataDir, claimed);
let urls: string[] = [];
const studio = await saidIfNot(dataDir, async () => {
  const running = await runStudio({
    ...config,
    pools: { own: computePool(engine), others: computePool(engine, { onDemand: true }) },
    keeper: keeperIn(new URL('./backupWorker.mjs', import.meta.url)),
    calculators: await computeEndpoints(),
    migrationsDir: join(here, 'migrations'),
    version,
    log,
    webDir: join(root, 'apps', 'web', 'dist'),
    referenceScript: join(root, 'node_modules', 'rapidoc', 'dist', 'rapidoc-min.js'),
    urls: () => urls,
  });
  const { db } = running.opened;
  if (config.start === 'own') seedOwn(db);
  else if (seedDemo(db, Date.now())) await addDemoPhotos(db, dataDir, Date.now());
  // On a full disk nothing is put in order.
  if (!running.room.isFull()) {
    forgetOldReceipts(db, Date.now());
    sweepPhotos(db, dataDir, Date.now());
  }
  return running;
});

const server = await saidIfNot(dataDir, () => listen(config.host, config.port, config.portAlone));
const address = server.address();
const port = typeof address === 'object' && address ? address.port : config.port;
if (port !== config.port) process.stdout.write(`Port ${config.port} was asked for and is taken; ${port} is used.\n`);
const reached = `${scheme}://${isEverywhere(config.host) ? 'localhost' : inUrl(config.host)}:${port}`;
urls = hostsForOthers(config).map((host) => `${scheme}://${inUrl(host)}:${port}`);
await saidIfNot(dataDir, () => claim.at(reached));
process.stdout.write(`Torvin is at ${reached}\nIts data lies in ${dataDir}\n`);
if (studio.room.isFull())
  process.stderr.write(`The disk that ${dataDir} lies on is full: all that was saved can be read, and nothing more is saved until there is room.\n`);
if (!config.trustsLoopback) await saidIfNot(dataDir, tellOwn);
if (urls.length > 0) await saidIfNot(dataDir, tellOthers);
studio.backups.everyDay();

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    server.close();
    server.closeAllConnections();
    studio.close();
    claim.release();
    process.exit(0);
  });
}

/** How this machine itself comes in, where a connection from it proves nothing. */
function tellOwn(): void {
  const token = studio.access.ownToken();
  process.stdout.write(
    `\nOn this computer, open this link once in each browser: it lets the browser in, so keep it to yourself.\n\n  ${reached}${LINK}?token=${token}\n\nPrograms send: Authorization: Bearer ${token}\n`,
  );
}

/** Where another device finds it, as words and for its camera, and what it is asked there. */
async function tellOthers(): Promise<void> {
  const { access } = studio;
  const say = (words: string): void => void process.stdout.write(`${words}\n`);
  say('\nOn a phone or another computer in the same network, open or scan:');
  for (const url of urls) say(`\n  ${url}\n${await QRCode.toString(url, { type: 'terminal', small: true })}`);
  if (access.lost) say(`The file of the passcode and of the devices could not be read; it was moved to ${access.lost}, and every device must enter again.`);
  if (access.hasPasscode()) say('Each device is asked once for the passcode that this studio has; on this computer, Shelves can change it.\n');
  else
    say(
      `Each device is asked once for the passcode: ${await access.makePasscode()}\nWrite it down: it is not shown again. On this computer, Shelves can change it.\n`,
    );
}

/** Read once: what is wrong with it is said before anything is opened. */
function certificate(): { cert: Buffer; key: Buffer } | null {
  if (!config.tls) return null;
  const [cert, key] = (['cert', 'key'] as const).map((what) => {
    const path = config.tls?.[what] ?? '';
    try {
      return readFileSync(path);
    } catch (error) {
      throw new Error(`The ${what === 'cert' ? 'certificate' : 'key'} ${path} cannot be read (${(error as Error).message}).`);
    }
  });
  try {
    createSecureContext({ cert, key });
  } catch (error) {
    throw new Error(`TORVIN_CERT and TORVIN_KEY are no certificate with its key in PEM (${(error as Error).message}).`);
  }
  return { cert, key };
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
async function saidIfNot<T>(where: string, step: () => T | Promise<T>): Promise<T> {
  try {
    return await step();
  } catch (error) {
    const said = faultOf(error, where)?.problem.message ?? (error as Error).message;
    log.debug({ err: error }, 'start failed');
    process.stderr.write(`${said}\n`);
    process.exit(error instanceof OrphanedPictures ? ASKS : error instanceof FolderInUse ? RUNS_ALREADY : 1);
  }
}

/** Listens on the port, or on the next free one unless it is to be this one alone. */
function listen(host: string, first: number, alone: boolean): Promise<Server> {
  return new Promise((resolve, reject) => {
    const attempt = (port: number): void => {
      const candidate = tls ? createSecureServer(tls, studio.handle) : createServer(studio.handle);
      candidate.once('error', (error: NodeJS.ErrnoException) => {
        if (error.code !== 'EADDRINUSE') reject(error);
        else if (alone) reject(new Error(`Port ${port} is taken: end what listens there, or name another.`));
        else if (port < Math.min(first + PORTS_TRIED, LAST_PORT)) attempt(port + 1);
        else reject(new Error(`The ports from ${first} to ${port} are all taken: name another with TORVIN_PORT.`));
      });
      candidate.listen(port, host, () => resolve(candidate));
    };
    attempt(first);
  });
}
