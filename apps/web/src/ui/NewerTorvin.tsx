/** At the bottom of whatever page is open: that a newer Torvin is there. It is loaded when the person says so, never under a finger. */
import { useState } from 'react';
import { loadNewer, putNewerOff, useNewerShell } from '@/away/shell';
import { useEntries } from '@/outbox/useOutbox';
import { useOtherVersion } from '@/outside/version';
import { Action } from './Action';
import { BottomLine } from './BottomLine';

export function NewerTorvin() {
  const newer = useNewerShell();
  const other = useOtherVersion();
  const waiting = useEntries().filter(({ refused }) => !refused).length;
  const [loading, setLoading] = useState(false);
  if (!newer && !other) return null;
  const load = async (): Promise<void> => {
    setLoading(true);
    setLoading(await loadNewer());
  };
  return (
    <BottomLine
      testID="newer"
      actions={
        <>
          <Action kind="plain" title={loading ? 'Loading …' : 'Load it'} disabled={loading} testID="load-newer" onPress={() => void load()} />
          {!other && <Action kind="plain" title="×" label="Not now" testID="newer-later" onPress={putNewerOff} />}
        </>
      }
    >
      {other ? `The server runs another version of Torvin than this page. ${waitWords(waiting)}` : 'A newer Torvin is ready.'}
    </BottomLine>
  );
}

const waitWords = (waiting: number): string =>
  waiting === 0
    ? 'Your changes wait here until you reload the page.'
    : `${waiting === 1 ? 'One change waits' : `${waiting} changes wait`} here and ${waiting === 1 ? 'is' : 'are'} sent once you reload the page.`;
