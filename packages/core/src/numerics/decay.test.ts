import { decay } from './decay';

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
