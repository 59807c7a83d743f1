/** What the engine says of something, asked in the worker; while a newer answer is on its way the last one stays. */
import type { Problem } from '@torvin/core/problem';
import type { Answered, Asked, EngineCall } from '@torvin/core/engine';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { problemOfError } from '@/outside/client';
import { compute } from './client';

export interface Computed<T> {
  value: T | undefined;
  /** The value is of an earlier question. */
  stale: boolean;
  problem: Problem | null;
}

/** input: null where there is nothing to ask. It is its own key, so the same question is asked once. */
export function useComputed<C extends EngineCall>(name: C, input: Asked<C> | null): Computed<Answered<C>> {
  const { data, error, isPlaceholderData } = useQuery({
    queryKey: ['computed', name, input],
    queryFn: async () => {
      if (input === null) throw new Error('Nothing to compute.');
      return compute(name, input);
    },
    enabled: input !== null,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
    placeholderData: keepPreviousData,
  });
  const refused = data && !data.ok ? data.problem : null;
  return { value: data?.ok ? data.value : undefined, stale: isPlaceholderData, problem: refused ?? (error ? problemOfError(error) : null) };
}
