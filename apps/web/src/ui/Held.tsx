/** Says of a form that was saved while the server is silent what becomes of it. */
import { useSyncExternalStore } from 'react';
import { useOutbox } from '@/outbox/useOutbox';
import { Notice } from './Notice';
import { HELD } from './said';

export function Held() {
  const outbox = useOutbox();
  const kept = useSyncExternalStore(outbox.subscribe, outbox.kept);
  if (!kept)
    return (
      <Notice tone="warn" testID="held">
        {HELD.serverDoesNot}
      </Notice>
    );
  return (
    <Notice tone="plain" testID="held">
      {HELD.serverDoesNotAnswer}
    </Notice>
  );
}
