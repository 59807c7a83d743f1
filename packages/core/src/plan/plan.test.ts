import fc from 'fast-check';
import type { Footprint } from '../body/footprint';
import { footprintArea } from '../body/footprint';
import { commonTo, commonToConvex, gapBetween, isConvex, isWithin, overlapArea, shapeOf, shapesArea, together, withoutOther } from './clip';
import { Covers, gridRound } from './cover';
import { distances } from './distance';
import { type PartOutline, type PlacedPart, type Point, areaOf, bandCorners, boxOf, lengthOf, partArea, partCorners } from './parts';
import { layerVolume, thicknessMap } from './thickness';

const part = (outline: PartOutline, x_m = 0, y_m = 0, turned_deg = 0, id = 'p'): PlacedPart => ({ id, outline, x_m, y_m, turned_deg });

const size = fc.double({ min: 0.004, max: 0.12, noNaN: true });
const place = fc.double({ min: -0.15, max: 0.15, noNaN: true });
const anyOutline: fc.Arbitrary<PartOutline> = fc.oneof(
  fc.record({ shape: fc.constant('rectangle' as const), width_m: size, length_m: size }),
  fc.record({ shape: fc.constant('disc' as const), diameter_m: size }),
  fc.record({ shape: fc.constant('oval' as const), width_m: size, length_m: size }),
  // Round the middle, so that it never crosses itself; stars as well as convex ones.
  fc.array(size, { minLength: 3, maxLength: 12 }).map((radii) => ({
    shape: 'polygon' as const,
    corners_m: radii.map((r, i): Point => [r * Math.cos((2 * Math.PI * i) / radii.length), r * Math.sin((2 * Math.PI * i) / radii.length)]),
  })),
  fc.record({ width: fc.double({ min: 0.002, max: 0.01, noNaN: true }), bend: fc.double({ min: -0.03, max: 0.03, noNaN: true }) }).map(({ width, bend }) => ({
    shape: 'strip' as const,
    width_m: width,
    along_m: [[-0.06, 0] as const, [0, bend] as const, [0.06, 0] as const],
  })),
);
const anyPart: fc.Arbitrary<PlacedPart> = fc
  .record({ outline: anyOutline, x: place, y: place, turned: fc.double({ min: -180, max: 180, noNaN: true }) })
  .map(({ outline, x, y, turned }) => part(outline, x, y, turned));

describe('a part from above', () => {
  test('keeps its area however it is turned', () => {
    fc.assert(
      fc.property(anyPart, (one) => {
        expect(areaOf(partCorners(one))).toBeCloseTo(partArea(one), 9);
        expect(areaOf(partCorners({ ...one, turned_deg: one.turned_deg + 77, x_m: 1 }))).toBeCloseTo(partArea(one), 9);
      }),
    );
  });

  test('of a band along a line is its width times the length of the line, bent as it may be', () => {
    const along: Point[] = [
      [0, 0],
      [0.1, 0],
      [0.14, 0.06],
      [0.1, 0.12],
      [0.18, 0.2],
    ];
    expect(areaOf(bandCorners(along, 0.006))).toBeCloseTo(0.006 * lengthOf(along), 12);
  });
});

describe('cover of the cells of a grid', () => {
  const covered = (one: PlacedPart, cell_m: number): { sum_m2: number; least: number; most: number } => {
    const corners = partCorners(one);
    const grid = gridRound(boxOf(corners), cell_m);
    const covers = new Covers(grid);
    covers.add(corners);
    const shares = covers.shares();
    return { sum_m2: shares.reduce((sum, share) => sum + share, 0) * cell_m ** 2, least: Math.min(...shares), most: Math.max(...shares) };
  };

  test('sums to the area of any part to rounding, and no cell is covered more than once', () => {
    fc.assert(
      fc.property(anyPart, (one) => {
        const { sum_m2, least, most } = covered(one, 0.002);
        expect(Math.abs(sum_m2 / partArea(one) - 1)).toBeLessThan(1e-9);
        expect(least).toBeGreaterThan(-1e-9);
        expect(most).toBeLessThan(1 + 1e-9);
      }),
    );
  });

  test('is in each cell what clipping leaves there', () => {
    fc.assert(
      fc.property(anyPart, (one) => {
        const corners = partCorners(one);
        const grid = gridRound(boxOf(corners), 0.02);
        const covers = new Covers(grid);
        covers.add(corners);
        covers.shares().forEach((share, i) => {
          const x = grid.left_m + (i % grid.columns) * grid.cell_m;
          const y = grid.front_m + Math.floor(i / grid.columns) * grid.cell_m;
          const cell: Point[] = [
            [x, y],
            [x + grid.cell_m, y],
            [x + grid.cell_m, y + grid.cell_m],
            [x, y + grid.cell_m],
          ];
          // Corners on a raster of a thousandth of a millimetre.
          expect(Math.abs(share * grid.cell_m ** 2 - overlapArea(corners, cell))).toBeLessThan(4e-6 * grid.cell_m * 4);
        });
      }),
      { numRuns: 30 },
    );
  });

  test('by clipping is what counting points finds to a thousandth', () => {
    const base: Point[] = partCorners(part({ shape: 'oval', width_m: 0.2, length_m: 0.14 }));
    const over = partCorners(part({ shape: 'rectangle', width_m: 0.12, length_m: 0.09 }, 0.06, 0.03, 31));
    const across = 1000;
    const box = boxOf(over);
    let hits = 0;
    for (let i = 0; i < across; i += 1) {
      for (let k = 0; k < across; k += 1) {
        const point: Point = [box.left + ((i + 0.5) / across) * (box.right - box.left), box.front + ((k + 0.5) / across) * (box.back - box.front)];
        if (isWithin(point, [over]) && isWithin(point, [base])) hits += 1;
      }
    }
    const counted = (hits / across ** 2) * (box.right - box.left) * (box.back - box.front);
    expect(Math.abs(overlapArea(base, over) / counted - 1)).toBeLessThan(1e-3);
  });

  test('reaches over the sides of a grid that is too small without falling into it', () => {
    const covers = new Covers({ left_m: 0, front_m: 0, cell_m: 0.01, columns: 3, rows: 2 });
    covers.add(partCorners(part({ shape: 'rectangle', width_m: 1, length_m: 1 })));
    expect([...covers.shares()].every((share) => Math.abs(share - 1) < 1e-12)).toBe(true);
  });
});

