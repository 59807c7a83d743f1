/** Slides up for one segment: its three figures to step or type, and everything the limits say of it. */
import type { PurposefulSegment } from '@torvin/core/kiln';
import type { Outcome } from '@torvin/core/problem';
import {
  type Evaluation,
  type FiringCase,
  ROLE_NAMES,
  type Reading,
  addSegment,
  brokenSentence,
  joinSegments,
  reckoningOf,
  resolved,
  removeSegment,
  splitSegment,
  readingPhrase,
  whyOf,
} from '@torvin/core/schedule';
import {
  type TemperatureUnit,
  celsiusFrom,
  otherTemperature,
  formatDuration,
  formatRate,
  formatTemperature,
  kelvinFrom,
  parseDuration,
  parseRate,
  parseTemperature,
  text,
  unitsWritten,
} from '@torvin/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Drawer } from '@/ui/Drawer';
import { Why } from '@/ui/Why';
import { Words } from '@/ui/Words';
import { stepFrom } from '@/ui/stepFrom';
import { Stepper } from '@/ui/Stepper';
import { HeatDrawing } from './HeatDrawing';
import { SEGMENT_SHEET } from './words';
import { WORDS } from '@/ui/said';

export interface SegmentSheetProps {
  index: number;
  segments: PurposefulSegment[];
  firing: FiringCase;
  evaluation: Evaluation;
  unit: TemperatureUnit;
  /** The rows as they are to be. */
  onRows(segments: PurposefulSegment[]): void;
  onClose(): void;
}

const HOLD_AT_MOST_S = 14 * 24 * 3600;
const RATE_AT_MOST_C_PER_H = 3000;
const RATE_AT_LEAST_C_PER_H = 0.1;

/** Both limits of heat work are told by one line: the one that is broken, else the one it must reach. */
function oneHeatWork(readings: Reading[]): Reading[] {
  const over = readings.some(({ limit, ok }) => limit === 'workMost' && !ok);
  return readings.filter(({ limit }) => limit !== (over ? 'workLeast' : 'workMost'));
}

const outside = (message: string): Outcome<never> => ({ ok: false, problem: { code: 'out-of-range', path: '', message } });

