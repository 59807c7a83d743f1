/** One firing as it was recorded, with the schedule as it was. */
import type { FiringDetail } from '@torvin/schema';
import { format } from 'date-fns/format';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { LiveFigures } from '@/runsheet/LiveFigures';
import { RunSheet } from '@/runsheet/RunSheet';
import { SectionDrawing } from '@/section/SectionDrawing';
import { space } from '@/theme/theme';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { clockAfter } from '@/ui/clock';
import { RESULT_WORDS, ResultSign } from './results';

const DRAWING_HEIGHT = 120;

export function FiringScreen({ detail: { firing, schedule } }: { detail: FiringDetail }) {
  const { temperatureUnit } = useStudio();
  const start = new Date(firing.firedAt);
  const { snapshot, segments, result: evaluation } = schedule;
  return (
    <Screen
      title={firing.pieceName}
      subtitle={`Full fuse in ${snapshot.kilnName}, ${format(start, 'd MMMM yyyy, HH:mm')}`}
      back={{ title: 'Notebook', href: '/notebook' }}
      padded={false}
    >
      <View style={{ paddingHorizontal: space.large, gap: space.small, paddingBottom: space.medium }} testID="firing-record">
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
          <ResultSign result={firing.result} />
          <Words size="title" bold>
            {RESULT_WORDS[firing.result]}
          </Words>
        </View>
        {firing.note !== '' && <Words>{firing.note}</Words>}
        <Words size="label" tone="muted">
          {`${schedule.origin === 'computed' ? 'Fired as computed' : 'Fired as changed by hand'}; ${snapshot.familyName}, ${snapshot.layers.map(({ name }) => name).join(' under ')}. Recorded ${format(firing.createdAt, 'd MMM yyyy')}, ${firing.zone}.`}
        </Words>
      </View>
      <MeasuredWidth height={DRAWING_HEIGHT}>
        {(width) => <SectionDrawing footprint={snapshot.firing.body.footprint} layers={snapshot.layers} width={width} height={DRAWING_HEIGHT} />}
      </MeasuredWidth>
      <LiveFigures firing={snapshot.firing} evaluation={evaluation} unit={temperatureUnit} opens={clockAfter(start, evaluation.simulation.total_s)} />
      <RunSheet segments={segments} firing={snapshot.firing} evaluation={evaluation} unit={temperatureUnit} start={start} current />
    </Screen>
  );
}
