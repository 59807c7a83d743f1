/** What is going on in the studio. */
import { api } from '@torvin/schema';
import { keepPreviousData, queryOptions, useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

const AGAIN_MS = 60_000;

export const benchReading = queryOptions({ queryKey: keys.bench, queryFn: ({ signal }) => call(api.bench, { signal }) });

/** Of one kiln; null: it is not asked for. */
export const useLearned = (kilnId: string | null) =>
  useQuery({
    queryKey: keys.learned(kilnId ?? ''),
    queryFn: ({ signal }) => call(api.learned, { query: { kiln: kilnId ?? '' }, signal }),
    enabled: kilnId !== null,
    placeholderData: keepPreviousData,
  });

export const useBench = () => useQuery({ ...benchReading, refetchInterval: AGAIN_MS });