describe('what outlines are together', () => {
  const square = (x: number, y: number, side: number) =>
    shapeOf([
      [x, y],
      [x + side, y],
      [x + side, y + side],
      [x, y + side],
    ]);

  test('what two of them share counts once, what stands apart twice, and none is nothing', () => {
    expect(shapesArea(together([square(0, 0, 0.1), square(0.05, 0, 0.1)]))).toBeCloseTo(0.1 * 0.15, 9);
    expect(shapesArea(together([square(0, 0, 0.1), square(0.5, 0, 0.1), square(0.5, 0, 0.05)]))).toBeCloseTo(2 * 0.01, 9);
    expect(together([square(0, 0, 0.1)])).toHaveLength(1);
    expect(together([])).toEqual([]);
  });
});

describe('what outlines have in common', () => {
  test('and what they leave makes up the whole', () => {
    fc.assert(
      fc.property(anyPart, anyPart, (one, other) => {
        const [a, b] = [shapeOf(partCorners(one)), shapeOf(partCorners(other))];
        expect(Math.abs(shapesArea(commonTo(a, b)) + shapesArea(withoutOther(a, b)) - partArea(one))).toBeLessThan(1e-6 * 4);
      }),
    );
  });

  test('of two convex ones is the same cut off side by side', () => {
    fc.assert(
      fc.property(anyPart, anyPart, (one, other) => {
        const [a, b] = [partCorners(one), partCorners(other)];
        fc.pre(isConvex(a) && isConvex(b));
        expect(Math.abs(areaOf(commonToConvex(a, b)) - shapesArea(commonTo(shapeOf(a), shapeOf(b))))).toBeLessThan(2e-6);
      }),
    );
    expect(isConvex(partCorners(part({ shape: 'disc', diameter_m: 0.05 })))).toBe(true);
    expect(
      isConvex(
        partCorners(
          part({
            shape: 'strip',
            width_m: 0.004,
            along_m: [
              [0, 0],
              [0.05, 0.02],
              [0.1, 0],
            ],
          }),
        ),
      ),
    ).toBe(false);
  });

  test('the gap between two bars is what lies between their sides', () => {
    const bar = { shape: 'rectangle', width_m: 0.02, length_m: 0.06 } as const;
    expect(gapBetween(partCorners(part(bar)), partCorners(part(bar, 0.029)))).toBeCloseTo(0.009, 12);
    expect(gapBetween(partCorners(part(bar, 0, 0, 90)), partCorners(part(bar, 0.05, 0.1)))).toBeCloseTo(Math.hypot(0.01, 0.06), 12);
  });
});

test('distances are those of the nearest cell, by trying all', () => {
  const [columns, rows] = [23, 17];
  const ones = Array.from({ length: columns * rows }, (_, i) => (i * 7919) % 53 === 0);
  const told = distances(columns, rows, (cell) => ones[cell]);
  told.forEach((distance, i) => {
    const tried = ones.flatMap((one, k) => (one ? [Math.hypot((i % columns) - (k % columns), Math.floor(i / columns) - Math.floor(k / columns))] : []));
    expect(distance).toBeCloseTo(Math.min(...tried), 9);
  });
});

