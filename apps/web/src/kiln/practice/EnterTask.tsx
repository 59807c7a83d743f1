/** Three segments keyed figure by figure, and the program ended. */
import { type Panel, type PanelRow, keyIn, newPanel, readBack } from '@torvin/core/controller';
import { toEnter } from '@torvin/core/practice';
import { slipSentence } from '@torvin/core/schedule';
import { useState } from 'react';
import { View } from 'react-native';
import { slotsOf } from '@/keyin/slots';
import { KeyedRows } from '@/panel/KeyedRows';
import { PanelView } from '@/panel/PanelView';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { type Practised, Verdict } from './shared';
import { ENTER_TASK } from '../words';

export function EnterTask({ controller, segments, onDone }: Practised) {
  const wanted = toEnter(keyIn(segments, controller).rows);
  const { first, last } = slotsOf(controller);
  const [panel, setPanel] = useState<Panel>(() => newPanel(controller));
  const [shown, setShown] = useState<readonly PanelRow[] | null>(null);
  const slips = shown && readBack(wanted, shown, controller);
  function pressed(next: Panel): void {
    // A program was stored by this press.
    const stored = next.programs === panel.programs ? undefined : Object.entries(next.programs).find(([slot, rows]) => rows !== panel.programs[Number(slot)]);
    setPanel(next);
    if (!stored) return;
    setShown(stored[1]);
    onDone(readBack(wanted, stored[1], controller).length === 0);
  }
  return (
    <View style={{ gap: space.medium }}>
      <Words>{ENTER_TASK.keyTheseSegments(wanted.length, first, last > first, last)}</Words>
      <KeyedRows rows={wanted} controller={controller} testID="wanted-rows" />
      <PanelView panel={panel} onPressed={pressed} />
      {slips && (
        <Verdict passed={slips.length === 0}>
          {slips.length === 0 ? ENTER_TASK.holdsWhatShould : slips.map((slip) => slipSentence(slip, wanted, shown ?? [], controller)).join(' ')}
        </Verdict>
      )}
    </View>
  );
}
