import { SOFT_90, normal, numbers, sheetsOf } from '../testCases';
import { valueOf } from '../problem';
import { evaluate } from '../schedule/check';
import { compose } from '../schedule/compose';
import { verdictOf } from '../schedule/words';
import { METRIC, otherUnits } from '../units/convert';
import { viscosityOf } from '../glass/viscosity';
import { efold } from '../flow/heatWork';
import type { Look } from '../look/names';
import {
  type LookSeen,
  PRIOR,
  WITNESS_ERROR_K,
  correctionsOf,
  driftOf,
  factorOf,
  learnCorrections,
  nextRung,
  offsetLine,
  withoutEach,
  workAsRead,
} from './corrections';

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
    // Of that offset 4 °C may be its place, which says nothing of the controller.
    const lies = verdictOf({ ...over, place_K: -4 }, hotter.evaluation, METRIC, hotter.segments).join(' ');
    expect(lies).toMatch(
      /Keyed 6(\.0)? °C hotter, because the controller reads so much over the glass\. It lies where the kiln is 4(\.0)? °C cooler than in its middle\./,
    );
    expect(verdictOf({ ...over, place_K: -10 }, hotter.evaluation, METRIC, hotter.segments).join(' ')).not.toMatch(/Keyed/);
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
    expect(offset_sd_K).toBeCloseTo(12, 0);
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

  /** Twelve firings at two temperatures in a kiln and studio drawn from what is usual; each is judged with the error that looks have. */
  function season(seed: number): { truth: { offset_K: number; logFactor: number }; seen: LookSeen[] } {
    const next = numbers(seed);
    const truth = { offset_K: PRIOR.offset_sd_K * normal(next), logFactor: 0.35 * normal(next) };
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

describe('looks by themselves', () => {
  const seenAs = (look: Look, share: number, outcome: LookSeen['outcome']): LookSeen => ({
    look,
    ...ASKED,
    work_perPa: share * RANGE.least,
    work_C: 800,
    outcome,
  });
  const tacks = Array.from({ length: 4 }, () => seenAs('tack', 1.4, 'short'));
  const factorAt = (seen: LookSeen[], look: Look): number => learnCorrections(vft, seen).looks.find((one) => one.look === look)!.factor;

  test('a look that takes more says most of itself, less of all looks, and of another less than that one’s own firings do', () => {
    const { looks, corrections } = learnCorrections(vft, [...tacks, seenAs('contour', 1.7, 'right')]);
    expect(looks.map(({ look, firings }) => [look, firings])).toEqual([
      ['tack', 4],
      ['contour', 1],
    ]);
    const [tack, contour] = looks;
    expect(tack.factor).toBeGreaterThan(corrections.workFactor);
    expect(contour.factor).toBeLessThan(tack.factor);
    expect(corrections.workFactor).toBeGreaterThan(1);
    expect(tack.sd_log).toBeLessThan(PRIOR.look_sd_log);
    // Firings of one that says nothing of looks move all alike.
    const alike = learnCorrections(
      vft,
      tacks.map(({ look: _look, ...rest }) => rest),
    );
    expect(alike.looks).toEqual([]);
    expect(alike.corrections.workFactor).toBeGreaterThan(corrections.workFactor);
  });

  test('two looks that say the opposite of one another leave all looks about as usual', () => {
    const opposite = [...tacks, ...Array.from({ length: 4 }, () => seenAs('contour', 2.2, 'past'))];
    const { corrections } = learnCorrections(vft, opposite);
    expect(Math.abs(Math.log(corrections.workFactor))).toBeLessThan(0.12);
    expect(factorAt(opposite, 'tack')).toBeGreaterThan(1.05);
    expect(factorAt(opposite, 'contour')).toBeLessThan(0.95);
  });

  test('are the same as those of drawn kilns and studios in which such firings came out so', () => {
    const seen = [seenAs('tack', 1.3, 'short'), seenAs('contour', 2.4, 'past')];
    const next = numbers(7);
    const drawn: { offset: number; all: number; tack: number }[] = [];
    while (drawn.length < 4000) {
      const [offset, all] = [PRIOR.offset_sd_K * normal(next), 0.35 * normal(next)];
      const own = [all + 0.2 * normal(next), all + 0.2 * normal(next)];
      const agrees = seen.every((one, i) => {
        if (next() < 0.05) return next() < 1 / 3;
        const felt = Math.log(one.work_perPa) - offset / efold(vft, one.work_C) - own[i] + 0.2 * normal(next);
        return (felt < Math.log(RANGE.least) ? 'short' : felt > Math.log(RANGE.most) ? 'past' : 'right') === one.outcome;
      });
      if (agrees) drawn.push({ offset, all, tack: own[0] });
    }
    const mean = (of: (one: (typeof drawn)[number]) => number): number => drawn.reduce((sum, one) => sum + of(one), 0) / drawn.length;
    const spread = (of: (one: (typeof drawn)[number]) => number): number => Math.sqrt(mean((one) => of(one) ** 2) - mean(of) ** 2);
    const { corrections, offset_sd_K, workFactor_sd_log, looks } = learnCorrections(vft, seen);
    // To four standard errors of four thousand draws.
    expect(Math.abs(corrections.offset_K - mean(({ offset }) => offset))).toBeLessThan((4 * offset_sd_K) / Math.sqrt(4000));
    expect(Math.abs(Math.log(corrections.workFactor) - mean(({ all }) => all))).toBeLessThan((4 * workFactor_sd_log) / Math.sqrt(4000));
    expect(Math.abs(Math.log(looks[0].factor) - mean(({ tack }) => tack))).toBeLessThan((4 * looks[0].sd_log) / Math.sqrt(4000));
    expect(looks[0].sd_log / spread(({ tack }) => tack)).toBeCloseTo(1, 1);
    expect(offset_sd_K / spread(({ offset }) => offset)).toBeCloseTo(1, 1);
  });

  test('from twelve firings of two looks the offset and each look’s own factor lie in their nine-in-ten ranges, in nine of ten seasons', () => {
    const kept = Array.from({ length: 10 }, (_, i) => i + 21).filter((seed) => {
      const next = numbers(seed);
      const [offset_K, all] = [PRIOR.offset_sd_K * normal(next), 0.35 * normal(next)];
      const own: Partial<Record<Look, number>> = { fullFuse: all + 0.2 * normal(next), slump: all + 0.2 * normal(next) };
      const seen = Array.from({ length: 12 }, (_, i): LookSeen => {
        const [look, range, work_C] = i % 2 === 0 ? (['fullFuse', RANGE, 800] as const) : (['slump', SLUMP, 620] as const);
        const work_perPa = Math.sqrt(range.least * range.most) * Math.exp(0.6 * normal(next));
        const felt = Math.log(work_perPa) - offset_K / efold(vft, work_C) - own[look]! + 0.2 * normal(next);
        return {
          look,
          work_perPa,
          least_perPa: range.least,
          most_perPa: range.most,
          work_C,
          outcome: felt < Math.log(range.least) ? 'short' : felt > Math.log(range.most) ? 'past' : 'right',
        };
      });
      const learnt = learnCorrections(vft, seen);
      const inRange = (off: number, sd: number): boolean => Math.abs(off) < 1.645 * sd;
      return (
        inRange(learnt.corrections.offset_K - offset_K, learnt.offset_sd_K) &&
        learnt.looks.every(({ look, factor, sd_log }) => inRange(Math.log(factor) - own[look]!, sd_log) && sd_log < PRIOR.look_sd_log)
      );
    });
    expect(kept.length).toBeGreaterThanOrEqual(8);
  });

  test('a plan goes by its own look where that is known, by all looks where it is not, and says which', () => {
    const corrections = { offset_K: 0, workFactor: 1.1, lookFactors: { tack: 1.3 } };
    expect([factorOf(corrections, 'tack'), factorOf(corrections, 'contour')]).toEqual([1.3, 1.1]);
    expect(correctionsOf({ lookFactors: { tack: 1.3 } })).toEqual({ offset_K: 0, workFactor: 1, lookFactors: { tack: 1.3 } });
    expect(correctionsOf({ lookFactors: {} })).toBeUndefined();
    const said = (look: Look): string => {
      const firing = { ...sheetsOf(2, 0.003), look, corrections };
      const { evaluation, segments } = valueOf(compose(firing));
      return verdictOf(firing, evaluation, METRIC, segments).join(' ');
    };
    expect(said('tack')).toMatch(/Aimed at 1\.30 times the usual heat work, because a tack fuse took more here/);
    expect(said('contour')).toMatch(/Aimed at 1\.10 times the usual heat work, because looks took more here/);
  });
});

describe('a kiln that drifts', () => {
  const at = (outcome: LookSeen['outcome'], count: number): LookSeen[] =>
    Array.from({ length: count }, () => ({ look: 'tack', ...RANGE_SEEN, work_perPa: Math.sqrt(RANGE.least * RANGE.most), work_C: 760, outcome }));
  const RANGE_SEEN = { least_perPa: RANGE.least, most_perPa: RANGE.most };

  test('is told once the last ten disagree with the ten before, by how much, and not by chance', () => {
    const drift = driftOf(vft, [...at('past', 10), ...at('right', 10)]);
    expect(drift).toMatchObject({ isSure: true });
    expect(drift!.hotter_K).toBeGreaterThan(8);
    expect(driftOf(vft, [...at('short', 10), ...at('right', 10)])!.hotter_K).toBeLessThan(-8);
    expect(driftOf(vft, at('right', 20))).toMatchObject({ isSure: false, hotter_K: expect.closeTo(0, 6) });
    expect(driftOf(vft, [...at('past', 1), ...at('right', 19)])).toMatchObject({ isSure: false });
    expect(driftOf(vft, at('past', 14))).toBeNull();
  });

  test('older firings say less of where its offset is now', () => {
    const old = learnCorrections(
      vft,
      at('past', 4).map((one) => ({ ...one, age: 200 })),
    );
    const late = learnCorrections(vft, at('past', 4));
    expect(late.offset_sd_K).toBeLessThan(old.offset_sd_K);
  });
});

describe('what was measured', () => {
  const short = { look: 'slump' as const, least_perPa: SLUMP.least, most_perPa: SLUMP.most, work_perPa: SLUMP.least, work_C: 640, outcome: 'short' as const };

  test('tells the factor closer than how it looked does, and nearly by itself', () => {
    const looked = learnCorrections(vft, [short]);
    // It did what the whole way takes, and came as far as two thirds of that reach.
    const measured = learnCorrections(vft, [{ ...short, reached_perPa: SLUMP.least / 1.5 }]);
    expect(measured.workFactor_sd_log).toBeLessThan(looked.workFactor_sd_log);
    const fixed = learnCorrections(vft, [{ ...short, reached_perPa: SLUMP.least / 1.5 }], [{ offset_K: 0, error_K: 0.1 }]);
    expect(fixed.looks[0].factor).toBeGreaterThan(1.35);
    expect(fixed.looks[0].factor).toBeLessThan(1.5);
  });

  test('moves what is believed by less than its own spread where it is absurd', () => {
    const good = Array.from({ length: 6 }, () => ({ ...short, reached_perPa: SLUMP.least / 1.2 }));
    const before = learnCorrections(vft, good);
    const after = learnCorrections(vft, [...good, { ...short, reached_perPa: SLUMP.least / 40 }]);
    expect(Math.abs(Math.log(after.looks[0].factor / before.looks[0].factor))).toBeLessThan(before.looks[0].sd_log);
  });
});

describe('what each firing weighs', () => {
  const tacks = ladder({ offset_K: 0, workFactor: 1.3 }, RANGE, 760).map((one, age) => ({ ...one, look: 'tack' as const, age }));

  test('is what the rest would have taught, its own reading at the glass left out with it', () => {
    const witnesses = [{ offset_K: 9, error_K: 3, age: 2, of: 2 }];
    const all = withoutEach(vft, tacks, witnesses);
    expect(all).toHaveLength(tacks.length);
    expect(all[2]).toEqual(learnCorrections(vft, [...tacks.slice(0, 2), ...tacks.slice(3)]).corrections);
    expect(all[1]).toEqual(learnCorrections(vft, [tacks[0], ...tacks.slice(2)], witnesses).corrections);
  });

  test('leaves the readings of other pieces of the same load where they are, in whatever order they were told', () => {
    const load = tacks.map((one) => ({ ...one, age: 3 }));
    const witnesses = [0, 2].map((of) => ({ offset_K: 9 - of, error_K: 3, age: 3, of }));
    expect(withoutEach(vft, load, witnesses)[2]).toEqual(learnCorrections(vft, [...load.slice(0, 2), ...load.slice(3)], [witnesses[0]]).corrections);
    const turned = withoutEach(vft, [...load].reverse(), [
      { ...witnesses[1], of: load.length - 3 },
      { ...witnesses[0], of: load.length - 1 },
    ]);
    expect(turned[load.length - 3].offset_K).toBeCloseTo(withoutEach(vft, load, witnesses)[2].offset_K, 9);
  });
});

describe('an offset drawn over its firings', () => {
  const factor = { offset_K: 0, workFactor: 1 };
  /** Judged without error in a kiln whose offset is so at each of them, the newest first. */
  const fired = (offsets: readonly number[]): LookSeen[] =>
    offsets.flatMap((offset_K, age) => {
      const share = [0.5, 0.9, 1.6][age % 3];
      const work_perPa = Math.sqrt(RANGE.least * RANGE.most) * share;
      const felt = work_perPa * Math.exp(-offset_K / efold(vft, 760));
      const outcome = felt < RANGE.least ? ('short' as const) : felt > RANGE.most ? ('past' as const) : ('right' as const);
      return [{ look: 'tack' as const, ...ASKED, work_perPa, work_C: 760, outcome, age }];
    });

  test('rises where it rises, and stays where it stays', () => {
    const line = offsetLine(vft, fired(Array.from({ length: 30 }, (_, age) => (age < 12 ? 18 : -6))), factor);
    expect(line[0].at).toBeGreaterThan(line[line.length - 1].at);
    expect(line[line.length - 1].offset_K - line[5].offset_K).toBeGreaterThan(10);
    const level = offsetLine(vft, fired(new Array<number>(30).fill(0)), factor);
    expect(Math.max(...level.map(({ offset_K }) => Math.abs(offset_K)))).toBeLessThan(8);
  });

  test('begins with the fifth firing', () => {
    expect(offsetLine(vft, fired([0, 0, 0, 0]), factor)).toEqual([]);
    expect(offsetLine(vft, fired([0, 0, 0, 0, 0]), factor)).toHaveLength(1);
  });
});
