import fc from 'fast-check';
import { valueOf } from '../problem';
import { FORM_MATERIAL_NAMES, formPace, materialOf } from './materials';
import { formSection } from './section';
import { leanOf, wayDown } from './overPoints';
import { type FormShape, touchedArea, formMass, formProblem, insideOf, outlineIn, plateOf, sidesOfFormer } from './shape';
import { type HollowForm, formSurface } from './surface';

const hollow = (more: Partial<FormShape>): FormShape => ({
  ...{ use: 'hollow', plan: 'round', across_m: 0.3, deep_m: 0.05, thick_m: 0.008, material: 'earthenware' },
  ...more,
});
const held = (form: HollowForm, up_m: number): number => valueOf(formSurface(form)).heldTo(up_m);

describe('what a form holds', () => {
  const bowlRadius = (0.15 ** 2 + 0.05 ** 2) / 0.1;
  const V = (angle: number): number => Math.tan((angle * Math.PI) / 180);
  // A floor of 0.1, a turn of 0.02 to upright, then straight up: by Pappus, the turn as a quarter of a disc.
  const quarter = (Math.PI * 0.02 ** 2) / 4;
  const turn = Math.PI * 0.05 ** 2 * 0.02 + 2 * Math.PI * quarter * (0.05 + (4 * 0.02) / (3 * Math.PI));
  const TEN: [string, HollowForm, number][] = [
    ['a cylinder', { plan: 'round', across: { rim_m: 0.2, floor_m: 0.2 }, depth_m: 0.1 }, Math.PI * 0.1 ** 2 * 0.1],
    ['a cone on its point', { plan: 'round', across: { rim_m: 0.2, floor_m: 0 }, depth_m: 0.1 }, (Math.PI * 0.1 ** 2 * 0.1) / 3],
    ['a frustum', { plan: 'round', across: { rim_m: 0.3, floor_m: 0.1 }, depth_m: 0.06 }, (Math.PI * 0.06 * (0.15 ** 2 + 0.15 * 0.05 + 0.05 ** 2)) / 3],
    ['half a sphere', { plan: 'round', across: { rim_m: 0.2 }, depth_m: 0.1 }, (2 / 3) * Math.PI * 0.1 ** 3],
    ['a cap of a sphere', { plan: 'round', across: { rim_m: 0.3 }, depth_m: 0.05 }, (Math.PI * 0.05 ** 2 * (3 * bowlRadius - 0.05)) / 3],
    [
      'a paraboloid, by its points',
      {
        ...{ plan: 'round', across: { rim_m: 0.3 }, depth_m: 0.06 },
        points_m: Array.from({ length: 41 }, (_, i) => ({ out_m: 0.15 * (i / 40), up_m: 0.06 * (i / 40) ** 2 })),
      },
      (Math.PI * 0.15 ** 2 * 0.06) / 2,
    ],
    [
      'a ring with a boss in its middle, by its points',
      {
        ...{ plan: 'round', across: { rim_m: 0.2 }, depth_m: 0.05 },
        points_m: [
          { out_m: 0, up_m: 0.03 },
          { out_m: 0.02, up_m: 0.03 },
          { out_m: 0.02, up_m: 0 },
          { out_m: 0.1, up_m: 0 },
          { out_m: 0.1, up_m: 0.05 },
        ],
      },
      Math.PI * (0.1 ** 2 * 0.05 - 0.02 ** 2 * 0.03),
    ],
    [
      'a dish that turns up into straight walls',
      { plan: 'round', across: { rim_m: 0.14, floor_m: 0.1 }, depth_m: 0.05, foot_m: 0.02 },
      turn + Math.PI * 0.07 ** 2 * 0.03,
    ],
    ['a V of 60°', { plan: 'trough', across: { rim_m: 2 * 0.05 * V(30), floor_m: 0 }, along: { rim_m: 0.4 }, depth_m: 0.05 }, 0.05 * 0.05 * V(30) * 0.4],
    ['half a pipe', { plan: 'trough', across: { rim_m: 0.1 }, along: { rim_m: 0.3 }, depth_m: 0.05 }, ((Math.PI * 0.05 ** 2) / 2) * 0.3],
    [
      'a box with leaning walls (prismoid)',
      { plan: 'rectangle', across: { rim_m: 0.2 }, along: { rim_m: 0.3 }, depth_m: 0.04, lean_deg: 45 },
      (0.04 / 6) * (0.2 * 0.3 + 4 * 0.16 * 0.26 + 0.12 * 0.22),
    ],
    ['an oval prism', { plan: 'oval', across: { rim_m: 0.2, floor_m: 0.2 }, along: { rim_m: 0.3, floor_m: 0.3 }, depth_m: 0.05 }, Math.PI * 0.1 * 0.15 * 0.05],
  ];
  test.each(TEN)('%s, by its closed form to 0.1 %%', (_, form, volume) => {
    expect(Math.abs(held(form, form.depth_m) / volume - 1)).toBeLessThan(1e-3);
  });

  test('up to any level: of a bowl by the cap of its sphere, and the level of an amount back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.5, noNaN: true }),
        fc.double({ min: 0.1, max: 0.5, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (rim, deep, share) => {
          const depth_m = deep * rim * 0.99;
          const radius = ((rim / 2) ** 2 + depth_m ** 2) / (2 * depth_m);
          const surface = valueOf(formSurface({ plan: 'round', across: { rim_m: rim }, depth_m }));
          const z = share * depth_m;
          const cap = (Math.PI * z ** 2 * (3 * radius - z)) / 3;
          expect(surface.heldTo(z) / cap).toBeCloseTo(1, 2.5);
          expect(surface.levelOf(surface.heldTo(z))).toBeCloseTo(z, 6);
        },
      ),
      { numRuns: 100, seed: 11 },
    );
    expect(valueOf(formSurface({ plan: 'round', across: { rim_m: 0.2 }, depth_m: 0.1 })).levelOf(1)).toBeNull();
  });

  test('the lean of a wall and its floor are one: draft told, and what disagrees refused', () => {
    const leaning = valueOf(formSurface({ plan: 'round', across: { rim_m: 0.2 }, depth_m: 0.05, lean_deg: 20 }));
    expect(leaning.draft_deg).toBeCloseTo(20, 6);
    const floor_m = 0.2 - 0.1 * Math.tan((20 * Math.PI) / 180);
    const measured = valueOf(formSurface({ plan: 'round', across: { rim_m: 0.2, floor_m }, depth_m: 0.05 }));
    expect(leaning.heldTo(0.05)).toBeCloseTo(measured.heldTo(0.05), 9);
    expect(formSurface({ plan: 'round', across: { rim_m: 0.2, floor_m: 0.1 }, depth_m: 0.05, lean_deg: 20 })).toMatchObject({
      problem: { path: 'form.lean_deg' },
    });
    expect(formSurface({ plan: 'round', across: { rim_m: 0.2 }, depth_m: 0.1, lean_deg: 60 })).toMatchObject({ problem: { path: 'form.lean_deg' } });
    expect(formSurface({ plan: 'round', across: { rim_m: 0.2, floor_m: 0.18 }, depth_m: 0.05, foot_m: 0.04 })).toMatchObject({
      problem: { path: 'form.foot_m' },
    });
  });

  test('a section by points is the same form as one by measures', () => {
    const points_m = [
      { out_m: 0, up_m: 0 },
      { out_m: 0.05, up_m: 0 },
      { out_m: 0.15, up_m: 0.06 },
    ];
    const [told, taken] = [{ across: { rim_m: 0.3, floor_m: 0.1 } }, { across: { rim_m: 0.3 }, points_m }].map((more) =>
      valueOf(formSurface({ plan: 'round', depth_m: 0.06, ...more })),
    );
    expect(taken.areaTo(1)).toBeCloseTo(told.areaTo(1), 6);
    expect(taken.heldTo(0.04)).toBeCloseTo(told.heldTo(0.04), 7);
    expect(taken.draft_deg).toBeCloseTo(told.draft_deg, 6);
  });

  test.each([
    ['rectangle', (rim: number) => ({ rim_m: 0.3, floor_m: rim })],
    ['oval', (rim: number) => ({ rim_m: 0.3, floor_m: rim })],
    ['trough', () => ({ rim_m: 0.3 })],
  ] as const)('of a %s too, the other way as well: its points are taken across', (plan, along) => {
    const points_m = [
      { out_m: 0, up_m: 0 },
      { out_m: 0.06, up_m: 0 },
      { out_m: 0.1, up_m: 0.04 },
    ];
    // What the wall leans in across it leans in along, of a rectangle; of an oval by its share.
    const floor = plan === 'oval' ? 0.3 * 0.6 : 0.22;
    const [told, taken] = [
      { across: { rim_m: 0.2, floor_m: 0.12 }, along: along(floor) },
      { across: { rim_m: 0.2 }, along: { rim_m: 0.3 }, points_m },
    ].map((more) => valueOf(formSurface({ plan, depth_m: 0.04, ...more })));
    for (const up_m of [0.01, 0.025, 0.04]) expect(taken.heldTo(up_m) / told.heldTo(up_m)).toBeCloseTo(1, 4);
    expect(taken.areaTo(1) / told.areaTo(1)).toBeCloseTo(1, 3);
    if (plan === 'rectangle') expect(taken.heldTo(0.04) / ((0.04 / 6) * (0.2 * 0.3 + 4 * 0.16 * 0.26 + 0.12 * 0.22))).toBeCloseTo(1, 4);
  });
});

