import { workToDrape, workToSag } from '../flow/sag';
import type { FormShape } from '../form/shape';
import { valueOf } from '../problem';
import { SETUPS, setUpOf } from '../schedule/setups';
import { SOFT_90 } from '../testCases';
import type { HeldForm, PlannedStep } from './document';
import { heldAcross, serves, shapingIn, shapingOf, standsOut } from './inForm';
import { firstTouch, overShelf } from './formNotes';
import { insideOf } from '../form/shape';

const held = (more: Partial<FormShape>): HeldForm => ({
  id: 'form',
  name: 'Form',
  shape: { use: 'hollow', plan: 'round', across_m: 0.3, deep_m: 0.05, thick_m: 0.01, material: 'earthenware', ...more },
});
const step = (look: PlannedStep['look'], form: HeldForm, shaping?: PlannedStep['setup']['shaping']): Pick<PlannedStep, 'look' | 'setup'> => ({
  look,
  setup: { kind: 'inMould', paper: false, form, ...(shaping ? { shaping } : {}) },
});
const disc = (diameter_m: number) => ({ shape: 'disc', diameter_m }) as const;
const rectangle = (width_m: number, length_m: number) => ({ shape: 'rectangle', width_m, length_m }) as const;

describe('what shapes a blank in a form', () => {
  test('in a hollow its rim and depth; a blank that is narrower rests where the wall is as wide', () => {
    const cone = held({ floor_m: 0.1 });
    expect(shapingOf(step('slump', cone), disc(0.32))).toEqual({ kind: 'hollow', span_m: 0.3, depth_m: 0.05 });
    // Half-way up a straight wall.
    expect(shapingOf(step('slump', cone), disc(0.2))).toEqual({ kind: 'hollow', span_m: 0.2, depth_m: expect.closeTo(0.025, 9) });
    expect(shapingIn(step('slump', cone), disc(0.1))).toMatchObject({ ok: false, problem: { path: 'setup.form' } });
    expect(shapingOf(step('slump', cone), disc(0.1))).toBeUndefined();
    const tray = held({ plan: 'rectangle', across_m: 0.3, along_m: 0.2, floor_m: 0.2, floorAlong_m: 0.1 });
    expect(shapingOf(step('slump', tray), rectangle(0.34, 0.24))).toEqual({
      ...{ kind: 'hollow', plan: 'rectangle', span_m: 0.2, along_m: 0.3, depth_m: 0.05 },
    });
    // Three quarters as wide it lies a quarter up, as slender as its mould.
    expect(shapingOf(step('slump', tray), rectangle(0.15, 0.24))).toEqual({
      ...{ kind: 'hollow', plan: 'rectangle', span_m: 0.15, along_m: expect.closeTo(0.225, 9), depth_m: expect.closeTo(0.0125, 9) },
    });
  });

  test('of each outline as it is seen from above: a trough sinks across it, lobes by the circle within them', () => {
    const deep = { use: 'hollow', deep_m: 0.05, floor_m: 0.1 } as const;
    expect(shapingOf(step('slump', held({ ...deep, plan: 'trough', across_m: 0.3, along_m: 0.2 })), rectangle(0.34, 0.2))).toMatchObject({
      ...{ plan: 'trough', span_m: 0.3, along_m: 0.2 },
    });
    // However long, a blank that is narrower rests where the trough is as wide.
    expect(shapingOf(step('slump', held({ ...deep, plan: 'trough', across_m: 0.3, along_m: 0.6 })), rectangle(0.2, 0.6))).toMatchObject({
      ...{ plan: 'trough', span_m: 0.2, along_m: 0.6, depth_m: expect.closeTo(0.025, 9) },
    });
    expect(shapingOf(step('slump', held({ ...deep, plan: 'oval', across_m: 0.3, along_m: 0.2 })), rectangle(0.24, 0.34))).toMatchObject({
      ...{ plan: 'oval', span_m: 0.2, along_m: 0.3 },
    });
    expect(shapingOf(step('slump', held({ ...deep, plan: 'lobed', across_m: 0.3, along_m: 0.26, lobes: 4 })), disc(0.3))).toMatchObject({
      ...{ plan: 'lobed', span_m: 0.26, lobes: 4 },
    });
  });

  test('over a former it follows the blank: how far it stands out, and how far down that comes along its sides', () => {
    const drum = held({ use: 'former', across_m: 0.12, deep_m: 0.2 });
    expect(shapingOf(step('drape', drum), disc(0.3))).toEqual({
      kind: 'former',
      overhang_m: expect.closeTo(0.09, 9),
      drop_m: expect.closeTo(0.9 * 0.09, 9),
      former_m: 0.12,
    });
    expect(shapingOf(step('drape', { ...drum, drop_m: 0.05 }), disc(0.3))).toMatchObject({ drop_m: 0.05 });
    // No further than the shelf.
    expect(shapingOf(step('drape', held({ use: 'former', across_m: 0.12, deep_m: 0.06 })), disc(0.3))).toMatchObject({ drop_m: 0.06 });
    const leaning = held({ use: 'former', across_m: 0.12, floor_m: 0.24, deep_m: 0.06 });
    expect(shapingOf(step('drape', leaning), disc(0.2))).toMatchObject({ overhang_m: expect.closeTo(0.04, 9), drop_m: expect.closeTo(0.04 * Math.SQRT1_2, 9) });
    expect(shapingIn(step('drape', drum), disc(0.122))).toMatchObject({ problem: { path: 'setup.form', code: 'cannot-be' } });
    const ridge = held({ use: 'former', plan: 'trough', across_m: 0.12, along_m: 0.24, deep_m: 0.2 });
    expect(standsOut(ridge.shape, rectangle(0.3, 0.24))).toEqual([expect.closeTo(0.09, 9), 0]);
    expect(standsOut(ridge.shape, rectangle(0.24, 0.3))).toEqual([expect.closeTo(0.09, 9), 0]);
    // A side that hardly stands out is not waited for.
    const block = held({ use: 'former', plan: 'rectangle', across_m: 0.1, along_m: 0.2, deep_m: 0.2 });
    expect(shapingOf(step('drape', block), rectangle(0.104, 0.32))).toMatchObject({ overhang_m: expect.closeTo(0.06, 9) });
    expect(shapingOf(step('drape', block), rectangle(0.2, 0.32))).toMatchObject({ overhang_m: expect.closeTo(0.05, 9) });
  });

  test('what does not serve a firing shapes nothing; typed measures of before stand where there is no form', () => {
    const typed = { kind: 'hollow', span_m: 0.2, depth_m: 0.03 } as const;
    expect(shapingOf({ look: 'slump', setup: { kind: 'inMould', paper: false, shaping: typed } }, disc(0.2))).toBe(typed);
    expect(shapingOf(step('drape', held({})), disc(0.3))).toBeUndefined();
    expect([serves({ use: 'dam' }, 'fullFuse'), serves({ use: 'dam' }, 'slump'), serves({ use: 'hollow' }, 'slump')]).toEqual([true, false, true]);
    expect([serves({ use: 'cavity' }, 'coreCast'), serves({ use: 'cavity', core_m: 0.02 }, 'coreCast')]).toEqual([false, true]);
    expect(serves({ use: 'hollow' }, 'dryMould')).toBe(false);
    const grid = held({ use: 'grid', holes: 9, hole_m: 0.01, thick_m: 0.02, deep_m: 0 });
    expect(shapingOf(step('drip', grid), disc(0.2))).toEqual({ kind: 'drain', holes: 9, hole_m: 0.01, plate_m: 0.02 });
    const cavity = held({ use: 'cavity', thickest_m: 0.04, thinnest_m: 0.01, thick_m: 0.03 });
    const wall = { kind: 'cavity', thick_m: 0.04, thin_m: 0.01, wall_m: 0.03 };
    // 0.3 m across and 0.05 deep, a cap of a sphere: πd(3a² + d²)/6, unless water has been weighed; round a core nobody knows.
    expect(shapingOf(step('openCast', cavity), disc(0.2))).toEqual({
      ...wall,
      water_kg: expect.closeTo((1000 * Math.PI * 0.05 * (3 * 0.15 ** 2 + 0.05 ** 2)) / 6, 2),
    });
    const weighed = held({ use: 'cavity', thickest_m: 0.04, thinnest_m: 0.01, thick_m: 0.03, water_kg: 0.6 });
    expect(shapingOf(step('openCast', weighed), disc(0.2))).toEqual({ ...wall, water_kg: 0.6 });
    const cored = held({ use: 'cavity', thickest_m: 0.04, thinnest_m: 0.01, thick_m: 0.03, core_m: 0.02 });
    expect(shapingOf(step('coreCast', cored), disc(0.2))).toEqual({ ...wall, kind: 'core', core_m: 0.02 });
  });

  test('depth and edge ask for the work of the plate and of the beam that they are', () => {
    const shaping = shapingOf(step('slump', held({ floor_m: 0.1 })), disc(0.2));
    expect(shaping?.kind === 'hollow' && workToSag(SOFT_90, shaping, 0.006, shaping.depth_m)).toBeCloseTo(workToSag(SOFT_90, { span_m: 0.2 }, 0.006, 0.025), 9);
    const over = shapingOf(step('drape', held({ use: 'former', across_m: 0.12, deep_m: 0.2 })), disc(0.3));
    expect(over?.kind === 'former' && workToDrape(SOFT_90, over.overhang_m, 0.006, over.drop_m)).toBeCloseTo(workToDrape(SOFT_90, 0.09, 0.006, 0.9 * 0.09), 9);
  });
});

