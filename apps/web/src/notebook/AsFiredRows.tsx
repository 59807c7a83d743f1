/** How a firing really ran, row by row beside what was planned; opened only where it ran otherwise. */
import type { PurposefulSegment } from '@torvin/core/kiln';
import { ROLE_NAMES, segmentDifferences } from '@torvin/core/schedule';
import {
  type Figure,
  differenceIn,
  formatDuration,
  formatRate,
  kelvinFrom,
  parseRate,
  formatTemperature,
  celsiusFrom,
  parseDuration,
  parseTemperature,
  text,
} from '@torvin/core/units';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { stepFrom } from '@/ui/stepFrom';
import { AS_FIRED_ROWS } from './words';

export interface AsFiredRowsProps {
  planned: readonly PurposefulSegment[];
  /** Null where it ran as planned. */
  ran: PurposefulSegment[] | null;
  /** Where the first climb begins, °C. */
  start_C: number;
  /** What the controller is keyed with for full speed. */
  fullSpeedCode?: number;
  onChange(ran: PurposefulSegment[] | null): void;
}

/** Degrees that a row goes through on its way. */
const span = (rows: readonly PurposefulSegment[], index: number, start_C: number): number =>
  Math.abs(rows[index].target_C - (index === 0 ? start_C : rows[index - 1].target_C));

/** How long its way took, s; null where it went as fast as the kiln could. */
const tookSeconds = (rows: readonly PurposefulSegment[], index: number, start_C: number): number | null => {
  const rate = rows[index].rate_C_per_h;
  return rate === null ? null : (3600 * span(rows, index, start_C)) / rate;
};

function took(rows: readonly PurposefulSegment[], index: number, start_C: number): Figure {
  const seconds = tookSeconds(rows, index, start_C);
  return seconds === null ? { figure: AS_FIRED_ROWS.asItCould, unit: '' } : formatDuration(seconds);
}

export function AsFiredRows({ planned, ran, start_C, fullSpeedCode, onChange }: AsFiredRowsProps) {
  const { colours } = useTheme();
  const { temperature: unit } = useUnits();
  const set = (index: number, part: Partial<PurposefulSegment>): void =>
    onChange((ran ?? [...planned]).map((one, i) => (i === index ? { ...one, ...part } : one)));
  return (
    <View>
      <Choice
        label={AS_FIRED_ROWS.howItRan}
        value={ran === null ? 'planned' : 'otherwise'}
        options={[
          { value: 'planned', title: AS_FIRED_ROWS.asPlanned },
          { value: 'otherwise', title: AS_FIRED_ROWS.otherwise },
        ]}
        onChange={(how) => onChange(how === 'planned' ? null : [...planned])}
        testID="ran"
      />
      {ran?.map((segment, index) => (
        <View key={index} style={{ borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }}>
          <Words bold>{ROLE_NAMES[segment.role]}</Words>
          <Words size="label" tone="muted">
            {AS_FIRED_ROWS.planned(
              text(formatTemperature(planned[index]?.target_C ?? segment.target_C, unit)),
              text(formatDuration(planned[index]?.hold_s ?? 0)),
            )}
          </Words>
          <Stepper
            key={`target ${index} ${unit}`}
            label={AS_FIRED_ROWS.target}
            shown={formatTemperature(segment.target_C, unit)}
            read={(typed) => parseTemperature(typed, unit)}
            stepped={(direction) => celsiusFrom(stepFrom(Number(formatTemperature(segment.target_C, unit).figure), direction, 1), unit)}
            onValue={(target_C) => set(index, { target_C })}
            testID={`ran-target-${index}`}
          />
          <Stepper
            key={`rate ${index} ${unit}`}
            label={AS_FIRED_ROWS.rate}
            shown={formatRate(segment.rate_C_per_h, unit)}
            read={(typed) => parseRate(typed, unit, '', 'auto', fullSpeedCode)}
            stepped={(direction) =>
              segment.rate_C_per_h === null ? null : kelvinFrom(Math.max(stepFrom(differenceIn(segment.rate_C_per_h, unit), direction, 5), 1), unit)
            }
            onValue={(rate_C_per_h) => set(index, { rate_C_per_h })}
            testID={`ran-rate-${index}`}
          />
          <Stepper
            key={`took ${index}`}
            label={AS_FIRED_ROWS.took}
            shown={took(ran, index, start_C)}
            read={(typed) => parseDuration(typed)}
            stepped={(direction) => Math.max(stepFrom((tookSeconds(ran, index, start_C) ?? 3600) / 60, direction, 5) * 60, 60)}
            onValue={(seconds) => seconds > 0 && set(index, { rate_C_per_h: (3600 * span(ran, index, start_C)) / seconds })}
            testID={`ran-took-${index}`}
          />
          <Stepper
            key={`hold ${index}`}
            label={AS_FIRED_ROWS.hold}
            shown={formatDuration(segment.hold_s)}
            read={(typed) => parseDuration(typed)}
            stepped={(direction) => Math.max(stepFrom(segment.hold_s / 60, direction, 1) * 60, 0)}
            onValue={(hold_s) => set(index, { hold_s })}
            testID={`ran-hold-${index}`}
          />
        </View>
      ))}
      {ran && segmentDifferences(planned, ran, unit).map((line) => <Words key={line}>{line}</Words>)}
    </View>
  );
}
