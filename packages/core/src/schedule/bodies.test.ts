import { BODIES } from '../bodies.testCases';
import { temperatureIn } from '../units/convert';
import { hottestSegment } from '../heat/regimes';
import { brokenOf } from './check';
import { compose } from './compose';

test('sixty bodies and more, no two of one name', () => {
  expect(BODIES.length).toBeGreaterThanOrEqual(60);
  expect(new Set(BODIES.map(([name]) => name)).size).toBe(BODIES.length);
});

test.each(BODIES)('%s is composed within every limit, in few rounds, and goes up once and then down', (_, firing) => {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  const { segments, evaluation, evaluations, converged } = outcome.value;
  expect(brokenOf(evaluation.readings)).toEqual([]);
  expect(converged).toBe(true);
  expect(evaluations).toBeLessThanOrEqual(14);
  const hottest = hottestSegment(segments);
  segments.slice(1).forEach(({ target_C }, i) => expect(Math.sign(target_C - segments[i].target_C)).toBe(i + 1 <= hottest ? 1 : -1));
});

// Not whole degrees of either unit: what firings teach never is.
describe.each([
  [1.7, 'C'],
  [-4.4, 'C'],
  [1.7, 'F'],
  [9.3, 'F'],
] as const)('with a controller that reads %s K over the glass and counts in °%s', (offset_K, unit) => {
  test.each(BODIES.filter((_, i) => i % 5 === 0))('%s is keyed in whole degrees and keeps every limit', (_, firing) => {
    const outcome = compose({
      ...firing,
      controller: { unit, fullSpeedCode: 9999, mostSegments: 8 },
      corrections: { offset_K, workFactor: 1.2 },
    });
    if (!outcome.ok) throw new Error(outcome.problem.message);
    const { segments, evaluation, converged } = outcome.value;
    expect(brokenOf(evaluation.readings)).toEqual([]);
    expect(converged).toBe(true);
    const keyed = segments.map(({ target_C }) => temperatureIn(target_C, unit));
    for (const degrees of keyed) expect(degrees).toBeCloseTo(Math.round(degrees), 9);
  });
});