describe('a form of the shelf', () => {
  test('the liner counts once on every side: a dam by its walls, a trough by walls and floor', () => {
    const ring = hollow({ use: 'dam', across_m: 0.2, deep_m: 0.03, liner_m: 0.003, material: 'stainless', thick_m: 0.003 });
    expect(outlineIn(ring)).toEqual({ shape: 'disc', diameter_m: 0.2 - 2 * 0.003 });
    expect(valueOf(insideOf(ring)).heldTo(0.01)).toBeCloseTo((Math.PI * 0.194 ** 2 * 0.01) / 4, 8);
    const box = hollow({ use: 'dam', plan: 'rectangle', across_m: 0.2, along_m: 0.3, deep_m: 0.03, liner_m: 0.003 });
    expect(outlineIn(box)).toEqual({ shape: 'rectangle', width_m: 0.194, length_m: 0.294 });
    const V = hollow({ plan: 'trough', across_m: 0.1, along_m: 0.3, floor_m: 0, deep_m: 0.05, liner_m: 0.003 });
    // Both walls of a right-angled V move in by 3 mm: its floor rises by 3·√2.
    const deep = 0.05 - 0.003 * Math.SQRT2;
    const inner = valueOf(insideOf(V));
    expect(inner.heldTo(0.05) / (deep ** 2 * 0.3)).toBeCloseTo(1, 2);
  });

  test('nonsense is refused at the measure to change, in words', () => {
    const at = (more: Partial<FormShape>): string | undefined => formProblem(hollow(more))?.path;
    expect(formProblem(hollow({}))).toBeNull();
    expect(formProblem(hollow({ use: 'shelf', deep_m: 0 }))).toBeNull();
    expect(at({ use: 'shelf', plan: 'oval', along_m: 0.4 })).toBe('plan');
    expect(at({ deep_m: -0.01 })).toBe('deep_m');
    expect(at({ floor_m: 0.31 })).toBe('floor_m');
    expect(at({ floor_m: 0.31, undercut: true })).toBeUndefined();
    expect(at({ deep_m: 0.2 })).toBe('deep_m');
    expect(at({ wall_m: 0.01, floor_m: 0.1 })).toBe('wall_m');
    expect(at({ plan: 'oval' })).toBe('along_m');
    expect(at({ plan: 'lobed', along_m: 0.25 })).toBe('lobes');
    expect(at({ liner_m: 0.06 })).toBe('liner_m');
    expect(at({ left_m: 0.15 })).toBe('left_m');
    expect(at({ left_m: 0.15, right_m: 0.16, door_m: 0.15, back_m: 0.15 })).toBe('left_m');
    expect(at({ left_m: 0.148, right_m: 0.152, door_m: 0.15, back_m: 0.155 })).toBeUndefined();
    expect(at({ use: 'former', floor_m: 0.2 })).toBe('floor_m');
    expect(at({ use: 'grid' })).toBe('holes');
    expect(at({ use: 'grid', holes: 400, hole_m: 0.02 })).toBe('holes');
    expect(at({ use: 'cavity' })).toBe('thickest_m');
    expect(at({ use: 'cavity', thickest_m: 0.02, thinnest_m: 0.03 })).toBe('thinnest_m');
    expect(at({ use: 'texture', deep_m: 0.01 })).toBe('deep_m');
    const points = (...points_m: [number, number][]): Partial<FormShape> => ({ points_m: points_m.map(([out_m, up_m]) => ({ out_m, up_m })) });
    expect(at(points([0, 0], [0.1, 0], [0.15, 0.05]))).toBeUndefined();
    expect(at(points([0, 0], [0.1, 0], [0.16, 0.05]))).toBe('points_m');
    expect(at(points([0.01, 0], [0.15, 0.05]))).toBe('points_m');
    expect(at(points([0, 0], [0.15, 0]))).toBe('points_m');
    // Crossed.
    expect(at(points([0, 0], [0.12, 0], [0.12, 0.05], [0.05, -0.02], [0.15, 0.05]))).toBe('points_m');
    const back = points([0, 0], [0.17, 0.01], [0.15, 0.05]);
    expect(at(back)).toBe('points_m');
    expect(at({ ...back, undercut: true })).toBeUndefined();
  });

  test('its mass by its surface, and the plate that stands for it', () => {
    const box = hollow({ plan: 'rectangle', across_m: 0.2, along_m: 0.3, floor_m: 0.2, floorAlong_m: 0.3, deep_m: 0.05 });
    const surface = 0.2 * 0.3 + 2 * (0.2 + 0.3) * 0.05;
    expect(formMass(box)).toBeCloseTo(surface * 0.008 * 1850, 6);
    expect(plateOf(box, 0.06)).toBeCloseTo((0.008 * surface) / 0.06, 9);
    expect(plateOf(box, 0.001)).toBeCloseTo(0.032, 9);
    const drum = hollow({ use: 'former', across_m: 0.1, deep_m: 0.08, thick_m: 0.002, material: 'stainless' });
    expect(formMass(drum)).toBeCloseTo((Math.PI * 0.05 ** 2 + Math.PI * 0.1 * 0.08) * 0.002 * 7900, 6);
    const ring = hollow({ use: 'dam', deep_m: 0.03 });
    expect(formMass(ring)).toBeCloseTo(Math.PI * 0.3 * 0.03 * 0.008 * 1850, 4);
  });

  test("a studio's own figures stand before the typical ones; thick walls are warmed slower", () => {
    for (const material of FORM_MATERIAL_NAMES) expect(materialOf({ material }).top_C).toBeGreaterThan(700);
    expect(materialOf({ material: 'stoneware', expansion_perK: 4e-6 }).expansion_perK).toBe(4e-6);
    const pace = (thick_m: number): number => formPace({ material: 'earthenware', thick_m })?.C_per_h ?? 0;
    expect(pace(0.02)).toBeCloseTo(pace(0.01) / 2, 9);
    expect(formPace({ material: 'stainless', thick_m: 0.002 })).toBeNull();
    expect(formPace({ material: 'earthenware', thick_m: 0.02, pace_K_per_s: 0.1, paceTo_C: 300 })).toEqual({ C_per_h: 360, past_C: 300 });
  });
});

