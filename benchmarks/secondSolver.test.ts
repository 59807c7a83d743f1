import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { simulateFiring } from '@torvin/core/heat';
import { relaxationOf } from '@torvin/core/stress';
import { apart, cooled, greatest, lowerSoak, spelledOut, tension } from './secondOpinion';
import { secondSolver } from './secondSolver';

describe.each(TYPICAL_FAMILIES)('$name, by the engine and by a second solver that shares no code with it', (glass) => {
  test.each([
    ['at its annealing point', glass.annealing_C],
    ['lower, where it must also relax', lowerSoak(glass)],
  ])('soaked %s: what stays agrees to 2 %%, the bow to 10 %%, differences to 1 %%', (_, soak_C) => {
    const input = cooled(glass, soak_C);
    const { residual = [], bow_perM = 0, segments } = simulateFiring(input);
    const ours = residual.map(({ stress_Pa }) => stress_Pa);
    const other = secondSolver(input, spelledOut(glass));
    expect(apart(greatest(ours), greatest(other.residual_Pa))).toBeLessThan(0.02);
    // The outermost cell's middle lies under the skin.
    const [inner, outer] = other.residual_Pa.slice(-2);
    expect(apart(ours[ours.length - 1], outer + (outer - inner) / 2)).toBeLessThan(0.02);
    expect(apart(bow_perM, other.bow_perM)).toBeLessThan(0.1);
    segments.forEach(({ deltaT_max_K }, i) => expect(apart(deltaT_max_K, other.greatest_K[i])).toBeLessThan(0.01));
  });
});

test('the second solver is fine enough: finer cells and steps move what stays by under half a percent', () => {
  const [glass] = TYPICAL_FAMILIES;
  const input = cooled(glass, glass.annealing_C);
  const usual = secondSolver(input, spelledOut(glass));
  const finer = secondSolver(input, spelledOut(glass), { cells: 50, stable: 0.45, stress_s: 2 });
  expect(apart(greatest(usual.residual_Pa), greatest(finer.residual_Pa))).toBeLessThan(0.005);
});

test('another activation, told in the request, is followed by both', () => {
  const [glass] = TYPICAL_FAMILIES;
  const { stress, structure, structureOverStress } = relaxationOf(glass);
  const own = { ...glass, relaxation: { stress, structure, structureOverStress, nonLinearity: 0.6, activation_K: 55_000 } };
  const input = cooled(own, lowerSoak(glass));
  expect(apart(tension(input), tension(cooled(glass, lowerSoak(glass))))).toBeGreaterThan(0.002);
  expect(apart(tension(input), greatest(secondSolver(input, spelledOut(own)).residual_Pa))).toBeLessThan(0.02);
});
