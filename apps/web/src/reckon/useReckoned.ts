/** What comes out of what is typed. While a newer answer is on its way the last one stays, with the question that it is of. */
import type { Problem } from '@torvin/core/problem';
import type { Answered, Asked, EngineCall } from '@torvin/core/engine';
import { useRef } from 'react';
import { useComputed } from '@/engine/useComputed';

export interface Reckoned<C extends EngineCall> {
  /** Null while nothing can be asked, or where it was refused. */
  pair: { asked: Asked<C>; value: Answered<C> } | null;
  stale: boolean;
  problem: Problem | null;
}

export function useReckoned<C extends EngineCall>(name: C, input: Asked<C> | null): Reckoned<C> {
  const { value, stale, problem } = useComputed(name, input);
  const last = useRef<Reckoned<C>['pair']>(null);
  if (input !== null && value !== undefined && !stale) last.current = { asked: input, value };
  return { pair: input === null || problem !== null ? null : last.current, stale, problem: input === null ? null : problem };
}
