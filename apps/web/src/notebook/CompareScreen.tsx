/** Two to four firings: what differed between them, their curves over one another, and what that did to squeeze, work, devitrification and stress. */
import type { FiringDetail } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { PhotoRow } from '@/photos/Photos';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Screen } from '@/ui/Screen';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { inZone } from '@/ui/clock';
import { useSoon } from '@/ui/useSoon';
import { ResultSign, resultWords, seenWords } from '@/ui/results';
import { AsItLay } from './AsItLay';
import { CurvesOver } from './CurvesOver';
import { asRun } from './asRun';
import { type FiringDifferences, firingDifferences } from './differences';
import { COMPARE_SCREEN } from './words';

/** Side by side no more can be read on a phone. */
export const COMPARED_AT_MOST = 4;

/** As tall as the piece and its form are drawn. */
const DRAWN_PX = 72;

const headOf = ({ firing }: FiringDetail): string => `${firing.pieceName}, ${format(inZone(firing.firedAt, firing.zone), 'd MMM')}`;
const countOf = ({ layup, setup, schedule }: FiringDifferences): number => layup.length + setup.length + schedule.length;

export function CompareScreen({ one, others }: { one: FiringDetail; others: readonly FiringDetail[] }) {
  const router = useRouter();
  const soon = useSoon();
  // The oldest first: what came later is read against it.
  const all = [one, ...others].sort((a, b) => a.firing.firedAt - b.firing.firedAt);
  const shown = others.map(({ firing }) => firing.id).join(',');
  return (
    <Screen
      title={COMPARE_SCREEN.title(all.length)}
      subtitle={COMPARE_SCREEN.whatChangedEarlier}
      back={{ title: one.firing.pieceName, href: `/notebook/${one.firing.id}` }}
    >
      <View style={{ gap: space.large }} testID="compared">
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.large }}>
          {all.map((detail) => (
            <View key={detail.firing.id} style={{ flex: 1, minWidth: 140, gap: space.hair }}>
              <Words bold>{headOf(detail)}</Words>
              <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
                <ResultSign result={detail.firing.result} />
                <Words>{[resultWords(detail.firing.result), seenWords(detail.firing)].filter((words) => words !== '').join(', ')}</Words>
              </View>
              <Words size="label">{detail.firing.note}</Words>
              {soon && <AsItLay detail={detail} evaluation={asRun(detail).evaluation} height={DRAWN_PX} />}
              <PhotoRow hashes={detail.firing.photos} of={detail.firing.pieceName} />
            </View>
          ))}
        </View>
        {soon && <Compared all={all} />}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {all.length < COMPARED_AT_MOST && (
            <Action
              kind="second"
              title={COMPARE_SCREEN.addAnother}
              testID="compare-more"
              onPress={() => router.push(`/notebook/${one.firing.id}/compare?with=${shown}&more=yes`)}
            />
          )}
          <Action
            kind="second"
            title={COMPARE_SCREEN.series}
            testID="as-series"
            onPress={() => router.push(`/notebook/${one.firing.id}/series?with=${shown}`)}
          />
        </View>
      </View>
    </Screen>
  );
}

/** Their curves, figures and differences. all: the oldest first. */
function Compared({ all }: { all: readonly FiringDetail[] }) {
  const units = useUnits();
  const [first, ...later] = all;
  const pairs = later.map((after, i) => ({ after, before: all[i], differs: firingDifferences(all[i], after, units) }));
  const [rows, ...more] = later.map((after, i) => (i === 0 ? pairs[0].differs : firingDifferences(first, after, units)).consequences);
  return (
    <>
      <CurvesOver curves={all.map((detail) => ({ head: headOf(detail), ...asRun(detail), start_C: detail.schedule.snapshot.firing.kiln.ambient_C }))} />
      <SideBySide heads={all.map(headOf)} rows={rows.map((row, i) => ({ ...row, more: more.map((of) => of[i].after) }))} testID="compared-figures" />
      {pairs.map(({ before, after, differs }) => (
        <View key={after.firing.id} style={{ gap: space.medium }}>
          <Words bold testID="differs-count">
            {COMPARE_SCREEN.count(countOf(differs), pairs.length > 1 ? `${headOf(after)}, ${headOf(before)}` : '')}
          </Words>
          <Differences title={COMPARE_SCREEN.layUp} lines={differs.layup} />
          <Differences title={COMPARE_SCREEN.setUp} lines={differs.setup} />
          <Differences title={COMPARE_SCREEN.scheduleRan} lines={differs.schedule} />
          <Differences title={COMPARE_SCREEN.cameOut} lines={differs.cameOut} />
        </View>
      ))}
    </>
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
