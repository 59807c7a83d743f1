/** Firings with no glass in them: what they are composed to, judged by and told as. */
import { BODIES } from '../bodies.testCases';
import { simulateFiring } from '../heat/simulate';
import type { PurposefulSegment } from '../kiln/segment';
import { RECIPES } from '../look/recipes/all';
import { LOOKS } from '../look/names';
import { emptyItemOf } from '../look/shaping';
import { STUDIO_KILN } from '../testCases';
import { METRIC } from '../units/convert';
import { coneBends } from '../emptyFiring/cones';
import { EMPTY_ITEM_KINDS, type EmptyItem, emptyItemPace } from '../emptyFiring/emptyItems';
import { evaluate } from './check';
import { brokenOf } from './reading';
import { compose } from './compose';
import { consequences, segmentDifferences } from './differences';
import { equalWork } from './equalWork';
import { DEFAULT_SCHOOL, type FiringCase } from './firingCase';
import { DEFAULT_LIMITS } from './limits';
import { momentsOf } from './moments';
import { openingTemperature } from './opening';
import { impossibleFiring } from './possible';
import { reckoningOf } from './reckoning';
import { resolved } from './resolved';
import { simulationOf } from './simulationOf';
import { setUpOf } from './setups';
import { followed, heldThrough } from './emptyFiring';
import { ownFigures, readingPhrase, verdictOf, whyOf } from './words';

const BARE = BODIES.filter(([, { look }]) => RECIPES[look].empty);
const bodyOf = (name: string): FiringCase => BARE.find(([one]) => one === name)![1];
const composed = (firing: FiringCase) => {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value;
};
const at = ({ segments }: { segments: PurposefulSegment[] }, role: PurposefulSegment['role']) => segments.find((segment) => segment.role === role)!;

/** A mould of plaster, dried, with something of it otherwise. */
const mould = (item: Partial<EmptyItem>, more: Partial<FiringCase> = {}): FiringCase => ({
  body: { glasses: [], layers: [], footprint: { shape: 'rectangle', width_m: 0.15, length_m: 0.2 }, joined: true },
  setup: setUpOf({ kind: 'bareShelf', paper: false, shaping: { kind: 'ware', of: 'plaster', wall_m: 0.025, wide_m: 0.15, long_m: 0.2, ...item } }),
  kiln: STUDIO_KILN,
  look: 'dryMould',
  school: DEFAULT_SCHOOL,
  limits: DEFAULT_LIMITS,
  ...more,
});

test('every kind of firing without glass, and every ware, is among the bodies that are composed', () => {
  expect(LOOKS.filter((look) => RECIPES[look].empty).length).toBe(4);
  expect(new Set(BARE.map(([, { look }]) => look)).size).toBe(4);
  expect(new Set(BARE.map(([, { setup }]) => emptyItemOf(setup.shaping)!.of)).size).toBe(EMPTY_ITEM_KINDS.length);
});

describe('practice', () => {
  test.each([
    ['a primed shelf', 'work', [230, 300], [10, 40]],
    ['a plaster mould, dried', 'dry', [85, 100], [360, 900]],
    ['a plaster mould, dried', 'work', [160, 220], [60, 240]],
    ['wax burnt out of plaster', 'work', [480, 650], [60, 300]],
    ['binder burnt out of a board', 'work', [430, 700], [20, 60]],
    ['a clay mould, cone 06', 'work', [980, 1010], [0, 30]],
  ] as const)('%s, %s: between %j °C for %j min', (name, role, [from, to], [least, most]) => {
    const { target_C, hold_s } = at(composed(bodyOf(name)), role);
    expect(target_C).toBeGreaterThanOrEqual(from);
    expect(target_C).toBeLessThanOrEqual(to);
    expect(hold_s / 60).toBeGreaterThanOrEqual(least);
    expect(hold_s / 60).toBeLessThanOrEqual(most);
  });

  test('raw clay goes through the loss of its own water at 60 to 100 °C/h, a wall of twice the thickness at half of that', () => {
    expect(at(composed(bodyOf('a clay mould, cone 06')), 'warmUp').rate_C_per_h).toBe(80);
    expect(at(composed(bodyOf('a thick clay mould, cone 04, hotter and shorter')), 'warmUp').rate_C_per_h).toBe(40);
    expect(emptyItemPace({ of: 'clay', wall_m: 0.002 })!.C_per_h).toBe(120);
    expect(emptyItemPace({ of: 'shelf', wall_m: 0.016 })).toBeUndefined();
  });
});

