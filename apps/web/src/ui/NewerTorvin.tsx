/** At the bottom of whatever page is open: that a newer Torvin is there. It is loaded when the person says so, never under a finger. */
import { useState } from 'react';
import { loadNewer, putNewerOff, useNewerShell } from '@/away/shell';
import { useEntries } from '@/outbox/useOutbox';
import { useOtherVersion } from '@/outside/version';
import { Action } from './Action';
import { BottomLine } from './BottomLine';
import { NEWER_TORVIN, WORDS } from './said';

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
          <Action
            kind="plain"
            title={loading ? NEWER_TORVIN.loading : NEWER_TORVIN.loadIt}
            disabled={loading}
            testID="load-newer"
            onPress={() => void load()}
          />
          {!other && <Action kind="plain" title="×" label={WORDS.notNow} testID="newer-later" onPress={putNewerOff} />}
        </>
      }
    >
      {other ? NEWER_TORVIN.serverRunsAnother(waitWords(waiting)) : NEWER_TORVIN.newerTorvinReady}
    </BottomLine>
  );
}

const waitWords = (waiting: number): string => (waiting === 0 ? NEWER_TORVIN.yourChangesWait : NEWER_TORVIN.sentOnceYou(waiting));
