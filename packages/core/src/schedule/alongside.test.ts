import { valueOf } from '../problem';
import { greatestTension } from '../stress/measured';
import { sheetsOf } from '../testCases';
import { plainBeside } from './alongside';
import { evaluate } from './check';
import { compose } from './compose';

test('a plain piece of the same depth keeps the stress that an even piece keeps, a thinner one less', () => {
  const firing = { ...sheetsOf(2, 0.003), body: { ...sheetsOf(2, 0.003).body, joined: true } };
  const { segments } = valueOf(compose(firing));
  const kept = (one: typeof firing): number => greatestTension(evaluate(one, segments).simulation.residual ?? []);
  expect(kept(plainBeside(firing, 0.006)) / kept(firing)).toBeCloseTo(1, 2);
  expect(kept(plainBeside(firing, 0.003))).toBeLessThan(0.5 * kept(firing));
  // Beside what is shaped by a form it lies flat all the same.
  expect(kept(plainBeside({ ...firing, look: 'slump' }, 0.006))).toBeCloseTo(kept(plainBeside(firing, 0.006)), 6);
});
