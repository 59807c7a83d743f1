/** What every first view shows is waited for a moment, so that a page is drawn once, with its figures, in the studio's units and look. */
import type { QueryClient } from '@tanstack/react-query';
import { wasAskedEarly } from '@/outside/early';
import { told, useTold } from '@/outside/told';
import { benchReading } from './bench';
import { loadsReading } from './loads';
import { shelvesReading } from './pieces';
import { studioReading } from './studio';

/** Longer than that, and the page is drawn with what has not come yet left open. */
const WAITED_AT_MOST_MS = 300;

const begun = told(false);
export const useBegun = (): boolean => useTold(begun);

export function begin(client: QueryClient): void {
  const asked = [client.prefetchQuery(studioReading), client.prefetchQuery(shelvesReading), client.prefetchQuery(loadsReading)];
  if (wasAskedEarly('/api/bench')) asked.push(client.prefetchQuery(benchReading));
  const start = (): void => begun.set(true);
  setTimeout(start, WAITED_AT_MOST_MS);
  void Promise.all(asked).then(start);
}
