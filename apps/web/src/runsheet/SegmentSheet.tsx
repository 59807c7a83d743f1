/** Slides up for one segment: its three figures to step or type, and everything the limits say of it. */
import {
  type Evaluation,
  type FiringCase,
  type PurposefulSegment,
  ROLE_NAMES,
  type TemperatureUnit,
  brokenSentence,
  celsiusFrom,
  formatDuration,
  formatRate,
  formatTemperature,
  kelvinFrom,
  parseDuration,
  parseRate,
  parseTemperature,
  readingPhrase,
  text,
  whyOf,
  type Outcome,
} from '@torvin/core';
import { ScrollView, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { Stepper } from './Stepper';

export interface SegmentSheetProps {
  index: number;
  segments: PurposefulSegment[];
  firing: FiringCase;
  evaluation: Evaluation;
  unit: TemperatureUnit;
  onChange(segment: PurposefulSegment): void;
  onClose(): void;
}

const HOLD_AT_MOST_S = 14 * 24 * 3600;
const RATE_AT_MOST_C_PER_H = 3000;
const RATE_AT_LEAST_C_PER_H = 0.1;

const outside = (message: string): Outcome<never> => ({ ok: false, problem: { code: 'out-of-range', path: '', message } });

export function SegmentSheet({ index, segments, firing, evaluation, unit, onChange, onClose }: SegmentSheetProps) {
  const { colours } = useTheme();
  const segment = segments[index];
  const { kiln } = firing;
  const readings = evaluation.readings.filter((reading) => reading.segment === index);
  const broken = readings.filter(({ ok }) => !ok);

  const readTarget = (typed: string): Outcome<number> => {
    const target = parseTemperature(typed, unit);
    if (!target.ok) return target;
    const shown = (celsius: number): string => text(formatTemperature(celsius, unit));
    if (target.value > kiln.top_C) return outside(`${shown(target.value)} is above this kiln's top of ${shown(kiln.top_C)}; write up to ${shown(kiln.top_C)}.`);
    if (target.value <= kiln.ambient_C) return outside(`${shown(target.value)} is not above room temperature, ${shown(kiln.ambient_C)}.`);
    return target;
  };
  const readRate = (typed: string): Outcome<number | null> => {
    const rate = parseRate(typed, unit);
    if (!rate.ok || rate.value === null) return rate;
    if (rate.value < RATE_AT_LEAST_C_PER_H || rate.value > RATE_AT_MOST_C_PER_H)
      return outside(`A rate is from ${text(formatRate(RATE_AT_LEAST_C_PER_H, unit))} to ${text(formatRate(RATE_AT_MOST_C_PER_H, unit))}, or 'full'.`);
    return rate;
  };
  const readHold = (typed: string): Outcome<number> => {
    const hold = parseDuration(typed);
    if (hold.ok && hold.value > HOLD_AT_MOST_S) return outside(`A hold is at most ${text(formatDuration(HOLD_AT_MOST_S))}.`);
    return hold;
  };

  return (
    <View
      style={{ backgroundColor: colours.surface, borderTopWidth: 2, borderColor: colours.touch, maxHeight: 420 }}
      testID="segment-sheet"
      role="region"
      aria-label={`${ROLE_NAMES[segment.role]}, figures`}
    >
      <ScrollView contentContainerStyle={{ paddingHorizontal: space.large, paddingBottom: space.small, maxWidth: COLUMN_WIDTH }}>
        <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
          <View style={{ flex: 1 }}>
            <Words bold>{ROLE_NAMES[segment.role]}</Words>
            <Words size="note" tone="muted" numberOfLines={1}>
              {whyOf(firing, segment)}
            </Words>
          </View>
          <Action kind="plain" title="Done" label="Done with these figures" testID="close-sheet" onPress={onClose} />
        </View>
        <Stepper
          key={`target-${index}-${unit}`}
          label="aim"
          shown={formatTemperature(segment.target_C, unit)}
          read={readTarget}
          stepped={(direction) => Math.min(celsiusFrom(stepFrom(Number(formatTemperature(segment.target_C, unit).figure), direction, 5), unit), kiln.top_C)}
          onValue={(target_C) => onChange({ ...segment, target_C })}
          testID="step-target"
        />
        <Stepper
          key={`rate-${index}-${unit}`}
          label="rate"
          shown={formatRate(segment.rate_C_per_h, unit)}
          read={readRate}
          stepped={(direction) => {
            if (segment.rate_C_per_h === null) return direction < 0 ? 300 : null;
            const now = Number(formatRate(segment.rate_C_per_h, unit).figure);
            const next = stepFrom(now, direction, now > 50 || (now === 50 && direction > 0) ? 5 : now > 10 || (now === 10 && direction > 0) ? 1 : 0.5);
            return Math.max(kelvinFrom(next, unit), RATE_AT_LEAST_C_PER_H);
          }}
          onValue={(rate_C_per_h) => onChange({ ...segment, rate_C_per_h })}
          testID="step-rate"
        />
        <Stepper
          key={`hold-${index}`}
          label="hold"
          shown={formatDuration(segment.hold_s)}
          read={readHold}
          stepped={(direction) => Math.min(Math.max(stepFrom(segment.hold_s / 60, direction, segment.hold_s >= 3600 ? 5 : 1) * 60, 0), HOLD_AT_MOST_S)}
          onValue={(hold_s) => onChange({ ...segment, hold_s })}
          testID="step-hold"
        />
        <View role="list" aria-label="What the limits say">
          {broken.map((reading) => (
            <View role="listitem" key={reading.limit}>
              <Words bold tone="warn">
                {brokenSentence(reading, unit, firing.look)}
              </Words>
            </View>
          ))}
          {readings
            .filter(({ ok }) => ok)
            .map((reading) => (
              <View role="listitem" key={reading.limit}>
                <Words size="label" tone="muted">
                  {readingPhrase(reading, unit)}
                </Words>
              </View>
            ))}
        </View>
      </ScrollView>
    </View>
  );
}

/** The next multiple of size in the direction, so that odd figures come onto the grid first. */
export function stepFrom(value: number, direction: 1 | -1, size: number): number {
  const steps = value / size;
  const next = direction > 0 ? Math.floor(steps + 1e-9) + 1 : Math.ceil(steps - 1e-9) - 1;
  return next * size;
}
