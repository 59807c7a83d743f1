import { SOFT_90, sheetsOf } from '../testCases';
import { valueOf } from '../problem';
import { evaluate } from '../schedule/check';
import { compose } from '../schedule/compose';
import { verdictOf } from '../schedule/words';
import { METRIC, otherUnits } from '../units/convert';
import { viscosityOf } from '../glass/viscosity';
import { efold } from '../flow/heatWork';
import { type LookSeen, PRIOR, WITNESS_ERROR_K, correctionsOf, learnCorrections, nextRung, workAsRead } from './corrections';

const vft = viscosityOf(SOFT_90);
const RANGE = { least: 1.6e-2, most: 4.6e-2 };
const ASKED = { least_perPa: RANGE.least, most_perPa: RANGE.most };
const SLUMP = { least: 1.5e-5, most: 6e-5 };

/** Outcomes of a ladder of works in a kiln and studio whose truth is known, judged without error. */
function ladder(truth: { offset_K: number; workFactor: number }, range: typeof RANGE, work_C: number): LookSeen[] {
  return [0.25, 0.5, 0.8, 1.2, 2, 4].map((share) => {
    const work = Math.sqrt(range.least * range.most) * share;
    const felt = (work * Math.exp(-truth.offset_K / efold(vft, work_C))) / truth.workFactor;
    return {
      work_perPa: work,
      least_perPa: range.least,
      most_perPa: range.most,
      work_C,
      outcome: felt < range.least ? 'short' : felt > range.most ? 'past' : 'right',
    };
  });
}

describe('what is taken over', () => {
  const firing = sheetsOf(2, 0.003);
  const plain = valueOf(compose(firing));
  const work = (outcome: typeof plain) => outcome.segments.find(({ role }) => role === 'work');

  test('is nothing where all is as usual', () => {
    expect(correctionsOf({})).toBeUndefined();
    expect(correctionsOf({ offset_K: 0, workFactor: 1 })).toBeUndefined();
    expect(correctionsOf({ offset_K: 5 })).toEqual({ offset_K: 5, workFactor: 1 });
  });

  test('changes the hold first and the temperature second, and is told', () => {
    const more = { ...firing, corrections: { offset_K: 0, workFactor: 1.2 } };
    const longer = valueOf(compose(more));
    expect(work(longer)?.target_C).toBe(work(plain)?.target_C);
    expect(work(longer)?.hold_s).toBeGreaterThan(work(plain)?.hold_s ?? 0);
    expect(verdictOf(more, longer.evaluation, METRIC, longer.segments).join(' ')).toMatch(
      /Aimed at 1\.20 times the usual heat work, because looks took more here/,
    );
    const over = { ...firing, corrections: { offset_K: 10, workFactor: 1 } };
    const hotter = valueOf(compose(over));
    expect(work(hotter)?.target_C).toBe((work(plain)?.target_C ?? 0) + 10);
    expect(verdictOf(over, hotter.evaluation, METRIC, hotter.segments).join(' ')).toMatch(
      /Keyed 10(\.0)? °C hotter, because the controller reads so much over the glass/,
    );
    expect(verdictOf(over, hotter.evaluation, otherUnits(METRIC), hotter.segments).join(' ')).toMatch(/Keyed 18(\.0)? °F hotter/);
    expect(verdictOf(firing, plain.evaluation, METRIC, plain.segments).join(' ')).not.toMatch(/Keyed|Aimed/);
  });

  test('is undone where a firing is to teach: its work by what the controller read, within 3 %', () => {
    const { segments } = plain;
    const read = evaluate(firing, segments).work_perPa.mean;
    const felt = evaluate({ ...firing, corrections: { offset_K: 10, workFactor: 1 } }, segments).work_perPa.mean;
    expect(felt).toBeLessThan(0.9 * read);
    expect(Math.abs(workAsRead(vft, felt, work(plain)?.target_C ?? 0, { offset_K: 10 }) / read - 1)).toBeLessThan(0.03);
    expect(workAsRead(vft, read, 790, {})).toBe(read);
  });
});

