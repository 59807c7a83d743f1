/** The run sheet's curve: where each row's ramp, bead and hold lie, and where the glass's skin and core run. */
import type { Series } from '@torvin/core/heat';
import type { Segment } from '@torvin/core/kiln';
import { tenth } from '@/ui/pixels';
import { STRETCH_FROM_C, type TemperatureScale } from './scale';

export interface Point {
  x: number;
  y: number;
}

export interface CurveRow {
  ramp: [Point, Point];
  bead: Point;
  /** Null where the segment does not hold. */
  hold: [Point, Point] | null;
}

/** Share of a row's height at which its bead sits. */
export const BEAD_AT = 0.56;

export function curveRows(segments: readonly Segment[], start_C: number, scale: TemperatureScale, rowHeight: number): CurveRow[] {
  let from: Point = { x: scale.x(start_C), y: 0 };
  return segments.map(({ target_C, hold_s }, index) => {
    const bead = { x: scale.x(target_C), y: (index + BEAD_AT) * rowHeight };
    const end = { x: bead.x, y: (index + 1) * rowHeight };
    const row: CurveRow = { ramp: [from, bead], bead, hold: hold_s > 0 ? [bead, end] : null };
    from = hold_s > 0 ? end : bead;
    return row;
  });
}

/** Samples nearer to each other than this are drawn as one: the eye cannot part them. */
const APART_PX = 1.5;
/** The same while it moves. */
export const APART_MOVING_PX = 4;

/**
 * Time is not to scale: within each ramp and each hold, points lie by their share of its time. values holds one
 * temperature for each sample of the series. The ends of every ramp and hold are always drawn.
 */
export function timedLine(series: Series, values: readonly number[], rows: readonly CurveRow[], scale: TemperatureScale, apart_px = APART_PX): Point[] {
  const line: Point[] = [];
  let index = 0;
  series.joints.forEach(({ rampEnd, holdEnd }, i) => {
    const row = rows[i];
    if (!row) return;
    const span = (first: number, last: number, y0: number, y1: number): void => {
      const t0 = series.t_s[first];
      const t1 = series.t_s[last];
      let drawn: Point | null = null;
      for (let k = first; k <= last; k += 1) {
        const share = t1 > t0 ? (series.t_s[k] - t0) / (t1 - t0) : 1;
        const point = { x: scale.x(values[k]), y: y0 + share * (y1 - y0) };
        if (drawn && k < last && Math.abs(point.x - drawn.x) + Math.abs(point.y - drawn.y) < apart_px) continue;
        line.push(point);
        drawn = point;
      }
    };
    span(index, rampEnd, row.ramp[0].y, row.bead.y);
    if (row.hold && holdEnd > rampEnd) span(rampEnd, holdEnd, row.bead.y, row.hold[1].y);
    index = holdEnd;
  });
  return line;
}

/** The schedule as programmed: every ramp at its steady rate, so it bends where the axis changes its stretch. */
export function programmedLine(rows: readonly CurveRow[], scale: TemperatureScale): Point[] {
  return rows.flatMap(({ ramp: [from, to], hold }) => {
    const cold = scale.celsius(from.x);
    const hot = scale.celsius(to.x);
    const share = (STRETCH_FROM_C - cold) / (hot - cold);
    const bend = share > 0 && share < 1 ? [{ x: scale.x(STRETCH_FROM_C), y: from.y + share * (to.y - from.y) }] : [];
    return [from, ...bend, to, ...(hold ? [hold[1]] : [])];
  });
}

export const pathOf = (points: readonly Point[]): string => points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${tenth(x)} ${tenth(y)}`).join('');
