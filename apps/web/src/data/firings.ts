/** Firings: those in the Notebook a page at a time, one with its schedule. */
import { type FiringQuery, api } from '@torvin/schema';
import { infiniteQueryOptions, keepPreviousData, queryOptions, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

/** A page is read when the end of the last one comes near. */
export const firingsReading = (query: Omit<FiringQuery, 'after'>) =>
  infiniteQueryOptions({
    queryKey: [...keys.firings, query],
    queryFn: ({ pageParam, signal }) => call(api.firings, { query: { ...query, after: pageParam }, signal }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
  });

export const useFirings = (query: Omit<FiringQuery, 'after'>) => useInfiniteQuery({ ...firingsReading(query), placeholderData: keepPreviousData });

export const firingReading = (id: string) => queryOptions({ queryKey: keys.firing(id), queryFn: ({ signal }) => call(api.firing, { id, signal }) });

export const useFiring = (id: string | null) => useQuery({ ...firingReading(id ?? ''), enabled: id !== null });
