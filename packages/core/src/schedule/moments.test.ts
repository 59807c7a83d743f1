import { sheetsOf } from '../testCases';
import { evaluate } from './check';
import { compose } from './compose';
import { momentsOf } from './moments';

const firing = sheetsOf(2, 0.006);
const outcome = compose(firing);
if (!outcome.ok) throw new Error(outcome.problem.message);
const { segments } = outcome.value;

test('are where the simulation along time has them', () => {
  const { simulation } = evaluate(firing, segments, true);
  const { joints, t_s } = simulation.series ?? { joints: [], t_s: [] };
  const work = segments.findIndex(({ role }) => role === 'work');
  const moments = momentsOf(segments, simulation);
  expect(moments.look.from_s).toBeCloseTo(t_s[joints[work].rampEnd], 0);
  expect(moments.look.to_s).toBeCloseTo(t_s[joints[work].holdEnd], 0);
  expect(moments.look.to_s - moments.look.from_s).toBe(segments[work].hold_s);
  // The last segment is the closed kiln's own.
  expect(segments.at(-1)).toMatchObject({ role: 'lastCool', rate_C_per_h: null });
  expect(moments.controlled_s).toBeCloseTo(t_s[joints[segments.length - 2].holdEnd], 0);
  expect(moments.opens_s).toBe(t_s.at(-1));
});

test('a last segment that the controller runs is controlled to its end', () => {
  const slow = segments.map((segment, i) => (i === segments.length - 1 ? { ...segment, rate_C_per_h: 40 } : segment));
  const { simulation } = evaluate(firing, slow);
  const { controlled_s, opens_s } = momentsOf(slow, simulation);
  expect(controlled_s).toBe(opens_s);
});
