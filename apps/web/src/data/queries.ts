/** The one client of the app: reads are tried at once whatever the connection; what is saved goes through its outbox. */
import { QueryClient } from '@tanstack/react-query';
import { makeOutbox } from '@/outbox/make';
import { mayRecover } from '@/outside/client';
import { askedOrKept, keepReadings } from '@/outside/readings';

const FRESH_MS = 5000;

export function makeQueryClient(): QueryClient {
  const client = new QueryClient({
    defaultOptions: {
      queries: {
        networkMode: 'always',
        refetchOnReconnect: true,
        staleTime: FRESH_MS,
        retry: (count, error) => count < 1 && mayRecover(error),
        persister: askedOrKept,
      },
      mutations: { networkMode: 'always' },
    },
  });
  keepReadings(client);
  makeOutbox(client);
  return client;
}
