/** The same heat work at another temperature: the hold follows, and what else changes stands beside it. */
import { hottestSegment } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Evaluation, type FiringCase, consequences } from '@torvin/core/schedule';
import { type TemperatureUnit, celsiusFrom, formatDuration, formatTemperature, temperatureIn, text } from '@torvin/core/units';
import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { useTheme } from '@/theme/ThemeContext';
import { Action } from '@/ui/Action';
import { SideBySide } from '@/ui/SideBySide';
import { Slider } from '@/ui/Slider';
import { Words } from '@/ui/Words';
import { hatched } from '@/ui/hatched';
import { EQUAL_WORK_PANEL } from './words';

export interface EqualWorkPanelProps {
  firing: FiringCase;
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  unit: TemperatureUnit;
  onTake(segments: PurposefulSegment[]): void;
}

const REACH_K = 40;

export function EqualWorkPanel({ firing, segments, evaluation, unit, onTake }: EqualWorkPanelProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const work = segments[hottestSegment(segments)];
  const [moved, setMoved] = useState(0);
  const target_C = Math.min(work.target_C + moved, firing.kiln.top_C);
  const asked = useDeferredValue(target_C);
  const work_perPa = evaluation.work_perPa.mean;
  const question = useMemo(() => ({ firing, segments, target_C: asked, work_perPa }), [firing, segments, asked, work_perPa]);
  const { value, stale } = useComputed('equalWork', question);
  const hold = value?.segments[hottestSegment(value.segments)].hold_s;
  const shownHold = hold === undefined ? '…' : text(formatDuration(hold));
  const inUnit = (celsius: number): number => Math.round(temperatureIn(celsius, unit));
  return (
    <View style={hatched(colours, stale)}>
      <Slider
        label={EQUAL_WORK_PANEL.workingTemperature}
        value={inUnit(target_C)}
        least={inUnit(work.target_C - REACH_K)}
        most={inUnit(Math.min(work.target_C + REACH_K, firing.kiln.top_C))}
        step={1}
        shown={EQUAL_WORK_PANEL.hold(text(formatTemperature(target_C, unit)), shownHold)}
        onChange={(shown) => setMoved(celsiusFrom(shown, unit) - work.target_C)}
        testID="equal-work"
      />
      {value && !value.reached && (
        <Words tone="warn" bold>
          {value.share > 1 ? EQUAL_WORK_PANEL.rampsAloneDo(Math.round(value.share * 100)) : EQUAL_WORK_PANEL.evenDayDoes(Math.round(value.share * 100))}
        </Words>
      )}
      {value && (
        <SideBySide
          heads={['now', 'moved']}
          rows={consequences({ firing, evaluation }, { firing, evaluation: value.evaluation }, units)}
          testID="equal-work-figures"
        />
      )}
      <Action
        kind="second"
        title={EQUAL_WORK_PANEL.takeIt}
        label={EQUAL_WORK_PANEL.takeTemperatureHold}
        disabled={!value || stale || Math.abs(moved) < 0.5}
        testID="take-equal-work"
        onPress={() => {
          if (!value) return;
          onTake(value.segments.map((segment) => ({ ...segment, hold_s: Math.round(segment.hold_s / 60) * 60 })));
          setMoved(0);
        }}
      />
    </View>
  );
}
