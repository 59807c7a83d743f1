import { STUDIO_KILN, sheetsOf, slab } from '../testCases';
import { rememberingSimulator } from '../heat/joints';
import { simulateFiring } from '../heat/simulate';
import type { SimulationInput } from '../heat/simulation';
import { compose } from '../schedule/compose';
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

describe('a kiln whose wall stores heat', () => {
  const THICK: KilnConstants = { ...STUDIO_KILN, power_K_per_s: 0.16, wallExchange_per_s: 1.2e-4, wallOverChamber: 2.5 };
  const climbs = [{ to_C: 500 }, { to_C: 800 }];
  const falls = { fall: { from_C: 500, to_C: 300 }, tail: { from_C: 300, to_C: 100 } };
  const [first, second, fall, tail] = timesOf(THICK, { ambient_C: 20, climbs, ...falls });
  const byClock: KilnTimes = {
    ambient_C: 20,
    climbs: [
      { to_C: 500, seconds: first },
      { to_C: 800, seconds: second },
    ],
    fall: { ...falls.fall, seconds: fall },
  };
  const withTail: KilnTimes = { ...byClock, tail: { ...falls.tail, seconds: tail } };

  test('is run second by second to the same times', () => {
    let [T, wall, t] = [20, 20, 0];
    const seen: number[] = [];
    for (; T < 800; t += 1) {
      const before = T;
      T += fullPowerHeating(THICK, T, wall);
      wall += ((1.2e-4 / 2.5) * (before + T - 2 * wall)) / 2;
      if (before < 500 && T >= 500) seen.push(t);
    }
    seen.push(t);
    for (; T > 100; t += 1) {
      const before = T;
      T -= naturalCooling(THICK, T, wall);
      wall += ((1.2e-4 / 2.5) * (before + T - 2 * wall)) / 2;
      for (const mark of [500, 300]) if (before > mark && T <= mark) seen.push(t);
    }
    seen.push(t);
    const [to500, to800, at500, at300, at100] = seen;
    [to500, to800, at300 - at500, at100 - at300].forEach((seconds, i) => expect([first, second, fall, tail][i] / seconds).toBeCloseTo(1, 2));
  });

  test('comes back from its times once the tail is told, and takes them within 1 %', () => {
    const outcome = fitKilnTimes(withTail);
    if (!outcome.ok) throw new Error(outcome.problem.message);
    const { constants, misfit, remark } = outcome.value;
    expect(misfit).toBeLessThan(0.01);
    expect(remark).toBeNull();
    expect(Math.abs((constants.wallOverChamber ?? 0) / 2.5 - 1)).toBeLessThan(0.25);
    // Four times do not settle five constants; what was not told follows within an eighth: from less heat, and on down to 60 °C.
    const further = { ambient_C: 20, climbs: [{ to_C: 700 }], fall: { from_C: 700, to_C: 400 }, tail: { from_C: 100, to_C: 60 } };
    const is = timesOf(THICK, further);
    timesOf({ ...THICK, ...constants }, further).forEach((seconds, i) => expect(Math.abs(seconds / is[i] - 1)).toBeLessThan(1 / 8));
  });

  test('is not given where a kiln without one takes the times, nor where no tail is told', () => {
    const plain = fitKilnTimes(byClock);
    expect(plain.ok && plain.value.constants).not.toHaveProperty('wallOverChamber');
    const [climb, down, further] = timesOf(STUDIO_KILN, { ambient_C: 20, climbs: [{ to_C: 500 }], ...falls });
    const outcome = fitKilnTimes({
      ambient_C: 20,
      climbs: [{ to_C: 500, seconds: climb }],
      fall: { ...falls.fall, seconds: down },
      tail: { ...falls.tail, seconds: further },
    });
    expect(outcome.ok && outcome.value.constants).not.toHaveProperty('wallOverChamber');
  });

  test('is refused a tail that does not follow the fall', () => {
    expect(fitKilnTimes({ ...byClock, tail: { from_C: 400, to_C: 100, seconds: 3600 } })).toMatchObject({ ok: false, problem: { path: 'tail' } });
  });

  test('cools the slower the longer it was hot, in a simulated firing too, and can be taken up in the middle', () => {
    const input = (hold_s: number, last_C = 60): SimulationInput => ({
      ...slab(0.006, 1, [
        { rate_C_per_h: null, target_C: 780, hold_s },
        { rate_C_per_h: null, target_C: 300, hold_s: 0 },
        { rate_C_per_h: null, target_C: last_C, hold_s: 0 },
      ]),
      kiln: THICK,
    });
    const cooling = (hold_s: number): number => {
      const { segments } = simulateFiring(input(hold_s));
      return segments[1].end_s - segments[0].end_s;
    };
    expect(cooling(4 * 3600)).toBeGreaterThan(1.2 * cooling(0));
    const simulate = rememberingSimulator();
    simulate(input(600, 80));
    const taken = simulate(input(600));
    expect(simulate.startedAt()).toBe(2);
    expect(taken).toEqual(simulateFiring(input(600)));
  });

  test('is composed for', () => {
    const outcome = compose({ ...sheetsOf(2, 0.003), kiln: THICK });
    expect(outcome.ok && outcome.value.converged).toBe(true);
  });
});

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
    expect(refusedFor({ ...base, fall: { from_C: 300, to_C: 500, seconds: 60 } })).toMatch(/start above the end/);
  });
});
