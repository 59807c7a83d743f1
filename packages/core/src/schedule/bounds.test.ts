import fc from 'fast-check';
import { SOFT_90, sheetsOf } from '../testCases';
import { efold } from '../flow/heatWork';
import { viscosityOf } from '../glass/viscosity';
import type { Look } from '../look/names';
import type { Shaping } from '../look/shaping';
import { aimedWork, neededWork } from '../look/work';
import { valueOf } from '../problem';
import { evaluate } from './check';
import { compose } from './compose';
import type { FiringCase } from './firingCase';
import { resolved } from './resolved';
import { SETUPS } from './setups';
import { verdictOf } from './words';
import { METRIC } from '../units/convert';
import { type SeenFiring, boundedBy, seenBody, seenFor } from './bounds';
import type { SeenWork } from './seenWork';

const VFT = viscosityOf(SOFT_90);
const BOWL = { kind: 'hollow', span_m: 0.28, depth_m: 0.045 } as const satisfies Shaping;
const slump = (shaping: Shaping = BOWL, look: Look = 'slump'): FiringCase => ({
  ...sheetsOf(1, 0.006),
  look,
  body: { ...sheetsOf(1, 0.006).body, joined: true, footprint: { shape: 'disc', diameter_m: 0.3 } },
  setup: { ...SETUPS.inMould, shaping },
});
const firing = slump();
const usual = valueOf(neededWork(firing.body, 'slump', firing.limits.works_perPa, BOWL));
const aim = aimedWork('slump', usual);
const told = (outcome: SeenFiring['outcome'], work_perPa: number, more: Partial<SeenFiring> = {}): SeenFiring => ({
  ...{ kilnId: 'k', stepId: 'other', look: 'slump', formId: 'bowl', outcome, work_perPa, work_C: 640, body: seenBody(firing), shaping: BOWL },
  ...more,
});
const here = { formId: 'bowl', formedBy: null };
/** The heat work aimed at after what was seen, by what the controller reads. */
const next = (seen: readonly SeenFiring[], of: FiringCase = firing): number => {
  const range = valueOf(resolved({ ...of, ...(seenFor(of, here, seen) ? { seen: seenFor(of, here, seen) } : {}) }).work_perPa);
  return aimedWork(of.look, range) * Math.exp((of.corrections?.offset_K ?? 0) / efold(VFT, 640));
};

const factor = fc.double({ min: -2.5, max: 2.5, noNaN: true }).map(Math.exp);

describe('the next of its kind', () => {
  test('goes past what fell short, whatever else is believed of kiln and looks', () => {
    fc.assert(
      fc.property(factor, fc.double({ min: -15, max: 15, noNaN: true }), fc.double({ min: 0.4, max: 2.5, noNaN: true }), (of, offset_K, workFactor) => {
        const corrected = { ...firing, corrections: { offset_K, workFactor } };
        const short = aim * of;
        expect(next([told('short', short)], corrected)).toBeGreaterThan(1.15 * short);
      }),
      { numRuns: 200, seed: 36 },
    );
  });

  test('stays under what went too far, whatever else is believed', () => {
    fc.assert(
      fc.property(factor, fc.double({ min: -15, max: 15, noNaN: true }), fc.double({ min: 0.4, max: 2.5, noNaN: true }), (of, offset_K, workFactor) => {
        const past = aim * of;
        expect(next([told('past', past)], { ...firing, corrections: { offset_K, workFactor } })).toBeLessThan(past / 1.15);
      }),
      { numRuns: 200, seed: 37 },
    );
  });

  test('lies between the two, near their middle in the logarithm', () => {
    fc.assert(
      fc.property(
        factor,
        fc.double({ min: 1.05, max: 30, noNaN: true }),
        fc.constantFrom('slump', 'tack', 'fullFuse', 'openCast') as fc.Arbitrary<Look>,
        (of, apart, look) => {
          const range = boundedBy(usual, { short: { work_perPa: aim * of, work_C: 640 }, past: { work_perPa: aim * of * apart, work_C: 640 } }, VFT, 0);
          const planned = aimedWork(look, range);
          expect(planned).toBeGreaterThan(aim * of);
          expect(planned).toBeLessThan(aim * of * apart);
          expect(Math.abs(Math.log(planned / (aim * of * Math.sqrt(apart))))).toBeLessThan(look === 'openCast' ? 0.5 : 0.25);
          expect(range.most / range.least).toBeLessThanOrEqual(5 + 1e-9);
        },
      ),
      { numRuns: 200, seed: 38 },
    );
    // Where more fell short than went too far, the two say nothing but their middle.
    const crossed = boundedBy(usual, { short: { work_perPa: 2e-5, work_C: 640 }, past: { work_perPa: 1e-5, work_C: 640 } }, VFT, 0);
    expect(Math.sqrt(crossed.least * crossed.most)).toBeCloseTo(Math.sqrt(2) * 1e-5, 9);
  });

  test('goes by the nearest of several, and further from what was far off', () => {
    const seen = [told('short', 0.3 * aim), told('short', 0.8 * aim), told('right', aim), told('past', 3 * aim), told('past', 1.6 * aim)];
    expect(seenFor(firing, here, seen)).toEqual({ short: { work_perPa: 0.8 * aim, work_C: 640 }, past: { work_perPa: 1.6 * aim, work_C: 640 } });
    expect(next([told('short', aim, { by: 'far' })])).toBeGreaterThan(1.6 * aim);
    expect(next([told('past', aim, { by: 'far' })])).toBeLessThan(aim / 1.6);
    expect(seenFor(firing, here, [told('right', aim)])).toBeUndefined();
  });

  test.each([
    ['another form', { formId: 'dish' }],
    ['another depth', { body: { ...seenBody(firing), mean_m: 0.0055, max_m: 0.0055 } }],
    ['a larger blank', { body: { ...seenBody(firing), narrow_m: 0.33, far_m: 0.33 } }],
    ['another glass', { body: { ...seenBody(firing), softening_C: 665 } }],
    ['loose sheets', { body: { ...seenBody(firing), joined: false } }],
    ['a blank with parts on it', { body: { ...seenBody(firing), parts: 1 } }],
    ['another look', { look: 'drape' as Look }],
    ['a deeper mould', { shaping: { ...BOWL, depth_m: 0.06 } }],
    ['an oval one', { shaping: { ...BOWL, plan: 'oval' as const } }],
    ['one that was half-way down', { shaping: { ...BOWL, down_m: 0.02 } }],
    ['one without a shape', { shaping: undefined }],
  ])('is not bound by %s', (_, more) => {
    expect(seenFor(firing, here, [told('short', 5 * aim, more)])).toBeUndefined();
    expect(next([told('short', 5 * aim, more)])).toBeCloseTo(aim, 12);
  });

  test('of a hand’s breadth less in size is still of its kind', () => {
    const nearly = { body: { ...seenBody(firing), narrow_m: 0.297, far_m: 0.297, mean_m: 0.0062, max_m: 0.0062 }, shaping: { ...BOWL, depth_m: 0.046 } };
    expect(seenFor(firing, here, [told('short', aim, nearly)])).toBeDefined();
  });
});

