import { drawnBodies, opinionOn } from './drawnBodies';

/** All of them with LONG=1. */
const drawn = drawnBodies(process.env.LONG === '1' ? { castings: 20, blocks: 8, tacked: 60 } : { castings: 5, blocks: 1, tacked: 5 });

test.each(drawn.map((one) => [one.name, one] as const))('%s: what is composed keeps its limits in a solver that shares no code', (_, one) => {
  const { limits } = one.firing;
  const { inner_K, pull_Pa, residual_Pa, ours_Pa } = opinionOn(one);
  // After the drop and its soak comes the first cool, in which it sets.
  expect(inner_K[1]).toBeLessThan(limits.setting_K);
  expect(pull_Pa).toBeLessThan(limits.pull_Pa);
  expect(residual_Pa).toBeLessThan(limits.residual_Pa);
  // Told with its reserve, and not with more than that and a half.
  expect(ours_Pa).toBeGreaterThan(residual_Pa);
  expect(ours_Pa).toBeLessThan(2 * residual_Pa);
});
