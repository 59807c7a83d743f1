/** Firings: those in the Notebook a page at a time, one with its schedule, what is told of it. */
import { type Firing, type FiringChange, type FiringQuery, type NewFiring, api } from '@torvin/schema';
import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client';

const FIRINGS = ['firings'];
const firingKey = (id: string) => ['firing', id];

/** A page is read when the end of the last one comes near. */
export const useFirings = (query: Omit<FiringQuery, 'after'>) =>
  useInfiniteQuery({
    queryKey: [...FIRINGS, query],
    queryFn: ({ pageParam, signal }) => call(api.firings, { query: { ...query, after: pageParam }, signal }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
  });

export const useFiring = (id: string | null) =>
  useQuery({ queryKey: firingKey(id ?? ''), queryFn: ({ signal }) => call(api.firing, { id: id ?? '', signal }), enabled: id !== null });

function useForgetLists(): () => Promise<void> {
  const client = useQueryClient();
  return async () => {
    await client.invalidateQueries({ queryKey: FIRINGS });
    void client.invalidateQueries({ queryKey: ['versions'] });
  };
}

export function useRecordFiring() {
  const forget = useForgetLists();
  return useMutation({ mutationFn: (body: NewFiring) => call(api.recordFiring, { body }), onSuccess: forget });
}

export function useSaveFiring(id: string) {
  const client = useQueryClient();
  const forget = useForgetLists();
  return useMutation({
    mutationFn: (body: FiringChange) => call(api.saveFiring, { id, body }),
    onSuccess: (detail) => {
      client.setQueryData(firingKey(id), detail);
      return forget();
    },
  });
}

export function useDeleteFiring() {
  const forget = useForgetLists();
  return useMutation({ mutationFn: ({ id, version }: Pick<Firing, 'id' | 'version'>) => call(api.deleteFiring, { id, body: { version } }), onSuccess: forget });
}

export function useRestoreFiring() {
  const forget = useForgetLists();
  return useMutation({ mutationFn: (id: string) => call(api.restoreFiring, { id, body: {} }), onSuccess: forget });
}
