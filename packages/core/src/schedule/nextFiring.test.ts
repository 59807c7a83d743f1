import { SOFT_90, sheetsOf } from '../testCases';
import { CALCULATORS } from '../calculators/all';
import { efold } from '../flow/heatWork';
import { viscosityOf } from '../glass/viscosity';
import { rememberingSimulator } from '../heat/joints';
import { hottestSegment } from '../heat/regimes';
import type { PurposefulSegment } from '../kiln/segment';
import { PRIOR, below, foresee } from '../learn/corrections';
import { valueOf } from '../problem';
import { METRIC } from '../units/convert';
import { compose } from './compose';
import type { FiringCase } from './firingCase';
import { changeWords } from './nextWords';
import { seenFor } from './bounds';
import { SETUPS } from './setups';

const VFT = viscosityOf(SOFT_90);
const bowl: FiringCase = {
  ...sheetsOf(1, 0.006),
  look: 'slump',
  body: { ...sheetsOf(1, 0.006).body, joined: true, footprint: { shape: 'disc', diameter_m: 0.3 } },
  setup: { ...SETUPS.inMould, shaping: { kind: 'hollow', span_m: 0.28, depth_m: 0.045 } },
};
const planned = valueOf(compose(bowl)).segments;
const hottest = hottestSegment(planned);
const at = (target_C: number, hold_s = 600): PurposefulSegment[] => planned.map((one, i) => (i === hottest ? { ...one, target_C, hold_s } : one));
const next = (asked: Omit<Parameters<typeof CALCULATORS.nextFiring.compute>[0], 'firing'>, firing = bowl) =>
  CALCULATORS.nextFiring.compute({ firing, ...asked }, rememberingSimulator());

describe('the next firing', () => {
  const both = [
    { segments: at(628), outcome: 'short' },
    { segments: at(652), outcome: 'past' },
  ] as const;

  test('between what fell short and what went too far halves the heat work, and changes one figure', () => {
    const told = next({ fired: [...both] });
    expect(told.next).toEqual({ target_C: 640, hold_s: 600 });
    expect(told.reached).toBe(true);
    expect(told.why).toEqual(['628 °C fell short, 652 °C went too far: 640 °C for the same 10 min.']);
    expect(changeWords(told, METRIC)).toBe('12 °C cooler');
    expect(told.segments.filter((_, i) => i !== hottest)).toEqual(planned.filter((_, i) => i !== hottest));
    const { short, right, past } = told.foreseen.chances;
    expect(short + right + past).toBeCloseTo(1, 9);
    expect(right).toBeGreaterThan(Math.max(short, past));
  });

  test('goes back to what was right, where that lies between the two', () => {
    const told = next({ fired: [both[0], { segments: at(634), outcome: 'right' }, both[1]] });
    expect(told.next).toEqual({ target_C: 634, hold_s: 600 });
    expect(told.why).toEqual(['628 °C fell short, 634 °C was right, 652 °C went too far: 634 °C for 10 min does the heat work that was right.']);
    // What was right with less than what fell short says nothing.
    expect(next({ fired: [both[0], { segments: at(610), outcome: 'right' }, both[1]] }).next.target_C).toBe(640);
  });

  test('by its hold stays at its temperature and does the same heat work', () => {
    const [hotter, longer] = [next({ fired: [...both] }), next({ fired: [...both], changes: 'hold' })];
    expect(longer.next.target_C).toBe(652);
    expect(longer.next.hold_s).toBeLessThan(600);
    expect(longer.next.hold_s % 60).toBe(0);
    // A minute is the nearest that can be keyed.
    expect(Math.abs(Math.log(longer.evaluation.work_perPa.mean / hotter.evaluation.work_perPa.mean))).toBeLessThan(0.15);
    expect(longer.reached).toBe(true);
  });

  test('says where one figure alone does not get there', () => {
    const told = next({ fired: [{ segments: at(700, 60), outcome: 'past', by: 'far' }], changes: 'hold' });
    expect(told).toMatchObject({ reached: false, next: { target_C: 700, hold_s: 0 } });
    expect(told.why.at(-1)).toMatch(/hold alone does not get there/);
    // Seven hours at a heat that hardly moves it are no slump.
    const cool = next({ fired: [{ segments: at(595), outcome: 'short', by: 'far' }], changes: 'hold' });
    expect(cool).toMatchObject({ reached: false, next: { target_C: 595 } });
    expect(cool.next.hold_s).toBeLessThanOrEqual(2 * 3600);
    expect(next({ fired: [{ segments: at(595), outcome: 'short', by: 'far' }] }).reached).toBe(true);
  });

  test('halves towards a threshold that nobody told: five firings within 160 °C end within 5 °C of it', () => {
    for (const threshold_C of [583, 611, 642, 677, 702, 731]) {
      const [from, to] = [570, 730].map((target_C) => ({ segments: at(target_C), outcome: target_C < threshold_C ? ('short' as const) : ('past' as const) }));
      const fired: Parameters<typeof next>[0]['fired'] = [from, to];
      if (from.outcome === to.outcome) continue;
      let [low, high] = [570, 730];
      for (let trial = 0; trial < 5; trial += 1) {
        const { target_C } = next({ fired }).next;
        const outcome = target_C < threshold_C ? 'short' : 'past';
        fired.push({ segments: at(target_C), outcome });
        if (outcome === 'short') low = Math.max(low, target_C);
        else high = Math.min(high, target_C);
      }
      expect(Math.abs((low + high) / 2 - threshold_C)).toBeLessThanOrEqual(5);
    }
  });

  test('of the same glass gives it what it still lacks: the work of both comes to what was aimed at', () => {
    const fired = [{ segments: at(628), outcome: 'short', by: 'little' }] as const;
    const another = next({ fired: [...fired] });
    const same = next({ fired: [...fired], again: true });
    const did = next({ fired: [...fired] }).evaluation.work_perPa.mean;
    expect(same.aim_perPa).toBeLessThan(another.aim_perPa);
    expect(same.evaluation.work_perPa.mean).toBeLessThan(did);
    // Both expect about the same of the glass in the end.
    expect(same.foreseen.ofLeast[1] / another.foreseen.ofLeast[1]).toBeGreaterThan(0.7);
    expect(same.foreseen.ofLeast[1] / another.foreseen.ofLeast[1]).toBeLessThan(1.3);
  });

  test('counts all turns of one glass that fell short, and none before something was right', () => {
    const body = { annealing_C: 515, softening_C: 680, mean_m: 0.006, max_m: 0.006, narrow_m: 0.3, far_m: 0.3, joined: true, parts: 0 };
    const turn = (stepId: string, outcome: 'short' | 'right', work_perPa: number) => ({
      ...{ kilnId: 'k', stepId, look: 'slump' as const, formId: 'bowl', outcome, work_perPa, work_C: 630, body },
      ...{ shaping: bowl.setup.shaping },
    });
    const seen = [turn('b', 'short', 2e-6), turn('a', 'short', 3e-6), turn('z', 'right', 9e-6)];
    const where = { formId: 'bowl', formedBy: null };
    expect(seenFor(bowl, { ...where, firedBy: ['b', 'a', 'z'] }, seen)).toEqual({
      short: { work_perPa: expect.closeTo(5e-6, 12), work_C: 630 },
      had: { work_perPa: expect.closeTo(5e-6, 12), work_C: 630 },
    });
    expect(seenFor(bowl, { ...where, firedBy: ['z', 'b'] }, seen)).toEqual({ short: { work_perPa: 3e-6, work_C: 630 } });
  });
});

