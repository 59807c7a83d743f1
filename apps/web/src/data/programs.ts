/** What the programs of the controllers hold, and where a schedule stood that was keyed over. */
import { type Program, asks } from '@torvin/schema';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { shownPrograms } from '@/outbox/shown';
import { useEntries } from '@/outbox/useOutbox';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

export const programsReading = (schedule = '') =>
  queryOptions({ queryKey: keys.programs(schedule), queryFn: ({ signal }) => call(asks.programs, { signal, query: { schedule } }) });

const NONE: readonly Program[] = [];

/** As they will stand once what waits has been saved; nothing while it is read, or where nothing was kept of it. */
export function usePrograms(schedule = ''): readonly Program[] {
  const entries = useEntries();
  const { data = NONE } = useQuery(programsReading(schedule));
  return useMemo(() => shownPrograms(data, entries, schedule), [data, entries, schedule]);
}

/** Whether they are being read for the first time: until then nobody knows what stands where. */
export function useProgramsComing(schedule = ''): boolean {
  const { isPending, fetchStatus, failureCount } = useQuery(programsReading(schedule));
  return isPending && fetchStatus === 'fetching' && failureCount === 0;
}
