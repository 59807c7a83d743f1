import { SOFT_90, familyOfId } from '../testCases';
import { type BodyInput, bodyFigures, openEdge, mainGlass, naturalDepth } from './body';
import { type Footprint, crossesItself, footprintArea, footprintPerimeter, footprintSpan, grownArea, insetBy } from './footprint';
import { type Layer, evenSheets, rowsOf } from './layers';
import { designDepth } from '../look/unevenness';

const disc: Footprint = { shape: 'disc', diameter_m: 0.2 };
const square: Footprint = { shape: 'rectangle', width_m: 0.2, length_m: 0.2 };
const sheet = (thickness_m: number, more: object = {}): Layer => ({ form: 'sheet', glass: 0, thickness_m, ...more });
const body = (layers: Layer[], more: Partial<BodyInput> = {}): BodyInput => ({ glasses: [SOFT_90], layers, footprint: square, ...more });

describe('mass and depth', () => {
  test('a disc of radius 90 mm, 7 mm deep, is 445 g', () => {
    const { mass_kg, depth } = bodyFigures(body([sheet(0.004), sheet(0.003)], { footprint: { shape: 'disc', diameter_m: 0.18 } }));
    expect(mass_kg).toBeCloseTo(0.4453, 4);
    expect(depth.mean_m).toBeCloseTo(0.007, 12);
  });

  test('a plaque of 240 × 180 mm strewn with 0.22 g/cm² carries 95 g, a film of 0.88 mm', () => {
    const plaque: Footprint = { shape: 'rectangle', width_m: 0.24, length_m: 0.18 };
    const { mass_kg, depth } = bodyFigures(body([{ form: 'frit', glass: 0, perArea_kg_m2: 2.2 }], { footprint: plaque }));
    expect(mass_kg).toBeCloseTo(0.09504, 12);
    expect(depth.mean_m).toBeCloseTo(0.00088, 12);
  });

  test('a row of rods counts as π/4 of its diameter', () => {
    const { depth, mass_kg } = bodyFigures(body([{ form: 'rod', glass: 0, diameter_m: 0.006 }]));
    expect(depth.max_m).toBeCloseTo((Math.PI / 4) * 0.006, 12);
    // Counted the other way: 200 mm hold 33⅓ rods of 6 mm, each 200 mm long.
    expect(mass_kg).toBeCloseTo((0.2 / 0.006) * Math.PI * 0.003 ** 2 * 0.2 * 2500, 9);
  });

  test('a half-covering layer counts half in the mean, wholly in the deepest, not in the thinnest', () => {
    const { depth, unevenness } = bodyFigures(body([sheet(0.006), sheet(0.003, { cover: 0.5 })]));
    expect(depth.min_m).toBeCloseTo(0.006, 12);
    expect(depth.mean_m).toBeCloseTo(0.0075, 12);
    expect(depth.max_m).toBeCloseTo(0.009, 12);
    expect(unevenness).toBeCloseTo(9 / 7.5, 12);
  });

  test('parts add their own mass, glass by glass', () => {
    const two = body([sheet(0.006)], { glasses: [SOFT_90, familyOfId('lead-crystal')], parts: [{ glass: 1, thickness_m: 0.003, area_m2: 0.001, count: 4 }] });
    const { perGlass_kg, mass_kg, depth } = bodyFigures(two);
    expect(perGlass_kg[1]).toBeCloseTo(4 * 0.001 * 0.003 * 2950, 12);
    expect(mass_kg).toBeCloseTo(perGlass_kg[0] + perGlass_kg[1], 12);
    expect(depth.max_m).toBeCloseTo(0.009, 12);
    expect(mainGlass(two)).toBe(two.glasses[0]);
  });

  test('a cap that stands over is heavier than the sheet under it', () => {
    const { mass_kg } = bodyFigures(body([{ form: 'cap', glass: 0, thickness_m: 0.002, overhang_m: 0.003 }], { footprint: disc }));
    expect(mass_kg).toBeCloseTo(Math.PI * 0.103 ** 2 * 0.002 * 2500, 9);
  });

  test('a casting has the depth of its sections and the mass of its volume', () => {
    const { depth, mass_kg } = bodyFigures(body([], { casting: { glass: 0, volume_m3: 0.0008, thickest_m: 0.05, thinnest_m: 0.012 } }));
    expect(mass_kg).toBeCloseTo(2, 12);
    expect([depth.min_m, depth.max_m]).toEqual([0.012, 0.05]);
  });

  test('what rounds last is the coarsest of sheets, rods, grains and parts', () => {
    expect(openEdge(body([sheet(0.003), { form: 'rod', glass: 0, diameter_m: 0.005 }, { form: 'frit', glass: 0, perArea_kg_m2: 1, grain_m: 0.008 }]))).toBe(
      0.008,
    );
  });
});

