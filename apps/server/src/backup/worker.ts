/** Runs in a thread of its own: one task, then it ends. */
import { parentPort, workerData } from 'node:worker_threads';
import { ProblemError } from '@torvin/core/problem';
import { makeBackup, unpackChecked } from './backup';
import type { Task, TaskAnswer } from './thread';

const run = (task: Task): Promise<unknown> =>
  'make' in task ? makeBackup(task.make) : unpackChecked(task.unpack.archive, task.unpack.into, task.unpack.schemaKnown);

void run(workerData as Task)
  .then(
    (value): TaskAnswer => ({ ok: true, value }),
    (error: Error & { code?: string }): TaskAnswer => ({
      ok: false,
      problem: error instanceof ProblemError ? error.problem : undefined,
      message: error.message,
      code: error.code,
    }),
  )
  .then((answer) => parentPort?.postMessage(answer));
