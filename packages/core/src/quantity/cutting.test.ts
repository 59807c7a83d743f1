import fc from 'fast-check';
import { type Footprint, footprintArea, footprintPerimeter } from '../body/footprint';
import { valueOf } from '../problem';
import { type CuttingAsked, type CuttingTold, cutting } from './cutting';
import { offsetPolygon, outlineInside } from './offset';

const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const told = (asked: CuttingAsked): CuttingTold => valueOf(cutting(asked));
const sheet = { width_m: 0.5, length_m: 0.4, thickness_m: 0.003 };

describe('strips and segments', () => {
  test('a sheet of 500 mm gives 41 strips of 10 with a kerf of 2, and 8 mm are left and the last kerf', () => {
    const { pieces, along } = told({ kind: 'strips', sheet, strip_m: 0.01, kerf_m: 0.002 });
    expect(pieces[0]).toMatchObject({ count: 41, width_m: 0.01, length_m: 0.4 });
    expect(along).toEqual({ used_m: expect.closeTo(0.41, 12), kerf_m: expect.closeTo(0.082, 12), left_m: expect.closeTo(0.008, 12) });
    expect(told({ kind: 'strips', sheet, strip_m: 0.01, kerf_m: 0.002, count: 100 }).sheets).toBe(3);
    // Scored and broken they take nothing: fifty, and nothing left.
    expect(told({ kind: 'strips', sheet, strip_m: 0.01, kerf_m: 0 })).toMatchObject({ pieces: [{ count: 50 }], along: { left_m: expect.closeTo(0, 9) } });
  });

  test('what there was is what comes of it, the kerf and the offcut, and one more would not go', () => {
    fc.assert(
      fc.property(figure(0.05, 2), figure(0.003, 0.05), figure(0, 0.9), (whole, each, share) => {
        const kerf_m = share * 0.003;
        const { pieces, along } = told({ kind: 'segments', slab_m: whole, stop_m: Math.min(each, whole), kerf_m });
        const { used_m = NaN, kerf_m: mud = NaN, left_m = NaN } = along ?? {};
        expect(used_m + mud + left_m).toBeCloseTo(whole, 9);
        expect(left_m).toBeLessThan(each + 1e-9);
        expect(used_m).toBeCloseTo(pieces[0].count * Math.min(each, whole), 9);
      }),
      { numRuns: 400, seed: 21 },
    );
  });

  test('segments of a bar lie on their cut face, as thick as the stop', () => {
    const bar = { kind: 'segments', slab_m: 0.3, stop_m: 0.012, kerf_m: 0.002, section: { width_m: 0.04, depth_m: 0.03 } } as const;
    expect(told(bar).pieces[0]).toMatchObject({ count: 21, width_m: 0.04, length_m: 0.03, thickness_m: 0.012 });
  });

  test('on edge they fill a width by their thickness', () => {
    const { pieces, finished, along } = told({ kind: 'onEdge', width_m: 0.1, length_m: 0.3, strip_m: 0.012, thickness_m: 0.003, high: 2 });
    expect(pieces[0].count).toBe(66);
    expect(finished).toEqual({ width_m: expect.closeTo(0.099, 12), length_m: 0.3, depth_m: 0.024 });
    expect(along?.left_m).toBeCloseTo(0.001, 12);
  });
});

test('a woven panel is as large as the sum of its strips and gaps, its cap larger all round', () => {
  const asked: CuttingAsked = {
    ...{ kind: 'woven', strip_m: 0.015, gap_m: 0.001, across: 9, along: 13, thickness_m: 0.003, border_m: 0.02, spare: 0.1 },
    cap: { thickness_m: 0.002, overhang_m: 0.003 },
  };
  const { pieces, finished } = told(asked);
  // 9·15 + 8·1 + 2·20 by 13·15 + 12·1 + 2·20.
  expect(finished).toEqual({ width_m: expect.closeTo(0.183, 12), length_m: expect.closeTo(0.247, 12), depth_m: expect.closeTo(0.008, 12) });
  expect(
    pieces.map(({ name, count, spares, width_m, length_m }) => [name, count, spares, Math.round(width_m * 1e4) / 10, Math.round(length_m * 1e4) / 10]),
  ).toEqual([
    ['strip up the panel', 9, 1, 15, 207],
    ['strip across it', 13, 2, 15, 143],
    ['border, long way', 4, 1, 20, 247],
    ['border, between', 4, 1, 20, 143],
    ['cap', 1, 1, 189, 253],
  ]);
  // What lies there covers no more than the panel, twice.
  const laid = pieces.slice(0, 4).reduce((sum, { count, width_m, length_m }) => sum + count * width_m * length_m, 0);
  expect(laid).toBeLessThan(2 * 0.183 * 0.247);
  expect(told({ ...asked, border_m: 0, cap: null, spare: 0 }).pieces).toHaveLength(2);
});

