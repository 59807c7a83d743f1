/** What becomes of the glass as it runs: beside the plan, where it stands now, and what breaks. */
import { type Run, asItRuns } from '@torvin/core/controller';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Evaluation, type FiringCase, brokenOf, brokenSentence, consequences, emptyFiringOf } from '@torvin/core/schedule';
import { formatTemperature, text } from '@torvin/core/units';
import { useMemo } from 'react';
import { View } from 'react-native';
import { standingAt } from '@/bench/byClock';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { TrueTimeChart } from '@/runsheet/TrueTimeChart';
import { space } from '@/theme/theme';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { isOver } from './useQuickTime';
import { RUN_OUTCOME } from './words';
import { WORDS } from '@/ui/said';

export interface Planned {
  firing: FiringCase;
  segments: readonly PurposefulSegment[];
  /** The schedule ends with the closed kiln, switched off. */
  switchOff: boolean;
  evaluation: Evaluation;
}

/** What ran and will run, each part with what it is for. */
export function partsOf(run: Run, { segments, switchOff }: Pick<Planned, 'segments' | 'switchOff'>): PurposefulSegment[] {
  const closing = switchOff ? segments[segments.length - 1] : undefined;
  return asItRuns(run, closing).map(({ index, ...part }) => ({ ...part, role: segments[Math.min(index, segments.length - 1)].role }));
}

const CHART_HEIGHT = 210;

export function RunOutcome({ run, planned, start }: { run: Run; planned: Planned; start: Date }) {
  const units = useUnits();
  const { firing, evaluation } = planned;
  const parts = partsOf(run, planned);
  // The same until something happens to it: computed once for each.
  const key = JSON.stringify(parts);
  const asked = useMemo(() => ({ firing, segments: JSON.parse(key) as PurposefulSegment[], series: true }), [firing, key]);
  const { value, stale } = useComputed('evaluate', asked.segments.length > 0 ? asked : null);
  if (!value || parts.length === 0) return null;
  const { simulation } = value;
  const begins_s = run.waits_s;
  const now_s = run.at_s - begins_s;
  const standing = simulation.series && now_s >= 0 ? standingAt(simulation.series, now_s) : null;
  const changes = consequences({ firing, evaluation }, { firing, evaluation: value }, units);
  const broken = brokenOf(value.readings);
  const same = changes.every(({ differs }) => !differs);
  return (
    <View style={{ gap: space.small, opacity: stale ? 0.5 : 1 }} testID="run-outcome">
      {standing && (
        <Words testID="run-glass">
          {RUN_OUTCOME.estimate(
            emptyFiringOf(firing) ? RUN_OUTCOME.insideLoad : RUN_OUTCOME.glassCore,
            text(formatTemperature(standing.core_C, units.temperature)),
          )}
        </Words>
      )}
      <MeasuredWidth height={CHART_HEIGHT}>
        {(width) => (
          <TrueTimeChart
            {...{ firing, width }}
            segments={asked.segments}
            series={simulation.series}
            total_s={simulation.total_s}
            unit={units.temperature}
            start={new Date(start.getTime() + begins_s * 1000)}
            height={CHART_HEIGHT}
            marks={{ ...(now_s >= 0 && !standing?.over ? { now_s } : {}), open_s: simulation.total_s }}
          />
        )}
      </MeasuredWidth>
      <Words bold testID="run-verdict">
        {same ? (isOver(run) ? RUN_OUTCOME.ranPlanned : RUN_OUTCOME.leftAloneGoes) : isOver(run) ? RUN_OUTCOME.ranOtherwiseThan : RUN_OUTCOME.leftAloneComes}
      </Words>
      {!same && <SideBySide heads={[WORDS.asPlanned, isOver(run) ? RUN_OUTCOME.asItRan : RUN_OUTCOME.asItRuns]} rows={changes} testID="run-changes" />}
      {simulation.stalled && (
        <Notice tone="warn" testID="run-stalled">
          {RUN_OUTCOME.kilnGetsNo(text(formatTemperature(simulation.stalled.at_C, units.temperature)))}
        </Notice>
      )}
      {broken.length > 0 && (
        <Notice tone="warn" testID="run-broken">
          {broken.map((reading) => brokenSentence(reading, units, firing.look)).join(' ')}
        </Notice>
      )}
    </View>
  );
}