describe('what is judged', () => {
  const plan = composed(mould({}));
  const limits = (firing: FiringCase, segments: PurposefulSegment[]) => brokenOf(evaluate(firing, segments).readings).map(({ limit }) => limit);

  test('the time that the coldest place of the wall is warm, not the time that the kiln is', () => {
    const hold_s = at(plan, 'dry').hold_s;
    const [held] = plan.evaluation.readings.filter(({ limit }) => limit === 'heldThrough');
    expect(held.value).toBeLessThan(hold_s);
    expect(held.value).toBeGreaterThanOrEqual(8 * 3600);
    // By the curve itself, read at every minute.
    const { series } = simulateFiring(followed(simulationOf(mould({}), plan.segments, true)));
    const cold = (t: number): number => {
      const i = Math.max(
        1,
        series!.t_s.findIndex((one) => one >= t),
      );
      const share = (t - series!.t_s[i - 1]) / (series!.t_s[i] - series!.t_s[i - 1]);
      const along = (values: number[]): number => values[i - 1] + share * (values[i] - values[i - 1]);
      return Math.min(along(series!.skin_C), along(series!.core_C));
    };
    const minutes = Array.from({ length: Math.floor(plan.evaluation.simulation.total_s / 60) }, (_, i) => 60 * i);
    const warm = minutes.filter((t) => cold(t) >= 180).length * 60;
    expect(Math.abs(heldThrough(series!, 180) - warm)).toBeLessThan(120);
  });

  test('a hold over the boil dries nothing: it bursts', () => {
    const boiling = plan.segments.map((one) => (one.role === 'dry' ? { ...one, target_C: 120 } : one));
    expect(limits(mould({}), boiling)).toEqual(['heldThrough']);
  });

  test('a hold that is cut short, a climb that is hurried, a top that crumbles, a kiln that is opened hot', () => {
    const changed = (role: PurposefulSegment['role'], part: Partial<PurposefulSegment>) =>
      plan.segments.map((one) => (one.role === role ? { ...one, ...part } : one));
    expect(limits(mould({}), plan.segments)).toEqual([]);
    expect(limits(mould({}), changed('dry', { hold_s: 3600 }))).toEqual(['heldThrough']);
    expect(limits(mould({}), changed('work', { rate_C_per_h: 200 }))).toContain('mouldPace');
    expect(limits(mould({}), changed('work', { rate_C_per_h: null }))).toContain('mouldPace');
    expect(limits(mould({}), changed('work', { target_C: 950, rate_C_per_h: 50 }))).toContain('shelfTop');
    expect(limits(mould({}), changed('lastCool', { target_C: 150 }))).toContain('opening');
    expect(openingTemperature(mould({ wall_m: 0.05 }))).toBe(DEFAULT_LIMITS.open_C);
  });

  test('what cools too fast where quartz leaps', () => {
    const clay = bodyOf('a clay mould, cone 06');
    const fired = composed(clay);
    const left = fired.segments.map((one) => (one.role === 'firstCool' ? { ...one, rate_C_per_h: null } : one));
    expect(limits(clay, left)).toContain('mouldPace');
  });

  test('the cone of its coldest place, by heat and time: ten degrees cooler and held, or hotter and not, come to the same', () => {
    const clay = bodyOf('a clay mould, cone 06');
    const fired = composed(clay);
    const came = (segments: PurposefulSegment[]): number => evaluate(clay, segments).readings.find(({ limit }) => limit === 'coneLeast')!.value;
    const moved = (by_C: number, hold_s: number) =>
      fired.segments.map((one) => (one.role === 'work' ? { ...one, target_C: one.target_C + by_C, hold_s } : one));
    expect(Math.abs(came(fired.segments) - coneBends('06'))).toBeLessThan(3);
    expect(came(moved(-10, 900))).toBeLessThan(came(moved(-10, 5400)));
    expect(came(moved(20, 0))).toBeGreaterThan(came(moved(0, 0)));
    expect(limits(clay, moved(-40, 0))).toEqual(['coneLeast']);
    expect(limits(clay, moved(40, 900))).toEqual(['coneMost']);
    // The hotter school climbs faster and higher, and comes to the same.
    const hotter = composed({ ...clay, school: { ...clay.school, heat: 'hotter' } });
    expect(at(hotter, 'work').target_C).toBeGreaterThan(at(fired, 'work').target_C);
    expect(Math.abs(came(hotter.segments) - coneBends('06'))).toBeLessThan(3);
  });

  test('nothing of glass: no tension, no haze, no heat work', () => {
    const { readings, work_perPa, simulation } = plan.evaluation;
    expect(readings.every(({ limit }) => !['pull', 'climbing', 'setting', 'haze', 'residual', 'workLeast', 'even'].includes(limit))).toBe(true);
    expect(work_perPa).toEqual({ least: 0, mean: 0, most: 0 });
    expect(simulation.series).toBeUndefined();
    for (const { tension_max_Pa, haze_s, heatWork_perPa } of simulation.segments) expect([tension_max_Pa, haze_s, heatWork_perPa]).toEqual([0, 0, 0]);
    expect(momentsOf(plan.segments, simulation).look.to_s).toBeGreaterThan(0);
  });

  test('a mesh twice as fine tells the same within a minute in eight hours', () => {
    const input = followed(simulationOf(mould({}), plan.segments, true));
    const [usual, fine] = [input, { ...input, resolution: { glassIntervals: 80, stepShare: 0.5 } }].map((one) =>
      heldThrough(simulateFiring(one).series!, 85, 100),
    );
    expect(Math.abs(usual - fine)).toBeLessThan(60);
  });
});

