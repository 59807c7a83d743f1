import type { DrawnLayer } from '@torvin/core/piece';
import { landingAt, layerAt, sectionGeometry } from './geometry';
import { ghostPath } from './ghost';

const box = { width: 390, height: 160 };
const sheet = (thickness_m: number, more: Partial<DrawnLayer> = {}): DrawnLayer => ({ name: 'Clear', colour: '#cfe6dc', thickness_m, form: 'sheet', ...more });
const numerals = sheet(0.003, { form: 'pieces', cover: 0.2, count: 4 });

describe('the section drawing', () => {
  const drawn = sectionGeometry(0.2, [sheet(0.003), sheet(0.003)], box);

  test('stacks the layers upwards from the shelf without gaps', () => {
    const [base, top] = drawn.shapes;
    expect(base.y + base.height).toBeCloseTo(drawn.shelfY, 9);
    expect(top.y + top.height).toBeCloseTo(base.y, 9);
  });

  test('keeps widths to scale and depths to scale times the stated factor', () => {
    const [base] = drawn.shapes;
    expect((base.height / base.width) * (0.2 / 0.003)).toBeCloseTo(drawn.exaggeration, 9);
    expect(drawn.x(0.1) - drawn.x(-0.1)).toBeCloseTo(base.width, 9);
    expect(drawn.y(0) - drawn.y(0.003)).toBeCloseTo(base.height, 9);
  });

  test('lumps lie in rows as thick as one and are as wide as one, to scale', () => {
    const lumps = sectionGeometry(0.2, [sheet(0.04, { form: 'chunks', lump: { thick_m: 0.02, wide_m: 0.05 } })], box);
    expect(lumps.shapes).toHaveLength(8);
    for (const { width, height } of lumps.shapes) expect((height / width) * (0.05 / 0.02)).toBeCloseTo(lumps.exaggeration, 0);
  });

  test('a ring is cut through twice: nothing stands in its hole', () => {
    const ring = sectionGeometry(0.2, [sheet(0.003), sheet(0.003, { form: 'rod', cover: 0.5 })], box, undefined, 0.12);
    const [left, right] = ring.shapes;
    expect([left.x, left.x + left.width, right.x, right.x + right.width].map((px) => (px - ring.x(0)) / (ring.x(1) - ring.x(0)))).toEqual(
      [-0.1, -0.06, 0.06, 0.1].map((place) => expect.closeTo(place, 9)),
    );
    expect(ring.shapes.every(({ x, width }) => width > 0 && (x + width <= ring.x(-0.06) + 1e-9 || x >= ring.x(0.06) - 1e-9))).toBe(true);
  });

  test.each([
    [0.2, [sheet(0.003), sheet(0.003), numerals]],
    [2, [sheet(0.002)]],
    [0.02, Array.from({ length: 4 }, () => sheet(0.025))],
    [0.38, [sheet(0.006), sheet(0.005, { form: 'rod', cover: 0.5 }), sheet(0.003, { form: 'cap' })]],
  ])('stays inside its box for a span of %s m', (span, layers) => {
    const { shapes, exaggeration } = sectionGeometry(span, layers, box);
    expect(exaggeration).toBeGreaterThanOrEqual(1);
    for (const shape of shapes) {
      expect(shape.x).toBeGreaterThanOrEqual(0);
      expect(shape.x + shape.width).toBeLessThanOrEqual(box.width + 1e-9);
      expect(shape.y).toBeGreaterThanOrEqual(0);
    }
  });

  test('stands cut pieces side by side, as many as there are, over their share of the width', () => {
    const two = sectionGeometry(0.2, [sheet(0.003), numerals, { ...numerals, count: 2, cover: 0.1 }], box);
    const standing = two.shapes.slice(1);
    expect(standing).toHaveLength(6);
    expect(new Set(standing.map(({ y }) => y)).size).toBe(1);
    expect(standing.reduce((all, { width }) => all + width, 0)).toBeCloseTo(0.3 * two.shapes[0].width, 6);
    const sorted = [...standing].sort((a, b) => a.x - b.x);
    sorted.slice(1).forEach((shape, i) => expect(shape.x).toBeGreaterThan(sorted[i].x + sorted[i].width));
  });

  test('leaves room for a body that will be wider and deeper after its firing', () => {
    const roomy = sectionGeometry(0.2, [sheet(0.003)], box, { depth_m: 0.012, width_m: 0.3 });
    expect(roomy.x(0.15)).toBeLessThan(box.width);
    expect(roomy.y(0.012)).toBeGreaterThan(0);
    expect(roomy.shapes[0].width).toBeCloseTo((drawn.shapes[0].width * 2) / 3, 6);
  });

  test('finds the layer under a finger, and the nearest where there is none', () => {
    const [base, top] = drawn.bands;
    expect(layerAt(drawn, 200, base.y + 2)).toBe(0);
    expect(layerAt(drawn, 200, top.y + 2)).toBe(1);
    expect(layerAt(drawn, 200, 0)).toBe(1);
    expect(layerAt(drawn, 5, 159)).toBe(0);
  });

  test('tells where a dragged layer lands', () => {
    const { bands } = sectionGeometry(0.2, [sheet(0.003), sheet(0.003), sheet(0.003)], box);
    expect(landingAt(bands, 0, 0)).toBe(2);
    expect(landingAt(bands, 2, 159)).toBe(0);
    expect(landingAt(bands, 0, bands[1].y + 1)).toBe(1);
    expect(landingAt(bands, 1, bands[1].y + bands[1].height / 2)).toBe(1);
  });
});