describe('outlines', () => {
  const hexagon: Footprint = {
    shape: 'polygon',
    corners_m: Array.from({ length: 6 }, (_, i) => [0.1 * Math.cos((i * Math.PI) / 3), 0.1 * Math.sin((i * Math.PI) / 3)] as const),
  };

  test.each([
    ['disc', disc, Math.PI * 0.01, Math.PI * 0.2, 0.2],
    ['rectangle', { shape: 'rectangle', width_m: 0.1, length_m: 0.25 } as Footprint, 0.025, 0.7, 0.25],
    ['hexagon', hexagon, 1.5 * Math.sqrt(3) * 0.01, 0.6, 0.2],
    ['round oval', { shape: 'oval', width_m: 0.2, length_m: 0.2 } as Footprint, Math.PI * 0.01, Math.PI * 0.2, 0.2],
  ])('of a %s: area, perimeter and span', (_, footprint, area, perimeter, span) => {
    expect(footprintArea(footprint)).toBeCloseTo(area, 12);
    expect(footprintPerimeter(footprint)).toBeCloseTo(perimeter, 12);
    expect(footprintSpan(footprint)).toBeCloseTo(span, 12);
  });

  test('of a slender oval has the perimeter of the elliptic integral within 1e-5', () => {
    let length = 0;
    for (let i = 0; i < 20000; i += 1) {
      const t = ((i + 0.5) * 2 * Math.PI) / 20000;
      length += (Math.hypot(0.05 * Math.sin(t), 0.15 * Math.cos(t)) * 2 * Math.PI) / 20000;
    }
    expect(footprintPerimeter({ shape: 'oval', width_m: 0.1, length_m: 0.3 }) / length).toBeCloseTo(1, 5);
  });

  test('grow by perimeter and corners', () => {
    expect(grownArea(square, 0.01)).toBeCloseTo(0.22 ** 2 - (4 - Math.PI) * 0.01 ** 2, 12);
  });

  test('that cross themselves are told from those that do not', () => {
    expect(
      crossesItself([
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ]),
    ).toBe(false);
    expect(
      crossesItself([
        [0, 0],
        [1, 1],
        [1, 0],
        [0, 1],
      ]),
    ).toBe(true);
  });
});