describe('what looks teach', () => {
  test('nothing seen leaves the prior', () => {
    const { corrections, offset_sd_K, separated } = learnCorrections(vft, []);
    expect(corrections.offset_K).toBeCloseTo(0, 9);
    expect(corrections.workFactor).toBeCloseTo(1, 9);
    expect(offset_sd_K).toBeCloseTo(10, 0);
    expect(separated).toBe(false);
  });

  test('short says more is needed, past says less', () => {
    const one = (outcome: LookSeen['outcome']) => learnCorrections(vft, [{ work_perPa: 2.7e-2, ...ASKED, work_C: 800, outcome }]).corrections;
    expect(one('short').offset_K).toBeGreaterThan(0);
    expect(one('short').workFactor).toBeGreaterThan(1);
    expect(one('past').offset_K).toBeLessThan(0);
    expect(one('past').workFactor).toBeLessThan(1);
  });

  test('at one temperature the two cannot be told apart: what one gains the other loses', () => {
    const learnt = learnCorrections(vft, Array.from({ length: 4 }, () => ladder({ offset_K: 15, workFactor: 1 }, RANGE, 800)).flat());
    expect(learnt.correlation).toBeLessThan(-0.8);
    expect(learnt.separated).toBe(false);
    // Their sum is known all the same: the work at that temperature comes out right.
    const together = learnt.corrections.offset_K / efold(vft, 800) + Math.log(learnt.corrections.workFactor);
    expect(together).toBeCloseTo(15 / efold(vft, 800), 1);
  });

  test('a second temperature tells them apart better, a witness for good', () => {
    const truth = { offset_K: 15, workFactor: 1 };
    const many = (range: typeof RANGE, at: number) => Array.from({ length: 6 }, () => ladder(truth, range, at)).flat();
    const one = learnCorrections(vft, many(RANGE, 800));
    const two = learnCorrections(vft, [...many(RANGE, 800), ...many(SLUMP, 620)]);
    expect(two.offset_sd_K).toBeLessThan(one.offset_sd_K);
    expect(Math.abs(two.corrections.offset_K - 15)).toBeLessThan(Math.abs(one.corrections.offset_K - 15));
    const witnessed = learnCorrections(vft, many(RANGE, 800), [{ offset_K: 15, error_K: 1.5 }]);
    expect(witnessed.corrections.offset_K).toBeCloseTo(15, 0);
    expect(witnessed.corrections.workFactor).toBeGreaterThan(0.9);
    expect(witnessed.corrections.workFactor).toBeLessThan(1.1);
    expect(witnessed.separated).toBe(true);
  });

  /** Numbers from 0 to 1 that look random and are the same each time (a linear congruence). */
  function numbers(seed: number): () => number {
    let state = seed * 2654435761 + 12345;
    return () => {
      state = (Math.imul(state | 0, 1664525) + 1013904223) | 0;
      return (state >>> 0) / 2 ** 32;
    };
  }
  const normal = (next: () => number): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());

  /** Twelve firings at two temperatures in a kiln and studio drawn from what is usual; each is judged with the error that looks have. */
  function season(seed: number): { truth: { offset_K: number; logFactor: number }; seen: LookSeen[] } {
    const next = numbers(seed);
    const truth = { offset_K: 10 * normal(next), logFactor: 0.35 * normal(next) };
    const seen = Array.from({ length: 12 }, (_, i): LookSeen => {
      const [range, work_C] = i % 2 === 0 ? [RANGE, 800] : [SLUMP, 620];
      const work_perPa = Math.sqrt(range.least * range.most) * Math.exp(0.6 * normal(next));
      const felt = Math.log(work_perPa) - truth.offset_K / efold(vft, work_C) - truth.logFactor + 0.2 * normal(next);
      const outcome = felt < Math.log(range.least) ? 'short' : felt > Math.log(range.most) ? 'past' : 'right';
      return { work_perPa, least_perPa: range.least, most_perPa: range.most, work_C, outcome };
    });
    return { truth, seen };
  }
  const NINE_IN_TEN = 1.645;
  const SEEDS = Array.from({ length: 10 }, (_, i) => i + 1);

  test('from twelve firings at two temperatures the hidden offset and factor lie in its own nine-in-ten range, in nine of ten seasons', () => {
    const inRange = SEEDS.filter((seed) => {
      const { truth, seen } = season(seed);
      const { corrections, offset_sd_K, workFactor_sd_log } = learnCorrections(vft, seen);
      const offset = Math.abs(corrections.offset_K - truth.offset_K) < NINE_IN_TEN * offset_sd_K;
      const factor = Math.abs(Math.log(corrections.workFactor) - truth.logFactor) < NINE_IN_TEN * workFactor_sd_log;
      // It has learnt something: its range is narrower than what was known before.
      return offset && factor && offset_sd_K < 9 && workFactor_sd_log < 0.3;
    });
    expect(inRange.length).toBeGreaterThanOrEqual(9);
  });

  test('one absurd result moves it by less than its spread', () => {
    for (const seed of SEEDS.slice(0, 3)) {
      const { seen } = season(seed);
      const before = learnCorrections(vft, seen);
      for (const outcome of ['short', 'past'] as const) {
        const work_perPa = outcome === 'short' ? 100 * RANGE.most : RANGE.least / 100;
        const after = learnCorrections(vft, [...seen, { work_perPa, ...ASKED, work_C: 800, outcome }]);
        expect(Math.abs(after.corrections.offset_K - before.corrections.offset_K)).toBeLessThan(before.offset_sd_K / 2);
        expect(Math.abs(Math.log(after.corrections.workFactor / before.corrections.workFactor))).toBeLessThan(before.workFactor_sd_log / 2);
      }
    }
  });

  test('a ladder halves the interval in the logarithm of work', () => {
    const rung = nextRung(1e-2, 4e-2);
    const seen = (['short', 'past', 'past'] as const).map((outcome, i) => ({ work_perPa: [1e-2, 4e-2, 9e-2][i], ...ASKED, work_C: 800, outcome }));
    expect(learnCorrections(vft, seen).nextWork_perPa).toBeCloseTo(rung, 12);
    expect(learnCorrections(vft, seen.slice(1)).nextWork_perPa).toBeNull();
    expect(rung).toBeCloseTo(2e-2, 12);
    expect(Math.log(rung / 1e-2)).toBeCloseTo(Math.log(4e-2 / rung), 12);
  });
});

