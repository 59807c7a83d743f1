/** What is in the kilns and planned for them. */
import { asks } from '@torvin/schema';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

export const loadsReading = queryOptions({ queryKey: keys.loads, queryFn: ({ signal }) => call(asks.loads, { signal }) });

/** every_ms: asked again so often by itself; left out: when something has changed. */
export const useLoads = ({ every_ms }: { every_ms?: number } = {}) => useQuery({ ...loadsReading, refetchInterval: every_ms ?? false });

/** All of one load, also after it has been told of. */
export const useLoad = (id: string) => useQuery({ queryKey: keys.load(id), queryFn: ({ signal }) => call(asks.load, { id, signal }) });

/** What of those may go together. */
export const useSuggestedLoads = () => useQuery({ queryKey: keys.suggestedLoads, queryFn: ({ signal }) => call(asks.suggestedLoads, { signal }) });

/** Pieces that wait for their kilns with a schedule each: what can go into one load. */
export const useForKiln = () => useQuery({ queryKey: keys.forKiln, queryFn: ({ signal }) => call(asks.forKiln, { signal }) });