describe('where hot glass rests', () => {
  const resting = (thickness_m: number, dammed = false) => bodyFigures(body([sheet(thickness_m)], { footprint: disc, dammed })).afterFiring;

  test('soda-lime on primer rests at about 6.5 mm', () => {
    expect(naturalDepth(SOFT_90) * 1e3).toBeCloseTo(6.5, 1);
    expect(naturalDepth(familyOfId('lead-crystal')) * 1e3).toBeCloseTo(5.2, 1);
  });

  test.each([
    [0.003, 'draws-in'],
    [0.0065, 'stays'],
    [0.012, 'runs-out'],
  ])('a body %s m deep %s', (thickness_m, tendency) => {
    expect(resting(thickness_m).tendency).toBe(tendency);
  });

  test('the rim goes where the volume fits at natural depth', () => {
    const { naturalDepth_m, rimMoves_m } = resting(0.012);
    expect(Math.PI * (0.1 + rimMoves_m) ** 2 * naturalDepth_m).toBeCloseTo(Math.PI * 0.01 * 0.012, 12);
    expect(resting(0.003).rimMoves_m).toBeLessThan(0);
    expect(resting(0.0065).rimMoves_m).toBe(0);
  });

  test('a film of grains opens where it lies, as its rim does not: 240 by 180 mm at 0.22 g/cm²', () => {
    const outline: Footprint = { shape: 'rectangle', width_m: 0.24, length_m: 0.18 };
    const film = (perArea_kg_m2: number, more: Partial<BodyInput> = {}) =>
      bodyFigures({ glasses: [SOFT_90], layers: [{ form: 'frit', glass: 0, perArea_kg_m2 }], footprint: outline, ...more }).afterFiring;
    expect(film(2.2)).toMatchObject({ tendency: 'opens', rimMoves_m: 0 });
    expect(film(2.2, { dammed: true }).tendency).toBe('opens');
    // Deep enough it is a body like any other, and so is what has a sheet in it.
    expect(film(10).tendency).toBe('draws-in');
    expect(film(2.2, { layers: [{ form: 'sheet', glass: 0, thickness_m: 0.001 }] }).tendency).toBe('draws-in');
  });

  test('a ring is its disc less its hole; its rims move as its area does', () => {
    const ring: Footprint = { shape: 'ring', diameter_m: 0.2, inner_m: 0.12 };
    expect(footprintArea(ring)).toBeCloseTo((Math.PI / 4) * (0.04 - 0.0144), 12);
    // A strip as long as its middle line, as wide as its wall.
    expect(footprintArea(ring)).toBeCloseTo(Math.PI * 0.16 * 0.04, 12);
    expect(footprintArea(insetBy(ring, 0.003))).toBeCloseTo(grownArea(ring, -0.003), 12);
    const { naturalDepth_m, rimMoves_m } = bodyFigures({
      ...{ glasses: [SOFT_90], layers: evenSheets([{ thickness_m: 0.012 }]), footprint: ring },
    }).afterFiring;
    expect(grownArea(ring, rimMoves_m) * naturalDepth_m).toBeCloseTo(footprintArea(ring) * 0.012, 12);
  });

  test('in a dam it grades from scalloped to full: no step in how far it stands back', () => {
    const rest = resting(0.012, true).naturalDepth_m;
    const back = [0.7, 0.86, 0.8799, 0.8801, 0.9, 0.999, 1.001].map((share) => resting(share * rest, true));
    expect(back.map(({ tendency }) => tendency)).toEqual(['scallops', 'scallops', 'scallops', 'wavers', 'wavers', 'wavers', 'fills']);
    expect(back[1].rimMoves_m).toBeLessThan(0);
    expect(back[0].rimMoves_m).toBeLessThan(back[1].rimMoves_m);
    expect(Math.abs(back[2].rimMoves_m)).toBeLessThan(1e-4);
    expect(back.slice(3).every(({ rimMoves_m }) => rimMoves_m === 0)).toBe(true);
  });

  test('in a dam a deep body fills and a shallow one scallops, whatever its mass', () => {
    expect(resting(0.012, true)).toMatchObject({ tendency: 'fills', rimMoves_m: 0 });
    expect(resting(0.003, true).tendency).toBe('scallops');
    const wide = bodyFigures(body([sheet(0.003)], { footprint: { shape: 'disc', diameter_m: 1 }, dammed: true }));
    expect(wide.mass_kg).toBeGreaterThan(5);
    expect(wide.afterFiring.tendency).toBe('scallops');
  });
});

