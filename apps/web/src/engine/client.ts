/** The engine's worker, started once: by the first question, or once the first screen has been there for a moment. */
import type { Outcome } from '@torvin/core/problem';
import type { Answered, Asked, EngineCall } from '@torvin/core/engine';
import { type Remote, wrap } from 'comlink';
import type { EngineWorker } from './worker';

interface Started {
  remote: Remote<EngineWorker>;
  /** Rejects if the worker cannot be loaded or dies. */
  broken: Promise<never>;
}

let started: Started | null = null;

function start(): Started {
  const worker = new Worker(workerAddress());
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
  return (await Promise.race([started.remote.call(name, input), started.broken])) as Outcome<Answered<C>>;
}

/** By then the first screen is drawn; a page that is left before needs no engine. */
const WARMED_AFTER_MS = 1500;

/** Starts the worker and warms it up, unless something was asked of it meanwhile, which does that too. */
export function warmUpSoon(): void {
  setTimeout(() => {
    if (started) return;
    started = start();
    started.remote.warmUp().catch(() => undefined);
  }, WARMED_AFTER_MS);
}

/** What is exported is named by its content, and the page says how; in development it has its plain name. */
const workerAddress = (): string => document.querySelector<HTMLMetaElement>('meta[name="torvin-engine"]')?.content ?? '/workers/engine.js';
