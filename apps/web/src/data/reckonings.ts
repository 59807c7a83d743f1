/** What was reckoned and kept, newest first, with what still waits to be sent. */
import { RECKONINGS_KEPT, type Reckoning, asks } from '@torvin/schema';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Variables } from '@/outbox/kinds';
import { useEntries } from '@/outbox/useOutbox';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

export const reckoningsReading = queryOptions({ queryKey: keys.reckonings, queryFn: ({ signal }) => call(asks.reckonings, { signal }) });

const NONE: readonly Reckoning[] = [];

export function useReckonings(): readonly Reckoning[] {
  const entries = useEntries();
  const { data = NONE } = useQuery(reckoningsReading);
  return useMemo(() => {
    const waiting = entries.flatMap(({ name, variables, refused }): Reckoning[] => {
      if (name !== 'keepReckoning' || refused) return [];
      const reckoning = variables as Variables['keepReckoning'];
      return data.some(({ id }) => id === reckoning.id) ? [] : [{ ...reckoning, pieceId: reckoning.pieceId ?? null, pieceName: null }];
    });
    return waiting.length === 0 ? data : [...waiting.reverse(), ...data].slice(0, RECKONINGS_KEPT);
  }, [data, entries]);
}
