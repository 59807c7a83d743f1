/** The load as it stands: its section with what the heat has made of it so far, and the curve with now, look-in and opening. */
import { footprintSpan } from '@torvin/core/body';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Evaluation, glassAfter } from '@torvin/core/schedule';
import { formatLength, text } from '@torvin/core/units';
import type { Schedule } from '@torvin/schema';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { TrueTimeChart } from '@/runsheet/TrueTimeChart';
import { FiredSection } from '@/section/FiredSection';
import { SectionDrawing } from '@/section/SectionDrawing';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import type { Standing } from './byClock';
import { SECTION_HEIGHT } from './sizes';
import { RUNNING_DRAWING } from './words';

export interface RunningDrawingProps {
  schedule: Schedule;
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  standing: Standing;
  look: { from_s: number; to_s: number } | null;
  start: Date;
  now_s: number;
}

const CHART_HEIGHT = 210;

export function RunningDrawing({ schedule, segments, evaluation, standing, look, start, now_s }: RunningDrawingProps) {
  const units = useUnits();
  const { firing } = schedule.snapshot;
  const { simulation } = evaluation;
  return (
    <View testID="running-drawing">
      <RunningSection {...{ schedule, evaluation, standing }} />
      <MeasuredWidth height={CHART_HEIGHT}>
        {(width) => (
          <TrueTimeChart
            firing={firing}
            segments={segments}
            series={simulation.series}
            total_s={simulation.total_s}
            unit={units.temperature}
            start={start}
            width={width}
            height={CHART_HEIGHT}
            marks={{ ...(now_s >= 0 && !standing.over ? { now_s } : {}), ...(look ? { look } : {}), open_s: simulation.total_s }}
          />
        )}
      </MeasuredWidth>
    </View>
  );
}

export type RunningSectionProps = Pick<RunningDrawingProps, 'schedule' | 'evaluation' | 'standing'>;

/** What is in the kiln, as the heat so far has made it. */
export function RunningSection({ schedule, evaluation, standing }: RunningSectionProps) {
  const units = useUnits();
  const { firing, layers } = schedule.snapshot;
  // Segments that are over; the one that runs counts once it has held.
  const done = evaluation.simulation.segments.slice(0, standing.over ? undefined : (standing.segment ?? 0));
  const work = done.reduce((sum, { heatWork_perPa }) => sum + heatWork_perPa, 0);
  const width_m = footprintSpan(firing.body.footprint);
  const fired = useMemo(() => {
    const [at, end] = [glassAfter(firing, work, work > 0 ? 1 : 0), glassAfter(firing, evaluation.work_perPa.mean)];
    return at && end && { at, end };
  }, [firing, work, evaluation]);
  if (!fired)
    return (
      <MeasuredWidth height={SECTION_HEIGHT}>
        {(width) => <SectionDrawing footprint={firing.body.footprint} layers={layers} width={width} height={SECTION_HEIGHT} />}
      </MeasuredWidth>
    );
  return (
    <FiredSection
      {...{ firing, layers, ...fired }}
      height={SECTION_HEIGHT}
      words={RUNNING_DRAWING.nowAboutDeep(
        text(formatLength(fired.at.shape.depth_m, units.length)),
        text(formatLength(fired.at.shape.width_m, units.length)),
        text(formatLength(width_m, units.length)),
      )}
    />
  );
}
