import { SOFT_90, STUDIO_KILN, sheetsOf, familyOfId } from '../testCases';
import { restrainedStress } from '../glass/constants';
import { rateWithin, slabLag } from '../heat/quasiSteady';
import { acrossLag } from '../kiln/kiln';
import { evaluate } from './check';
import { brokenOf, marginOf, tightest } from './reading';
import { type Composed, compose } from './compose';
import { closedForm } from './firstGuess';
import { differenceIn, temperatureIn } from '../units/convert';
import { keyIn } from '../controller/keyIn';
import { niceHold, niceRate } from './rounding';
import { composed } from '../bodies.testCases';
import type { FiringCase } from './firingCase';
import { openingTemperature } from './opening';
import type { Role } from '../kiln/segment';
import { SETUPS } from './setups';

const role = ({ segments }: Composed, name: Role) => segments.find((segment) => segment.role === name)!;

describe('closed forms', () => {
  test.each([
    [0.006, 91],
    [0.012, 43],
    [0.025, 13],
    [0.05, 3.5],
    [0.1, 0.9],
  ])('a body %s m deep and 300 mm wide first cools at about %s °C/h', (depth, rate) => {
    const R = 3600 * rateWithin(5 / 1.75, slabLag(SOFT_90, depth, 1), acrossLag(STUDIO_KILN, 0.3));
    expect(Math.abs(R / rate - 1)).toBeLessThan(0.03);
  });

  test('one degree of restrained difference is 0.81 MPa', () => {
    expect(restrainedStress(SOFT_90, 1) / 1e6).toBeCloseTo(0.81, 2);
  });
});

