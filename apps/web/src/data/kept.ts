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

function tabName(known: string | null): string {
  const name = known ?? uuid();
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

/** What is under way and can be sent again by its name. */
const underWay = (client: QueryClient): DehydratedState['mutations'] =>
  dehydrate(client, {
    shouldDehydrateQuery: () => false,
    shouldDehydrateMutation: ({ state, options }) => state.status === 'pending' && options.mutationKey !== undefined,
  }).mutations;

/** Starts keeping, and takes up what was left. */
export function keepSaves(client: QueryClient): void {
  let own = PREFIX + tabName(readStored<string>('sessionStorage', TAB));
  const left = takeUp(own, Date.now());
  /** From the first silence until all that waited has gone: the last of it may still stand behind the first. */
  let holding = left.length > 0;
  const write = (): void => {
    const silent = !onlineManager.isOnline();
    const all = underWay(client);
    holding = all.length > 0 && (silent || holding);
    // What the server is being sent stays kept too: sent again it counts once, and what stands behind it must not overtake it.
    const waits = holding ? all : [];
    const mutations = waits.map((one) => ({ ...one, state: { ...one.state, isPaused: true } }));
    writeStored('localStorage', own, mutations.length === 0 ? null : ({ at: Date.now(), mutations } satisfies Left));
  };
  hydrate(client, { mutations: left, queries: [] });
  for (const mutation of client.getMutationCache().getAll()) orphans.add(mutation);

  let timer: ReturnType<typeof setTimeout> | null = null;
  client.getMutationCache().subscribe(() => {
    // While something waits a tab may close at any moment; else there is nothing to hurry for.
    if (holding || !onlineManager.isOnline()) write();
    timer ??= setTimeout(() => {
      timer = null;
      write();
    }, WRITE_AFTER_MS);
  });
  setInterval(() => {
    if (holding) write();
  }, SIGN_OF_LIFE_MS);
  window.addEventListener('pagehide', write);
  // A tab that was duplicated has the name of the one it was made from: only another tab's writing is told of here.
  window.addEventListener('storage', ({ key, newValue }) => {
    if (key === own && newValue !== null) own = PREFIX + tabName(null);
  });
  void client.resumePausedMutations();
}

const orphans = new WeakSet<object>();

/** Whether a save was made on a page that is gone, so that nothing on the screen would say that it was refused. */
export const isOrphan = (mutation: object): boolean => orphans.has(mutation);
