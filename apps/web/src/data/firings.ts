/** Firings: those in the Notebook a page at a time, one with its schedule, what is told of it. */
import { type Firing, type FiringQuery, api } from '@torvin/schema';
import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client';
import { keys } from './keys';
import { useNamedSave } from './saves';

/** A page is read when the end of the last one comes near. */
export const useFirings = (query: Omit<FiringQuery, 'after'>) =>
  useInfiniteQuery({
    queryKey: [...keys.firings, query],
    queryFn: ({ pageParam, signal }) => call(api.firings, { query: { ...query, after: pageParam }, signal }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
  });

export const useFiring = (id: string | null) =>
  useQuery({ queryKey: keys.firing(id ?? ''), queryFn: ({ signal }) => call(api.firing, { id: id ?? '', signal }), enabled: id !== null });

function useForgetLists(): () => Promise<void> {
  const client = useQueryClient();
  return async () => {
    await client.invalidateQueries({ queryKey: keys.firings });
    void client.invalidateQueries({ queryKey: ['versions'] });
  };
}

export const useSaveFiring = (id: string) => useNamedSave('saveFiring', `firing ${id}`);

export function useDeleteFiring() {
  const forget = useForgetLists();
  return useMutation({ mutationFn: ({ id, version }: Pick<Firing, 'id' | 'version'>) => call(api.deleteFiring, { id, body: { version } }), onSuccess: forget });
}

export function useRestoreFiring() {
  const forget = useForgetLists();
  return useMutation({ mutationFn: (id: string) => call(api.restoreFiring, { id, body: {} }), onSuccess: forget });
}
