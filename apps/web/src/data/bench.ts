/** What is going on in the studio. */
import type { SeenFiring } from '@torvin/core/schedule';
import type { Look } from '@torvin/core/look';
import { type Step, type UsedSetUp, asks } from '@torvin/schema';
import { type QueryClient, keepPreviousData, queryOptions, useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

const AGAIN_MS = 60_000;

export const benchReading = queryOptions({ queryKey: keys.bench, queryFn: ({ signal }) => call(asks.bench, { signal }) });

/** Of one kiln; null: it is not asked for. weighed: with what the rest would have taught without each firing, which takes the server a moment. */
export const useLearned = (kilnId: string | null, weighed: 'yes' | 'no' = 'no') =>
  useQuery({
    queryKey: keys.learned(kilnId ?? '', weighed),
    queryFn: ({ signal }) => call(asks.learned, { query: { kiln: kilnId ?? '', weighed }, signal }),
    enabled: kilnId !== null,
    placeholderData: keepPreviousData,
  });

const seenQuery = ({ kilnId, look }: Pick<Step, 'kilnId' | 'look'>) =>
  queryOptions({ queryKey: keys.seen(kilnId, look), queryFn: ({ signal }) => call(asks.seen, { query: { kiln: kilnId, look }, signal }) });

/** How firings of this kind came out in its kiln, as it is shown; undefined while that is not known, and where it is not asked for. */
export const useSeen = (step: Pick<Step, 'kilnId' | 'look'> | null): readonly SeenFiring[] | undefined =>
  useQuery({ ...seenQuery(step ?? { kilnId: '', look: 'tack' }), enabled: step !== null }).data;

/** How firings of one kind came out in a kiln: asked anew for each plan; what was read last where nobody answers. */
export async function seenIn(client: QueryClient, step: Pick<Step, 'kilnId' | 'look'>): Promise<readonly SeenFiring[]> {
  const query = seenQuery(step);
  return client.fetchQuery({ ...query, retry: false, staleTime: 0, networkMode: 'always' }).catch(() => client.getQueryData(query.queryKey) ?? []);
}

/** How the like was set up when it was last fired; null where it never was, or that is not known. Asked only where its kind is given. */
export function useUsed(look: Look | null, formId: string | null): UsedSetUp | null {
  const form = formId ?? '';
  const { data } = useQuery({
    queryKey: keys.used(look ?? '', form),
    queryFn: ({ signal }) => call(asks.used, { query: { look: look ?? 'tack', form }, signal }),
    enabled: look !== null,
  });
  return data ?? null;
}

export const useBench = () => useQuery({ ...benchReading, refetchInterval: AGAIN_MS });
