import { logViscosity, viscosityOf } from '../glass/viscosity';
import { valueOf } from '../problem';
import { SOFT_90, normal, numbers } from '../testCases';
import { LOOK_ERROR } from './corrections';
import { type Ladder, type LadderFound, type Trial, climbLadder } from './ladder';

const vft = viscosityOf(SOFT_90);
const asked = (more: Partial<Ladder> = {}): Ladder => ({ factor: 'temperature', from: 580, to: 740, trials: [], ...more });
const climbed = (more: Partial<Ladder> = {}): LadderFound => valueOf(climbLadder(asked(more), vft));
const refusal = (more: Partial<Ladder>): string => {
  const outcome = climbLadder(asked(more), vft);
  if (outcome.ok) throw new Error('It was not refused.');
  return `${outcome.problem.path}: ${outcome.problem.message}`;
};

/** The log of heat work that a trial has over the place where it changes. */
const over = (factor: Ladder['factor'], value: number, truth: number): number =>
  factor === 'temperature' ? Math.LN10 * (logViscosity(vft, truth) - logViscosity(vft, value)) : Math.log(value / truth);

function exactly(of: Omit<Ladder, 'trials'>, truth: number, most: number): { found: LadderFound; trials: Trial[] } {
  const rising = of.to > of.from;
  const trials: Trial[] = [];
  let found = climbed({ ...of, exact: true, trials });
  while (found.next !== null && trials.length < most) {
    trials.push({ value: found.next, outcome: found.next < truth === rising ? 'short' : 'past' });
    found = climbed({ ...of, exact: true, trials });
  }
  return { found, trials };
}

describe('told exactly', () => {
  test('five trials find it within 2.5 °C in an interval of 160 °C, wherever it lies', () => {
    for (let truth = 581; truth < 740; truth += 3.7) {
      const { found, trials } = exactly({ factor: 'temperature', from: 580, to: 740 }, truth, 5);
      expect(trials.length).toBeLessThanOrEqual(5);
      expect(Math.abs(found.at - truth)).toBeLessThanOrEqual(2.5);
      expect(found.range[0]).toBeLessThanOrEqual(truth);
      expect(found.range[1]).toBeGreaterThanOrEqual(truth);
    }
  });

  test('the interval is halved: a temperature by degrees, a hold by the logarithm', () => {
    expect(climbed({ exact: true })).toMatchObject({ next: 660, unit: '°C' });
    expect(climbed({ factor: 'hold', from: 300, to: 1200, exact: true }).next).toBeCloseTo(600, 9);
  });

  test('less of it may be what goes further', () => {
    const { found } = exactly({ factor: 'thickness', from: 0.012, to: 0.003 }, 0.0071, 20);
    expect(found.next).toBeNull();
    expect(Math.abs(found.at / 0.0071 - 1)).toBeLessThan(0.05);
    expect(found.range).toEqual(found.range.toSorted((a, b) => a - b));
  });

  test('beyond its ends it goes on by as much again', () => {
    const trials: Trial[] = [{ value: 1200, outcome: 'short' }];
    expect(climbed({ factor: 'hold', from: 300, to: 1200, trials, exact: true })).toMatchObject({ next: expect.closeTo(2400, 6) as number });
  });

  test('one that was right is the answer, in the middle of all that were', () => {
    const found = climbed({
      exact: true,
      trials: [
        { value: 640, outcome: 'right' },
        { value: 652, outcome: 'right' },
        { value: 620, outcome: 'short' },
        { value: 670, outcome: 'past' },
      ],
    });
    expect(found.next).toBeNull();
    expect(found.range).toEqual([expect.closeTo(640, 6), expect.closeTo(652, 6)]);
  });

  test('what contradicts itself is said, with both trials', () => {
    const [short, past]: Trial[] = [
      { value: 660, outcome: 'short' },
      { value: 650, outcome: 'past' },
    ];
    expect(refusal({ exact: true, trials: [short, past] })).toMatch(/^trials: One trial fell short at 660 °C and one went too far at 650 °C, which does less/);
    expect(refusal({ exact: true, trials: [short, { value: 640, outcome: 'right' }] })).toMatch(/^trials: 640 °C was right, and lies outside/);
    expect(climbed({ exact: true, trials: [short, { ...past, refired: true }] }).leftOut).toEqual([{ trial: 1, why: 'refired' }]);
  });
});

/** A ladder climbed in a studio that judges by eye. */
function byEye(seed: number, of: Omit<Ladder, 'trials'>, truth: number, count: number): LadderFound {
  const next = numbers(seed);
  const error = of.factor === 'temperature' || of.factor === 'hold' ? LOOK_ERROR : 0.07;
  const trials: Trial[] = [];
  let found = climbed(of);
  for (let i = 0; i < count && found.next !== null; i += 1) {
    const beyond = over(of.factor, found.next, truth) + error * normal(next);
    trials.push({ value: found.next, outcome: beyond < -error ? 'short' : beyond > error ? 'past' : 'right' });
    found = climbed({ ...of, trials });
  }
  return found;
}