describe('a composed full fuse', () => {
  const cases: [string, FiringCase][] = [
    ['one 3 mm sheet', sheetsOf(1, 0.003)],
    ['two 3 mm sheets', sheetsOf(2, 0.003)],
    ['two 6 mm sheets', sheetsOf(2, 0.006)],
    ['four 6 mm sheets', sheetsOf(4, 0.006)],
    ['four 10 mm sheets', sheetsOf(4, 0.01)],
    ['three 4 mm sheets, joined', { ...sheetsOf(3, 0.004), body: { ...sheetsOf(3, 0.004).body, joined: true } }],
    ['three sheets of 96', sheetsOf(3, 0.003, familyOfId('soft-96'))],
    ['two sheets of float', sheetsOf(2, 0.004, familyOfId('float'))],
    ['a 500 mm disc', { ...sheetsOf(2, 0.003), body: { ...sheetsOf(2, 0.003).body, footprint: { shape: 'disc', diameter_m: 0.5 } } }],
    ['the hotter school', { ...sheetsOf(2, 0.003), school: { soak: 'lower', heat: 'hotter' } }],
  ];

  test.each(cases)('of %s keeps every limit by its own simulation', (_, firing) => {
    const { evaluation, converged, segments } = composed(firing);
    expect(converged).toBe(true);
    expect(brokenOf(evaluation.readings)).toEqual([]);
    expect(evaluation.readings.length).toBeGreaterThan(8);
    expect(brokenOf(evaluate(firing, segments).readings)).toEqual([]);
  });

  test.each(cases)('of %s outruns the closed forms in its warm-up alone, where its own simulation keeps the whole reserve', (_, firing) => {
    const guess = closedForm(firing);
    const { segments, evaluation } = composed(firing);
    segments.forEach(({ rate_C_per_h, role: name }, i) => {
      if (rate_C_per_h !== null && name !== 'warmUp') expect(rate_C_per_h).toBeLessThanOrEqual(guess[i].rate_C_per_h ?? Infinity);
    });
    const pull = evaluation.readings.find(({ limit, segment }) => limit === 'pull' && segment === 0);
    expect((pull?.value ?? 0) * firing.limits.pullReserve).toBeLessThanOrEqual((pull?.allowed ?? 0) * 1.001);
  });

  test('on a raised shelf is no faster than the closed forms without a proof, and faster with one', () => {
    const thick = sheetsOf(1, 0.025);
    const on = (twoFaceProof?: 'readings') => {
      const firing: FiringCase = {
        ...thick,
        body: { ...thick.body, joined: true },
        setup: { ...SETUPS.raisedShelf, ...(twoFaceProof ? { twoFaceProof } : {}) },
      };
      return { warm: role(composed(firing), 'warmUp').rate_C_per_h ?? 0, guess: closedForm(firing)[0].rate_C_per_h ?? 0 };
    };
    const unproven = on();
    expect(unproven.warm).toBeLessThanOrEqual(unproven.guess);
    expect(on('readings').warm).toBeGreaterThan(1.2 * unproven.warm);
  });

  test('on a shelf that lies on the floor is slower in everything, and keeps every limit', () => {
    const on = (kind: 'bareShelf' | 'floorShelf'): Composed => composed({ ...sheetsOf(2, 0.003), setup: SETUPS[kind] });
    const [bare, floor] = [on('bareShelf'), on('floorShelf')];
    for (const name of ['warmUp', 'work', 'firstCool', 'secondCool'] as const) {
      expect(role(floor, name).rate_C_per_h ?? Infinity).toBeLessThan(role(bare, name).rate_C_per_h ?? Infinity);
    }
    expect(floor.converged).toBe(true);
    expect(floor.evaluation.simulation.total_s).toBeGreaterThan(1.2 * bare.evaluation.simulation.total_s);
  });

  test('of soft sheet 90 lands where practice does', () => {
    const plan = composed(sheetsOf(2, 0.003));
    const work = role(plan, 'work');
    expect(work.target_C).toBeGreaterThanOrEqual(790);
    expect(work.target_C).toBeLessThanOrEqual(820);
    expect(work.hold_s / 60).toBeGreaterThanOrEqual(8);
    expect(work.hold_s / 60).toBeLessThanOrEqual(25);
    const squeeze = role(plan, 'squeeze');
    expect(squeeze.target_C).toBeGreaterThanOrEqual(600);
    expect(squeeze.target_C).toBeLessThanOrEqual(677);
  });

  test.each([
    [790, 8],
    [805, 12],
    [820, 8],
    [790, 25],
  ])('would have been right at %s °C for %s min as well', (target_C, minutes) => {
    const firing = sheetsOf(2, 0.003);
    const { segments } = composed(firing);
    const { readings } = evaluate(
      firing,
      segments.map((segment) => (segment.role === 'work' ? { ...segment, target_C, hold_s: minutes * 60 } : segment)),
    );
    expect(brokenOf(readings).filter(({ limit }) => limit === 'workLeast' || limit === 'workMost')).toEqual([]);
  });

  test('shifts with viscosity: 96 works 10 to 25 °C lower than 90, float 25 to 55 higher', () => {
    const at = (family: string): number => role(composed(sheetsOf(2, 0.003, familyOfId(family))), 'work').target_C;
    expect(at('soft-90') - at('soft-96')).toBeGreaterThanOrEqual(10);
    expect(at('soft-90') - at('soft-96')).toBeLessThanOrEqual(25);
    expect(at('float') - at('soft-90')).toBeGreaterThanOrEqual(25);
    expect(at('float') - at('soft-90')).toBeLessThanOrEqual(55);
  });

  test('soaks at the annealing point when thin and lower when thick, unless told', () => {
    expect(role(composed(sheetsOf(2, 0.003)), 'drop').target_C).toBe(515);
    expect(role(composed(sheetsOf(4, 0.006)), 'drop').target_C).toBe(483);
    expect(role(composed({ ...sheetsOf(4, 0.006), school: { soak: 'annealing', heat: 'cooler' } }), 'drop').target_C).toBe(515);
  });

  test('the hotter school is hotter and holds shorter for like work', () => {
    const cooler = composed(sheetsOf(2, 0.003));
    const hotter = composed({ ...sheetsOf(2, 0.003), school: { soak: 'auto', heat: 'hotter' } });
    expect(role(hotter, 'work').target_C).toBeGreaterThan(role(cooler, 'work').target_C);
    expect(role(hotter, 'work').hold_s).toBeLessThan(role(cooler, 'work').hold_s);
    expect(Math.abs(hotter.evaluation.work_perPa.mean / cooler.evaluation.work_perPa.mean - 1)).toBeLessThan(0.05);
  });

  test('takes longer the thicker the body', () => {
    const hours = [0.003, 0.006, 0.01].map((thickness) => composed(sheetsOf(4, thickness)).evaluation.simulation.total_s);
    expect(hours[1]).toBeGreaterThan(hours[0]);
    expect(hours[2]).toBeGreaterThan(hours[1]);
  });

  test('is refused, with both temperatures, when the glass asks for more than the kiln', () => {
    const outcome = compose(sheetsOf(2, 0.003, familyOfId('boro-33')));
    expect(outcome.ok).toBe(false);
    if (!outcome.ok) {
      expect(outcome.problem).toMatchObject({ code: 'above-kiln-top', path: 'kiln.top_C' });
      expect(outcome.problem.message).toMatch(/900 °C/);
    }
  });

  test('is refused when the kiln’s power cannot bring it there', () => {
    const weak = { ...sheetsOf(2, 0.003), kiln: { ...STUDIO_KILN, power_K_per_s: 0.11 } };
    expect(compose(weak)).toMatchObject({ ok: false, problem: { code: 'kiln-too-weak', path: 'kiln.power_K_per_s' } });
  });

  test('gives the same answer twice', () => {
    expect(composed(sheetsOf(2, 0.006))).toEqual(composed(sheetsOf(2, 0.006)));
  });

  test('names for every segment the limit that leaves it the least room', () => {
    const { segments, evaluation } = composed(sheetsOf(4, 0.006));
    segments.forEach((_, i) => {
      const reading = tightest(evaluation.readings, i);
      expect(reading).not.toBeNull();
      evaluation.readings.filter(({ segment }) => segment === i).forEach((other) => expect(marginOf(other)).toBeGreaterThanOrEqual(marginOf(reading!)));
    });
  });
});