describe('a polygon with so much off', () => {
  const square: [number, number][] = [
    [0, 0],
    [0.1, 0],
    [0.1, 0.1],
    [0, 0.1],
  ];

  test('a square, either way round, and an L with its inward corner', () => {
    for (const corners of [square, square.toReversed()]) {
      const inside = offsetPolygon(corners, 0.01);
      expect(inside && footprintArea({ shape: 'polygon', corners_m: inside })).toBeCloseTo(0.08 ** 2, 12);
    }
    const ell: [number, number][] = [
      [0, 0],
      [0.1, 0],
      [0.1, 0.05],
      [0.05, 0.05],
      [0.05, 0.1],
      [0, 0.1],
    ];
    // By hand: 80 by 30 and 30 by 50 beside it.
    expect(footprintArea({ shape: 'polygon', corners_m: offsetPolygon(ell, 0.01) ?? [] })).toBeCloseTo(0.08 * 0.03 + 0.03 * 0.05, 12);
    expect(offsetPolygon(ell, 0.03)).toBeNull();
  });

  test('of a regular one it is the smaller one, and there and back is where it was', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), figure(0.05, 0.5), figure(0, 0.8), (n, radius, share) => {
        const corners = Array.from({ length: n }, (_, i): [number, number] => [
          radius * Math.cos((2 * Math.PI * i) / n),
          radius * Math.sin((2 * Math.PI * i) / n),
        ]);
        const apothem = radius * Math.cos(Math.PI / n);
        const by = share * apothem;
        const inside = offsetPolygon(corners, by);
        if (!inside) throw new Error('nothing left');
        const outline = (one: readonly (readonly [number, number])[]): Footprint => ({ shape: 'polygon', corners_m: one });
        expect(footprintArea(outline(inside)) / footprintArea(outline(corners))).toBeCloseTo((1 - share) ** 2, 6);
        const back = offsetPolygon(inside, -by);
        back?.forEach(([x, y], i) => expect(Math.hypot(x - corners[i][0], y - corners[i][1])).toBeLessThan(1e-9));
      }),
      { numRuns: 400, seed: 5 },
    );
  });
});

describe('liners and caps', () => {
  test('a ring: its walls are as long as the paper is bent to, its floor lies within them', () => {
    const { pieces } = told({
      kind: 'liner',
      hollow: { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.22, inner_m: 0.14 }, depth_m: 0.03 },
      thickness_m: 0.003,
    });
    const [floor, outer, core] = pieces;
    expect(floor).toMatchObject({ outline: 'ring', width_m: expect.closeTo(0.214, 12) });
    expect(outer.length_m).toBeCloseTo(Math.PI * 0.217, 12);
    expect(core.length_m).toBeCloseTo(Math.PI * 0.143, 12);
  });

  test('a box: two walls the whole way, two between them; what they cover is its inside', () => {
    const { pieces } = told({
      kind: 'liner',
      hollow: { kind: 'straight', outline: { shape: 'rectangle', width_m: 0.1, length_m: 0.2 }, depth_m: 0.03 },
      thickness_m: 0.002,
    });
    expect(pieces.map(({ name, count, length_m }) => [name, count, Math.round(length_m * 1e4) / 10])).toEqual([
      ['floor', 1, 196],
      ['wall, long way', 2, 200],
      ['wall, between', 2, 96],
    ]);
    const around = pieces.slice(1).reduce((sum, { count, length_m }) => sum + count * length_m, 0);
    expect(around).toBeCloseTo(footprintPerimeter({ shape: 'rectangle', width_m: 0.1, length_m: 0.2 }) - 4 * 0.002, 12);
  });

  test('troughs: slopes as long as they slant, a round as its arc, ends as they are', () => {
    const groove = told({ kind: 'liner', hollow: { kind: 'vTrough', width_m: 0.06, length_m: 0.3, depth_m: 0.04 }, thickness_m: 0.002 }).pieces;
    expect(groove[0]).toMatchObject({ width_m: 0.05, length_m: 0.3 });
    expect(groove[2]).toMatchObject({ count: 2, outline: 'triangle' });
    const half = told({ kind: 'liner', hollow: { kind: 'roundTrough', width_m: 0.08, length_m: 0.3, depth_m: 0.04 }, thickness_m: 0.002 }).pieces;
    expect(half[0].width_m).toBeCloseTo(Math.PI * 0.039, 12);
  });

  test('a disc and a polygon have a wall round them; a cap is larger all round', () => {
    const wall = (outline: Footprint) => told({ kind: 'liner', hollow: { kind: 'straight', outline, depth_m: 0.03 }, thickness_m: 0.002 }).pieces[1].length_m;
    expect(wall({ shape: 'disc', diameter_m: 0.2 })).toBeCloseTo(Math.PI * 0.198, 12);
    const cap = told({ kind: 'cap', outline: { shape: 'disc', diameter_m: 0.2 }, overhang_m: 0.004 }).pieces[0];
    expect(cap).toMatchObject({ outline: 'disc', width_m: expect.closeTo(0.208, 12) });
    expect(outlineInside({ shape: 'ring', diameter_m: 0.2, inner_m: 0.005 }, -0.004)).toBeNull();
  });
});

test.each<[string, CuttingAsked, string]>([
  ['a kerf as wide as the strip', { kind: 'strips', sheet, strip_m: 0.002, kerf_m: 0.002 }, 'kerf_m'],
  ['a strip wider than the sheet', { kind: 'strips', sheet, strip_m: 0.6, kerf_m: 0.002 }, 'strip_m'],
  ['a stop beyond the slab', { kind: 'segments', slab_m: 0.1, stop_m: 0.2, kerf_m: 0.002 }, 'stop_m'],
  ['glass thicker than the width', { kind: 'onEdge', width_m: 0.002, length_m: 0.1, strip_m: 0.01, thickness_m: 0.003, high: 1 }, 'thickness_m'],
  [
    'a liner thicker than the ring',
    { kind: 'liner', hollow: { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.1, inner_m: 0.09 }, depth_m: 0.03 }, thickness_m: 0.003 },
    'thickness_m',
  ],
  ['paper in a bowl', { kind: 'liner', hollow: { kind: 'bowl', rim_m: 0.2, floor_m: 0.1, depth_m: 0.05 }, thickness_m: 0.002 }, 'hollow.kind'],
])('%s is refused where it stands', (_, asked, path) => {
  expect(cutting(asked)).toMatchObject({ ok: false, problem: { path } });
});
