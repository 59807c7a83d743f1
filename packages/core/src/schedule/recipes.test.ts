/** What each kind of firing asks for, gets and tells, beside the landmarks of the fused looks. */
import { footprintArea } from '../body/footprint';
import type { Layer } from '../body/layers';
import type { FormShape } from '../form/shape';
import { naturalDepth } from '../body/body';
import { BODIES, bodyNamed, composed } from '../bodies.testCases';
import type { Role } from '../kiln/segment';
import { RECIPES } from '../look/recipes/all';
import { LOOKS, type Look } from '../look/names';
import type { Shaping } from '../look/shaping';
import { SOFT_90, STUDIO_KILN, sheetsOf } from '../testCases';
import { METRIC, otherUnits } from '../units/convert';
import { evaluate, filledShare } from './check';
import { brokenOf } from './reading';
import { type Composed, compose } from './compose';
import type { FiringCase } from './firingCase';
import { impossibleFiring } from './possible';
import { resolved } from './resolved';
import { simulationOf } from './simulationOf';
import { type Stand, SETUPS, setUpOf, usualStand } from './setups';
import { shelfPace, standPace } from './shelfPace';
import { brokenSentence, ownFigures, verdictOf, whyOf } from './words';

const at = (plan: Composed, role: Role) => plan.segments.find((segment) => segment.role === role)!;
const frit = (perArea_kg_m2: number, grain_m: number): Layer => ({ form: 'frit', glass: 0, perArea_kg_m2, grain_m });
const of = (look: Look, layers: Layer[], diameter_m: number, shaping?: Shaping): FiringCase => {
  const base = sheetsOf(1, 0.003);
  return {
    ...base,
    look,
    kiln: { ...STUDIO_KILN, top_C: 1000 },
    setup: { ...SETUPS.bareShelf, ...(shaping ? { shaping } : {}) },
    body: { ...base.body, layers, footprint: { shape: 'disc', diameter_m } },
  };
};
const told = (firing: FiringCase, plan: Composed) => ownFigures(firing, plan.evaluation, METRIC)[0];

describe('practice, for soft sheet 90', () => {
  test.each([
    ['stuck with crisp edges', [690, 715], [8, 25]],
    ['a coated pendant, rushed', [740, 790], [3, 15]],
    ['a wafer, sifted', [690, 730], [2, 25]],
    ['lace of medium frit', [775, 815], [10, 25]],
    ['a heap of 200 g', [800, 860], [15, 60]],
    ['strips on edge', [770, 815], [10, 40]],
    ['a ring of segments', [795, 825], [20, 90]],
    ['pressed under a plate', [790, 850], [20, 90]],
    ['dripped through a grid', [880, 930], [120, 300]],
    ['melted from a pot', [880, 930], [120, 300]],
    ['melted from a pot into a dam', [870, 930], [120, 300]],
    ['cast of frit, 50 mm', [780, 870], [120, 600]],
    ['cast of soft sheet, 40 mm', [780, 870], [120, 600]],
    ['cast of lead crystal, 30 mm', [740, 840], [120, 600]],
    ['cast hollow', [780, 870], [120, 600]],
    ['cast from a reservoir', [780, 870], [120, 600]],
    ['stuck in its mould, 300 mm', [495, 530], [10, 60]],
    ['a thick one, stuck', [495, 530], [10, 60]],
  ] as const)('%s: between %j °C for %j min', (name, [from, to], [least, most]) => {
    const { target_C, hold_s } = at(composed(bodyNamed(name)), 'work');
    expect(target_C).toBeGreaterThanOrEqual(from);
    expect(target_C).toBeLessThanOrEqual(to);
    expect(hold_s / 60).toBeGreaterThanOrEqual(least);
    expect(hold_s / 60).toBeLessThanOrEqual(most);
  });

  test.each([
    ['cast of soft sheet, 40 mm', [2, 4]],
    ['cast of frit, 50 mm', [2, 4]],
    ['cast, 100 mm', [6, 13]],
  ] as const)('%s: %j days in all, the mould dried first', (name, [least, most]) => {
    const plan = composed(bodyNamed(name));
    const days = plan.evaluation.simulation.total_s / 86400;
    expect(days).toBeGreaterThanOrEqual(least);
    expect(days).toBeLessThanOrEqual(most);
    expect(at(plan, 'dry').target_C).toBeLessThanOrEqual(100);
    expect(at(plan, 'dry').hold_s).toBeGreaterThanOrEqual(8 * 3600);
    expect(plan.segments.some(({ role }) => role === 'squeeze')).toBe(false);
    // Quartz in the mould is behind it before it may go faster.
    expect(at(plan, 'warmUp').target_C).toBeGreaterThanOrEqual(600);
  });

  test('every kind of firing is among the bodies that are composed', () => {
    expect([...new Set(BODIES.map(([, { look }]) => look))].sort()).toEqual([...LOOKS].sort());
  });
});

