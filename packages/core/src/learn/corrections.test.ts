import { SOFT_90 } from '../testCases';
import { viscosityOf } from '../glass/viscosity';
import { efold } from '../flow/heatWork';
import { type LookSeen, learnCorrections, nextRung } from './corrections';

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

  test('a ladder halves the interval in the logarithm of work', () => {
    const rung = nextRung(1e-2, 4e-2);
    const seen = (['short', 'past', 'past'] as const).map((outcome, i) => ({ work_perPa: [1e-2, 4e-2, 9e-2][i], ...ASKED, work_C: 800, outcome }));
    expect(learnCorrections(vft, seen).nextWork_perPa).toBeCloseTo(rung, 12);
    expect(learnCorrections(vft, seen.slice(1)).nextWork_perPa).toBeNull();
    expect(rung).toBeCloseTo(2e-2, 12);
    expect(Math.log(rung / 1e-2)).toBeCloseTo(Math.log(4e-2 / rung), 12);
  });
});
