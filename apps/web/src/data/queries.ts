/** The one client of the app: reads are tried at once whatever the connection, saves wait while the server is silent. */
import { MutationCache, QueryClient } from '@tanstack/react-query';
import { ApiProblem, mayRecover, problemOfError, versionStanding } from './client';
import { isOrphan, keepSaves } from './kept';
import { addRefused } from './refused';
import { teachSaves } from './saves';

const noAnswer = (error: unknown): boolean => error instanceof ApiProblem && error.status === 0;
const FRESH_MS = 5000;

export function makeQueryClient(): QueryClient {
  const client = new QueryClient({
    mutationCache: new MutationCache({
      onError(error, variables, _context, mutation) {
        if (!isOrphan(mutation)) return;
        const name = String(mutation.options.mutationKey?.[0]);
        addRefused({ name, variables, problem: problemOfError(error), currentVersion: versionStanding(error) });
      },
    }),
    defaultOptions: {
      queries: { networkMode: 'always', refetchOnReconnect: true, staleTime: FRESH_MS, retry: (count, error) => count < 1 && mayRecover(error) },
      mutations: { networkMode: 'online', retry: (_count, error) => noAnswer(error), retryDelay: 0 },
    },
  });
  teachSaves(client);
  keepSaves(client);
  return client;
}
