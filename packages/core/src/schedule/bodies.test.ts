import before from '../bodies.figures.json';
import { BODIES, type Figures, figuresOf, movedFigures } from '../bodies.testCases';
import { temperatureIn } from '../units/convert';
import { hottestSegment } from '../heat/regimes';
import { naturalCooling } from '../kiln/kiln';
import { brokenOf } from './reading';
import { compose } from './compose';

test('sixty bodies and more, no two of one name', () => {
  expect(BODIES.length).toBeGreaterThanOrEqual(60);
  expect(new Set(BODIES.map(([name]) => name)).size).toBe(BODIES.length);
});

const figures: Record<string, Figures> = {};

test.each(BODIES)('%s is composed within every limit, in few rounds, and goes up once and then down', (name, firing) => {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  const { segments, evaluation, evaluations, converged } = outcome.value;
  expect(brokenOf(evaluation.readings)).toEqual([]);
  expect(converged).toBe(true);
  expect(evaluations).toBeLessThanOrEqual(14);
  const hottest = hottestSegment(segments);
  segments.slice(1).forEach(({ target_C }, i) => expect(Math.sign(target_C - segments[i].target_C)).toBe(i + 1 <= hottest ? 1 : -1));
  // What is keyed for the way down is no faster than this kiln falls by itself where it begins.
  segments.forEach(({ rate_C_per_h, target_C }, i) => {
    if (i > hottest && rate_C_per_h !== null) expect(rate_C_per_h).toBeLessThanOrEqual(3600 * naturalCooling(firing.kiln, segments[i - 1].target_C) + 1e-6);
    expect(target_C).toBeGreaterThan(firing.kiln.ambient_C);
  });
  figures[name] = figuresOf(outcome.value);
});

describe('a change of the engine', () => {
  test('shows what moved: hours, top temperature and residual stress of every body, before and after', () => {
    expect(Object.keys(figures)).toHaveLength(BODIES.length);
    const moved = movedFigures(before, figures);
    if (moved !== '') throw new Error(`The engine gives other figures. Where that is meant, take them over by npm run pictures.\n\n${moved}`);
  });

  test('is a table of what moved alone, a body that came or went among it', () => {
    const was = {
      tile: { hours: 11.4, top_C: 790, residual_MPa: 0.32 },
      gone: { hours: 1, top_C: 2, residual_MPa: 3 },
      same: { hours: 1, top_C: 2, residual_MPa: 3 },
    };
    const is = {
      tile: { hours: 11.9, top_C: 790, residual_MPa: 0.3 },
      same: { hours: 1, top_C: 2, residual_MPa: 3 },
      new: { hours: 4, top_C: 5, residual_MPa: 6 },
    };
    const rows = movedFigures(was, is).split('\n').slice(2);
    expect(rows).toEqual(['| tile | 11.4 → 11.9 | 790 | 0.32 → 0.3 |', '| gone | 1 → – | 2 → – | 3 → – |', '| new | – → 4 | – → 5 | – → 6 |']);
    expect(movedFigures(was, was)).toBe('');
  });
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