describe('a recipe', () => {
  test.each(LOOKS)('%s has its own words for the check, and figures in none of them', (look) => {
    const { looksLike, care, reaches, spares, name } = RECIPES[look];
    const words = [...Object.values(looksLike), care, reaches, spares];
    expect(new Set(words).size).toBe(words.length);
    for (const one of words) expect(one).toMatch(/^[^\d]{10,}$/);
    expect(`a ${name.toLowerCase()}`).not.toMatch(/^a [aeio]/);
  });

  test.each(LOOKS.filter((look) => RECIPES[look].asks))('%s is refused without its form, in a sentence that says what is missing', (look) => {
    const firing = of(look, [frit(30, 0.004)], 0.1);
    expect(impossibleFiring(firing, 'mm')).toMatchObject({ path: 'setup.shaping', message: expect.stringContaining(RECIPES[look].asks!.what) });
    expect(compose(firing)).toMatchObject({ ok: false });
  });

  test('a casting is as deep as its thickest section, and warmed no faster than its mould bears', () => {
    const even = bodyNamed('cast of frit, 50 mm');
    expect(resolved(even).depth_m.fired).toBeCloseTo(0.05, 9);
    expect(resolved(bodyNamed('cast thick and thin')).depth_m.fired).toBeCloseTo(0.05, 9);
    const plan = composed(even);
    const { readings } = plan.evaluation;
    expect(readings.find(({ limit }) => limit === 'mouldPace')).toMatchObject({ value: 60, allowed: 60, ok: true });
    // A wall twice as thick, half as fast, and four times as long to dry.
    const walled = (wall_m: number) =>
      composed({
        ...even,
        setup: setUpOf({ kind: 'inInvestment', paper: false, wet: 'damp', shaping: { kind: 'cavity', thick_m: 0.05, thin_m: 0.05, wall_m } }),
      });
    const [thin, thick] = [walled(0.025), walled(0.05)];
    expect(at(thick, 'warmUp').rate_C_per_h! / at(thin, 'warmUp').rate_C_per_h!).toBeCloseTo(0.5, 6);
    expect(at(thick, 'dry').hold_s / at(thin, 'dry').hold_s).toBeCloseTo(4, 6);
    expect(verdictOf(even, plan.evaluation, METRIC, plan.segments).join(' ')).toContain('annealed within its mould, 50 mm deep');
  });

  test('a casting whose thickest part is a rod or a ball is warmed as its frit lies, and cooled as that: faster than a slab so thick', () => {
    const rod = bodyNamed('cast of frit, a rod of 30 mm');
    const { shaping } = rod.setup;
    const flat: FiringCase = { ...rod, setup: { ...rod.setup, shaping: { kind: 'cavity', thick_m: 0.03, thin_m: 0.03, wall_m: 0.025 } } };
    const [slender, slab] = [composed(rod), composed(flat)];
    expect(at(slender, 'warmUp')).toEqual(at(slab, 'warmUp'));
    expect(at(slender, 'firstCool').rate_C_per_h!).toBeGreaterThan(1.2 * at(slab, 'firstCool').rate_C_per_h!);
    const level = simulationOf(rod, slender.segments, false, 'level');
    expect(level.shape).toBeUndefined();
    expect(level.faces.bottom).toEqual(level.faces.top);
    const laid = simulationOf(rod, slender.segments);
    expect([laid.shape, laid.sidesLag_s]).toEqual([undefined, undefined]);
    expect(laid.stack.length).toBeGreaterThan(2);
    expect(verdictOf(rod, slender.evaluation, METRIC, slender.segments).join(' ')).toContain('annealed within its mould, a rod of 30 mm');
    expect(shaping).toMatchObject({ slender: 'cylinder' });
  });

  test('frit in a mould is held while it sinks together by those who do so, and nothing else is', () => {
    const straight = bodyNamed('cast of frit, 25 mm');
    const held = bodyNamed('cast of frit, held while it sinks');
    const [one, other] = [composed(straight), composed(held)];
    expect(at(other, 'settle')).toMatchObject({ target_C: 670, hold_s: 5400 });
    expect(one.segments.some(({ role }) => role === 'settle')).toBe(false);
    const haze = ({ evaluation }: Composed): number => evaluation.readings.find(({ limit }) => limit === 'haze')!.value;
    expect(haze(other) - haze(one)).toBeGreaterThan(1800);
    for (const name of ['cast of billets, 50 mm', 'two sheets, full fuse']) {
      const firing = { ...bodyNamed(name), school: { ...held.school } };
      expect(composed(firing).segments.some(({ role }) => role === 'settle')).toBe(false);
    }
  });

  test('haze is the glass’s own: what is made for casting bears more, and a record may say how much', () => {
    const allowed = (firing: FiringCase): number => composed(firing).evaluation.readings.find(({ limit }) => limit === 'haze')!.allowed;
    expect(allowed(bodyNamed('cast of frit, 25 mm')) / 3600).toBe(96);
    const soft = bodyNamed('cast of soft sheet, 40 mm');
    expect(allowed(soft)).toBe(soft.limits.haze_s);
    const easily: FiringCase = { ...soft, body: { ...soft.body, glasses: [{ ...soft.body.glasses[0], hazeBears_s: 600 }] } };
    expect(allowed(easily)).toBe(600);
    expect(brokenOf(composed(easily).evaluation.readings).map(({ limit }) => limit)).toEqual(['haze']);
  });

  test('a detail finer than its own skin is refused at its field, and a reservoir presses into what an open mould does not', () => {
    const cavity = { thick_m: 0.02, thin_m: 0.02, wall_m: 0.025, detail_m: 0.0005 };
    const layers = [frit(40, 0.004)];
    expect(compose(of('openCast', layers, 0.1, { kind: 'cavity', ...cavity }))).toMatchObject({ ok: false, problem: { path: 'setup.shaping.detail_m' } });
    expect(compose(of('reservoirCast', layers, 0.1, { kind: 'reservoir', ...cavity, hole_m: 0.03, plate_m: 0.04 })).ok).toBe(true);
    expect(impossibleFiring(of('openCast', [frit(90, 0.004)], 0.1, { kind: 'cavity', ...cavity }), 'mm')).toMatchObject({ path: 'setup.shaping.thick_m' });
    expect(impossibleFiring(of('openCast', layers, 0.1, { kind: 'cavity', ...cavity, thin_m: 0.03 }), 'mm')).toMatchObject({ path: 'setup.shaping.thin_m' });
  });

  test('tells how far it got in the units asked for', () => {
    const firing = bodyNamed('melted from a pot');
    const plan = composed(firing);
    const inches = ownFigures(firing, plan.evaluation, otherUnits(METRIC))[0];
    expect(told(firing, plan).sentence).toMatch(/\d+ g runs out and \d+ g stays above; .* mm across/);
    expect(inches.sentence).toMatch(/oz .* in across/);
    expect(inches.sentence).not.toMatch(/ mm| g /);
    expect(verdictOf(firing, plan.evaluation, METRIC, plan.segments)).toContain(told(firing, plan).sentence);
  });
});

