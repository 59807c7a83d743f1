/** A real server on a real database file in a folder of its own, with the engine in a real worker thread. */
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Piece, PiecePage } from '@torvin/schema';
import { type CalculatorEndpoint, computeEndpoints } from '@torvin/schema/server';
import pino from 'pino';
import { makeBackup, unpackChecked } from '../backup/backup';
import type { Backups } from '../backup/keeping';
import { type ComputePool, computePool } from '../compute/pool';
import { DATABASE_FILE } from '../db/database';
import { type Opened } from '../opening/open';
import { type Running, type RunningParts, runStudio } from '../running';
import { NOW, copyStudio, fixturesFolder } from './fixtures';

export const MIGRATIONS = join(__dirname, '..', 'db', 'migrations');
/** How many migrations there are. */
export const SCHEMA = readdirSync(MIGRATIONS).filter((name) => name.endsWith('.sql')).length;
export { NOW } from './fixtures';

const folders: string[] = [];

/** A folder that goes with the test file. */
export function temporaryFolder(): string {
  const made = mkdtempSync(join(tmpdir(), 'torvin-'));
  folders.push(made);
  return made;
}

/** The engine's worker, as it is bundled. */
export const workerUrl = (): URL => pathToFileURL(join(fixturesFolder(), 'computeWorker.mjs'));

/** Loosely typed on purpose: tests look at what really came. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Answer = any;

export interface TestServer {
  base: string;
  dataDir: string;
  readonly opened: Opened;
  backups: Backups;
  access: Running['access'];
  hub: Running['hub'];
  pool: ComputePool;
  ask(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<{ status: number; body: Answer; headers: Headers }>;
  /** One by its name, with its document. */
  piece(name: string): Promise<Piece>;
  /** All pieces with their documents, newest change first. */
  pieces(): Promise<Piece[]>;
  stop(options?: { keepData?: boolean }): Promise<void>;
}

let pool: ComputePool | null = null;
let calculators: CalculatorEndpoint[] | null = null;

afterAll(async () => {
  await pool?.close();
  for (const made of folders) rmSync(made, { recursive: true, force: true });
});

/** A folder with a demo studio of its own. */
export function anotherStudio(): string {
  return copyStudio('demo', temporaryFolder());
}

/** Without a folder it is the demo studio. others: an engine apart for strangers; more: what is otherwise as always. */
export async function startTestServer(dataDir = temporaryFolder(), others?: ComputePool, more: Partial<RunningParts> = {}): Promise<TestServer> {
  if (!existsSync(join(dataDir, DATABASE_FILE))) copyStudio('demo', dataDir);
  const engine = (pool ??= computePool(workerUrl()));
  const studio = await runStudio({
    pools: { own: engine, others: others ?? engine },
    keeper: { make: makeBackup, unpack: unpackChecked },
    migrationsDir: MIGRATIONS,
    backupsDir: join(dataDir, 'backups'),
    calculators: (calculators ??= await computeEndpoints()),
    dataDir,
    version: 'test',
    log: pino({ level: 'silent' }),
    now: () => NOW,
    ...more,
  });
  const server = createServer((request, response) => studio.handle(request, response));
  // A test that holds the thread for long would otherwise meet a connection that is being closed.
  server.keepAliveTimeout = 120_000;
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const ask: TestServer['ask'] = async (method, path, body, headers = {}) => {
    const written = body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) };
    const response = await fetch(base + path, {
      method,
      ...written,
      headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
    });
    return { status: response.status, body: await response.json(), headers: response.headers };
  };
  return {
    base,
    dataDir,
    get opened() {
      return studio.opened;
    },
    backups: studio.backups,
    access: studio.access,
    hub: studio.hub,
    pool: engine,
    ask,
    async piece(name) {
      const { body } = await ask('GET', `/api/pieces?text=${encodeURIComponent(name)}`);
      const row = (body as PiecePage).pieces.find((one) => one.name === name);
      if (!row) throw new Error(`No piece '${name}'.`);
      return (await ask('GET', `/api/pieces/${row.id}`)).body as Piece;
    },
    async pieces() {
      const { body } = await ask('GET', '/api/pieces');
      return Promise.all((body as PiecePage).pieces.map(async ({ id }) => (await ask('GET', `/api/pieces/${id}`)).body as Piece));
    },
    async stop({ keepData = false } = {}) {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      studio.close();
      if (!keepData) rmSync(dataDir, { recursive: true, force: true });
    },
  };
}
