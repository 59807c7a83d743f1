/** Recorded firings. */
import { type NewFiring, api } from '@torvin/schema';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client';

const FIRINGS = ['firings'];

export const useFirings = () => useQuery({ queryKey: FIRINGS, queryFn: ({ signal }) => call(api.firings, { signal }) });

export const useFiring = (id: string) => useQuery({ queryKey: ['firing', id], queryFn: ({ signal }) => call(api.firing, { id, signal }) });

export function useRecordFiring() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: NewFiring) => call(api.recordFiring, { body }),
    onSuccess: () => client.invalidateQueries({ queryKey: FIRINGS }),
  });
}
