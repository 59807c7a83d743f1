/** Said once on a device that came over plain http: what a page cannot do there. */
import { useState } from 'react';
import { readStored, writeStored } from '@/outside/storage';
import { Action } from './Action';
import { BottomLine } from './BottomLine';
import { OVER_HTTP } from './said';

const SAID = 'torvin-said-http';

export function OverHttp() {
  const [said, setSaid] = useState(() => window.isSecureContext || readStored<boolean>('localStorage', SAID) === true);
  if (said) return null;
  const understood = (): void => {
    writeStored('localStorage', SAID, true);
    setSaid(true);
  };
  return (
    <BottomLine testID="over-http" actions={<Action kind="plain" title="×" label={OVER_HTTP.understood} testID="over-http-understood" onPress={understood} />}>
      {OVER_HTTP.overPlainHttp}
    </BottomLine>
  );
}
