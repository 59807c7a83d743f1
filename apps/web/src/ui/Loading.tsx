/** What stands where data is not there yet, or did not come. */
import type { UseQueryResult } from '@tanstack/react-query';
import { mayRecover, problemOfError } from '@/outside/client';
import { Action } from './Action';
import { Notice } from './Notice';
import { Reading } from './Reading';
import { Screen, type ScreenProps } from './Screen';
import { LOADING } from './said';

export function Waiting({ query, title, back }: { query: Pick<UseQueryResult, 'error' | 'refetch'>; title: string; back?: ScreenProps['back'] }) {
  return (
    <Screen title={title} back={back}>
      {query.error ? (
        <Notice tone="warn" actions={mayRecover(query.error) && <Action kind="second" title={LOADING.tryAgain} onPress={() => void query.refetch()} />}>
          {problemOfError(query.error).message}
        </Notice>
      ) : (
        <Reading />
      )}
    </Screen>
  );
}
