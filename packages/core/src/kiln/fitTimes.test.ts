import { STUDIO_KILN } from '../testCases';
import { fitKilnTimes } from './fitTimes';
import { type KilnTimes, timesOf } from './times';
import { type KilnConstants, fullPowerHeating, naturalCooling } from './kiln';

const asked = (climbs: number[], ambient_C = 20) => ({ ambient_C, climbs: climbs.map((to_C) => ({ to_C })), fall: { from_C: 500, to_C: 300 } });

/** The other way: the kiln run second by second, as it would be with a clock. */
function byTheClock(kiln: KilnConstants, from_C: number, to_C: number): number {
  let [T, t] = [from_C, 0];
  const climbs = to_C > from_C;
  while (climbs ? T < to_C : T > to_C) {
    T += (climbs ? fullPowerHeating(kiln, T) : -naturalCooling(kiln, T)) * 0.5;
    t += 0.5;
  }
  return t;
}

function told(kiln: KilnConstants, climbs: number[], spoil = (seconds: number, _i: number): number => seconds): KilnTimes {
  const { ambient_C, fall } = asked(climbs);
  const seconds = [...climbs.map((to_C) => byTheClock(kiln, ambient_C, to_C)), byTheClock(kiln, fall.from_C, fall.to_C)].map(spoil);
  return { ambient_C, climbs: climbs.map((to_C, i) => ({ to_C, seconds: seconds[i] })), fall: { ...fall, seconds: seconds[climbs.length] } };
}

const KILNS: [string, KilnConstants][] = [
  ['the studio kiln', STUDIO_KILN],
  ['a slow brick kiln', { ...STUDIO_KILN, power_K_per_s: 0.07, loss_per_s: 1.5e-5, radiantLoss_per_K3_s: 1.5e-14 }],
  ['a small fibre kiln', { ...STUDIO_KILN, power_K_per_s: 0.6, loss_per_s: 2.2e-4, radiantLoss_per_K3_s: 1.6e-13 }],
];

describe('a kiln by the clock', () => {
  test.each(KILNS)('%s: its own times give its own climb and fall back within 1 %', (_, kiln) => {
    for (const climbs of [
      [500, 800],
      [500, 800, 1000],
    ]) {
      if (fullPowerHeating(kiln, climbs.at(-1) ?? 0) <= 0) continue;
      const outcome = fitKilnTimes(told(kiln, climbs));
      if (!outcome.ok) throw new Error(outcome.problem.message);
      const { constants, misfit, remark } = outcome.value;
      const found = { ...kiln, ...constants };
      for (const T of [200, 500, 750]) expect(fullPowerHeating(found, T) / fullPowerHeating(kiln, T)).toBeCloseTo(1, 1.7);
      for (const T of [300, 400, 500]) expect(naturalCooling(found, T) / naturalCooling(kiln, T)).toBeCloseTo(1, 1.7);
      expect(misfit).toBeLessThan(0.01);
      expect(remark).toBeNull();
    }
  });

  test('the integral agrees with the kiln run second by second', () => {
    const [climb, fall] = timesOf(STUDIO_KILN, { ...asked([800]), climbs: [{ to_C: 800 }], fall: { from_C: 500, to_C: 300 } });
    expect(climb / byTheClock(STUDIO_KILN, 20, 800)).toBeCloseTo(1, 3);
    expect(fall / byTheClock(STUDIO_KILN, 500, 300)).toBeCloseTo(1, 3);
  });

  test('times read to five minutes still tell how it falls from the top, within a fifth', () => {
    const outcome = fitKilnTimes(told(STUDIO_KILN, [500, 800], (seconds) => Math.round(seconds / 300) * 300));
    if (!outcome.ok) throw new Error(outcome.problem.message);
    const found = { ...STUDIO_KILN, ...outcome.value.constants };
    for (const T of [400, 500, 800]) expect(Math.abs(naturalCooling(found, T) / naturalCooling(STUDIO_KILN, T) - 1)).toBeLessThan(0.2);
  });

  test('two times are met, and said to be few', () => {
    const outcome = fitKilnTimes(told(STUDIO_KILN, [500]));
    if (!outcome.ok) throw new Error(outcome.problem.message);
    expect(outcome.value.misfit).toBeLessThan(0.01);
    expect(outcome.value.remark).toMatch(/one more climb/);
  });

  test('a difference between two places is the lag at the rate it climbs with there', () => {
    const outcome = fitKilnTimes({ ...told(STUDIO_KILN, [500, 800]), apart: { difference_K: 12, at_C: 500 } });
    const lag = outcome.ok ? (outcome.value.constants.acrossLag_s_per_300mm ?? 0) : 0;
    expect(lag * fullPowerHeating(STUDIO_KILN, 500)).toBeCloseTo(12, 0);
  });

  test('times that no kiln takes are said so', () => {
    const odd = fitKilnTimes(told(STUDIO_KILN, [500, 800], (seconds, i) => (i === 2 ? seconds / 40 : seconds)));
    expect(odd.ok && odd.value.remark).toMatch(/misses one by/);
    const base = told(STUDIO_KILN, [500, 800]);
    const refusedFor = (times: KilnTimes): string => {
      const outcome = fitKilnTimes(times);
      return outcome.ok ? '' : outcome.problem.message;
    };
    expect(refusedFor({ ...base, climbs: [] })).toMatch(/one temperature at least/);
    expect(refusedFor({ ...base, climbs: [base.climbs[0], { to_C: 800, seconds: 60 }] })).toMatch(/sooner than at 500/);
    expect(refusedFor({ ...base, climbs: [{ to_C: 500, seconds: 0 }] })).toMatch(/takes some time/);
    expect(refusedFor({ ...base, fall: { from_C: 300, to_C: 500, seconds: 60 } })).toMatch(/falls from a higher/);
  });
});
