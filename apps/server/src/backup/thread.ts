/** Backups are made and taken apart in a thread of their own, one at a time: the studio goes on meanwhile. */
import { Worker } from 'node:worker_threads';
import { type Problem, ProblemError } from '@torvin/core/problem';
import type { Manifest } from './archive';
import type { Making } from './backup';

export type Task = { make: Making } | { unpack: { archive: string; into: string; schemaKnown: number } };

export type TaskAnswer = { ok: true; value: unknown } | { ok: false; problem?: Problem; message: string; code?: string };

export interface Keeper {
  /** The path of the backup. */
  make(making: Making): Promise<string>;
  /** Every hash checked; rejects, and leaves nothing behind, where one differs. */
  unpack(archive: string, into: string, schemaKnown: number): Promise<Manifest>;
}

function inThread<T>(url: URL, task: Task): Promise<T> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(url, { workerData: task });
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('The backup’s thread ended without an answer.')));
    worker.once('message', (answer: TaskAnswer) => {
      if (answer.ok) resolve(answer.value as T);
      else if (answer.problem) reject(new ProblemError(answer.problem));
      else reject(Object.assign(new Error(answer.message), { code: answer.code }));
    });
  });
}

export function keeperIn(url: URL): Keeper {
  let last: Promise<unknown> = Promise.resolve();
  const next = <T>(task: Task): Promise<T> => {
    const run = last.then(() => inThread<T>(url, task));
    last = run.catch(() => undefined);
    return run;
  };
  return { make: (make) => next({ make }), unpack: (archive, into, schemaKnown) => next({ unpack: { archive, into, schemaKnown } }) };
}
