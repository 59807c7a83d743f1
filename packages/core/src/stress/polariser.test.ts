import { SOFT_90, slab, familyOfId } from '../testCases';
import { simulateFiring } from '../heat/simulate';
import { edgeOn, lookedThrough, retardation } from './polariser';

describe('retardation C∫(σ1 − σ2)', () => {
  test('1 MPa over 100 mm is 270 nm', () => {
    expect(retardation(SOFT_90, 1e6, 0.1)).toBeCloseTo(270, 9);
    expect(retardation(familyOfId('boro-33'), 1e6, 0.1)).toBeCloseTo(400, 9);
  });

  test.each([
    [6, 18],
    [25, 4.4],
    [100, 1.1],
  ])('300 nm over %s mm is about %s MPa', (path_mm, megapascal) => {
    expect(retardation(SOFT_90, megapascal * 1e6, path_mm / 1e3) / 300).toBeCloseTo(1, 1);
  });

  const cooled = simulateFiring({
    ...slab(
      0.025,
      2,
      [
        { rate_C_per_h: 40, target_C: 380, hold_s: 0 },
        { rate_C_per_h: 80, target_C: 30, hold_s: 0 },
      ],
      560,
    ),
    stress: { support: 'free' },
  });
  const residual = cooled.residual ?? [];

  test('an even plate looked through is dark, whatever its stress', () => {
    const layers = residual.map(({ stress_Pa }) => ({ depth_m: 0.025 / residual.length, first_Pa: stress_Pa, second_Pa: stress_Pa }));
    expect(Math.max(...residual.map(({ stress_Pa }) => stress_Pa))).toBeGreaterThan(5e5);
    expect(lookedThrough(SOFT_90, layers)).toBe(0);
    expect(lookedThrough(SOFT_90, [{ depth_m: 0.1, first_Pa: 2e6, second_Pa: 1e6 }])).toBeCloseTo(270, 9);
  });

  test('the same plate edge on shows its skin and its middle with opposite signs', () => {
    const seen = edgeOn(SOFT_90, residual, 0.1);
    expect(seen[0].retardation_nm).toBeLessThan(0);
    expect(seen[(seen.length - 1) / 2].retardation_nm).toBeGreaterThan(0);
    expect(seen[0].retardation_nm / seen[(seen.length - 1) / 2].retardation_nm).toBeCloseTo(-2, 0);
  });
});