export function SegmentSheet({ index, segments, firing, evaluation, unit, onRows, onClose }: SegmentSheetProps) {
  const units = useUnits();
  const segment = segments[index];
  const onChange = (next: PurposefulSegment): void => onRows(segments.map((one, i) => (i === index ? next : one)));
  const { kiln } = firing;
  const readings = oneHeatWork(evaluation.readings.filter((reading) => reading.segment === index));
  const broken = readings.filter(({ ok }) => !ok);

  const readTarget = (typed: string): Outcome<number> => {
    const target = parseTemperature(typed, unit);
    if (!target.ok) return target;
    const shown = (celsius: number): string => text(formatTemperature(celsius, unitsWritten(typed, units).temperature));
    if (target.value > kiln.top_C) return outside(SEGMENT_SHEET.aboveKilnsTop(shown(target.value), shown(kiln.top_C)));
    if (target.value <= kiln.ambient_C) return outside(SEGMENT_SHEET.notAboveRoom(shown(target.value), shown(kiln.ambient_C)));
    return target;
  };
  const readRate = (typed: string): Outcome<number | null> => {
    const rate = parseRate(typed, unit, '', 'auto', firing.controller?.fullSpeedCode);
    if (!rate.ok || rate.value === null) return rate;
    const written = unitsWritten(typed, units).temperature;
    if (rate.value < RATE_AT_LEAST_C_PER_H || rate.value > RATE_AT_MOST_C_PER_H)
      return outside(SEGMENT_SHEET.rateFull(text(formatRate(RATE_AT_LEAST_C_PER_H, written)), text(formatRate(RATE_AT_MOST_C_PER_H, written))));
    return rate;
  };
  const { uneven } = resolved(firing);
  const rate = segment.rate_C_per_h;
  const readHold = (typed: string): Outcome<number> => {
    const hold = parseDuration(typed);
    if (hold.ok && hold.value > HOLD_AT_MOST_S) return outside(SEGMENT_SHEET.holdMost(text(formatDuration(HOLD_AT_MOST_S))));
    return hold;
  };

  return (
    <Drawer
      title={ROLE_NAMES[segment.role]}
      subtitle={whyOf(firing, segment, units.length)}
      label={SEGMENT_SHEET.figures(ROLE_NAMES[segment.role])}
      closeLabel={SEGMENT_SHEET.doneTheseFigures}
      onClose={onClose}
      testID="segment-sheet"
    >
      <Stepper
        key={`target-${index}-${unit}`}
        label={SEGMENT_SHEET.target}
        shown={formatTemperature(segment.target_C, unit)}
        other={formatTemperature(segment.target_C, otherTemperature(unit))}
        read={readTarget}
        value={segment.target_C}
        stepped={(direction) => Math.min(celsiusFrom(stepFrom(Number(formatTemperature(segment.target_C, unit).figure), direction, 5), unit), kiln.top_C)}
        onValue={(target_C) => onChange({ ...segment, target_C })}
        testID="step-target"
      />
      <Stepper
        key={`rate-${index}-${unit}`}
        label={SEGMENT_SHEET.rate}
        shown={formatRate(segment.rate_C_per_h, unit)}
        other={segment.rate_C_per_h === null ? undefined : formatRate(segment.rate_C_per_h, otherTemperature(unit))}
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
        label={SEGMENT_SHEET.hold}
        shown={formatDuration(segment.hold_s)}
        read={readHold}
        value={segment.hold_s}
        stepped={(direction) => Math.min(Math.max(stepFrom(segment.hold_s / 60, direction, segment.hold_s >= 3600 ? 5 : 1) * 60, 0), HOLD_AT_MOST_S)}
        onValue={(hold_s) => onChange({ ...segment, hold_s })}
        testID="step-hold"
      />
      <RowActions index={index} segments={segments} start_C={kiln.ambient_C} onRows={onRows} />
      <View role="list" aria-label={SEGMENT_SHEET.whatLimitsSay}>
        {[...broken, ...readings.filter(({ ok }) => ok)].map((reading) => (
          <View role="listitem" key={reading.limit}>
            <Why
              lines={reckoningOf({ firing, segments, evaluation, reading, units })}
              of={readingPhrase(reading, units)}
              drawing={reading.limit === 'setting' && uneven && rate !== null ? <HeatDrawing body={uneven.body} rate_C_per_h={rate} /> : undefined}
              testID={`why-${reading.limit}`}
            >
              {reading.ok ? (
                <Words size="label" tone="muted">
                  {readingPhrase(reading, units)}
                </Words>
              ) : (
                <Words bold tone="warn">
                  {brokenSentence(reading, units, firing.look)}
                </Words>
              )}
            </Why>
          </View>
        ))}
      </View>
    </Drawer>
  );
}

interface RowActionsProps {
  index: number;
  segments: PurposefulSegment[];
  start_C: number;
  onRows(segments: PurposefulSegment[]): void;
}

/** What can be done to the row itself; what cannot be is said when it is tried. */
function RowActions({ index, segments, start_C, onRows }: RowActionsProps) {
  const [refusal, setRefusal] = useState<string | null>(null);
  const take = (outcome: Outcome<PurposefulSegment[]>): void => {
    setRefusal(outcome.ok ? null : outcome.problem.message);
    if (outcome.ok) onRows(outcome.value);
  };
  return (
    <View style={{ paddingVertical: space.small }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action kind="second" title={SEGMENT_SHEET.addAfter} testID="segment-add" onPress={() => take(addSegment(segments, index))} />
        <Action kind="second" title={SEGMENT_SHEET.split} testID="segment-split" onPress={() => take(splitSegment(segments, index, start_C))} />
        <Action
          kind="second"
          title={SEGMENT_SHEET.joinToNext}
          testID="segment-join"
          disabled={index === segments.length - 1}
          onPress={() => take(joinSegments(segments, index))}
        />
        <Action
          kind="second"
          title={WORDS.remove}
          testID="segment-remove"
          disabled={segments.length === 1}
          onPress={() => take(removeSegment(segments, index))}
        />
      </View>
      {refusal !== null && (
        <Words size="label" bold tone="warn" role="alert">
          {refusal}
        </Words>
      )}
    </View>
  );
}
