import { evenSheets } from '../body/layers';
import { SOFT_90, sheetsOf } from '../testCases';
import { METRIC } from '../units/convert';
import { evaluate } from './check';
import { brokenOf } from './reading';
import { compose } from './compose';
import type { FiringCase } from './firingCase';
import { leastSoak } from './leastSoak';
import { DEFAULT_LIMITS } from './limits';
import { reckoningOf } from './reckoning';

const hours = (depth_mm: number, more: Partial<Parameters<typeof leastSoak>[1]> = {}): number =>
  leastSoak(DEFAULT_LIMITS, { depth_m: depth_mm / 1000, shape: 'plate', faces: 1, low: depth_mm > 18, ...more }) / 3600;

test.each([
  [3, 0.5, 0.5],
  [6, 0.5, 1],
  [12, 1, 2],
  [19, 2, 3],
  [25, 2, 4],
  [50, 6, 10],
  [100, 14, 24],
])('%i mm is soaked for %d to %d hours, as in practice', (depth_mm, least, most) => {
  expect(hours(depth_mm)).toBeGreaterThanOrEqual(least);
  expect(hours(depth_mm)).toBeLessThanOrEqual(most);
});

test('less where it evens out sooner: by two faces, as a rod, as a ball', () => {
  expect(hours(25, { faces: 2 }) / hours(25)).toBeCloseTo(0.5 ** 1.25, 9);
  expect(hours(60, { shape: 'cylinder' }) / hours(60)).toBeCloseTo(0.5 ** 0.625, 9);
  expect(hours(60, { shape: 'sphere' })).toBeLessThan(hours(60, { shape: 'cylinder' }));
  expect(hours(12, { low: true }) / hours(12)).toBeCloseTo(1.15, 9);
});

test('what was made before there was such a rule is not judged by it', () => {
  const { soakOf12mm_s: _soak, ...before } = DEFAULT_LIMITS;
  expect(leastSoak(before, { depth_m: 0.05, shape: 'plate', faces: 1, low: true })).toBe(1800);
});

test('a soak that a calculation finds long enough is broken where practice gives more, and the reckoning says why', () => {
  const firing: FiringCase = {
    ...sheetsOf(1, 0.025),
    look: 'firePolish',
    body: { glasses: [SOFT_90], layers: evenSheets([{ thickness_m: 0.025 }]), footprint: { shape: 'rectangle', width_m: 0.3, length_m: 0.3 }, joined: true },
  };
  const composed = compose(firing);
  if (!composed.ok) throw new Error(composed.problem.message);
  const short = composed.value.segments.map((one) => (one.role === 'drop' ? { ...one, hold_s: 2.2 * 3600 } : one));
  const evaluation = evaluate(firing, short);
  const broken = brokenOf(evaluation.readings);
  expect(broken.map(({ limit }) => limit)).toEqual(['soakTime']);
  expect(reckoningOf({ firing, segments: short, evaluation, reading: broken[0], units: METRIC }).join(' ')).toMatch(
    /12 mm is soaked 1 h 00 in practice.*here 25 mm/,
  );
});
