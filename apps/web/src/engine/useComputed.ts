/** What the engine says of something, asked in the worker; while a newer answer is on its way the last one stays. */
import type { Problem } from '@torvin/core/problem';
import type { Answered, Asked, EngineCall } from '@torvin/core/engine';
import { keepPreviousData, queryOptions, useQuery } from '@tanstack/react-query';
import { problemOfError } from '@/outside/client';
import { compute } from './client';
import { NOT_READ } from './notRead';

export interface Computed<T> {
  value: T | undefined;
  /** The value is of an earlier question. */
  stale: boolean;
  problem: Problem | null;
}

/** Asked once however many ask; kept for a minute. */
export const computedQuery = <C extends EngineCall>(name: C, input: Asked<C> | null) =>
  queryOptions({
    queryKey: ['computed', name, input],
    queryFn: async () => {
      if (input === null) throw new Error('Nothing to calculate.');
      const outcome = await compute(name, input);
      if (!outcome.ok && outcome.problem.code === NOT_READ) throw new NotRead(outcome.problem);
      return outcome;
    },
    staleTime: Infinity,
    gcTime: 60_000,
    networkMode: 'always',
    // It comes by itself once the server answers.
    retry: (_, error) => error instanceof NotRead,
    retryDelay: READ_AGAIN_MS,
  });

const READ_AGAIN_MS = 3000;

class NotRead extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message);
  }
}

/** input: null where there is nothing to ask. It is its own key, so the same question is asked once. */
export function useComputed<C extends EngineCall>(name: C, input: Asked<C> | null): Computed<Answered<C>> {
  const { data, error, failureReason, isPlaceholderData } = useQuery({
    ...computedQuery(name, input),
    enabled: input !== null,
    placeholderData: keepPreviousData,
  });
  const refused = data && !data.ok ? data.problem : null;
  const notRead = failureReason instanceof NotRead ? failureReason.problem : null;
  return {
    value: data?.ok ? data.value : undefined,
    stale: isPlaceholderData && !notRead,
    problem: notRead ?? refused ?? (error ? problemOfError(error) : null),
  };
}
