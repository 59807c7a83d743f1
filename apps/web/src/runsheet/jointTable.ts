/** The figures behind the curves: kiln, skin and core where segments end, and at the marks of the clock. */
import type { Series } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { ROLE_NAMES } from '@torvin/core/schedule';
import { type TemperatureUnit, formatTemperature, text } from '@torvin/core/units';
import { clockAfter } from '@/ui/clock';
import { JOINT_TABLE } from './words';

/** Value at a time, read off between samples; series.t_s rises. */
export function valueAt(series: Series, values: readonly number[], seconds: number): number {
  const { t_s } = series;
  const after = t_s.findIndex((t) => t >= seconds);
  if (after === -1) return values[values.length - 1];
  if (after === 0) return values[0];
  const share = (seconds - t_s[after - 1]) / (t_s[after] - t_s[after - 1]);
  return values[after - 1] + share * (values[after] - values[after - 1]);
}

export const CURVE_HEADS = ['where', 'clock', 'kiln', JOINT_TABLE.itsSkin, JOINT_TABLE.itsCore] as const;

const temperaturesAt = (series: Series, seconds: number, unit: TemperatureUnit): string[] =>
  [series.kiln_C, series.skin_C, series.core_C].map((values) => text(formatTemperature(valueAt(series, values, seconds), unit)));

/** A row where each segment reaches its target, and one where its hold ends. */
export function jointRows(series: Series, segments: readonly PurposefulSegment[], start: Date, unit: TemperatureUnit): string[][] {
  return series.joints.flatMap(({ rampEnd, holdEnd }, i) => {
    const name = segments[i] ? ROLE_NAMES[segments[i].role] : '';
    const row = (what: string, sample: number): string[] => [what, clockAfter(start, series.t_s[sample]), ...temperaturesAt(series, series.t_s[sample], unit)];
    return [row(JOINT_TABLE.targetReached(name), rampEnd), ...(holdEnd > rampEnd ? [row(JOINT_TABLE.holdEnded(name), holdEnd)] : [])];
  });
}

/** A row for each mark of the clock. */
export const clockRows = (series: Series, marks_s: readonly number[], start: Date, unit: TemperatureUnit): string[][] =>
  marks_s.map((seconds, i) => [JOINT_TABLE.mark(i + 1), clockAfter(start, seconds), ...temperaturesAt(series, seconds, unit)]);
