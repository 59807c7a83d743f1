/** Slips in a program, worst first: where each is, how it came about, and what it alone would have done to this piece. */
import type { Controller, PanelRow } from '@torvin/core/controller';
import type { Look } from '@torvin/core/look';
import { slipDoes, slipSentence } from '@torvin/core/schedule';
import type { Answered } from '@torvin/core/engine';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';

export interface SlipsProps {
  slips: Answered<'readBack'>['slips'];
  wanted: readonly PanelRow[];
  shown: readonly PanelRow[];
  controller: Controller;
  look: Look;
}

export function Slips({ slips, wanted, shown, controller, look }: SlipsProps) {
  const units = useUnits();
  return (
    <View role="list" style={{ gap: space.medium }}>
      {slips.map((slip, i) => (
        <View key={i} role="listitem" testID={`slip-${i}`}>
          <Words bold>{slipSentence(slip, wanted, shown, controller)}</Words>
          <Words>{slipDoes(slip, units, look)}</Words>
        </View>
      ))}
    </View>
  );
}
