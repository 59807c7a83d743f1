/** Metres to pixels and back, and the map of thickness: every cell is painted once, where it lies and by its own depth. */
import type { Footprint } from '@torvin/core/body';
import type { Point } from '@torvin/core/plan';
import { type Cells, TINTS, depthAt, planGeometry, ringsPath, tintOf, tintPaths } from './geometry';

const PLAQUE: Footprint = { shape: 'rectangle', width_m: 0.3, length_m: 0.2 };
const DISC: Footprint = { shape: 'disc', diameter_m: 0.25 };

describe('where a piece lies on the drawing', () => {
  test.each([
    ['a plaque, on a phone', PLAQUE, 358, 400],
    ['a plaque, where there is little height', PLAQUE, 900, 240],
    ['a disc', DISC, 358, 400],
  ])('%s: to one scale both ways, in the middle, within the width and the height that there are', (_, footprint, width, most) => {
    const drawn = planGeometry(footprint, [], width, most);
    const { left, right, front, back } = drawn.within;
    expect(drawn.x(right) - drawn.x(left)).toBeCloseTo((right - left) * drawn.scale, 9);
    expect(drawn.y(front) - drawn.y(back)).toBeCloseTo((back - front) * drawn.scale, 9);
    expect(drawn.x(0)).toBeCloseTo(width / 2, 9);
    expect(drawn.x(left)).toBeGreaterThanOrEqual(24 - 1e-9);
    expect(drawn.y(back)).toBeCloseTo(24, 9);
    expect(drawn.height).toBeLessThanOrEqual(most + 1);
    // As large as one of the two lets it be.
    expect(Math.min(drawn.x(left) - 24, most - drawn.height)).toBeLessThan(1);
  });

  test('the place under a finger is the place that is drawn there', () => {
    const drawn = planGeometry(PLAQUE, [], 358, 400);
    for (const [x, y] of [
      [0, 0],
      [0.15, -0.1],
      [-0.07, 0.0333],
    ] satisfies Point[]) {
      const [back_x, back_y] = drawn.place(drawn.x(x), drawn.y(y));
      expect([back_x, back_y]).toEqual([expect.closeTo(x, 12), expect.closeTo(y, 12)]);
    }
    // The back is up.
    expect(drawn.place(100, 10)[1]).toBeGreaterThan(drawn.place(100, 20)[1]);
  });

  test('a part that stands out a little is in sight; one that lies far away makes nothing smaller', () => {
    const alone = planGeometry(PLAQUE, [], 358, 400);
    const near: Point = [0.2, 0];
    const withNear = planGeometry(PLAQUE, [near], 358, 400);
    expect(withNear.scale).toBeLessThan(alone.scale);
    expect(withNear.x(near[0])).toBeLessThanOrEqual(358 - 24 + 1e-9);
    expect(planGeometry(PLAQUE, [[0.4, 0]], 358, 400).scale).toBe(alone.scale);
    // What the measures are read from stays the piece.
    expect(withNear.within).toEqual(alone.within);
  });

  test('outlines are closed, one after the other', () => {
    const ring: Point[] = [
      [0, 0],
      [1, 0],
      [0, 1],
    ];
    expect(ringsPath([ring, ring], { x: (x) => 10 * x, y: (y) => 20 - 10 * y })).toBe('M0.0 20.0L10.0 20.0L0.0 10.0Z'.repeat(2));
  });
});

describe('lightness of a depth', () => {
  test('from the thinnest to the deepest, in even steps, never beyond', () => {
    const tints = Array.from({ length: 101 }, (_, i) => tintOf(0.003 + i * 6e-5, 0.003, 0.009));
    expect([tints[0], tints[50], tints[100]]).toEqual([0, (TINTS - 1) / 2, TINTS - 1]);
    tints.slice(1).forEach((tint, i) => expect(tint).toBeGreaterThanOrEqual(tints[i]));
    expect(new Set(tints).size).toBe(TINTS);
    expect([tintOf(0, 0.003, 0.009), tintOf(1, 0.003, 0.009)]).toEqual([0, TINTS - 1]);
  });

  test('an even body is drawn in the middle one', () => {
    expect(tintOf(0.006, 0.006, 0.006)).toBe(4);
    expect(tintOf(0.006, 0.006, 0.006005)).toBe(4);
    expect(tintOf(0.006, 0.006, 0.00602)).toBe(0);
  });
});

describe('the map of thickness', () => {
  const grid = { left_m: -0.15, front_m: -0.1, cell_m: 0.01, columns: 30, rows: 20 };
  const cell = (i: number): [column: number, row: number] => [i % grid.columns, Math.floor(i / grid.columns)];
  const all = Array.from({ length: grid.columns * grid.rows }, (_, i) => i);
  // A wedge from left to right with a hole, and a rim that is half covered.
  const share = all.map((i) => {
    const [column, row] = cell(i);
    if (column > 10 && column < 14 && row > 5 && row < 9) return 0;
    return row === 0 ? 0.5 : row === 19 ? 0.49 : 1;
  });
  const cells: Cells = { grid, share, depth_m: all.map((i) => 0.003 + 0.0002 * cell(i)[0]) };
  const [thin, deep] = [0.003, 0.003 + 0.0002 * 29];
  const drawn = planGeometry(PLAQUE, [], 348, 400);
  const middle = (i: number): Point => [grid.left_m + (cell(i)[0] + 0.5) * grid.cell_m, grid.front_m + (cell(i)[1] + 0.5) * grid.cell_m];
  const strips = tintPaths(cells, thin, deep, drawn).map((path) =>
    [...path.matchAll(/M(\S+) (\S+)h(\S+)v(\S+)h-(\S+)Z/g)].map((found) => found.slice(1).map(Number)).map(([x, y, w, h, back]) => ({ x, y, w, h, back })),
  );

  test('every cell that is half covered at least is painted in the lightness of its depth, and in no other', () => {
    for (const i of all) {
      const [x, y] = [drawn.x(middle(i)[0]), drawn.y(middle(i)[1])];
      const over = strips.flatMap((some, tint) => (some.some((one) => x > one.x && x < one.x + one.w && y > one.y && y < one.y + one.h) ? [tint] : []));
      expect({ i, over }).toEqual({ i, over: share[i] >= 0.5 ? [tintOf(cells.depth_m[i], thin, deep)] : [] });
    }
  });

  test('their area is that of the cells, but for the half pixel that each laps over the next row', () => {
    const painted = strips.flat().reduce((sum, { w, h }) => sum + w * (h - 0.5), 0);
    const covered = share.filter((one) => one >= 0.5).length * (grid.cell_m * drawn.scale) ** 2;
    expect(painted / covered).toBeCloseTo(1, 2);
    strips.flat().forEach(({ w, back }) => expect(back).toBe(w));
    // Strips, not cells.
    expect(strips.flat().length).toBeLessThan(all.length / 2);
  });

  test('a touch is told the depth of its cell, and nothing beside the glass or in its hole', () => {
    for (const i of all) expect(depthAt(cells, middle(i))).toBe(share[i] >= 0.5 ? cells.depth_m[i] : null);
    for (const place of [
      [-0.151, 0],
      [0.151, 0],
      [0, -0.101],
      [0, 0.101],
    ] satisfies Point[])
      expect(depthAt(cells, place)).toBeNull();
  });
});
