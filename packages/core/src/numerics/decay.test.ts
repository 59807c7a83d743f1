import { decay } from './decay';
import { lostBy, lostOnMean } from './fade';

describe('e^(−x) by table and polynomial', () => {
  test('is the built-in within 1e-15, from 0 to 40 and across every joint of the table', () => {
    let worst = 0;
    for (let i = 0; i <= 400_000; i += 1) {
      const x = i / 10_000;
      worst = Math.max(worst, Math.abs(decay(x) / Math.exp(-x) - 1));
    }
    expect(worst).toBeLessThan(1e-15);
  });

  test.each([-3, 41, 700, 1e9, Infinity])('beyond the table, at %s, it is the built-in', (x) => {
    expect(decay(x)).toBe(Math.exp(-x));
  });

  test('of nothing is one, of no number none', () => {
    expect(decay(0)).toBe(1);
    expect(decay(NaN)).toBeNaN();
  });
});

describe('what fades over a step', () => {
  test.each([1e-12, 1e-6, 0.0199, 0.0201, 1, 10, 39.9])('of %s time constants is 1 − e^(−x), and on the mean 1 − (1 − e^(−x))/x', (x) => {
    const lost = -Math.expm1(-x);
    expect(Math.abs(lostBy(x) / lost - 1)).toBeLessThan(1e-11);
    // The mean loses its digits by subtraction for small x; there its series x/2 is as good.
    const onMean = x < 1e-3 ? x / 2 - x ** 2 / 6 : 1 - lost / x;
    expect(Math.abs(lostOnMean(x, lostBy(x), 1 / x) / onMean - 1)).toBeLessThan(1e-9);
  });

  test('of very many is all', () => {
    expect(lostBy(1e9)).toBe(1);
    expect(lostOnMean(1e9, 1, 1e-9)).toBeCloseTo(1, 8);
  });
});
