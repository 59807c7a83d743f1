/** The engine in a worker thread: one call runs, a few wait, more are refused. The event loop stays free. */
import { Worker } from 'node:worker_threads';
import { type Problem, ProblemError } from '@torvin/core/problem';
import type { Answered, Asked, EngineCall } from '@torvin/core/engine';

export interface Job {
  call: EngineCall;
  input: unknown;
}

export type JobAnswer = { ok: true; value: unknown } | { ok: false; problem: Problem } | { ok: false; crash: string };

/** Too many are waiting; try again after so many seconds. */
export class Busy extends Error {
  readonly retryAfter_s = 2;
  readonly problem: Problem = { code: 'busy', path: '', message: 'The server is calculating for others; try again in a moment.' };
}

export interface ComputePool {
  run<C extends EngineCall>(call: C, input: Asked<C>): Promise<Answered<C>>;
  close(): Promise<void>;
}

/** A studio's own saves and looks have an engine of their own: no stranger's computing is in their way. */
export interface ComputePools {
  own: ComputePool;
  others: ComputePool;
}

const WAITING_AT_MOST = 8;

interface Waiting extends Job {
  resolve(value: unknown): void;
  reject(error: Error): void;
}

/** onDemand: its thread starts when something is asked of it first. */
export function computePool(workerUrl: URL, { onDemand = false } = {}): ComputePool {
  const queue: Waiting[] = [];
  let running: Waiting | null = null;
  let closed = false;
  let worker: Worker | null = onDemand ? null : start();

  function start(): Worker {
    const fresh = new Worker(workerUrl);
    fresh.unref();
    fresh.on('message', (answer: JobAnswer) => {
      const done = running;
      running = null;
      if (answer.ok) done?.resolve(answer.value);
      else done?.reject('problem' in answer ? new ProblemError(answer.problem) : new Error(answer.crash));
      next();
    });
    fresh.on('error', (error) => {
      running?.reject(error);
      running = null;
      if (closed) return;
      worker = start();
      next();
    });
    return fresh;
  }

  function next(): void {
    if (running || closed) return;
    running = queue.shift() ?? null;
    if (running) (worker ??= start()).postMessage({ call: running.call, input: running.input } satisfies Job);
  }

  return {
    run: (call, input) =>
      new Promise((resolve, reject) => {
        if (queue.length >= WAITING_AT_MOST) {
          reject(new Busy());
          return;
        }
        queue.push({ call, input, resolve: resolve as (value: unknown) => void, reject });
        next();
      }),
    async close() {
      closed = true;
      await worker?.terminate();
    },
  };
}
