/** Says of a form that was saved while the server is silent what becomes of it. */
import { useSyncExternalStore } from 'react';
import { useOutbox } from '@/outbox/useOutbox';
import { Notice } from './Notice';

export function Held() {
  const outbox = useOutbox();
  const kept = useSyncExternalStore(outbox.subscribe, outbox.kept);
  if (!kept)
    return (
      <Notice tone="warn" testID="held">
        The server does not answer, and this browser has no room to keep this: leave the page open until it does.
      </Notice>
    );
  return (
    <Notice tone="plain" testID="held">
      The server does not answer. This is kept here and sent when it does; you can go on, or leave the page.
    </Notice>
  );
}