describe('judged by eye', () => {
  const of = { factor: 'temperature', from: 580, to: 740 } as const;
  const truths = Array.from({ length: 50 }, (_, i) => {
    const next = numbers(i + 1);
    next();
    return 600 + 120 * next();
  });

  let ofSix: LadderFound[] = [];
  beforeAll(() => {
    ofSix = truths.map((truth, i) => byEye(i + 1, of, truth, 6));
  });

  test('what it says with 90 % is so in 85 to 99 of a hundred ladders, after three trials and after six', () => {
    const ofThree = truths.map((truth, i) => byEye(i + 1, of, truth, 3));
    for (const founds of [ofThree, ofSix]) {
      const holds = truths.filter((truth, i) => founds[i].range[0] <= truth && truth <= founds[i].range[1]);
      expect(holds.length / truths.length).toBeGreaterThan(0.85);
      expect(holds.length / truths.length).toBeLessThan(0.99);
    }
  });

  test('six trials that are chosen by it are nearer than six in even steps', () => {
    const missed = (founds: LadderFound[]): number => founds.reduce((sum, { at }, i) => sum + Math.abs(at - truths[i]), 0) / founds.length;
    const even = truths.map((truth, i) => {
      const next = numbers(i + 1);
      const trials = Array.from({ length: 6 }, (_, k): Trial => {
        const value = 600 + 24 * k;
        const beyond = over('temperature', value, truth) + LOOK_ERROR * normal(next);
        return { value, outcome: beyond < -LOOK_ERROR ? 'short' : beyond > LOOK_ERROR ? 'past' : 'right' };
      });
      return climbed({ ...of, trials });
    });
    expect(missed(ofSix)).toBeLessThan(0.7 * missed(even));
    expect(missed(ofSix)).toBeLessThan(5);
  });

  test('the first trial by eye halves what is believed in heat work, where a degree does less the hotter it is', () => {
    const { next } = climbed();
    expect(Math.abs(over('temperature', next!, 580) / over('temperature', 740, next!) - 1)).toBeLessThan(0.2);
    expect(next).toBeLessThan(660);
  });

  test('one absurd result moves it by less than its own spread', () => {
    const trials: Trial[] = [
      { value: 640, outcome: 'short' },
      { value: 655, outcome: 'right' },
      { value: 670, outcome: 'past' },
    ];
    const [before, after] = [climbed({ trials }), climbed({ trials: [...trials, { value: 600, outcome: 'past' }] })];
    expect(Math.abs(after.at - before.at)).toBeLessThan(before.range[1] - before.range[0]);
  });

  test('what is no fresh point, or changed in two things, is named and does not count', () => {
    const trials: Trial[] = [{ value: 650, outcome: 'past' }];
    const more: Trial[] = [
      { value: 700, outcome: 'short', refired: true },
      { value: 690, outcome: 'short', alsoChanged: true },
    ];
    const found = climbed({ trials: [...more, ...trials] });
    expect(found).toMatchObject({
      ...climbed({ trials }),
      leftOut: [
        { trial: 0, why: 'refired' },
        { trial: 1, why: 'alsoChanged' },
      ],
      counted: 1,
    });
  });

  test('in a wide interval, too, all that it says are temperatures of a kiln', () => {
    for (const outcome of ['short', 'past'] as const) {
      for (const [from, to] of [
        [600, 1650],
        [400, 1700],
      ]) {
        const { next, at, range } = climbed({ from, to, trials: [{ value: outcome === 'short' ? to : from, outcome }] });
        for (const value of [next ?? at, at, ...range]) {
          expect(value).toBeGreaterThan(vft.T0);
          expect(value).toBeLessThanOrEqual(1700.001);
        }
      }
    }
  });

  test('amounts go by their share', () => {
    const found = Array.from({ length: 6 }, (_, i) => byEye(i + 1, { factor: 'amount', from: 2, to: 12 }, 5, 10).at);
    for (const at of found) expect(Math.abs(at / 5 - 1)).toBeLessThan(0.12);
  });
});

test('two ends that are one, or at which the glass does not flow, are refused', () => {
  expect(refusal({ to: 580 })).toMatch(/^to: A ladder needs two ends/);
  expect(refusal({ from: 100 })).toMatch(/^from: 100 °C is out of reach: this glass does not flow until it is over \d+ °C\.$/);
  expect(refusal({ trials: [{ value: 100_000, outcome: 'past' }] })).toMatch(/^trials\.0\.value: 100000 °C is out of reach: no kiln/);
});