describe('what runs out of a pot', () => {
  test('is cooled as it lies below: as deep as hot glass rests, or as its dam makes it', () => {
    const free = resolved(bodyNamed('melted from a pot'));
    expect(free.depth_m.fired).toBeCloseTo(naturalDepth(free.glass), 9);
    expect(free.depth_m.laid).toBeGreaterThan(0.03);
    const dammed = resolved(bodyNamed('melted from a pot into a dam'));
    expect(dammed.depth_m.fired).toBeGreaterThan(0.018);
    expect(at(composed(dammed), 'firstCool').rate_C_per_h!).toBeLessThan(at(composed(free), 'firstCool').rate_C_per_h! / 2);
  });

  test('is less the shorter it is held', () => {
    const firing = bodyNamed('melted from a pot');
    const { segments } = composed(firing);
    const share = (hold_s: number): number => {
      const { work_perPa } = evaluate(
        firing,
        segments.map((one) => (one.role === 'work' ? { ...one, hold_s } : one)),
      );
      return Number(ownFigures(firing, { readings: [], work_perPa }, METRIC)[0].figure);
    };
    expect(share(1800)).toBeLessThan(share(3600));
    expect(share(3600)).toBeLessThan(share(4 * 3600));
  });

  test('is nothing where its hole is so narrow that the glass hangs in it', () => {
    const outcome = compose(of('potMelt', [frit(15, 0.004)], 0.1, { kind: 'drain', holes: 1, hole_m: 0.002, plate_m: 0.005 }));
    expect(outcome).toMatchObject({ ok: false, problem: { path: 'setup.shaping.hole_m' } });
  });

  test('leaves above what its holes hold back, and says how much and from how wide on none', () => {
    const through = (hole_m: number): FiringCase => of('drip', [frit(37.5, 0.004)], 0.1, { kind: 'drain', holes: 30, hole_m, plate_m: 0.003 });
    const sentence = (firing: FiringCase): string => told(firing, composed(firing)).sentence;
    // 15 mm deep through 3 mm: 22 % stay above holes of 6 mm. What is waited for is most of the rest.
    expect(sentence(through(0.006))).toMatch(/Holes of 6 mm hold 6[0-9] g of it back for good, however hot: from 16\.8 mm on they hold nothing\./);
    expect(Number(told(through(0.006), composed(through(0.006))).figure)).toBeGreaterThan(64);
    expect(sentence(through(0.0175))).not.toMatch(/back for good/);
  });
});

