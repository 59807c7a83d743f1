import type { Series } from '@torvin/core/heat';
import type { CurveRow } from './curveLines';
import { heightOf, jointTimes, nearest, timeOf } from './timeline';

/** A ramp of an hour, a hold of half of one, and a ramp down that does not hold. */
const series = {
  t_s: [0, 1800, 3600, 5400, 7200, 9000],
  kiln_C: [],
  skin_C: [],
  core_C: [],
  joints: [
    { rampEnd: 2, holdEnd: 3 },
    { rampEnd: 5, holdEnd: 5 },
  ],
} as Series;
const rows: CurveRow[] = [
  {
    ramp: [
      { x: 0, y: 0 },
      { x: 9, y: 60 },
    ],
    bead: { x: 9, y: 60 },
    hold: [
      { x: 9, y: 60 },
      { x: 9, y: 100 },
    ],
  },
  {
    ramp: [
      { x: 9, y: 100 },
      { x: 0, y: 160 },
    ],
    bead: { x: 0, y: 160 },
    hold: null,
  },
];

test.each([
  [0, 0],
  [1800, 30],
  [3600, 60],
  [4500, 80],
  [5400, 100],
  [7200, 130],
  [9000, 160],
])('after %i s the line lies %i px down, and there that time is read', (at_s, y) => {
  expect(heightOf(series, rows, at_s)).toBeCloseTo(y, 9);
  expect(timeOf(series, rows, y)).toBeCloseTo(at_s, 6);
});

test('beyond either end is the end; where nothing is to move the nearest joint is shown', () => {
  expect(heightOf(series, rows, 1e6)).toBe(160);
  expect(timeOf(series, rows, -50)).toBe(0);
  expect(timeOf(series, rows, 1000)).toBe(9000);
  expect(jointTimes(series)).toEqual([0, 3600, 5400, 9000]);
  expect(nearest(jointTimes(series), 4600)).toBe(5400);
});