describe('what can be expected', () => {
  const trial = { work_perPa: 2e-2, least_perPa: 1.6e-2, most_perPa: 4.6e-2, work_C: 800 };

  test('before a firing has taught anything is the prior with the error of a look, as its closed form has it', () => {
    const { chances } = foresee(VFT, [], trial);
    // Offset, factor and look add up; one in twenty tells nothing.
    const sd = Math.hypot(PRIOR.offset_sd_K / efold(VFT, 800), 0.35, 0.2, 0.2);
    expect(chances.short).toBeCloseTo(0.95 * below(Math.log(trial.least_perPa / trial.work_perPa) / sd) + 0.05 / 3, 2);
    expect(chances.past).toBeCloseTo(0.95 * (1 - below(Math.log(trial.most_perPa / trial.work_perPa) / sd)) + 0.05 / 3, 2);
  });

  test('is moved by an absurd result by less than its own spread', () => {
    const right = [1, 2, 3].map(() => ({ ...trial, outcome: 'right' as const }));
    const before = foresee(VFT, right, trial);
    const after = foresee(VFT, [...right, { ...trial, work_perPa: 8e-2, outcome: 'short' as const, by: 'far' as const }], trial);
    const spread = Math.log(before.ofLeast[2] / before.ofLeast[0]) / 2;
    expect(Math.abs(Math.log(after.ofLeast[1] / before.ofLeast[1]))).toBeLessThan(spread);
    expect(after.chances.right).toBeGreaterThan(0.5);
  });

  test('of the same again after it was right is that it is right', () => {
    const once = foresee(VFT, [], trial).chances.right;
    expect(foresee(VFT, [{ ...trial, outcome: 'right' }], trial).chances.right).toBeGreaterThan(once);
  });
});
