/** Two cards of one glance each, before a firing is started. */
import type { Schedule } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { glancesAt } from './glances';
import { BEFORE_START } from './words';

export function BeforeStart({ schedule }: { schedule: Schedule }) {
  const { temperature } = useUnits();
  const { of, piece, kiln } = glancesAt(schedule.snapshot, temperature);
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.medium }} testID="before-start">
      <Card title={of === 'glass' ? BEFORE_START.glassReady : BEFORE_START.isItReady} lines={piece} />
      <Card title={BEFORE_START.isTheKiln} lines={kiln} />
    </View>
  );
}

function Card({ title, lines }: { title: string; lines: readonly string[] }) {
  const { colours } = useTheme();
  return (
    <View style={{ flexGrow: 1, flexBasis: 260, gap: space.hair, paddingLeft: space.medium, borderLeftWidth: 2, borderColor: colours.muted }}>
      <Words bold role="heading" aria-level={2}>
        {title}
      </Words>
      <View role="list">
        {lines.map((line) => (
          <View key={line} role="listitem">
            <Words>{line}</Words>
          </View>
        ))}
      </View>
    </View>
  );
}