describe('the set-up in a form', () => {
  const glass_m2 = (Math.PI * 0.3 ** 2) / 4;
  test('is of its material, of its mass, and bears what that bears', () => {
    const steel = held({ floor_m: 0.3, material: 'stainless', thick_m: 0.002 }).shape;
    const { below, top_C, pace, form } = setUpOf({ kind: 'inMould', paper: false, within: { form: steel, glass_m2 } });
    // Floor and upright walls, over the area of the glass.
    const share = 1 + (Math.PI * 0.3 * 0.05) / glass_m2;
    expect(below).toEqual([
      { of: 'support', thickness_m: expect.closeTo(0.002 * share, 6), conductivity_W_mK: 22, density_kg_m3: 7900, heatCapacity_J_kgK: 540 },
    ]);
    expect([top_C, pace, form]).toEqual([900, undefined, steel]);
    const clay = held({}).shape;
    expect(setUpOf({ kind: 'inMould', paper: true, within: { form: clay, glass_m2 } })).toMatchObject({
      top_C: 950,
      pace: { C_per_h: expect.closeTo(200, 6), past_C: 600 },
    });
  });

  test('a former stands on the shelf, a dam beside the glass, a plate under it; a core over it', () => {
    const shelf = SETUPS.bareShelf.below;
    const of = (kind: 'overFormer' | 'bareShelf' | 'inInvestment' | 'onPosts', more: Partial<FormShape>) =>
      setUpOf({ kind, paper: false, within: { form: held(more).shape, glass_m2 } });
    expect(of('overFormer', { use: 'former', material: 'stainless' }).below).toHaveLength(2);
    expect(of('bareShelf', { use: 'dam' }).below).toEqual(shelf);
    expect(of('bareShelf', { use: 'dam', material: 'mildSteel' }).top_C).toBe(780);
    expect(of('bareShelf', { use: 'texture', deep_m: 0.002 }).below).toHaveLength(2);
    const cast = of('inInvestment', { use: 'cavity', thickest_m: 0.03, thinnest_m: 0.01, core_m: 0.02, material: 'plasterSilica', thick_m: 0.025 });
    expect(cast.above).toMatchObject([{ thickness_m: 0.02 }]);
    expect(cast.pace?.C_per_h).toBeCloseTo(60, 6);
    expect(of('onPosts', {})).toMatchObject({ below: [], above: [{ density_kg_m3: 1850 }] });
  });

  test('the studio’s own shelf lies in the place of the usual one, as thick as it is; what lies on it stays', () => {
    const own = held({ use: 'shelf', plan: 'rectangle', along_m: 0.4, deep_m: 0, thick_m: 0.012, material: 'alumina' }).shape;
    const on = (kind: 'bareShelf' | 'board') => setUpOf({ kind, paper: kind === 'bareShelf', within: { form: own, glass_m2 } });
    const { below, top_C, form, pace } = on('bareShelf');
    expect(below).toHaveLength(2);
    expect(below[0]).toEqual({ of: 'support', thickness_m: 0.012, conductivity_W_mK: 5, density_kg_m3: 3000, heatCapacity_J_kgK: 1050 });
    expect([top_C, form, pace?.C_per_h]).toEqual([1400, own, expect.closeTo(125, 6)]);
    // A board on it bears less.
    expect(on('board')).toMatchObject({ top_C: 1100, below: [{ thickness_m: 0.012 }, { density_kg_m3: 320 }] });
    for (const look of ['tack', 'fullFuse', 'slabFlow'] as const) expect(serves(own, look)).toBe(true);
    for (const look of ['slump', 'drape', 'dryShelf', 'loosen'] as const) expect(serves(own, look)).toBe(false);
  });
});

