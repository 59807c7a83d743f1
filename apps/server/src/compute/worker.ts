/** Runs in a worker thread: one engine call a message. */
import { parentPort } from 'node:worker_threads';
import { ProblemError } from '@torvin/core';
import { type Asked, type EngineCall, createEngine, warmUp } from '@torvin/core/engine';
import type { Job, JobAnswer } from './pool';

parentPort?.on('message', ({ call, input }: Job) => {
  parentPort?.postMessage(run(call, input));
});

const engine = createEngine();
warmUp(engine);

function run(call: EngineCall, input: unknown): JobAnswer {
  try {
    return { ok: true, value: engine.call(call, input as Asked<EngineCall>) };
  } catch (error) {
    if (error instanceof ProblemError) return { ok: false, problem: error.problem };
    return { ok: false, crash: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
}
