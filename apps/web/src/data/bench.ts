/** What is going on in the studio. */
import { api } from '@torvin/schema';
import { useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';

const AGAIN_MS = 60_000;

export const useBench = () => useQuery({ queryKey: ['firings', 'bench'], queryFn: ({ signal }) => call(api.bench, { signal }), refetchInterval: AGAIN_MS });