describe('what cannot be', () => {
  const problem = (firing: FiringCase) => impossibleFiring(firing, 'mm');

  test('is refused at its field, by compose as well', () => {
    expect(problem(mould({ of: 'shelf' }))).toMatchObject({
      path: 'setup.shaping.of',
      message: expect.stringMatching(/plaster mould or castable mould or fired clay mould, not for a shelf/),
    });
    expect(problem(mould({ wall_m: 0.16 }))).toMatchObject({ path: 'setup.shaping.wall_m' });
    expect(problem(mould({ of: 'clay' }, { look: 'bisque' }))).toMatchObject({ path: 'setup.shaping.cone' });
    expect(problem(mould({}, { setup: setUpOf({ kind: 'bareShelf', paper: false }) }))).toMatchObject({ path: 'setup.shaping' });
    expect(problem(mould({}, { kiln: { ...STUDIO_KILN, insideWidth_m: 0.12, insideLength_m: 0.3 } }))).toMatchObject({ path: 'kilnId' });
    expect(problem(mould({}, { look: 'fullFuse', setup: setUpOf({ kind: 'bareShelf', paper: false }) }))).toMatchObject({ path: 'body.layers' });
    expect(compose(mould({ of: 'clay', cone: '04' }, { look: 'bisque' }))).toMatchObject({
      ok: false,
      problem: { code: 'above-kiln-top', message: expect.stringMatching(/asks for 10\d\d °C and the kiln goes to/) },
    });
  });

  test('is told by what simulates too, and heat work is not asked of it', () => {
    expect(() => evaluate(mould({}, { look: 'fullFuse', setup: setUpOf({ kind: 'bareShelf', paper: false }) }), [])).toThrow(/needs glass/);
    expect(() => equalWork(mould({}), composed(mould({})).segments, 250, 1)).toThrow(/heat work/);
  });
});

