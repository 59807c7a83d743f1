/**
 * Keeps saves that wait for the server beside the page, so that they outlive it: a tab that is reloaded takes its own up
 * again, and what a closed tab left is taken by the next that is opened. Without storage they live as long as the tab.
 */
import { type DehydratedState, type QueryClient, dehydrate, hydrate, onlineManager } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { readStored, storedKeys, writeStored } from './storage';

const PREFIX = 'torvin-kept:';
const TAB = 'torvin-tab';
const WRITE_AFTER_MS = 200;
const SIGN_OF_LIFE_MS = 5000;
/** A tab that has not been heard of for so long is closed. */
const GONE_AFTER_MS = 20_000;

interface Left {
  at: number;
  mutations: DehydratedState['mutations'];
}

function tabName(): string {
  const name = readStored<string>('sessionStorage', TAB) ?? uuid();
  writeStored('sessionStorage', TAB, name);
  return name;
}

/** Takes what this tab, or one that is closed, left behind. */
function takeUp(own: string, now: number): DehydratedState['mutations'] {
  const taken: Left[] = [];
  for (const key of storedKeys(PREFIX)) {
    const left = readStored<Left>('localStorage', key);
    if (!left || (key !== own && now - left.at < GONE_AFTER_MS)) continue;
    writeStored('localStorage', key, null);
    taken.push(left);
  }
  return taken.sort((a, b) => a.at - b.at).flatMap(({ mutations }) => mutations);
}

/** Only what can be sent again by name, and only while the server is silent: otherwise it is on its way. */
function waiting(client: QueryClient): DehydratedState['mutations'] {
  if (onlineManager.isOnline()) return [];
  const { mutations } = dehydrate(client, {
    shouldDehydrateQuery: () => false,
    shouldDehydrateMutation: ({ state, options }) => state.status === 'pending' && options.mutationKey !== undefined,
  });
  return mutations.map((one) => ({ ...one, state: { ...one.state, isPaused: true } }));
}

/** Starts keeping, and takes up what was left. */
export function keepSaves(client: QueryClient): void {
  const own = PREFIX + tabName();
  const write = (): void => {
    const mutations = waiting(client);
    writeStored('localStorage', own, mutations.length === 0 ? null : ({ at: Date.now(), mutations } satisfies Left));
  };
  const left = takeUp(own, Date.now());
  hydrate(client, { mutations: left, queries: [] });
  for (const mutation of client.getMutationCache().getAll()) orphans.add(mutation);

  let timer: ReturnType<typeof setTimeout> | null = null;
  client.getMutationCache().subscribe(() => {
    // While the server is silent a tab may close at any moment; when it answers there is nothing to hurry for.
    if (!onlineManager.isOnline()) write();
    timer ??= setTimeout(() => {
      timer = null;
      write();
    }, WRITE_AFTER_MS);
  });
  setInterval(() => {
    if (!onlineManager.isOnline()) write();
  }, SIGN_OF_LIFE_MS);
  window.addEventListener('pagehide', write);
  void client.resumePausedMutations();
}

const orphans = new WeakSet<object>();

/** Whether a save was made on a page that is gone, so that nothing on the screen would say that it was refused. */
export const isOrphan = (mutation: object): boolean => orphans.has(mutation);
