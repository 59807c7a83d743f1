/**
 * What was last read from the server, kept for the hours when it does not answer. It is always asked first; what is kept is shown
 * where it says nothing, or says it late, and then only until its answer comes. The saves that wait are the outbox's alone.
 */
import { experimental_createQueryPersister as createPersister, type PersistedQuery } from '@tanstack/query-persist-client-core';
import { type InfiniteData, type Query, type QueryClient, type QueryFunctionContext, type QueryKey, hashKey } from '@tanstack/react-query';
import { ApiProblem } from './client';
import { keys } from './keys';
import { API } from './page';
import { readingStorage, timesForgotten } from './readingStore';
import { told } from './told';

/** Kept for so long after it was read. */
const KEPT_MS = 90 * 24 * 3600e3;
/** A server that answers has done so by then, for the most part; a phone out of its reach may wait for minutes. */
const PATIENCE_MS = 1000;
/** Where that was waited in vain, the rest of the page does not wait again. */
const IMPATIENT_MS = 10_000;
/** Several changes in a row are written once. */
const WRITTEN_AFTER_MS = 250;
const PREFIX = 'torvin';

const rootOf = ([root]: QueryKey): unknown => root;
const LISTS = [keys.pieces, keys.firings].map(rootOf);
const KEPT = [
  ...LISTS,
  ...[keys.piece(''), keys.schedule(''), keys.versions(''), keys.firing(''), keys.shelves, keys.loads, keys.programs(), keys.reckonings].map(rootOf),
];

const asksMore = (part: unknown): boolean => typeof part === 'object' && part !== null && Object.keys(part).length > 0;

/** Pieces and what belongs to them, the shelves, lists as they open; not what was searched for in them. */
export const isKept = (key: QueryKey): boolean => KEPT.includes(rootOf(key)) && !(LISTS.includes(rootOf(key)) && asksMore(key[1]));

/** A schedule never changes. */
const isTimeless = (key: QueryKey): boolean => rootOf(key) === rootOf(keys.schedule(''));

/** Of a list its first page: the rest is read where it is scrolled to. */
function firstPage(data: unknown): unknown {
  const { pages, pageParams } = (data ?? {}) as Partial<InfiniteData<unknown>>;
  return pages && pageParams ? { pages: pages.slice(0, 1), pageParams: pageParams.slice(0, 1) } : data;
}

const persister = createPersister<PersistedQuery>({
  storage: readingStorage,
  serialize: ({ state: { data, dataUpdatedAt }, ...query }) => ({ ...query, state: { data: firstPage(data), dataUpdatedAt } as PersistedQuery['state'] }),
  deserialize: (kept) => kept,
  // Another version may mean something else by it.
  buster: API ?? 'development',
  maxAge: KEPT_MS,
  prefix: PREFIX,
});

/** By the hash of their keys, the readings that are shown as they were kept, with when they had been read. */
export const shownAsKept = told<ReadonlyMap<string, number>>(new Map());

function markKept(hash: string, readAt: number | null): void {
  const next = new Map(shownAsKept.get());
  if (readAt !== null) next.set(hash, readAt);
  else if (!next.delete(hash)) return;
  shownAsKept.set(next);
}

let waitedAt = -Infinity;

const patience = (): number => (Date.now() - waitedAt < IMPATIENT_MS ? 0 : PATIENCE_MS);

type Outcome<T> = { value: T } | { error: unknown };

const outcomeOf = <T>(promise: Promise<T>): Promise<Outcome<T>> =>
  promise.then(
    (value) => ({ value }),
    (error: unknown) => ({ error }),
  );
const late = (after_ms: number): Promise<'late'> => new Promise((resolve) => setTimeout(() => resolve('late'), after_ms));
/** Not where the passcode is wanted: what is kept is for who is let in. */
const isSilence = (error: unknown): boolean => error instanceof ApiProblem && error.problem.code === 'offline';

/** What is kept of a reading, however old; undefined where nothing is. */
export const keptReading = <T>(key: QueryKey): Promise<T | undefined> => persister.retrieveQuery<T>(hashKey(key)).catch(() => undefined);

/** Stands round every reading of a client. */
export async function askedOrKept<T, K extends QueryKey>(
  read: (context: QueryFunctionContext<K>) => T | Promise<T>,
  context: QueryFunctionContext<K>,
  query: Query,
): Promise<T> {
  const asked = Promise.resolve(read(context));
  if (!isKept(query.queryKey) || query.state.data !== undefined) return asked;
  const answer = outcomeOf(asked);
  const first = await Promise.race([answer, late(patience())]);
  if (first === 'late') waitedAt = Date.now();
  else if (!('error' in first) || !isSilence(first.error)) return asked;
  const kept = await persister
    .retrieveQuery<T>(query.queryHash, ({ state: { dataUpdatedAt } }) => {
      // Comes once it is shown: it is of then, and not of now.
      query.setState({ dataUpdatedAt });
      markKept(query.queryHash, dataUpdatedAt);
      void answer.then((outcome) => takeLate(context.client, query, outcome, dataUpdatedAt));
    })
    .catch(() => undefined);
  return kept ?? asked;
}

/** An answer that comes after what is kept was shown; where something newer has come meanwhile, it is of no use. */
function takeLate(client: QueryClient, query: Query, outcome: Outcome<unknown>, keptAt: number): void {
  if (query.state.dataUpdatedAt !== keptAt) return;
  if ('value' in outcome) client.setQueryData(query.queryKey, outcome.value);
  else if (!isSilence(outcome.error)) query.setState({ data: undefined, status: 'error', error: outcome.error as Error, fetchStatus: 'idle' });
}

/** Keeps what a client reads, and what its saves leave, from now on. */
export function keepReadings(client: QueryClient): void {
  const cache = client.getQueryCache();
  /** With how often all had been forgotten by then. */
  const due = new Map<Query, number>();
  const isStillSo = (query: Query): boolean =>
    cache.get(query.queryHash) === query && query.state.data !== undefined && !shownAsKept.get().has(query.queryHash);
  const write = (): void => {
    for (const [query, before] of due) {
      if (before === timesForgotten() && isStillSo(query)) void persister.persistQuery(query).catch(() => undefined);
    }
    due.clear();
  };
  cache.subscribe((event) => {
    const { query } = event;
    if (!isKept(query.queryKey)) return;
    if (event.type === 'removed') return markKept(query.queryHash, null);
    if (event.type !== 'updated') return;
    if (event.action.type === 'success') {
      markKept(query.queryHash, null);
      if (due.size === 0) setTimeout(write, WRITTEN_AFTER_MS);
      due.set(query, timesForgotten());
    }
    const { error } = query.state;
    if (event.action.type === 'error' && error instanceof ApiProblem && error.status === 404) {
      void readingStorage.removeItem(`${PREFIX}-${query.queryHash}`).catch(() => undefined);
    }
  });
  // A page that is left may not come back.
  window.addEventListener('pagehide', write);
  void persister.persisterGc().catch(() => undefined);
}

/** Of when what is shown is, ms: the oldest of it. heardAt: until then everything that was not kept was known to hold; null: not at all. */
export function oldestShown(client: QueryClient, heardAt: number | null): number | null {
  const kept = shownAsKept.get();
  const times = client
    .getQueryCache()
    .findAll({ type: 'active' })
    .filter(({ queryKey, state }) => state.data !== undefined && isKept(queryKey) && !isTimeless(queryKey))
    .flatMap(({ queryHash }) => kept.get(queryHash) ?? heardAt ?? []);
  return times.length === 0 ? null : Math.min(...times);
}
