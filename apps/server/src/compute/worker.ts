/** Runs in a worker thread: one engine call a message. */
import { parentPort } from 'node:worker_threads';
import { ProblemError } from '@torvin/core/problem';
import { type Asked, type EngineCall, createEngine, warmUp } from '@torvin/core/engine';
import type { Job, JobAnswer } from './pool';

/** Once a start is over; what is asked before then warms it up by itself. */
const WARMED_AFTER_MS = 3000;

const engine = createEngine();
const warming = setTimeout(() => warmUp(engine), WARMED_AFTER_MS);

parentPort?.on('message', ({ call, input }: Job) => {
  clearTimeout(warming);
  parentPort?.postMessage(run(call, input));
});

function run(call: EngineCall, input: unknown): JobAnswer {
  try {
    return { ok: true, value: engine.call(call, input as Asked<EngineCall>) };
  } catch (error) {
    if (error instanceof ProblemError) return { ok: false, problem: error.problem };
    return { ok: false, crash: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
}