test('where a sheet touches first: a tray in the middle of its floor, a boss on top of it, a cone last of all in its middle', () => {
  const touch = (more: Partial<FormShape>) => {
    const { shape } = held(more);
    return firstTouch(valueOf(insideOf(shape)), shape.across_m / 2, shape.deep_m);
  };
  expect(touch({ floor_m: 0.2 })).toEqual({ out_m: 0, down_m: 0.05 });
  const boss = [
    { out_m: 0, up_m: 0.02 },
    { out_m: 0.03, up_m: 0.02 },
    { out_m: 0.05, up_m: 0 },
    { out_m: 0.15, up_m: 0.05 },
  ];
  expect(touch({ points_m: boss }).down_m).toBeCloseTo(0.03, 9);
  // (depth − up) / (1 − (r/a)²) of a cone is depth / (1 + r/a): least at its rim.
  const cone = touch({ floor_m: 0 });
  expect(cone.out_m).toBeGreaterThan(0.14);
  expect(cone.down_m).toBeCloseTo(0.05 / (1 + cone.out_m / 0.15), 6);
});

describe('the shelf under a dam', () => {
  const ring = held({ use: 'dam', across_m: 0.166, deep_m: 0.04, thick_m: 0.003, material: 'stainless' });
  const shelf = held({ use: 'shelf', plan: 'rectangle', across_m: 0.4, along_m: 0.5, deep_m: 0, thick_m: 0.03, material: 'cordierite' });
  const stood = (under?: HeldForm) =>
    setUpOf({ kind: 'bareShelf', paper: false, within: { form: ring.shape, glass_m2: 0.02, ...(under ? { shelf: under.shape } : {}) } });

  test('is warmed as thick as it is, and all of it goes no hotter than the least of them bears', () => {
    expect(stood().below.map(({ thickness_m }) => thickness_m)).toEqual([0.016]);
    expect(stood(shelf).below).toEqual([{ of: 'support', thickness_m: 0.03, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 }]);
    expect(stood(shelf).top_C).toBe(stood().top_C);
    const low = { ...shelf, shape: { ...shelf.shape, top_C: 700, pace_K_per_s: 0.02, paceTo_C: 600 } };
    expect(stood(low)).toMatchObject({ top_C: 700, pace: { C_per_h: expect.closeTo(72, 9), past_C: 600 } });
    // The slower of the two, to where the later ends.
    const slow = setUpOf({
      ...{ kind: 'bareShelf', paper: false },
      within: { form: { ...ring.shape, pace_K_per_s: 0.01, paceTo_C: 500 }, glass_m2: 0.02, shelf: low.shape },
    });
    expect(slow.pace).toEqual({ C_per_h: expect.closeTo(36, 9), past_C: 600 });
  });

  test('is told where a dam stands out over it', () => {
    const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;
    expect(overShelf(ring, shelf, METRIC)).toBeNull();
    const small = { ...shelf, name: 'Small shelf', shape: { ...shelf.shape, across_m: 0.15, along_m: 0.3 } };
    expect(overShelf(ring, small, METRIC)).toBe("'Form' is 172 mm × 172 mm over its outside, and 'Small shelf' 300 mm × 150 mm: it stands out over the shelf.");
  });
});