describe('the ghost of the fired body', () => {
  const drawn = sectionGeometry(0.2, [sheet(0.003), sheet(0.003)], box);
  const corners = (path: string): [number, number][] => [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

  test('is as wide and as deep as what it is told', () => {
    const points = corners(ghostPath({ width_m: 0.21, depth_m: 0.0055, rim_m: 0.001, relief_m: 0, crown_m: 0 }, [], drawn));
    expect(Math.max(...points.map(([x]) => x)) - Math.min(...points.map(([x]) => x))).toBeCloseTo(drawn.x(0.105) - drawn.x(-0.105), 0);
    expect(Math.min(...points.map(([, y]) => y))).toBeCloseTo(drawn.y(0.0055), 0);
  });

  test('of a slump lies lowest in the middle, of a drape highest', () => {
    const at = (crown_m: number) => corners(ghostPath({ width_m: 0.2, depth_m: 0.006, rim_m: 0, relief_m: 0, crown_m }, [], drawn));
    const lowest = (points: [number, number][]) => points.reduce((best, point) => (point[1] > best[1] ? point : best));
    expect(Math.abs(lowest(at(-0.004))[0] - 195)).toBeLessThan(8);
    expect(Math.abs(lowest(at(0.004))[0] - 195)).toBeGreaterThan(100);
  });

  test('keeps what is left of standing pieces over the flat', () => {
    const withPieces = sectionGeometry(0.2, [sheet(0.006), numerals], box);
    const standing = withPieces.shapes.slice(1);
    const path = ghostPath({ width_m: 0.2, depth_m: 0.006, rim_m: 0, relief_m: 0.002, crown_m: 0 }, standing, withPieces);
    expect(Math.min(...corners(path).map(([, y]) => y))).toBeCloseTo(withPieces.y(0.008), 0);
  });

  test('two glasses in one layer lie side by side, at one height and with no gap where they cover it all', () => {
    const rods = (name: string, cover: number, thickness_m = 0.004): DrawnLayer => ({ name, colour: '#345678', form: 'rod', thickness_m, cover });
    const { shapes, bands } = sectionGeometry(0.3, [sheet(0.003), rods('blue', 0.6), rods('white', 0.4), sheet(0.003)], box);
    expect(bands[2]).toEqual(bands[1]);
    expect(bands[3].y + bands[3].height).toBeCloseTo(bands[1].y, 9);
    const reach = (layer: number) => {
      const own = shapes.filter((shape) => shape.layer === layer);
      return { from: Math.min(...own.map(({ x }) => x)), to: Math.max(...own.map(({ x, width }) => x + width)) };
    };
    const [all, blue, white] = [0, 1, 2].map(reach);
    expect([blue.from, white.to]).toEqual([expect.closeTo(all.from, 6), expect.closeTo(all.to, 6)]);
    expect(blue.to).toBeCloseTo(white.from, 6);
    expect((blue.to - blue.from) / (all.to - all.from)).toBeCloseTo(0.6, 6);
    // More than the whole cannot lie beside one another.
    const over = sectionGeometry(0.3, [sheet(0.003), rods('blue', 0.6), rods('white', 0.5)], box);
    expect(over.bands[2].y).toBeLessThan(over.bands[1].y);
  });
});
