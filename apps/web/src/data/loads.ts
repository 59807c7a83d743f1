/** What is in the kilns and planned for them. */
import { type Load, api } from '@torvin/schema';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client';
import { keys } from './keys';

export const useLoads = () => useQuery({ queryKey: keys.loads, queryFn: ({ signal }) => call(api.loads, { signal }) });

/** Says when a kiln was opened. */
export function useOpenLoad() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version, openedAt }: Pick<Load, 'id' | 'version' | 'openedAt'>) => call(api.saveLoad, { id, body: { version, openedAt } }),
    onSettled: async () => {
      await client.invalidateQueries({ queryKey: keys.loads });
      await client.invalidateQueries({ queryKey: keys.firings });
    },
  });
}