test('a blank is drawn over its form as wide as it lies across it, and as far down as it is to come', () => {
  const lying = (form: HeldForm, look: PlannedStep['look'], footprint: ReturnType<typeof disc> | ReturnType<typeof rectangle>, drop_m?: number) => {
    const shaping = shapingOf(step(look, form), footprint);
    const told = shaping?.kind === 'former' && drop_m !== undefined ? { ...shaping, drop_m } : shaping;
    return heldAcross(form, { body: { footprint }, setup: { shaping: told } } as never);
  };
  const tray = held({ plan: 'rectangle', across_m: 0.2, along_m: 0.3 });
  expect(lying(tray, 'slump', rectangle(0.34, 0.24))).toEqual({ width_m: 0.24, down: 1 });
  expect(lying(held({ plan: 'rectangle', across_m: 0.3, along_m: 0.2 }), 'slump', rectangle(0.34, 0.24)).width_m).toBe(0.34);
  const drum = held({ use: 'former', across_m: 0.12, deep_m: 0.2 });
  // It stands out by 90 mm, which hang upright along a drum.
  expect(lying(drum, 'drape', disc(0.3), 0.045)).toEqual({ width_m: 0.3, down: expect.closeTo(0.5, 9) });
  expect(lying(drum, 'drape', disc(0.3)).down).toBeCloseTo(0.9, 9);
  // Further than it hangs is no drawing.
  expect(lying(drum, 'drape', disc(0.3), 0.15).down).toBe(1);
});