describe('the depth a body is fired as', () => {
  const relief = body([sheet(0.003), sheet(0.003), sheet(0.003, { cover: 0.3 })]);

  test('is its own where it is even, whatever the look', () => {
    for (const look of ['tack', 'contour', 'fullFuse', 'slump'] as const) expect(designDepth(body([sheet(0.006)]), look).factor).toBe(1);
  });

  test('is twice its thickest for tack relief, once for a full fuse, between for a contour', () => {
    expect(designDepth(relief, 'tack').factor).toBe(2);
    expect(designDepth(relief, 'tack').depth_m).toBeCloseTo(0.018, 12);
    expect(designDepth(relief, 'fullFuse').factor).toBe(1);
    expect(designDepth(relief, 'contour').factor).toBe(1.5);
  });

  test('a thin film of powder changes it little', () => {
    const { factor } = designDepth(body([sheet(0.006), { form: 'powder', glass: 0, perArea_kg_m2: 0.5, cover: 0.5 }]), 'tack');
    expect(factor).toBeGreaterThan(1);
    expect(factor).toBeLessThan(1.15);
  });
});

describe('two glasses in one layer', () => {
  const rods = (cover: number, diameter_m = 0.006, glass = 0) => ({ form: 'rod', glass, diameter_m, cover }) as const;
  const row = (Math.PI / 4) * 0.006;

  test('that cover it all lie side by side: as deep as one, and even', () => {
    const { depth, unevenness } = bodyFigures(body([sheet(0.003), rods(0.6), rods(0.4)]));
    expect(depth.max_m).toBeCloseTo(0.003 + row, 12);
    expect(depth.min_m).toBeCloseTo(0.003 + row, 12);
    expect(unevenness).toBeCloseTo(1, 12);
  });

  test('leave gaps where they cover less, and lie on one another where they cover more', () => {
    expect(bodyFigures(body([sheet(0.003), rods(0.5), rods(0.4)])).depth).toMatchObject({ min_m: 0.003, max_m: expect.closeTo(0.003 + row, 12) });
    expect(bodyFigures(body([sheet(0.003), rods(0.6), rods(0.5)])).depth.max_m).toBeCloseTo(0.003 + 2 * row, 12);
  });

  test('of different heights stand out by the difference', () => {
    expect(bodyFigures(body([sheet(0.003), rods(0.6), rods(0.4, 0.004)])).depth.min_m).toBeCloseTo(0.003 + (Math.PI / 4) * 0.004, 12);
  });

  test('grains on rods are no neighbours of them', () => {
    expect(rowsOf([sheet(0.003), rods(0.6), { form: 'frit', cover: 0.4 }])).toEqual([[0], [1], [2]]);
    expect(rowsOf([sheet(0.003), rods(0.6), rods(0.4), rods(0.4)])).toEqual([[0], [1, 2], [3]]);
    expect(rowsOf([sheet(0.003), sheet(0.003)])).toEqual([[0], [1]]);
  });
});

describe('parts that cover more than there is', () => {
  const of = (covers: readonly number[]): BodyInput => {
    const bare = body([sheet(0.003)]);
    const area_m2 = bodyFigures(bare).area_m2;
    return { ...bare, parts: covers.map((cover) => ({ glass: 0, thickness_m: 0.004, area_m2: (cover * area_m2) / 10, count: 10 })) };
  };

  test('lie on one another: no body is deeper in the mean than where it is deepest', () => {
    for (const covers of [[0.5], [0.6, 0.4], [0.9, 0.9], [1, 1, 1], [2.5], [0.3, 0.8, 0.6]]) {
      const { depth } = bodyFigures(of(covers));
      const cover = covers.reduce((sum, one) => sum + one, 0);
      expect(depth.mean_m).toBeLessThanOrEqual(depth.max_m + 1e-12);
      expect(depth.max_m).toBeCloseTo(0.003 + Math.ceil(cover - 1e-9) * 0.004, 12);
    }
  });

  test('by a hair are measured so', () => {
    expect(bodyFigures(of([0.61, 0.4])).depth.max_m).toBeCloseTo(0.007, 12);
  });
});
