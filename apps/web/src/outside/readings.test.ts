import 'fake-indexeddb/auto';
import { type QueryKey, QueryClient, QueryObserver } from '@tanstack/react-query';
import { ApiProblem } from './client';
import { keys } from './keys';
import { forgetReadings, noteStudio, readingStorage } from './readingStore';
import { askedOrKept, isKept, keepReadings, keptReading, oldestShown, shownAsKept } from './readings';

// jsdom has none; what is read is JSON.
global.structuredClone ??= <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

const silence = new ApiProblem({ code: 'offline', path: '', message: 'offline' }, 0);
const gone = new ApiProblem({ code: 'unknown-id', path: '', message: 'none' }, 404);
const after = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
/** Until it holds, however slow the machine. */
async function until(holds: () => unknown): Promise<void> {
  while (!(await holds())) await after(10);
}

/** An answer that comes when the test says so. */
function answer<T>() {
  let give = (_: T): void => undefined;
  let refuse = (_: Error): void => undefined;
  const promise = new Promise<T>((resolve, reject) => {
    give = resolve;
    refuse = reject;
  });
  return { promise, give, refuse };
}

const keeps = (key: QueryKey, data: unknown) => until(async () => JSON.stringify(await keptReading(key)) === JSON.stringify(data));

let stops: (() => void)[] = [];
beforeEach(forgetReadings);
afterEach(() => {
  stops.forEach((stop) => stop());
  stops = [];
});

/** A page that shows one reading. */
function page<T>(queryKey: QueryKey, read: () => Promise<T>) {
  const client = new QueryClient({ defaultOptions: { queries: { persister: askedOrKept, networkMode: 'always', retry: false } } });
  keepReadings(client);
  const observer = new QueryObserver<T>(client, { queryKey, queryFn: read });
  stops.push(
    observer.subscribe(() => undefined),
    () => client.clear(),
  );
  return { client, shown: () => observer.getCurrentResult() };
}

const piece = (version: number) => ({ id: 'p', version });

/** Read by a page at a time, and closed. */
async function readOnce(key: QueryKey, data: unknown): Promise<number> {
  const { client, shown } = page(key, async () => data);
  await keeps(key, data);
  const at = shown().dataUpdatedAt;
  client.clear();
  return at;
}

test('a server that is silent from the start: what was read last, as of then', async () => {
  const at = await readOnce(keys.piece('p'), piece(3));
  await after(20);
  const { client, shown } = page(keys.piece('p'), () => Promise.reject(silence));
  await until(() => shown().dataUpdatedAt === at);
  expect(shown()).toMatchObject({ data: piece(3), isSuccess: true });
  expect([...shownAsKept.get().values()]).toEqual([at]);
  expect(oldestShown(client, Date.now())).toBe(at);
  await client.refetchQueries();
  expect(shown().data).toEqual(piece(3));
});

test('a device that is asked for the passcode shows nothing of what is kept', async () => {
  await readOnce(keys.piece('p'), piece(3));
  const { shown } = page(keys.piece('p'), () => Promise.reject(new ApiProblem({ code: 'passcode', path: '', message: 'who?' }, 0)));
  await until(() => shown().isError);
  expect(shown().data).toBeUndefined();
});

test('what was read a moment before all is forgotten is not written after it', async () => {
  const { shown } = page(keys.piece('p'), async () => piece(3));
  await until(() => shown().data);
  await forgetReadings();
  await after(400);
  expect(await readingStorage.entries()).toEqual([]);
});

test('what was never read is an error as before', async () => {
  const { shown } = page(keys.piece('p'), () => Promise.reject(silence));
  await until(() => shown().isError);
  expect(shown().data).toBeUndefined();
});

test('a server that is late: what was kept stands until its answer comes', async () => {
  const at = await readOnce(keys.piece('p'), piece(3));
  const { promise, give } = answer();
  const { client, shown } = page(keys.piece('p'), () => promise);
  await until(() => shown().dataUpdatedAt === at);
  expect(shown().data).toEqual(piece(3));
  give(piece(4));
  await until(() => shown().dataUpdatedAt > at);
  expect(shown().data).toEqual(piece(4));
  expect(shownAsKept.get().size).toBe(0);
  expect(oldestShown(client, 5)).toBe(5);
  await keeps(keys.piece('p'), piece(4));
});

test('a late answer that is older than what has come meanwhile is of no use', async () => {
  const at = await readOnce(keys.piece('p'), piece(3));
  const { promise, give } = answer();
  const { client, shown } = page(keys.piece('p'), () => promise);
  await until(() => shown().dataUpdatedAt === at);
  client.setQueryData(keys.piece('p'), piece(9));
  give(piece(4));
  await after(50);
  expect(shown().data).toEqual(piece(9));
});

test('what is gone on the server is not shown for long, and not kept', async () => {
  const at = await readOnce(keys.piece('p'), piece(3));
  const { promise, refuse } = answer();
  const { shown } = page(keys.piece('p'), () => promise);
  await until(() => shown().dataUpdatedAt === at);
  refuse(gone);
  await until(() => shown().isError);
  expect(shown()).toMatchObject({ data: undefined, error: gone });
  const again = page(keys.piece('p'), () => Promise.reject(gone));
  await until(() => again.shown().isError);
  expect(again.shown().data).toBeUndefined();
  await until(async () => (await keptReading(keys.piece('p'))) === undefined);
});

test('what a save leaves is kept like what was read', async () => {
  await readOnce(keys.piece('p'), piece(3));
  const { client, shown } = page(keys.piece('p'), async () => piece(3));
  await until(() => shown().data);
  client.setQueryData(keys.piece('p'), piece(4));
  await keeps(keys.piece('p'), piece(4));
});

test('of a list its first page is kept as it opens, and nothing that was searched for', async () => {
  const list = { pages: [{ pieces: ['a'] }, { pieces: ['b'] }], pageParams: [null, 'x'] };
  const opens = [...keys.pieces, {}];
  const { client } = page([...keys.pieces, { text: 'bowl' }], async () => list);
  client.setQueryData(opens, list);
  await keeps(opens, { pages: [{ pieces: ['a'] }], pageParams: [null] });
  expect((await readingStorage.entries()).map(([, { queryKey }]) => queryKey)).toEqual([opens]);
  expect([keys.bench, keys.shelves, keys.loads, keys.versions('p')].map(isKept)).toEqual([true, true, true, true]);
  expect([keys.access, keys.backups, keys.aside, ['computed', 'evaluate']].map(isKept)).toEqual([false, false, false, false]);
});

test('what was read from another studio that had this address is forgotten', async () => {
  noteStudio('one');
  await readOnce(keys.piece('p'), piece(3));
  noteStudio('one');
  noteStudio(null);
  await after(20);
  expect(await keptReading(keys.piece('p'))).toEqual(piece(3));
  noteStudio('another');
  await until(async () => (await keptReading(keys.piece('p'))) === undefined);
});

test('what another version kept is thrown away', async () => {
  await readOnce(keys.piece('p'), piece(3));
  const [[key, kept]] = await readingStorage.entries();
  await readingStorage.setItem(key, { ...kept, buster: 'another' });
  expect(await keptReading(keys.piece('p'))).toBeUndefined();
  expect(await readingStorage.entries()).toEqual([]);
});