describe('a plate', () => {
  const press = (plate_kg: number, spacer_m = 0.006): FiringCase => of('press', [frit(40, 0.004)], 0.1, { kind: 'press', spacer_m, plate_kg, plate_m: 0.02 });

  test('comes down on its spacers; twice its weight needs half the work', () => {
    expect(told(press(4), composed(press(4)))).toMatchObject({ label: 'pressed to', figure: '6', unit: 'mm' });
    const least = (firing: FiringCase): number => {
      const { work_perPa } = resolved(firing);
      if (!work_perPa.ok) throw new Error(work_perPa.problem.message);
      return work_perPa.value.least;
    };
    expect(least(press(4)) / least(press(8))).toBeCloseTo(2, 6);
  });

  test('is not corrected by what looks have taken: it hangs on weights', () => {
    const corrections = { offset_K: 0, workFactor: 1.4 };
    const taught = composed({ ...press(4), corrections });
    expect(taught.segments).toEqual(composed(press(4)).segments);
    expect(verdictOf({ ...press(4), corrections }, taught.evaluation, METRIC, taught.segments).join(' ')).not.toMatch(/Aimed at/);
    const fused = { ...sheetsOf(2, 0.003), corrections };
    const plan = composed(fused);
    expect(verdictOf(fused, plan.evaluation, METRIC, plan.segments).join(' ')).toMatch(/Aimed at 1\.40 times/);
  });

  test('has to be warmed with the glass: it lies over it in the simulation', () => {
    const { stack } = simulationOf(press(4), []);
    expect(stack.at(-1)).toMatchObject({ of: 'support', thickness_m: 0.02 });
  });

  test('that is too light, or stands on spacers as high as the glass, is refused at its field', () => {
    expect(compose(press(0.05, 0.002))).toMatchObject({ ok: false, problem: { path: 'setup.shaping.plate_kg' } });
    expect(compose(press(4, 0.02))).toMatchObject({ ok: false, problem: { path: 'setup.shaping.spacer_m' } });
  });
});

