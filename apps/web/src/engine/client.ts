/** The engine's worker, started once: by the first question, or once the first screen has been there for a moment. */
import type { Outcome } from '@torvin/core/problem';
import type { Answered, Asked, EngineCall } from '@torvin/core/engine';
import { type Remote, wrap } from 'comlink';
import type { EngineWorker } from './worker';
import { NOT_READ } from './notRead';

/**
 * The worker's file, and those that it begins with, as the page said when it came. What is exported is named by its content; in
 * development it has its plain name.
 */
const ENGINE_FILES = (globalThis.document?.querySelector<HTMLMetaElement>('meta[name="torvin-engine"]')?.content ?? '/workers/engine.js').split(' ');

interface Started {
  remote: Remote<EngineWorker>;
  /** Rejects if the worker cannot be loaded or dies. */
  broken: Promise<never>;
}

let started: Started | null = null;

function start(): Started {
  const [address, ...others] = ENGINE_FILES;
  const worker = new Worker(address, { type: 'module' });
  // What it begins with is asked for beside it, not after it.
  for (const file of others) fetch(file).catch(() => undefined);
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => {
      started = null;
      reject(new Error('The calculation could not be started; reload the page.'));
    });
  });
  broken.catch(() => undefined);
  return { remote: wrap<EngineWorker>(worker), broken };
}

export async function compute<C extends EngineCall>(name: C, input: Asked<C>): Promise<Outcome<Answered<C>>> {
  started ??= start();
  const asked = started;
  const outcome = (await Promise.race([asked.remote.call(name, input), asked.broken])) as Outcome<Answered<C>>;
  if (!outcome.ok && outcome.problem.code === NOT_READ && started === asked) started = null;
  return outcome;
}

/** By then the first screen is drawn; a page that is left before needs no engine. */
const WARMED_AFTER_MS = 1500;

/** Starts the worker and warms it up, unless something was asked of it meanwhile, which does that too; then it reads what is asked later. */
export function warmUpSoon(): void {
  setTimeout(() => {
    const isWarm = started !== null;
    started ??= start();
    const { remote } = started;
    if (!isWarm) remote.warmUp().catch(() => undefined);
    remote.readAhead().catch(() => undefined);
  }, WARMED_AFTER_MS);
}
