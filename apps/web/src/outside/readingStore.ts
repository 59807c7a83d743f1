/** Where what was read is kept: readings in the browser's own database, pictures in the cache that the service worker fills. */
import type { AsyncStorage, PersistedQuery } from '@tanstack/query-persist-client-core';
import { clear, createStore, del, entries, get, keys, set } from 'idb-keyval';
import { readStored, writeStored } from './storage';
import { PICTURES_CACHE } from './workerTerms';

let opened: ReturnType<typeof createStore> | null = null;
const store = (): ReturnType<typeof createStore> => (opened ??= createStore('torvin-readings', 'queries'));

export const readingStorage = {
  getItem: async (key) => get<PersistedQuery>(key, store()),
  setItem: async (key, kept) => set(key, kept, store()),
  removeItem: async (key) => del(key, store()),
  entries: async () => entries<string, PersistedQuery>(store()),
} satisfies AsyncStorage<PersistedQuery>;

const STUDIO = 'torvin-studio';

/** mark: of the database that answers; null where an answer does not say. What was read from another that had this address is of no use. */
export function noteStudio(mark: string | null): void {
  if (mark === null || mark === readStored('localStorage', STUDIO)) return;
  if (readStored('localStorage', STUDIO) !== null) void forgetReadings();
  writeStored('localStorage', STUDIO, mark);
}

/** How many readings and pictures are kept here. */
export async function countKept(): Promise<{ readings: number; pictures: number }> {
  const pictures = 'caches' in window ? await caches.open(PICTURES_CACHE).then((cache) => cache.keys()) : [];
  return { readings: (await keys(store())).length, pictures: pictures.length };
}

let forgotten = 0;

/** How often all was forgotten: what was read before that is not written any more. */
export const timesForgotten = (): number => forgotten;

/** Nothing that was read stays in this browser: it is let in no longer, or the person wants it so. */
export async function forgetReadings(): Promise<void> {
  forgotten += 1;
  const all = [async () => clear(store()), async () => ('caches' in window ? caches.delete(PICTURES_CACHE) : false)];
  await Promise.all(all.map((forget) => forget().catch(() => undefined)));
}