describe('loose grains', () => {
  test('in a deep heap warm faster than a slab of their depth, whose middle they do not have', () => {
    const heap = composed(bodyNamed('a heap of 200 g'));
    const slab = composed({
      ...bodyNamed('a heap of 200 g'),
      look: 'firePolish',
      body: { ...bodyNamed('a heap of 200 g').body, layers: [{ form: 'sheet', glass: 0, thickness_m: 0.016 }] },
    });
    expect(at(heap, 'warmUp').rate_C_per_h!).toBeGreaterThan(1.5 * at(slab, 'warmUp').rate_C_per_h!);
    expect(heap.evaluation.readings.some(({ limit }) => limit === 'climbing')).toBe(false);
  });
});

describe('what is wet', () => {
  const roles = (firing: FiringCase): Role[] => composed(firing).segments.map(({ role }) => role);

  test('dries under the boil before it is warmed, a form longer than a coat; glue burns away after', () => {
    const mould = composed(bodyNamed('into a damp mould'));
    expect(mould.segments[0]).toMatchObject({ role: 'dry', target_C: 95, hold_s: 7200 });
    expect(mould.segments[0].rate_C_per_h!).toBeLessThanOrEqual(100);
    expect(roles(bodyNamed('held by glue')).slice(0, 3)).toEqual(['dry', 'burnOff', 'warmUp']);
    expect(roles(bodyNamed('two sheets, tack'))[0]).toBe('warmUp');
    expect(composed(bodyNamed('held by glue')).segments[0].hold_s).toBe(3600);
  });

  test('stays under the boil in °F too, and above nothing else than it would be without', () => {
    const controller = { unit: 'F', fullSpeedCode: 9999, mostSegments: 12 } as const;
    const wet = composed({ ...bodyNamed('into a damp mould'), controller });
    expect(wet.segments[0].target_C).toBeLessThan(100);
    const { setup, ...rest } = bodyNamed('into a damp mould');
    const { wet: _wet, ...dry } = setup;
    const plain = composed({ ...rest, setup: dry, controller });
    expect(wet.segments.slice(2).map(({ target_C }) => target_C)).toEqual(plain.segments.slice(1).map(({ target_C }) => target_C));
  });
});

describe('a stuck piece', () => {
  test('is warmed past where its glass sets and no further, soaks below that, and its mould is warmed over it', () => {
    const firing = bodyNamed('stuck in its mould, 300 mm');
    const plan = composed(firing);
    expect(at(plan, 'drop').target_C).toBeLessThan(at(plan, 'work').target_C);
    expect(Number(told(firing, plan).figure)).toBeGreaterThan(3);
    expect(told(firing, plan).sentence).toMatch(/sinks by less than 0\.2 mm/);
    expect(simulationOf(firing, []).stack.map(({ of }) => of)).toEqual(['glass', 'support']);
  });
});

describe('a second anneal', () => {
  const slab = bodyNamed('25 mm, annealed again');
  const plan = composed(slab);

  test('relaxes what stayed, softens nothing, and leaves less than the limit', () => {
    const { readings, simulation } = plan.evaluation;
    expect(brokenOf(readings)).toEqual([]);
    const relaxed = simulation.segments.reduce((sum, { relaxations }) => sum + relaxations, 0);
    expect(relaxed).toBeGreaterThan(5);
    expect(Math.max(...plan.segments.map(({ target_C }) => target_C))).toBeLessThan(SOFT_90.annealing_C + 15);
    expect(ownFigures(slab, plan.evaluation, METRIC)[0]).toMatchObject({ label: 'relaxes', unit: '×' });
    // The same slab, cooled as fast as the kiln falls from where it was polished, breaks the limit that this one keeps.
    const hurried = evaluate(
      slab,
      plan.segments.map((one) => (/Cool$/.test(one.role) ? { ...one, rate_C_per_h: null } : one.role === 'drop' ? { ...one, hold_s: 0 } : one)),
    );
    expect(hurried.readings.find(({ limit }) => limit === 'residual')).toMatchObject({ ok: false });
  });

  test('is warmed by half of what glass bears, having stress in it already, and cooled by all of it, that stress being gone', () => {
    const polish = composed({ ...slab, look: 'firePolish' as const });
    expect(at(plan, 'warmUp').rate_C_per_h!).toBeLessThan(0.75 * at(polish, 'warmUp').rate_C_per_h!);
    const allowed = plan.evaluation.readings.filter(({ limit }) => limit === 'pull').map((one) => [plan.segments[one.segment].role, one.allowed / 1e6]);
    expect(Object.fromEntries(allowed)).toMatchObject({ warmUp: 3.5, lastCool: 7 });
    for (const role of ['secondCool', 'lastCool'] as const) {
      const [of, ofPolish] = [at(plan, role).rate_C_per_h, at(polish, role).rate_C_per_h];
      expect(of ?? Infinity).toBeGreaterThanOrEqual(0.9 * (ofPolish ?? 0));
    }
  });
});

