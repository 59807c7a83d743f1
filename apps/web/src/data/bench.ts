/** What is going on in the studio. */
import { api } from '@torvin/schema';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

const AGAIN_MS = 60_000;

export const benchReading = queryOptions({ queryKey: keys.bench, queryFn: ({ signal }) => call(api.bench, { signal }) });

export const useBench = () => useQuery({ ...benchReading, refetchInterval: AGAIN_MS });
