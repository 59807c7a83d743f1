/** When the engine's thread is started, in which order it is asked, and what becomes of those who wait when it dies. */
import { EventEmitter } from 'node:events';
import threads from 'node:worker_threads';
import { Busy, type Job, computePool } from './pool';

class FakeThread extends EventEmitter {
  asked: Job[] = [];
  ended = false;
  unref = (): void => undefined;
  postMessage = (job: Job): void => void this.asked.push(job);
  terminate = (): Promise<number> => {
    this.ended = true;
    return Promise.resolve(0);
  };
}
let started: FakeThread[] = [];
beforeEach(() => {
  started = [];
  jest.spyOn(threads, 'Worker').mockImplementation((() => {
    const thread = new FakeThread();
    started.push(thread);
    return thread;
  }) as never);
});
afterEach(() => void jest.restoreAllMocks());

const AT = new URL('file:///engine.mjs');
const ask = (pool: ReturnType<typeof computePool>, thickness_m: number): Promise<unknown> => pool.run('grains', { thickness_m } as never);
const answer = (at: number, value: unknown): boolean => started[at].emit('message', { ok: true, value });

test('the studio’s own is there at once; one for strangers when it is asked first, and no second time', async () => {
  computePool(AT);
  expect(started).toHaveLength(1);
  const others = computePool(AT, { onDemand: true });
  expect(started).toHaveLength(1);
  const [one, two] = [ask(others, 1), ask(others, 2)];
  expect(started).toHaveLength(2);
  answer(1, 'first');
  answer(1, 'second');
  expect(await Promise.all([one, two])).toEqual(['first', 'second']);
  expect(started).toHaveLength(2);
  await others.close();
  expect(started.map(({ ended }) => ended)).toEqual([false, true]);
});

test('one that was never asked is closed too', async () => {
  await computePool(AT, { onDemand: true }).close();
  expect(started).toHaveLength(0);
});

test('one call runs, eight wait in their order, the next is refused and told when to come again', async () => {
  const pool = computePool(AT);
  const asked = Array.from({ length: 9 }, (_, i) => ask(pool, i));
  await expect(ask(pool, 9)).rejects.toMatchObject({ retryAfter_s: 2, problem: { code: 'busy' } });
  await expect(ask(pool, 9)).rejects.toBeInstanceOf(Busy);
  expect(started[0].asked).toHaveLength(1);
  for (let i = 0; i < 9; i += 1) answer(0, i);
  expect(await Promise.all(asked)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  expect(started[0].asked.map(({ input }) => input)).toEqual(asked.map((_, i) => ({ thickness_m: i })));
});

test('what is wrong with what was asked is told to whoever asked, and the next goes on', async () => {
  const pool = computePool(AT);
  const [refused, crashed, fine] = [ask(pool, 0), ask(pool, 1), ask(pool, 2)];
  started[0].emit('message', { ok: false, problem: { code: 'out-of-range', path: 'thickness_m', message: 'Too thin.' } });
  started[0].emit('message', { ok: false, crash: 'RangeError: at depth' });
  answer(0, 'fine');
  await expect(refused).rejects.toMatchObject({ problem: { code: 'out-of-range' } });
  await expect(crashed).rejects.toThrow('RangeError: at depth');
  expect(await fine).toBe('fine');
});

test('a thread that dies fails its own call; those who wait are answered by the next one, which is not started once it is closed', async () => {
  const pool = computePool(AT);
  const [lost, kept] = [ask(pool, 0), ask(pool, 1)];
  started[0].emit('error', new Error('out of memory'));
  await expect(lost).rejects.toThrow('out of memory');
  expect(started).toHaveLength(2);
  answer(1, 'kept');
  expect(await kept).toBe('kept');
  await pool.close();
  started[1].emit('error', new Error('late'));
  expect(started).toHaveLength(2);
});
