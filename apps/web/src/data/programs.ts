/** What stands in the programs of the controllers, and where a schedule stood that was keyed over. */
import { type Program, api } from '@torvin/schema';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

export const programsReading = (schedule = '') =>
  queryOptions({ queryKey: keys.programs(schedule), queryFn: ({ signal }) => call(api.programs, { signal, query: { schedule } }) });

const NONE: readonly Program[] = [];

/** Nothing while it is read, or where the server does not answer and nothing was kept. */
export const usePrograms = (schedule = ''): readonly Program[] => useQuery(programsReading(schedule)).data ?? NONE;
