/** Two firings: what differed between them, and what that did to squeeze, work, haze and stress. */
import type { FiringDetail } from '@torvin/schema';
import { format } from 'date-fns/format';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Screen } from '@/ui/Screen';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { inZone } from '@/ui/clock';
import { firingDifferences } from './differences';
import { ResultSign, resultWords } from '@/ui/results';
import { COMPARE_SCREEN } from './words';

const headOf = ({ firing }: FiringDetail): string => `${firing.pieceName}, ${format(inZone(firing.firedAt, firing.zone), 'd MMM')}`;

export function CompareScreen({ one, other }: { one: FiringDetail; other: FiringDetail }) {
  const units = useUnits();
  // The older one first: what came later is read against it.
  const [before, after] = one.firing.firedAt <= other.firing.firedAt ? [one, other] : [other, one];
  const { layup, setup, schedule, consequences } = firingDifferences(before, after, units);
  return (
    <Screen
      title={COMPARE_SCREEN.twoFirings}
      subtitle={COMPARE_SCREEN.whatChangedEarlier}
      back={{ title: one.firing.pieceName, href: `/notebook/${one.firing.id}` }}
    >
      <View style={{ gap: space.large }} testID="compared">
        <View style={{ flexDirection: 'row', gap: space.large }}>
          {[before, after].map((detail) => (
            <View key={detail.firing.id} style={{ flex: 1, gap: space.hair }}>
              <Words bold>{headOf(detail)}</Words>
              <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
                <ResultSign result={detail.firing.result} />
                <Words>{resultWords(detail.firing.result)}</Words>
              </View>
              <Words size="label">{detail.firing.note}</Words>
            </View>
          ))}
        </View>
        <SideBySide heads={[headOf(before), headOf(after)]} rows={consequences} testID="compared-figures" />
        <Differences title={COMPARE_SCREEN.layUp} lines={layup} />
        <Differences title={COMPARE_SCREEN.setUp} lines={setup} />
        <Differences title={COMPARE_SCREEN.scheduleRan} lines={schedule} />
      </View>
    </Screen>
  );
}

function Differences({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <View testID={`differs-${title.split(' ')[0].toLowerCase()}`}>
      <Words bold role="heading" aria-level={2}>
        {title}
      </Words>
      {lines.length === 0 ? <Words tone="muted">{COMPARE_SCREEN.theSame}</Words> : lines.map((line) => <Words key={line}>{line}</Words>)}
    </View>
  );
}