describe('a form cut through', () => {
  const area = (points: readonly (readonly [number, number])[]): number =>
    Math.abs(points.reduce((sum, [x, z], i) => sum + (x * points[(i + 1) % points.length][1] - points[(i + 1) % points.length][0] * z) / 2, 0));

  test('a wall of even thickness: as much in section as its surface is long', () => {
    const box = formSection(hollow({ use: 'dam', deep_m: 0.04 }));
    expect(box.solids.reduce((sum, one) => sum + area(one), 0)).toBeCloseTo(2 * 0.04 * 0.008, 9);
    const bowl = hollow({ deep_m: 0.04, thick_m: 0.006 });
    const { solids, lies, width_m, height_m, stands_m } = formSection(bowl);
    const radius = (0.15 ** 2 + 0.04 ** 2) / 0.08;
    const long = 2 * radius * Math.asin(0.15 / radius);
    expect(area(solids[0]) / (long * 0.006)).toBeCloseTo(1, 1.3);
    expect(lies?.[0]).toEqual([expect.closeTo(-0.15, 6), expect.closeTo(0.046, 6)]);
    expect(height_m).toBeCloseTo(0.046, 6);
    expect(stands_m).toBe(0.006);
    expect(width_m).toBeGreaterThan(0.3);
  });

  test('four sides are drawn as they were measured; a floor that is loose apart from the wall', () => {
    const uneven = hollow({ floor_m: 0.2, left_m: 0.146, right_m: 0.154, door_m: 0.15, back_m: 0.16 });
    const across = formSection(uneven).lies ?? [];
    expect([across[0][0], across.at(-1)?.[0]]).toEqual([expect.closeTo(-0.146, 6), expect.closeTo(0.154, 6)]);
    const along = formSection(uneven, 'along').lies ?? [];
    expect(along.at(-1)?.[0]).toBeCloseTo(0.16, 6);
    expect(formSection(hollow({ floor_m: 0.2, bottom: 'loose' })).solids).toHaveLength(3);
    expect(formSection(hollow({ floor_m: 0.2, bottom: 'open' })).solids).toHaveLength(2);
  });

  test('the other way it is the same surface: floors in proportion, or as they were told; what is no form any more is drawn as a box', () => {
    const tray = hollow({ plan: 'rectangle', across_m: 0.3, along_m: 0.2, floor_m: 0.24, deep_m: 0.02 });
    const half = (form: FormShape, view: 'across' | 'along'): number =>
      Math.max(...(formSection(form, view).lies ?? []).filter(([, z]) => z < form.thick_m + 1e-9).map(([x]) => x));
    expect([half(tray, 'across'), half(tray, 'along')]).toEqual([expect.closeTo(0.12, 9), expect.closeTo(0.08, 9)]);
    expect(half({ ...tray, floorAlong_m: 0.12 }, 'along')).toBeCloseTo(0.06, 9);
    const leaning = hollow({ plan: 'rectangle', across_m: 0.3, along_m: 0.2, lean_deg: 45, deep_m: 0.02 });
    expect(half(leaning, 'along')).toBeCloseTo(0.08, 9);
    expect(formSection(hollow({ floor_m: 0.4 })).solids).toHaveLength(1);
  });

  test('every form that holds is drawn within its width and height', () => {
    const forms = [
      hollow({}),
      hollow({ plan: 'lobed', along_m: 0.24, lobes: 5, floor_m: 0.1 }),
      hollow({ use: 'former', across_m: 0.12, deep_m: 0.1, floor_m: 0.16, thick_m: 0.002 }),
      hollow({ use: 'texture', plan: 'rectangle', along_m: 0.3, deep_m: 0.003, thick_m: 0.012 }),
      hollow({ use: 'grid', holes: 25, hole_m: 0.01, deep_m: 0 }),
      hollow({ use: 'cavity', thickest_m: 0.03, thinnest_m: 0.01, thick_m: 0.03 }),
      hollow({ use: 'dam' }),
    ];
    for (const form of forms)
      for (const view of ['across', 'along'] as const) {
        expect(formProblem(form)).toBeNull();
        const { solids, width_m, height_m } = formSection(form, view);
        const points = solids.flat();
        expect(points.every(([x, z]) => Number.isFinite(x) && z > -1e-9 && z < height_m + 1e-9)).toBe(true);
        expect(Math.max(...points.map(([x]) => x)) - Math.min(...points.map(([x]) => x))).toBeCloseTo(width_m, 6);
      }
  });
});

