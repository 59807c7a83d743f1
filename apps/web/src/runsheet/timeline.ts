/** The time that is looked at on a run sheet, and where it lies on its curve, whose rows are not to scale. */
import type { Series } from '@torvin/core/heat';
import type { Told } from '@/outside/told';
import type { CurveRow } from './curveLines';

/** Stretches of the curve down the rows, each with its own pace. */
function stretches(series: Series, rows: readonly CurveRow[]): { from_s: number; to_s: number; from_y: number; to_y: number }[] {
  let first = 0;
  return series.joints.flatMap(({ rampEnd, holdEnd }, i) => {
    const row = rows[i];
    if (!row) return [];
    const ramp = { from_s: series.t_s[first], to_s: series.t_s[rampEnd], from_y: row.ramp[0].y, to_y: row.bead.y };
    first = holdEnd;
    return row.hold && holdEnd > rampEnd ? [ramp, { from_s: ramp.to_s, to_s: series.t_s[holdEnd], from_y: row.bead.y, to_y: row.hold[1].y }] : [ramp];
  });
}

/** How far down the curve a time lies, px. */
export function heightOf(series: Series, rows: readonly CurveRow[], at_s: number): number {
  const all = stretches(series, rows);
  const on = all.find(({ to_s }) => at_s <= to_s) ?? all[all.length - 1];
  if (!on) return 0;
  const long_s = on.to_s - on.from_s;
  const share = long_s > 0 ? Math.min(Math.max((at_s - on.from_s) / long_s, 0), 1) : 1;
  return on.from_y + share * (on.to_y - on.from_y);
}

/** The time that lies so far down the curve, s. */
export function timeOf(series: Series, rows: readonly CurveRow[], y: number): number {
  const all = stretches(series, rows);
  const on = all.find(({ to_y }) => y <= to_y) ?? all[all.length - 1];
  if (!on) return 0;
  const long = on.to_y - on.from_y;
  const share = long > 0 ? Math.min(Math.max((y - on.from_y) / long, 0), 1) : 1;
  return on.from_s + share * (on.to_s - on.from_s);
}

/** The times at which ramps and holds end, s: all that is shown where nothing is to move. */
export const jointTimes = ({ t_s, joints }: Series): number[] => [0, ...new Set(joints.flatMap(({ rampEnd, holdEnd }) => [t_s[rampEnd], t_s[holdEnd]]))];

export const nearest = (times: readonly number[], at_s: number): number =>
  times.reduce((best, one) => (Math.abs(one - at_s) < Math.abs(best - at_s) ? one : best));

/** The time that is looked at, s; null while none is. */
export type Timeline = Told<number | null>;