describe('what is said', () => {
  test.each(BARE)('%s: each segment has its reason, every reading its reckoning, in both units, and none speaks of glass as fired', (_, firing) => {
    const plan = composed(firing);
    for (const units of [METRIC, { temperature: 'F', length: 'in', mass: 'oz' } as const]) {
      const reckoned = plan.evaluation.readings.flatMap((reading) => [
        readingPhrase(reading, units),
        ...reckoningOf({ firing, segments: plan.segments, evaluation: plan.evaluation, reading, units }),
      ]);
      const said = [
        ...plan.segments.map((segment) => whyOf(firing, segment, units.length)),
        ...verdictOf(firing, plan.evaluation, units, plan.segments),
        ...reckoned,
        ownFigures(firing, plan.evaluation, units)[0].sentence,
      ].join('\n');
      expect(said).not.toMatch(/undefined|NaN|Infinity|brittle|soaks|the glass|No controlled cool/);
      expect(said).toMatch(/Keeps every limit/);
      if (units.temperature === 'F') expect(said).not.toMatch(/°C| mm\b/);
      for (const segment of plan.segments) expect(whyOf(firing, segment, units.length).length).toBeLessThanOrEqual(64);
    }
  });

  test('the cone that it comes to, or for how long it is warm', () => {
    const [cone, dries] = ['a clay mould, cone 06', 'a plaster mould, dried'].map(
      (name) => ownFigures(bodyOf(name), composed(bodyOf(name)).evaluation, METRIC)[0],
    );
    expect(cone).toMatchObject({ label: 'comes to cone', figure: '06' });
    expect(dries.sentence).toMatch(/warm and not yet boiling for 8 h \d\d; a wall like this takes about 8 h 00/);
  });
});

test('a shelf that is fired itself lies on no other shelf, and stands as fast as its size bears', () => {
  const shelf = bodyOf('a primed shelf');
  expect(shelf.setup.below).toEqual([]);
  expect(bodyOf('a plaster mould, dried').setup.below.length).toBe(1);
  expect(resolved(shelf).setup.top_C).toBe(1250);
  expect(resolved(mould({})).setup.top_C).toBe(900);
  const hurried = composed(shelf).segments.map((one) => (one.role === 'work' ? { ...one, rate_C_per_h: 400 } : one));
  expect(brokenOf(evaluate(shelf, hurried).readings).map(({ limit }) => limit)).toEqual(['shelfPace']);
});

test('two of them are compared by what they are fired for, one with glass by what both have', () => {
  const clay = bodyOf('a clay mould, cone 06');
  const [one, other] = [clay, { ...clay, school: { ...clay.school, heat: 'hotter' as const } }].map((firing) => ({ firing, ...composed(firing) }));
  const rows = consequences(one, other, METRIC);
  expect(rows.map(({ what }) => what)).toEqual(['done', 'through it', 'pace', 'in all']);
  expect(rows[0]).toMatchObject({ before: { figure: 'comes to cone 06' }, differs: false });
  expect(rows[3].differs).toBe(true);
  expect(segmentDifferences(one.segments, other.segments, 'C').join(' ')).toMatch(
    /^Work: target \d+ °C for \d+ °C, rate 105 °C\/h for 60 °C\/h, hold 5 min for 15 min\.$/,
  );
  const glass = BODIES[0][1];
  const mixed = consequences(one, { firing: glass, ...composed(glass) }, METRIC);
  expect(mixed.find(({ what }) => what === 'heat work')).toMatchObject({ before: { figure: '–' }, differs: true });
});
