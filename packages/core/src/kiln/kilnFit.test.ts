import { STUDIO_KILN } from '../testCases';
import { type KilnReading, fitKiln } from './fitKiln';
import { type SpreadReading, fitSpread } from './fitSpread';
import { fullPowerHeating, naturalCooling } from './kiln';

/** A climb at full power to 850 °C and the cooling after it, one reading in so many seconds. */
function testRun(every_s: number, noise = (_i: number): number => 0): KilnReading[] {
  const readings: KilnReading[] = [];
  let T = 20;
  let heating = true;
  for (let t = 0, i = 0; T > 100 || heating; t += 1) {
    if (t % every_s === 0) readings.push({ t_s: t, kiln_C: T + noise(i++), power: heating ? 1 : 0 });
    T += heating ? fullPowerHeating(STUDIO_KILN, T) : -naturalCooling(STUDIO_KILN, T);
    if (T > 850 && (t + 1) % every_s === 0) heating = false;
  }
  return readings;
}

describe("a kiln's constants from its temperatures", () => {
  test('come back from its own climb and cooling within 2 %', () => {
    const outcome = fitKiln(testRun(60), 20);
    if (!outcome.ok) throw new Error(outcome.problem.message);
    const { constants, misfit_K, remark } = outcome.value;
    expect(Math.abs(constants.power_K_per_s / STUDIO_KILN.power_K_per_s - 1)).toBeLessThan(0.02);
    expect(Math.abs(constants.loss_per_s / STUDIO_KILN.loss_per_s - 1)).toBeLessThan(0.02);
    expect(Math.abs(constants.radiantLoss_per_K3_s / STUDIO_KILN.radiantLoss_per_K3_s - 1)).toBeLessThan(0.02);
    expect(misfit_K).toBeLessThan(0.5);
    expect(remark).toBeNull();
  });

  test('bear readings that jitter by a degree', () => {
    const outcome = fitKiln(
      testRun(120, (i) => Math.sin(i * 12.9898) * 1),
      20,
    );
    if (!outcome.ok) throw new Error(outcome.problem.message);
    for (const T of [300, 600, 800]) {
      expect(Math.abs(naturalCooling({ ...STUDIO_KILN, ...outcome.value.constants }, T) / naturalCooling(STUDIO_KILN, T) - 1)).toBeLessThan(0.05);
    }
  });

  test('a kiln with a thick wall is said not to fit', () => {
    const tail = testRun(600).map((reading, i, all) =>
      reading.power === 0 ? { ...reading, kiln_C: reading.kiln_C + 250 * (1 - Math.exp(-(all.length - i) / 4)) * (i % 2) } : reading,
    );
    const outcome = fitKiln(tail, 20);
    expect(outcome).toMatchObject({ ok: true, value: { remark: expect.stringMatching(/second node/) } });
  });

  test.each([
    ['too few', testRun(60).slice(0, 4), 'too-few'],
    ['one-sided', testRun(60).filter(({ power }) => power === 1), 'one-sided'],
    ['narrow', testRun(60).filter(({ kiln_C }) => kiln_C > 700), 'too-narrow'],
  ])('readings that are %s are refused', (_, readings, code) => {
    expect(fitKiln(readings, 20)).toMatchObject({ ok: false, problem: { code, path: 'readings' } });
  });
});

describe('ΔT = a(1 − e^(−t/τ)) + b·dT/dt', () => {
  const watched = (a: number, tau_s: number, b_s: number): SpreadReading[] =>
    Array.from({ length: 60 }, (_, i) => {
      const t_s = i * 240;
      const mean = t_s < 5400 ? 515 : 515 - ((t_s - 5400) * 30) / 3600;
      const rate = t_s <= 5400 ? 0 : -30 / 3600;
      const difference = a * (1 - Math.exp(-t_s / tau_s)) + b_s * rate;
      return { t_s, first_C: mean + difference / 2, second_C: mean - difference / 2 };
    });
  const fitted = (readings: SpreadReading[], limit_K = 5) => {
    const outcome = fitSpread(readings, limit_K);
    if (!outcome.ok) throw new Error(outcome.problem.message);
    return outcome.value;
  };

  test('a and b come back', () => {
    const { lopsided_K, lag_s, settles_s, rateWithin_C_per_h } = fitted(watched(6, 1800, 400));
    expect(Math.abs(lopsided_K / 6 - 1)).toBeLessThan(0.05);
    expect(Math.abs(lag_s / 400 - 1)).toBeLessThan(0.1);
    expect(Math.abs(settles_s / 1800 - 1)).toBeLessThan(0.15);
    expect(rateWithin_C_per_h).toBeCloseTo((5 / lag_s) * 3600, 9);
  });

  test('a large a asks to mend the set-up, a large b to slow down', () => {
    expect(fitted(watched(12, 1800, 60)).advice).toBe('mend-the-set-up');
    expect(fitted(watched(1, 1800, 1200)).advice).toBe('slow-down');
    expect(fitted(watched(1, 1800, 60)).advice).toBe('even');
  });
});
