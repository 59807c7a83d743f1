import { STUDIO_KILN } from '../testCases';
import { type KilnReading, fitKiln } from './fitKiln';
import { type SpreadReading, fitSpread } from './fitSpread';
import { type KilnConstants, fullPowerHeating, naturalCooling, settledCooling, wallAfter } from './kiln';

/** A climb at full power to 850 °C and the cooling after it, one reading in so many seconds. */
function testRun(every_s: number, noise = (_i: number): number => 0, kiln: KilnConstants = STUDIO_KILN): KilnReading[] {
  const readings: KilnReading[] = [];
  let T = 20;
  let wall_C = 20;
  let heating = true;
  for (let t = 0, i = 0; T > 100 || heating; t += 1) {
    if (t % every_s === 0) readings.push({ t_s: t, kiln_C: T + noise(i++), power: heating ? 1 : 0 });
    const before = T;
    T += heating ? fullPowerHeating(kiln, T, wall_C) : -naturalCooling(kiln, T, wall_C);
    wall_C = wallAfter(kiln, wall_C, before, T, 1);
    if (T > 850 && (t + 1) % every_s === 0) heating = false;
  }
  return readings;
}

const THICK: KilnConstants = { ...STUDIO_KILN, wallExchange_per_s: 1.2e-4, wallOverChamber: 2.5 };

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

  test('with a wall that stores heat come back with it, within 3 %, and with its long tail', () => {
    const outcome = fitKiln(
      testRun(120, (i) => Math.sin(i * 12.9898) * 0.5, THICK),
      20,
    );
    if (!outcome.ok) throw new Error(outcome.problem.message);
    const { constants } = outcome.value;
    expect(Math.abs((constants.wallExchange_per_s ?? 0) / 1.2e-4 - 1)).toBeLessThan(0.03);
    expect(Math.abs((constants.wallOverChamber ?? 0) / 2.5 - 1)).toBeLessThan(0.03);
    const found = { ...THICK, ...constants };
    for (const T of [150, 300, 500]) {
      expect(Math.abs(settledCooling(found, T) / settledCooling(THICK, T) - 1)).toBeLessThan(0.03);
      expect(Math.abs(fullPowerHeating(found, T, 100) / fullPowerHeating(THICK, T, 100) - 1)).toBeLessThan(0.03);
    }
    // A kiln without one is not given one.
    const plain = fitKiln(testRun(120), 20);
    expect(plain.ok && plain.value.constants).not.toHaveProperty('wallOverChamber');
  });

  test('readings that no kiln makes are said not to fit', () => {
    const tail = testRun(600).map((reading, i, all) =>
      reading.power === 0 ? { ...reading, kiln_C: reading.kiln_C + 250 * (1 - Math.exp(-(all.length - i) / 4)) * (i % 2) } : reading,
    );
    const outcome = fitKiln(tail, 20);
    expect(outcome).toMatchObject({ ok: true, value: { remark: expect.stringMatching(/no kiln with one wall/) } });
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
