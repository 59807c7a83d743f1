import { BODIES } from '../bodies.testCases';
import { keyIn } from '../controller/keyIn';
import { brokenOf } from './reading';
import { compose } from './compose';
import type { FiringCase } from './firingCase';
import { stepped } from './stepped';

const COUNTS = { unit: 'C', fullSpeedCode: 9999, mostSegments: 20 } as const;

/** A casting so thick that it cools slower than a controller counts. */
function thick(mostSegments: number): FiringCase {
  const [, one] = BODIES.find(([name]) => name === 'a casting of 40 mm')!;
  const thickest_m = 0.1;
  return {
    ...one,
    controller: { ...COUNTS, mostSegments },
    body: { ...one.body, casting: { glass: 0, thickest_m, thinnest_m: thickest_m, volume_m3: thickest_m * 0.12 ** 2 } },
  };
}

const composed = (firing: FiringCase) => {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value;
};

describe('a cool slower than a controller counts', () => {
  test('is keyed in steps with holds, as slowly on the whole, within every limit', () => {
    const plan = composed(thick(20));
    const cools = plan.segments.filter(({ role }) => role === 'firstCool');
    expect(cools.length).toBeGreaterThan(5);
    expect(brokenOf(plan.evaluation.readings)).toEqual([]);
    expect(plan.converged).toBe(true);
    const { rows, remarks } = keyIn(plan.segments, COUNTS);
    expect(remarks).toEqual([]);
    expect(rows.length).toBeLessThanOrEqual(20);
    expect(cools.map(({ rate_C_per_h }) => rate_C_per_h)).toEqual(cools.map(() => 1));
    expect(plan.remarks.join(' ')).toMatch(/Segment \d is slower than this controller counts: keyed as \d+ steps/);

    const whole = composed(thick(5));
    const slow = whole.segments.find(({ role }) => role === 'firstCool')!;
    const from_C = plan.segments[plan.segments.indexOf(cools[0]) - 1].target_C;
    const hours = cools.reduce((sum, { target_C, hold_s }, i) => sum + (cools[i - 1]?.target_C ?? from_C) - target_C + hold_s / 3600, 0);
    const inOne = (from_C - slow.target_C) / slow.rate_C_per_h!;
    expect(slow.rate_C_per_h!).toBeLessThan(1);
    expect(Math.abs(hours / inOne - 1)).toBeLessThan(0.02);
  });

  test('stays in one where the controller has no segment to spare, and is said not to be keyed', () => {
    const plan = composed(thick(5));
    expect(plan.segments.filter(({ role }) => role === 'firstCool')).toHaveLength(1);
    expect(plan.remarks.join(' ')).toMatch(/this controller's slowest is 1/);
  });

  test('counts in the controller’s own degrees, and leaves alone what it can count', () => {
    const { segments } = composed(thick(5));
    const inF = stepped(segments, { ...COUNTS, unit: 'F' }, 'F');
    expect(inF.segments).toBe(segments);
    const slower = segments.map((one) => (one.role === 'firstCool' ? { ...one, rate_C_per_h: 0.3 } : one));
    const steps = stepped(slower, { ...COUNTS, unit: 'F' }, 'F').segments.filter(({ role }) => role === 'firstCool');
    expect(steps.length).toBeGreaterThan(3);
    for (const { rate_C_per_h } of steps) expect(rate_C_per_h! * 1.8).toBeCloseTo(1, 9);
    for (const { target_C } of steps.slice(0, -1)) expect((target_C * 1.8 + 32) % 1).toBeCloseTo(0, 6);
  });
});
