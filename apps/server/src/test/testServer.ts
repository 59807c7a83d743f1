/** A real server on a real database file in a folder of its own, with the engine in a real worker thread. */
import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { type CalculatorEndpoint, computeEndpoints } from '@torvin/schema/server';
import { buildSync } from 'esbuild';
import pino from 'pino';
import { type ComputePool, computePool } from '../compute/pool';
import { DATABASE_FILE, type Opened, openDatabase } from '../db/open';
import { seedDemo } from '../db/seed';
import { createApp } from '../http/app';

export const MIGRATIONS = join(__dirname, '..', 'db', 'migrations');
/** How many migrations there are. */
export const SCHEMA = readdirSync(MIGRATIONS).filter((name) => name.endsWith('.sql')).length;
export const NOW = Date.UTC(2026, 10, 23, 8);

export const temporaryFolder = (): string => mkdtempSync(join(tmpdir(), 'torvin-'));

let workerFile: string | null = null;

/** Bundles the compute worker once for a test file. */
export function workerUrl(): URL {
  if (workerFile === null) {
    workerFile = join(temporaryFolder(), 'computeWorker.mjs');
    buildSync({
      entryPoints: [join(__dirname, '..', 'compute', 'worker.ts')],
      outfile: workerFile,
      bundle: true,
      platform: 'node',
      format: 'esm',
    });
  }
  return pathToFileURL(workerFile);
}

/** Loosely typed on purpose: tests look at what really came. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Answer = any;

export interface TestServer {
  base: string;
  dataDir: string;
  opened: Opened;
  pool: ComputePool;
  ask(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<{ status: number; body: Answer; headers: Headers }>;
  stop(options?: { keepData?: boolean }): Promise<void>;
}

let pool: ComputePool | null = null;
let seeded: string | null = null;
let calculators: CalculatorEndpoint[] | null = null;

afterAll(async () => {
  await pool?.close();
  for (const made of [seeded, workerFile && dirname(workerFile)]) if (made) rmSync(made, { recursive: true, force: true });
});

/** A folder with a demo studio of its own. */
export function anotherStudio(): string {
  const made = temporaryFolder();
  const { db, close } = openDatabase(made, MIGRATIONS);
  seedDemo(db, NOW);
  close();
  return made;
}

/** Without a folder it is the demo studio, computed once for a test file. */
export async function startTestServer(dataDir = temporaryFolder()): Promise<TestServer> {
  if (!existsSync(join(dataDir, DATABASE_FILE))) cpSync((seeded ??= anotherStudio()), dataDir, { recursive: true });
  const opened = openDatabase(dataDir, MIGRATIONS);
  const engine = (pool ??= computePool(workerUrl()));
  const app = createApp({
    opened,
    pool: engine,
    calculators: (calculators ??= await computeEndpoints()),
    dataDir,
    version: 'test',
    log: pino({ level: 'silent' }),
    now: () => NOW,
  });
  const server = await new Promise<ReturnType<typeof app.listen>>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    base,
    dataDir,
    opened,
    pool: engine,
    async ask(method, path, body, headers = {}) {
      const written = body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) };
      const response = await fetch(base + path, {
        method,
        ...written,
        headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
      });
      return { status: response.status, body: await response.json(), headers: response.headers };
    },
    async stop({ keepData = false } = {}) {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      opened.close();
      if (!keepData) rmSync(dataDir, { recursive: true, force: true });
    },
  };
}
