/** The load as it stands: its section with what the heat has made of it so far, and the curve with now, look-in and opening. */
import { footprintSpan } from '@torvin/core/body';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { ghostOf } from '@torvin/core/look';
import { type Evaluation, emptyFiringOf } from '@torvin/core/schedule';
import { formatLength, text } from '@torvin/core/units';
import type { Schedule } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { TrueTimeChart } from '@/runsheet/TrueTimeChart';
import { SectionDrawing } from '@/section/SectionDrawing';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import type { Standing } from './byClock';

export interface RunningDrawingProps {
  schedule: Schedule;
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  standing: Standing;
  look: { from_s: number; to_s: number } | null;
  start: Date;
  now_s: number;
}

const SECTION_HEIGHT = 110;
const CHART_HEIGHT = 210;

export function RunningDrawing({ schedule, segments, evaluation, standing, look, start, now_s }: RunningDrawingProps) {
  const units = useUnits();
  const { firing, layers } = schedule.snapshot;
  const { simulation } = evaluation;
  // Segments that are over; the one that runs counts once it has held.
  const done = simulation.segments.slice(0, standing.over ? undefined : (standing.segment ?? 0));
  const work = done.reduce((sum, { heatWork_perPa }) => sum + heatWork_perPa, 0);
  const shape = look && now_s >= look.to_s && !emptyFiringOf(firing) ? ghostOf(firing.body, firing.look, work, firing.setup.shaping) : null;
  const width_m = footprintSpan(firing.body.footprint);
  const ghost = shape && {
    shape,
    words: `by now about ${text(formatLength(shape.depth_m, units.length))} deep and ${text(formatLength(shape.width_m, units.length))} wide, laid ${text(formatLength(width_m, units.length))} wide`,
  };
  return (
    <View testID="running-drawing">
      <MeasuredWidth height={SECTION_HEIGHT}>
        {(width) => <SectionDrawing footprint={firing.body.footprint} layers={layers} width={width} height={SECTION_HEIGHT} ghost={ghost} />}
      </MeasuredWidth>
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
