/** What frees a piece that is stuck: which way helps and why, what to do in which order, and the caution for it. */
import type { RescueTold } from '@torvin/core/release';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { RESCUE_CARD } from './words';

/** asTyped: its form stands on no shelf, and is taken as one of clay. */
export function RescueCard({ rescue, asTyped = false }: { rescue: RescueTold | null; asTyped?: boolean }) {
  if (!rescue) return null;
  return (
    <View style={{ gap: space.small }} testID="rescue">
      <Words bold>{rescue.verdict}</Words>
      {rescue.steps.map((words, i) => (
        <View key={words} style={{ flexDirection: 'row', gap: space.small }}>
          <Words bold tone="muted" style={{ width: 14 }}>{`${i + 1}`}</Words>
          <Words style={{ flex: 1 }}>{words}</Words>
        </View>
      ))}
      {asTyped && (
        <Words size="label" tone="muted">
          {RESCUE_CARD.typedNotTaken}
        </Words>
      )}
      <Notice tone="care">{rescue.caution}</Notice>
    </View>
  );
}
