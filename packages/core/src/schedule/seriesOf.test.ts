import { sheetsOf } from '../testCases';
import { climbLadder } from '../learn/ladder';
import { viscosityOf } from '../glass/viscosity';
import type { PurposefulSegment } from '../kiln/segment';
import { valueOf } from '../problem';
import type { FiringCase } from './firingCase';
import { type Tried, seriesOf } from './seriesOf';
import { SETUPS } from './setups';

const fuse = sheetsOf(2, 0.003);
const rows = (target_C: number, hold_s = 600): PurposefulSegment[] => [
  { role: 'work', rate_C_per_h: 200, target_C, hold_s },
  { role: 'drop', rate_C_per_h: null, target_C: 515, hold_s: 1800 },
];
const tried = (id: string, outcome: Tried['outcome'], segments = rows(780), firing: FiringCase = fuse): Tried => ({ id, outcome, segments, firing });

test('temperatures: what else was changed, and what was fired before, are no fresh points', () => {
  const again = { ...fuse, seen: { had: { work_perPa: 1e-2, work_C: 780 } } };
  const series = valueOf(
    seriesOf([tried('a', 'short', rows(770)), tried('b', 'past', rows(810)), tried('c', 'right', rows(790, 1200)), tried('d', 'short', rows(780), again)]),
  );
  expect(series).toEqual({
    ...{ factor: 'temperature', from: 730, to: 850 },
    trials: [
      { id: 'a', value: 770, outcome: 'short' },
      { id: 'b', value: 810, outcome: 'past' },
      { id: 'c', value: 790, outcome: 'right', alsoChanged: true },
      { id: 'd', value: 780, outcome: 'short', refired: true },
    ],
  });
  const { next, counted, leftOut, range } = valueOf(climbLadder(series, viscosityOf(fuse.body.glasses[0])));
  expect(counted).toBe(2);
  expect(leftOut.map(({ why }) => why)).toEqual(['alsoChanged', 'refired']);
  expect(next).toBeGreaterThan(770);
  expect(next).toBeLessThan(810);
  expect(range[0]).toBeGreaterThan(730);
});

test('what most of them have is usual, whichever comes first', () => {
  const series = valueOf(seriesOf([tried('c', 'past', rows(802, 1440)), tried('b', 'right', rows(790, 1080)), tried('a', 'short', rows(776, 1080))]));
  expect(series.trials.map(({ id, alsoChanged }) => [id, alsoChanged ?? false])).toEqual([
    ['c', true],
    ['b', false],
    ['a', false],
  ]);
});

test('four thicknesses in one load: the thicker fall short, so that it begins at the thick end', () => {
  const load = [0.002, 0.003, 0.004, 0.006].map((thickness_m, i) => tried(`t${i}`, i < 2 ? 'past' : 'short', rows(780), sheetsOf(1, thickness_m)));
  const series = valueOf(seriesOf(load));
  expect(series).toMatchObject({ factor: 'thickness', from: expect.closeTo(0.018, 6), to: expect.closeTo(0.002 / 3, 6) });
  const { range, at } = valueOf(climbLadder(series, viscosityOf(fuse.body.glasses[0])));
  expect(range[0]).toBeLessThan(0.004);
  expect(range[1]).toBeGreaterThan(0.003);
  expect(at).toBeGreaterThan(0.0028);
  expect(at).toBeLessThan(0.0045);
});

test('grains by their mass, whose depth is no second change; formers by their height', () => {
  const grains = (perArea_kg_m2: number): FiringCase => ({
    ...fuse,
    body: { ...fuse.body, layers: [...fuse.body.layers, { form: 'frit', glass: 0, perArea_kg_m2 }] },
  });
  const strewn = [1, 2, 3].map((perArea, i) => tried(`g${i}`, i === 0 ? 'short' : 'past', rows(780), grains(perArea)));
  expect(valueOf(seriesOf(strewn))).toMatchObject({ factor: 'amount', trials: [{ value: 1 }, { value: 2 }, { value: 3 }] });
  expect(valueOf(seriesOf(strewn)).trials.some((trial) => 'alsoChanged' in trial)).toBe(false);
  const former = (drop_m: number): FiringCase => ({
    ...fuse,
    look: 'drape',
    setup: { ...SETUPS.inMould, shaping: { kind: 'former', overhang_m: 0.06, drop_m } },
  });
  expect(valueOf(seriesOf([tried('h', 'right', rows(650), former(0.02)), tried('i', 'short', rows(650), former(0.04))]))).toMatchObject({ factor: 'height' });
});

test('firings that are alike, or one alone, are no series', () => {
  expect(seriesOf([tried('a', 'short')])).toMatchObject({ ok: false, problem: { code: 'too-few' } });
  expect(seriesOf([tried('a', 'short'), tried('b', 'past')])).toMatchObject({ ok: false, problem: { code: 'same' } });
});

test('of grains alone the amount is what differs, not a thickness that rounding leaves', () => {
  const strewn = (perArea_kg_m2: number): FiringCase => ({ ...fuse, body: { ...fuse.body, layers: [{ form: 'frit', glass: 0, perArea_kg_m2, cover: 1 }] } });
  const series = valueOf(seriesOf([tried('few', 'past', rows(780), strewn(4.1)), tried('many', 'short', rows(780), strewn(9.3))]));
  expect(series.factor).toBe('amount');
  expect(series.trials.map(({ value, alsoChanged }) => [value, alsoChanged])).toEqual([
    [4.1, undefined],
    [9.3, undefined],
  ]);
});
