/** Firings composed for controllers of every kind: what is keyed is what was composed, and keeps what it keeps. */
import { BODIES } from '../bodies.testCases';
import { keyIn, segmentsKeyed } from '../controller/keyIn';
import { impossibleController, keyedRate, profileOf } from '../controller/profile';
import { TYPICAL_CONTROLLERS } from '../controller/typical';
import { evaluate } from './check';
import { brokenOf } from './reading';
import { compose } from './compose';
import type { FiringCase } from './firingCase';

const NAMES = ['two sheets, full fuse', 'two sheets, tack', 'a pendant', '25 mm, polished', 'a bowl, 300 by 50 mm', 'a lace of frit', 'six sheets in a dam'];

/** A dial with a few rates, as old kilns have, and one that is keyed by a few ways in minutes. */
const FEW = {
  ...{ id: 'notched', name: 'Notched dial', unit: 'C', mostSegments: 12, fullSpeedCode: 999, rates: [5, 20, 50, 80, 150, 300], mostHold_s: 999 * 60 },
} satisfies (typeof TYPICAL_CONTROLLERS)[number];

describe.each([...TYPICAL_CONTROLLERS, FEW])('$name', ({ id: _id, name: _name, ...controller }) => {
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

describe('a controller that offers a few rates only', () => {
  const { id: _id, name: _name, ...dial } = FEW;
  const profile = profileOf(dial);

  test('is given the fastest of them that is no faster than what was found', () => {
    for (const [asked, keyed] of [
      [1000, 300],
      [300, 300],
      [299, 150],
      [79, 50],
      [20, 20],
      [19, 5],
    ])
      expect(keyedRate(profile, asked, 100)).toEqual({ figure: keyed, meant_C_per_h: keyed, tooSlow: false });
    const ways = profileOf({ ...dial, rateAs: 'minutes', fullSpeedCode: 0, rates: [30, 60, 240] });
    // 100 degrees at 120 an hour take 50 minutes: the next longer way is keyed.
    expect(keyedRate(ways, 120, 100)).toMatchObject({ figure: 60, meant_C_per_h: 100, tooSlow: false });
  });

  test('says so where none of them is slow enough; what is composed for it has no other', () => {
    expect(keyedRate(profile, 3, 100)).toMatchObject({ figure: 5, tooSlow: true });
    const segments = [{ rate_C_per_h: 3, target_C: 400, hold_s: 0 }];
    expect(keyIn(segments, dial).remarks).toMatchObject([{ kind: 'cannot', message: expect.stringMatching(/slowest is 5\. Split it/) }]);
    const slab = BODIES.find(([name]) => name === '25 mm, polished')![1];
    const outcome = compose({ ...slab, controller: dial });
    if (!outcome.ok) throw new Error(outcome.problem.message);
    const rates = outcome.value.segments.flatMap(({ rate_C_per_h }) => (rate_C_per_h === null ? [] : [Math.round(rate_C_per_h)]));
    expect(rates.every((rate) => dial.rates.includes(rate))).toBe(true);
  });

  test('cannot have its code among them, nor have them out of order', () => {
    expect(impossibleController({ ...dial, fullSpeedCode: 80 })).toMatchObject({ path: 'fullSpeedCode', message: expect.stringContaining('20, 50, 80') });
    expect(impossibleController({ ...dial, fullSpeedCode: 100 })).toBeNull();
    expect(impossibleController({ ...dial, rates: [50, 20] })).toMatchObject({ path: 'rates' });
  });
});