describe('a former by its points', () => {
  const former = (more: Partial<FormShape>): FormShape => ({
    ...{ use: 'former', plan: 'round', across_m: 0.08, floor_m: 0.12, deep_m: 0.12, thick_m: 0.002, material: 'stainless' },
    ...more,
  });
  const at = (...places: [number, number][]): { out_m: number; up_m: number }[] => places.map(([out_m, up_m]) => ({ out_m, up_m }));
  const straight = at([0, 0.12], [0.04, 0.12], [0.06, 0]);

  test('is the same as one by its measures', () => {
    for (const plan of ['round', 'oval', 'rectangle', 'trough'] as const) {
      const told = former({ plan, ...(plan === 'round' ? {} : { along_m: 0.2 }) });
      const taken = { ...told, points_m: straight };
      expect(formProblem(taken)).toBeNull();
      expect(touchedArea(taken)).toBeCloseTo(touchedArea(told), 9);
      for (const view of ['across', 'along'] as const) {
        const [one, other] = [told, taken].map((form) => formSection(form, view));
        for (const key of ['width_m', 'height_m', 'stands_m'] as const) expect(other[key]).toBeCloseTo(one[key], 12);
      }
      const [one, other] = [told, taken].map((form) => formSection(form));
      const [ends, all] = [[other.top?.[0], other.top?.at(-1)], one.top];
      for (const i of [0, 1]) for (const k of [0, 1]) expect(ends[i]?.[k]).toBeCloseTo(all?.[i][k] ?? Number.NaN, 12);
    }
  });

  test('a frustum by its closed form; the half sphere by its own, and the quarter way over it', () => {
    const slant = Math.hypot(0.12, 0.02);
    expect(touchedArea(former({}))).toBeCloseTo(Math.PI * (0.04 ** 2 + (0.04 + 0.06) * slant), 9);
    const R = 0.1;
    const dome = Array.from({ length: 91 }, (_, i) => ({ out_m: R * Math.sin((i * Math.PI) / 180), up_m: R * Math.cos((i * Math.PI) / 180) }));
    // Its tangent is 30° steep at half of its radius out.
    const form = former({ across_m: R, floor_m: 2 * R, deep_m: R, points_m: dome });
    expect(formProblem(form)).toBeNull();
    expect(touchedArea(form) / (2 * Math.PI * R ** 2)).toBeCloseTo(1, 3);
    expect(wayDown(dome, 0) / ((Math.PI / 2) * R)).toBeCloseTo(1, 4);
    expect(wayDown(dome, R / 2) / ((Math.PI / 3) * R)).toBeCloseTo(1, 4);
    const drawn = formSection(form);
    expect(drawn.top?.map(([x, z]) => Math.hypot(x, z)).every((far) => Math.abs(far - R) < 1e-9)).toBe(true);
    expect(drawn.top?.at(-1)?.[0]).toBeCloseTo(R / 2, 3);
  });

  test('a ridge is open at its ends; sides that flare far lean as far as they do, by measures and by points', () => {
    const ridge = former({ plan: 'trough', along_m: 0.2 });
    expect(touchedArea(ridge)).toBeCloseTo(0.08 * 0.2 + 2 * 0.2 * Math.hypot(0.12, 0.02), 9);
    const lean = (out: number, down: number): number => (Math.atan2(out, down) * 180) / Math.PI;
    expect(leanOf(sidesOfFormer(former({ floor_m: 0.28, deep_m: 0.05 })))).toBeCloseTo(lean(0.1, 0.05), 9);
    const flared = former({ floor_m: 0.2, deep_m: 0.05 });
    for (const form of [flared, { ...flared, points_m: at([0, 0.05], [0.04, 0.05], [0.1, 0]) }])
      expect(leanOf(sidesOfFormer(form))).toBeCloseTo(lean(0.06, 0.05), 9);
  });

  test.each([
    ['that rises on its way', at([0, 0.1], [0.04, 0.12], [0.06, 0]), {}, 'points_m', /goes down all the way/],
    ['that comes to a point', at([0, 0.12], [0.06, 0]), {}, 'points_m', /comes to a point/],
    ['narrower below', at([0, 0.12], [0.04, 0.12], [0.06, 0.06], [0.05, 0]), { floor_m: 0.1 }, 'points_m', /comes back inwards/],
    ['with another top than told', straight, { across_m: 0.1 }, 'across_m', /is across 80 mm \(3.15 in\): write that/],
    ['without a foot', straight, { floor_m: undefined }, 'floor_m', /foot is across 120 mm/],
    ['with another height', at([0, 0.15], [0.04, 0.15], [0.06, 0]), {}, 'deep_m', /high 150 mm/],
    ['with one place alone', at([0, 0.12]), {}, 'points_m', /at least two/],
  ])('%s is refused at its measure', (_, points_m, more, path, message) => {
    expect(formProblem(former({ ...more, points_m }))).toMatchObject({ path, message: expect.stringMatching(message) });
  });
});

test('what is cast into weighs as the block round its hollow, what is sunk into by its wall', () => {
  const cup = hollow({ across_m: 0.1, floor_m: 0.1, deep_m: 0.05, thick_m: 0.02 });
  const wall = Math.PI * 0.1 * 0.05 + Math.PI * 0.05 ** 2;
  expect(formMass(cup)).toBeCloseTo(wall * 0.02 * materialOf(cup).density_kg_m3, 3);
  const block = Math.PI * (0.07 ** 2 * 0.07 - 0.05 ** 2 * 0.05);
  expect(formMass({ ...cup, use: 'cavity', thickest_m: 0.05, thinnest_m: 0.05 })).toBeCloseTo(block * materialOf(cup).density_kg_m3, 3);
});
