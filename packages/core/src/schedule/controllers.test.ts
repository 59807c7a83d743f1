/** Firings composed for controllers of every kind: what is keyed is what was composed, and keeps what it keeps. */
import { BODIES } from '../bodies.testCases';
import { keyIn, segmentsKeyed } from '../controller/keyIn';
import { TYPICAL_CONTROLLERS } from '../controller/typical';
import { brokenOf, evaluate } from './check';
import { compose } from './compose';
import type { FiringCase } from './firingCase';

const NAMES = ['two sheets, full fuse', 'two sheets, tack', 'a pendant', '25 mm, polished', 'a bowl, 300 by 50 mm', 'a lace of frit', 'six sheets in a dam'];

describe.each(TYPICAL_CONTROLLERS)('$name', ({ id: _id, name: _name, ...controller }) => {
  test.each(NAMES)('%s', (name) => {
    const firing: FiringCase = { ...BODIES.find(([one]) => one === name)![1], controller };
    const outcome = compose(firing);
    if (!outcome.ok) throw new Error(outcome.problem.message);
    const { segments, evaluation } = outcome.value;
    expect(brokenOf(evaluation.readings)).toEqual([]);
    const keyed = keyIn(segments, controller);
    expect(keyed.remarks).toEqual([]);
    expect(keyed.rows.length).toBeLessThanOrEqual(controller.mostSegments);
    const run = evaluate(firing, segmentsKeyed(segments, keyed, controller));
    expect(brokenOf(run.readings)).toEqual([]);
    expect(Math.abs(run.simulation.total_s / evaluation.simulation.total_s - 1)).toBeLessThan(0.01);
  });
});
