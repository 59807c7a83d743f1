/** Said once on a device that came over plain http: what a page cannot do there. */
import { useState } from 'react';
import { readStored, writeStored } from '@/outside/storage';
import { Action } from './Action';
import { BottomLine } from './BottomLine';

const SAID = 'torvin-said-http';

export function OverHttp() {
  const [said, setSaid] = useState(() => window.isSecureContext || readStored<boolean>('localStorage', SAID) === true);
  if (said) return null;
  const understood = (): void => {
    writeStored('localStorage', SAID, true);
    setSaid(true);
  };
  return (
    <BottomLine testID="over-http" actions={<Action kind="plain" title="×" label="Understood" testID="over-http-understood" onPress={understood} />}>
      Over plain http Torvin goes on without its server only while this page stays open. Shelves say what https adds.
    </BottomLine>
  );
}
