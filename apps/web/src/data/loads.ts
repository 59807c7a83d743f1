/** What is in the kilns and planned for them. */
import { api } from '@torvin/schema';
import { useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

export const useLoads = () => useQuery({ queryKey: keys.loads, queryFn: ({ signal }) => call(api.loads, { signal }) });