describe('opening', () => {
  test('is never above the studio’s ceiling, and lower for thick work', () => {
    expect(openingTemperature(sheetsOf(2, 0.003))).toBe(90);
    expect(openingTemperature(sheetsOf(4, 0.01))).toBe(50);
  });

  test('falls below the ceiling when the glass may bear little', () => {
    const strict = { ...sheetsOf(2, 0.003), limits: { ...sheetsOf(2, 0.003).limits, pull_Pa: 1e6 } };
    expect(openingTemperature(strict)).toBeLessThan(60);
  });
});

describe('figures that can be keyed', () => {
  test.each([
    [93.9, 90],
    [43.7, 43],
    [3.59, 3.5],
    [0.87, 0.8],
    [0.01, 0.02],
    [0.078, 0.07],
  ])('a rate of %s becomes %s', (exact, nice) => {
    expect(niceRate(exact)).toBe(nice);
  });

  test.each([
    [61, 120],
    [3601, 3900],
    [600, 600],
  ])('a hold of %s s becomes %s s', (exact, nice) => {
    expect(niceHold(exact)).toBe(nice);
  });
});

describe('for a controller that counts in °F', () => {
  const controller = { unit: 'F', fullSpeedCode: 7200, mostSegments: 12 } as const;
  const roundIn = (value: number, step: number): boolean => Math.abs(value / step - Math.round(value / step)) < 1e-6;

  test.each([
    [1, 0.003],
    [2, 0.003],
    [4, 0.003],
    [2, 0.012],
  ])('%s sheets of %s m get round targets, rates and holds there, within every limit', (count, thickness) => {
    const { segments, evaluation } = composed({ ...sheetsOf(count, thickness), controller });
    for (const { role: what, target_C, rate_C_per_h, hold_s } of segments) {
      const target = temperatureIn(target_C, 'F');
      expect({ what, target, round: roundIn(target, what === 'drop' ? 5 : 10) }).toMatchObject({ round: true });
      const rate = rate_C_per_h === null ? 0 : differenceIn(rate_C_per_h, 'F');
      expect({ what, rate, round: roundIn(rate, rate >= 100 ? 10 : rate >= 50 ? 5 : rate >= 10 ? 1 : rate >= 2 ? 0.5 : 0.1) }).toMatchObject({ round: true });
      expect(hold_s % 60).toBe(0);
    }
    expect(brokenOf(evaluation.readings)).toEqual([]);
    const { rows } = keyIn(segments, controller);
    rows.forEach(({ target }, i) => expect(target).toBeCloseTo(temperatureIn(segments[i].target_C, 'F'), 6));
  });

  test('an offset that was learnt is keyed in whole degrees, and judged as it is keyed', () => {
    const firing: FiringCase = { ...sheetsOf(2, 0.003), controller, corrections: { offset_K: 6.3, workFactor: 1 } };
    const { segments, evaluation } = composed(firing);
    for (const { target_C } of segments) expect(roundIn(temperatureIn(target_C, 'F'), 1)).toBe(true);
    expect(evaluation.work_perPa.mean).toBeCloseTo(evaluate(firing, segments).work_perPa.mean, 9);
  });
});