describe('what the glass lies on', () => {
  test('bears 280 °C/h at 300 mm and some 130 at half a metre', () => {
    const bears = (long_m: number, more: Partial<Stand> = {}): number => shelfPace({ shelf_C_per_h: 280 }, { ...usualStand(long_m), ...more });
    expect(bears(0.3)).toBe(280);
    expect(Math.abs(bears(0.5) - 130)).toBeLessThan(1);
    expect(bears(0.9)).toBe(bears(0.5));
    // Twice as thick, half as fast; half as thick no more than half again as fast.
    expect(bears(0.3, { thick_m: 0.032 })).toBeCloseTo(140, 9);
    expect(bears(0.3, { thick_m: 0.008 })).toBeCloseTo(420, 9);
    expect(bears(0.3, { bears: 0.8 })).toBeCloseTo(224, 9);
    expect(bears(0.3, { bears: undefined })).toBe(Infinity);
    expect(shelfPace({}, usualStand(0.5))).toBe(Infinity);
  });

  test('is one rule, dried by itself or with glass on it: by its size, its thickness and its material', () => {
    const shelf = (more: Partial<FormShape> = {}): FormShape => ({
      ...{ use: 'shelf', plan: 'rectangle', across_m: 0.45, along_m: 0.5, deep_m: 0, thick_m: 0.02, material: 'cordierite', ...more },
    });
    const tile = bodyNamed('a pendant');
    const on = (form: FormShape | undefined): FiringCase => ({
      ...tile,
      setup: setUpOf({ kind: 'bareShelf', paper: false, ...(form ? { within: { form, glass_m2: footprintArea(tile.body.footprint) } } : {}) }),
    });
    const item = { of: 'shelf', wall_m: 0.02, long_m: 0.5, wide_m: 0.45 } as const;
    const dried = { ...bodyNamed('a primed shelf'), setup: setUpOf({ kind: 'bareShelf', paper: false, wet: 'damp', shaping: { kind: 'ware', ...item } }) };
    const pace = (firing: FiringCase): number => standPace(resolved(firing)).C_per_h;
    expect(pace(on(shelf()))).toBeCloseTo(pace(dried), 9);
    expect(pace(dried)).toBeCloseTo((280 * 0.6 ** 1.5 * 16) / 20, 6);
    expect(pace(on(undefined))).toBeGreaterThan(2 * pace(dried));
    // Another material by how it evens out over how it swells; metal does not crack of it.
    expect(pace(on(shelf({ conductivity_W_mK: 0.75 })))).toBeCloseTo(pace(dried) / 2, 6);
    expect(pace(on(shelf({ material: 'stainless' })))).toBe(Infinity);
    const plan = composed(on(shelf()));
    expect(at(plan, 'warmUp').rate_C_per_h!).toBeLessThanOrEqual(pace(dried));
    expect(whyOf(on(shelf()), at(plan, 'warmUp'), 'mm')).toBe('faster may crack a shelf of 500 mm');
  });

  test('rules the climb of thin work on a large shelf, and says so where it is asked for more', () => {
    const lace = bodyNamed('lace of medium frit');
    const large: FiringCase = { ...lace, body: { ...lace.body, footprint: { shape: 'rectangle', width_m: 0.5, length_m: 0.6 } } };
    const plan = composed(large);
    const pace = shelfPace(large.limits, usualStand(0.6));
    expect(at(plan, 'warmUp').rate_C_per_h!).toBeLessThanOrEqual(pace);
    expect(at(plan, 'warmUp').rate_C_per_h!).toBeGreaterThan(0.85 * pace);
    const hurried = evaluate(
      large,
      plan.segments.map((one) => (one.role === 'warmUp' ? { ...one, rate_C_per_h: null } : one)),
    );
    expect(brokenOf(hurried.readings).map(({ limit }) => limit)).toContain('shelfPace');
  });

  test('bears only so much heat: a pot melt in a bisque mould is told', () => {
    const pot = bodyNamed('melted from a pot');
    const { readings } = evaluate(pot, [...composed(pot).segments]);
    expect(readings.some(({ limit }) => limit === 'shelfTop')).toBe(false);
    const inMould = evaluate(
      { ...pot, setup: { ...SETUPS.inMould, shaping: pot.setup.shaping } },
      composed(pot).segments.map((one) => (one.role === 'work' ? { ...one, target_C: 960 } : one)),
    );
    expect(brokenOf(inMould.readings).map(({ limit }) => limit)).toContain('shelfTop');
  });
});