describe('a thickness map', () => {
  const base: Footprint = { shape: 'rectangle', width_m: 0.3, length_m: 0.24 };
  const bar = { shape: 'rectangle', width_m: 0.02, length_m: 0.08 } as const;

  test('holds the glass of its parts within a thousandth, whatever lies where', () => {
    const outlines: Footprint[] = [
      base,
      { shape: 'disc', diameter_m: 0.21 },
      { shape: 'ring', diameter_m: 0.26, inner_m: 0.12 },
      {
        shape: 'polygon',
        corners_m: [
          [0, 0],
          [0.3, 0.02],
          [0.26, 0.2],
          [0.1, 0.1],
        ],
      },
    ];
    fc.assert(
      fc.property(fc.constantFrom(...outlines), fc.array(anyPart, { minLength: 1, maxLength: 12 }), (footprint, placed) => {
        const layers = [
          { depth_m: 0.003 },
          { depth_m: 0.004, placed },
          {
            depth_m: 0.0015,
            placed: [
              part({
                shape: 'rod',
                along_m: [
                  [-0.1, 0],
                  [0, 0.02],
                  [0.1, 0],
                ],
              }),
            ],
            across_m: 0.0019,
          },
          { depth_m: 0.003, overhang_m: 0.004 },
        ];
        const map = thicknessMap(footprint, layers);
        const parts = layers.reduce((sum, layer) => sum + layerVolume(layer, footprint), 0);
        expect(Math.abs(map.volume_m3 / parts - 1)).toBeLessThan(1e-3);
        const cells = map.depth_m.reduce((sum, depth, i) => sum + depth * map.share[i], 0) * map.grid.cell_m ** 2;
        expect(Math.abs(cells / parts - 1)).toBeLessThan(1e-3);
      }),
      { numRuns: 40 },
    );
  });

  test('tells the deepest, the thinnest, the steepest and how far thick and thin lie apart', () => {
    // Bars of 20 mm every 50 mm, from front to back: 10 mm of thick to each side of its middle, 15 mm of thin.
    const placed = Array.from({ length: 6 }, (_, i) => part({ ...bar, length_m: 0.24 }, -0.125 + 0.05 * i, 0, 0, String(i)));
    const map = thicknessMap(base, [{ depth_m: 0.006 }, { depth_m: 0.004, placed }]);
    expect(map.deepest.depth_m).toBeCloseTo(0.01, 9);
    expect(map.thinnest.depth_m).toBeCloseTo(0.006, 9);
    expect(map.steepest.depth_m).toBeCloseTo(0.004, 9);
    expect(Math.abs(map.reach.thick_m - 0.01)).toBeLessThan(0.0011);
    expect(Math.abs(map.reach.thin_m - 0.015)).toBeLessThan(0.0011);
    expect(map.apart_m).toBeCloseTo(1.1 * Math.sqrt(2 * map.reach.thick_m * (map.reach.thick_m + map.reach.thin_m)), 12);
  });

  test('an even sheet is even, and a lone bar lies where it lies', () => {
    const even = thicknessMap(base, [{ depth_m: 0.006 }]);
    expect([even.deepest.depth_m, even.thinnest.depth_m, even.steepest.depth_m, even.apart_m]).toEqual([
      expect.closeTo(0.006, 12),
      expect.closeTo(0.006, 12),
      0,
      0,
    ]);
    const { deepest } = thicknessMap(base, [{ depth_m: 0.003 }, { depth_m: 0.003, placed: [part(bar, 0.1, -0.05)] }]);
    expect(Math.abs(deepest.x_m - 0.1)).toBeLessThan(0.011);
    expect(Math.abs(deepest.y_m + 0.05)).toBeLessThan(0.041);
  });

  test('a stringer thinner than a cell is as deep as it is', () => {
    const stringer = {
      depth_m: 0.0008,
      across_m: 0.001,
      placed: [
        part(
          {
            shape: 'rod',
            along_m: [
              [-0.1, 0],
              [0.1, 0],
            ],
          },
          0.0007,
          0.0003,
        ),
      ],
    };
    const map = thicknessMap(base, [{ depth_m: 0.003 }, stringer, { depth_m: 0.0008, across_m: 0.001, placed: [{ ...stringer.placed[0], turned_deg: 90 }] }]);
    expect(map.deepest.depth_m).toBeCloseTo(0.0046, 9);
  });

  test('a ring is bare in its middle and that counts for nothing', () => {
    const map = thicknessMap({ shape: 'ring', diameter_m: 0.2, inner_m: 0.1 }, [{ depth_m: 0.006 }]);
    expect(map.thinnest.depth_m).toBeCloseTo(0.006, 9);
    expect(map.volume_m3).toBeCloseTo(0.006 * footprintArea({ shape: 'ring', diameter_m: 0.2, inner_m: 0.1 }), 12);
  });

  test('a large piece is mapped with larger cells', () => {
    const map = thicknessMap({ shape: 'rectangle', width_m: 2, length_m: 2 }, [{ depth_m: 0.006 }]);
    expect(map.depth_m.length).toBeLessThanOrEqual(252_000);
  });
});
