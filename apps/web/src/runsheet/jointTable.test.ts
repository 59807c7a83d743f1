import type { Series } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { clockRows, jointRows, valueAt } from './jointTable';

const series: Series = {
  t_s: [0, 3600, 7200, 10800],
  kiln_C: [20, 520, 520, 100],
  skin_C: [20, 510, 519, 110],
  core_C: [20, 500, 519, 130],
  joints: [
    { rampEnd: 1, holdEnd: 2 },
    { rampEnd: 3, holdEnd: 3 },
  ],
};
const segments: PurposefulSegment[] = [
  { role: 'warmUp', rate_C_per_h: 500, target_C: 520, hold_s: 3600 },
  { role: 'lastCool', rate_C_per_h: null, target_C: 100, hold_s: 0 },
];
const start = new Date(2026, 10, 23, 18, 0);

describe('the figures behind the curve', () => {
  test('are read between samples, and stay at the ends beyond them', () => {
    expect(valueAt(series, series.core_C, 1800)).toBe(260);
    expect(valueAt(series, series.core_C, -5)).toBe(20);
    expect(valueAt(series, series.core_C, 99999)).toBe(130);
  });

  test('have a row where each segment reaches its target, and one more where it has held', () => {
    const rows = jointRows(series, segments, start, 'C');
    expect(rows.map(([what]) => what)).toEqual(['Warm up, target reached', 'Warm up, hold ended', 'Last, target reached']);
    expect(rows[0].slice(2)).toEqual(['520 °C', '510 °C', '500 °C']);
    expect(rows[0][1]).toMatch(/19:00/);
  });

  test('have a row for each mark of the clock, in the unit asked for', () => {
    const [row] = clockRows(series, [3600], start, 'F');
    expect(row.slice(2)).toEqual(['968 °F', '950 °F', '932 °F']);
  });
});