describe('what no limit says', () => {
  const two: FiringCase = { ...sheetsOf(4, 0.003), look: 'slabFlow' };
  const glasses = [SOFT_90, { ...SOFT_90, expansion_perK: SOFT_90.expansion_perK * 1.001 }];

  test('heat beyond what fit is proven at wants a strip test, where there are two glasses', () => {
    const mixed: FiringCase = { ...two, body: { ...two.body, glasses } };
    const plan = composed(mixed);
    expect(verdictOf(mixed, plan.evaluation, METRIC, plan.segments).join(' ')).toMatch(/fire a strip test/);
    const alone = composed(two);
    expect(verdictOf(two, alone.evaluation, METRIC, alone.segments).join(' ')).not.toMatch(/strip test/);
  });

  test('a cool that nothing controls is said', () => {
    const firing = sheetsOf(2, 0.003);
    const { segments } = composed(firing);
    const left = segments.map((one) => (/Cool$/.test(one.role) ? { ...one, rate_C_per_h: null } : one));
    expect(verdictOf(firing, evaluate(firing, left), METRIC, left).join(' ')).toMatch(/No controlled cool/);
    expect(verdictOf(firing, evaluate(firing, segments), METRIC, segments).join(' ')).not.toMatch(/No controlled cool/);
  });
});

describe('a mould that is cast into', () => {
  const cast = (perArea_kg_m2: number, water_kg?: number): FiringCase =>
    of('openCast', [frit(perArea_kg_m2, 0.005)], 0.1, {
      kind: 'cavity',
      thick_m: 0.05,
      thin_m: 0.04,
      wall_m: 0.025,
      ...(water_kg === undefined ? {} : { water_kg }),
    });
  const filled = (firing: FiringCase) => composed(firing).evaluation.readings.find(({ limit }) => limit === 'filled');

  test('has to be filled where it is known how much it holds', () => {
    // 25 g of glass in a mould of 400 g of water: 10 of 400 cm³.
    const little = cast(0.025 / (Math.PI * 0.05 ** 2), 0.4);
    expect(filled(little)).toMatchObject({ ok: false, value: expect.closeTo(0.025, 9) });
    expect(verdictOf(little, composed(little).evaluation, METRIC, composed(little).segments).join(' ')).toMatch(/Breaks 1 limit/);
    expect(brokenSentence(filled(little)!, METRIC, 'openCast')).toMatch(/^The glass fills 2 % of its mould.*Lay 40 times as much/);
    const enough = cast(0.99 / (Math.PI * 0.05 ** 2), 0.4);
    expect(filled(enough)).toMatchObject({ ok: true, value: expect.closeTo(0.99, 9) });
  });

  test('is not judged where nobody knows', () => expect(filled(cast(50))).toBeUndefined());

  test('through a hole that holds glass back has to be given that too', () => {
    const through = (hole_m: number): number | null =>
      filledShare(
        of('reservoirCast', [frit(80, 0.008)], 0.1, { kind: 'reservoir', thick_m: 0.03, thin_m: 0.02, wall_m: 0.025, hole_m, plate_m: 0.005, water_kg: 0.25 }),
      );
    expect(through(0.05)).toBeCloseTo((80 * Math.PI * 0.05 ** 2) / 2500 / 0.25e-3, 9);
    expect(through(0.005)).toBeLessThan(0.95 * (through(0.05) ?? 0));
  });
});