describe('what came out half-way', () => {
  const half = slump({ ...BOWL, down_m: 0.02 });
  const reckoned = valueOf(neededWork(firing.body, 'slump', firing.limits.works_perPa, { ...BOWL, depth_m: 0.02 })).least;
  const rest = valueOf(neededWork(firing.body, 'slump', firing.limits.works_perPa, { ...BOWL, down_m: 0.02 }));

  test('goes on by what the way so far took: three times what was reckoned for it asks three times for the rest', () => {
    const seen = seenFor(half, { formId: 'bowl', formedBy: 's1' }, [told('short', 3 * reckoned, { stepId: 's1' })]);
    expect(seen).toEqual({ soFar: { work_perPa: 3 * reckoned, work_C: 640, reckoned_perPa: expect.closeTo(reckoned, 12) } });
    expect(valueOf(resolved({ ...half, seen }).work_perPa).least).toBeCloseTo(3 * rest.least, 12);
  });

  test('is believed within a factor of four, and nothing is taken from another piece, or from one that was there', () => {
    const seen = seenFor(half, { formId: 'bowl', formedBy: 's1' }, [told('short', 90 * reckoned, { stepId: 's1' })]);
    expect(valueOf(resolved({ ...half, seen }).work_perPa).least).toBeCloseTo(4 * rest.least, 12);
    expect(seenFor(half, { formId: 'bowl', formedBy: 's1' }, [told('short', reckoned, { stepId: 's2' })])).toBeUndefined();
    expect(seenFor(half, { formId: 'bowl', formedBy: 's1' }, [told('right', reckoned, { stepId: 's1' })])).toBeUndefined();
    expect(seenFor(half, { formId: 'bowl', formedBy: null }, [told('short', reckoned, { stepId: 's1' })])).toBeUndefined();
  });
});

describe('a plan that was composed with it', () => {
  const done = (seen: SeenWork | undefined): { work: number; said: string } => {
    const bound = { ...firing, ...(seen ? { seen } : {}) };
    const plan = valueOf(compose(bound));
    return { work: plan.evaluation.work_perPa.mean, said: verdictOf(bound, plan.evaluation, METRIC, plan.segments).join(' ') };
  };

  test('keeps every limit between a slump too far and one too short, and says what they were', () => {
    const usualPlan = done(undefined);
    expect(usualPlan.said).not.toMatch(/In this kiln/);
    const [past, short] = [0.9 * usualPlan.work, 0.4 * usualPlan.work];
    const { work, said } = done({ past: { work_perPa: past, work_C: 640 }, short: { work_perPa: short, work_C: 640 } });
    expect(work).toBeGreaterThan(short);
    expect(work).toBeLessThan(past);
    expect(said).toMatch(/Keeps every limit/);
    expect(said).toMatch(/In this kiln the same slump fell short with \d\d % of this heat work and went too far with 1\d\d %\./);
  });

  test('is told where it was edited back against what was seen', () => {
    const plan = valueOf(compose(firing));
    const bound = { ...firing, seen: { short: { work_perPa: 1.5 * plan.evaluation.work_perPa.mean, work_C: 640 } } };
    const evaluation = evaluate(bound, plan.segments);
    expect(evaluation.readings.find(({ limit }) => limit === 'workLeast')).toMatchObject({ ok: false });
    expect(verdictOf(bound, evaluation, METRIC, plan.segments).join(' ')).toMatch(
      /fell short with 150 % of this heat work\. As it stands it does no more than what fell short/,
    );
    const hot = { ...firing, seen: { past: { work_perPa: 0.5 * plan.evaluation.work_perPa.mean, work_C: 640 } } };
    expect(verdictOf(hot, evaluate(hot, plan.segments), METRIC, plan.segments).join(' ')).toMatch(
      /went too far with 50 % of this heat work\. As it stands it does no less/,
    );
  });
});
