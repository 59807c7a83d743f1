/** Steppers and choices for the figures of what hands do. */
import type { Outcome } from '@torvin/core/problem';
import { COUNT, type Figure, LENGTH, METRIC, PERCENT, type Range, TIME, formatDuration, formatLength, otherUnits, readFigure, text } from '@torvin/core/units';
import { useUnits } from '@/data/FormUnits';
import { Stepper } from '@/ui/Stepper';
import { clamp, stepFrom } from '@/ui/stepFrom';

/** A figure is stepped by about a tenth of itself, in round steps. */
export const aTenth = (value: number): number => 10 ** Math.floor(Math.log10(Math.max(value, 1e-5) * 1.0001)) / 2;

export function Length({
  label,
  name,
  value_m,
  range,
  onValue,
  testID,
}: {
  label: string;
  name: string;
  value_m: number;
  range: Range;
  onValue(value_m: number): void;
  testID: string;
}) {
  const units = useUnits();
  return (
    <Stepper
      label={label}
      shown={formatLength(value_m, units.length)}
      other={formatLength(value_m, otherUnits(units).length)}
      read={(typed) => readFigure(typed, { of: LENGTH, name, range }, units)}
      value={value_m}
      stepped={(direction) => clamp(stepFrom(value_m, direction, aTenth(value_m)), range)}
      onValue={onValue}
      testID={testID}
    />
  );
}

export function Count({
  label,
  name,
  value,
  range,
  onValue,
  testID,
}: {
  label: string;
  name: string;
  value: number;
  range: Range;
  onValue(value: number): void;
  testID: string;
}) {
  return (
    <Stepper
      label={label}
      shown={{ figure: String(value), unit: '' }}
      read={(typed) => readFigure(typed, { of: COUNT, name, range }, METRIC)}
      value={value}
      stepped={(direction) => clamp(value + direction, range)}
      onValue={onValue}
      testID={testID}
    />
  );
}

interface ShareProps {
  label: string;
  name: string;
  value: number;
  range: Range;
  onValue(value: number): void;
  testID: string;
}

const A_TWENTIETH = 0.05;

/** Shown and typed in percent, in whole ones. */
export function Share({ label, name, value, range, onValue, testID }: ShareProps) {
  return (
    <Stepper
      label={label}
      shown={{ figure: String(Math.round(value * 100)), unit: '%' }}
      read={(typed) => readFigure(typed, { of: PERCENT, name, range }, METRIC)}
      value={value}
      stepped={(direction) => clamp(stepFrom(value, direction, A_TWENTIETH), range)}
      onValue={onValue}
      testID={testID}
    />
  );
}

const LONGEST_S = 60 * 24 * 3600;
const QUARTER_S = 900;

export const readTime = (typed: string, name: string): Outcome<number> => readFigure(typed, { of: TIME, name, range: { least: 0, most: LONGEST_S } }, METRIC);

export function Time({
  label,
  name,
  value_s,
  onValue,
  testID,
}: {
  label: string;
  name: string;
  value_s: number;
  onValue(value_s: number): void;
  testID: string;
}) {
  const shown: Figure = { figure: text(formatDuration(value_s)), unit: '' };
  const read = (typed: string): Outcome<number> => readTime(typed, name);
  return (
    <Stepper
      label={label}
      shown={shown}
      read={read}
      value={value_s}
      stepped={(direction) => clamp(stepFrom(value_s, direction, value_s >= 4 * 3600 ? 3600 : QUARTER_S), { least: 0, most: LONGEST_S })}
      onValue={onValue}
      testID={testID}
    />
  );
}
