/** Firings: those in the Notebook a page at a time, one with its schedule. */
import { type FiringQuery, type FiringRow, asks } from '@torvin/schema';
import { infiniteQueryOptions, keepPreviousData, queryOptions, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { firingQueue } from '@/outbox/kinds';
import { shownFiring } from '@/outbox/shown';
import { useQueue } from '@/outbox/useOutbox';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

/** A page is read when the end of the last one comes near. */
export const firingsReading = (query: Omit<FiringQuery, 'after'>) =>
  infiniteQueryOptions({
    queryKey: [...keys.firings, query],
    queryFn: ({ pageParam, signal }) => call(asks.firings, { query: { ...query, after: pageParam }, signal }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
  });

export const useFirings = (query: Omit<FiringQuery, 'after'>) => useInfiniteQuery({ ...firingsReading(query), placeholderData: keepPreviousData });

export const firingReading = (id: string) => queryOptions({ queryKey: keys.firing(id), queryFn: ({ signal }) => call(asks.firing, { id, signal }) });

/** As it will stand once what waits has been saved. */
export function useFiring(id: string | null) {
  const query = useQuery({ ...firingReading(id ?? ''), enabled: id !== null });
  const waiting = useQueue(firingQueue(id ?? ''));
  const data = useMemo(() => query.data && shownFiring(query.data, waiting), [query.data, waiting]);
  return { ...query, data };
}

/** Those of its kind that are most like it; undefined until they are read, and where nobody answers. */
export const useNearest = (id: string): readonly FiringRow[] | undefined =>
  useQuery({ queryKey: keys.nearest(id), queryFn: ({ signal }) => call(asks.nearest, { id, signal }) }).data;