describe('by how much', () => {
  const fell = (by?: LookSeen['by']): LookSeen[] =>
    Array.from({ length: 3 }, () => ({ ...ASKED, work_perPa: 2.2e-2, work_C: 800, outcome: 'short', ...(by ? { by } : {}) }));
  const factor = (seen: LookSeen[]): number => learnCorrections(vft, seen).corrections.workFactor;

  test('far short asks for more than short, and a little short for less', () => {
    expect(factor(fell('far'))).toBeGreaterThan(factor(fell()) * 1.1);
    expect(factor(fell('little'))).toBeLessThan(factor(fell()));
    expect(factor(fell('little'))).toBeGreaterThan(1);
  });

  test('likewise past, the other way round', () => {
    const past = (by?: LookSeen['by']): LookSeen[] => fell(by).map((one) => ({ ...one, work_perPa: 4e-2, outcome: 'past' }));
    expect(factor(past('far'))).toBeLessThan(factor(past()) * 0.92);
    expect(factor(past('little'))).toBeGreaterThan(factor(past()));
  });

  test('one result of which it is not said by how much lies between one that was a little short and one that was far', () => {
    const [little, far, whole] = [fell('little'), fell('far'), fell()].map(([one]) => learnCorrections(vft, [one]).corrections.workFactor);
    expect(whole).toBeGreaterThan(Math.min(little, far));
    expect(whole).toBeLessThan(Math.max(little, far));
  });

  test('a reading at the glass tells the offset from the factor, which looks at one temperature cannot', () => {
    const alone = learnCorrections(vft, fell());
    const read = learnCorrections(vft, fell(), [{ offset_K: 12, error_K: WITNESS_ERROR_K }]);
    expect(alone.separated).toBe(false);
    expect(read.separated).toBe(true);
    expect(Math.abs(read.corrections.offset_K - 12)).toBeLessThan(2);
    expect(read.offset_sd_K).toBeLessThan(alone.offset_sd_K / 2);
    // What the offset explains the factor need not.
    expect(read.corrections.workFactor).toBeLessThan(alone.corrections.workFactor);
  });

  test('without anything told, what is believed is the prior', () => {
    const { corrections, offset_sd_K, workFactor_sd_log } = learnCorrections(vft, []);
    expect(corrections.offset_K).toBeCloseTo(0, 6);
    expect(corrections.workFactor).toBeCloseTo(1, 6);
    expect(offset_sd_K / PRIOR.offset_sd_K).toBeCloseTo(1, 2);
    expect(workFactor_sd_log / PRIOR.workFactor_sd_log).toBeCloseTo(1, 2);
  });
});
