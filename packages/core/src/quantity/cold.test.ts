import fc from 'fast-check';
import { fitAt, layCold, stackFor } from './cold';
import { type Hollow, surfaceAt, volumeOf } from './hollow';
import { inStock, toTake } from './stock';

const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const dam = (width_m: number, length_m: number, depth_m = 0.03): Hollow => ({ kind: 'straight', outline: { shape: 'rectangle', width_m, length_m }, depth_m });
const bar = { width_m: 0.05, length_m: 0.1, depth_m: 0.02 };

test('bricks lie side by side as they are counted by hand', () => {
  // Two by three, and turned where that is better.
  expect(fitAt(dam(0.1, 0.3), 0, bar)).toBe(6);
  expect(fitAt(dam(0.1, 0.16), 0, bar)).toBe(3);
  // The diagonal of one bar is 111.8 mm: a disc of that holds one, a smaller one none.
  const disc = (diameter_m: number): Hollow => ({ kind: 'straight', outline: { shape: 'disc', diameter_m }, depth_m: 0.03 });
  expect(fitAt(disc(0.1119), 0, bar)).toBe(1);
  expect(fitAt(disc(0.1117), 0, bar)).toBe(0);
  // Two side by side are a square of 100 mm: across its corners 141.4 mm.
  expect(fitAt(disc(0.1415), 0, bar)).toBe(2);
  const ring = (diameter_m: number): Hollow => ({ kind: 'straight', outline: { shape: 'ring', diameter_m, inner_m: 0.1 }, depth_m: 0.02 });
  // Round a cylinder of 100 mm each takes 2·atan(25/50) of the circle, 53.1 degrees: six of them.
  expect(fitAt(ring(0.3), 0, { width_m: 0.05, length_m: 0.05, depth_m: 0.02 })).toBe(6);
  expect(fitAt(ring(0.18), 0, bar)).toBe(0);
  expect(
    fitAt(
      {
        kind: 'straight',
        outline: {
          shape: 'polygon',
          corners_m: [
            [0, 0],
            [1, 0],
            [0, 1],
          ],
        },
        depth_m: 0.1,
      },
      0,
      bar,
    ),
  ).toBeNull();
});

test('what lies side by side never covers more than there is, and a larger hollow takes no fewer', () => {
  fc.assert(
    fc.property(figure(0.05, 0.6), figure(0.05, 0.6), figure(0.01, 0.1), figure(0.01, 0.1), (w, l, a, b) => {
      const brick = { width_m: a, length_m: b, depth_m: 0.01 };
      for (const shape of ['rectangle', 'oval'] as const) {
        const at = (by: number): Hollow => ({ kind: 'straight', outline: { shape, width_m: w * by, length_m: l * by }, depth_m: 0.02 });
        const count = fitAt(at(1), 0, brick) ?? -1;
        expect(count * a * b).toBeLessThanOrEqual(surfaceAt(at(1), 0) * (1 + 1e-6));
        expect(fitAt(at(1.3), 0, brick)).toBeGreaterThanOrEqual(count);
      }
    }),
    { numRuns: 400, seed: 3 },
  );
});

test('courses: a dam is filled from its floor, a groove from where a brick is as wide as it', () => {
  expect(layCold(dam(0.1, 0.1), bar, 3)).toEqual({
    courses: [
      { count: 2, from_m: 0 },
      { count: 1, from_m: 0.02 },
    ],
    top_m: 0.04,
    overRim_m: expect.closeTo(0.01, 12),
  });
  const groove: Hollow = { kind: 'vTrough', width_m: 0.1, length_m: 0.1, depth_m: 0.05 };
  // 50 mm wide at half its depth: there the first rests; the second, 20 mm higher, finds room for itself alone.
  const laid = layCold(groove, bar, 2);
  expect(laid?.courses[0]).toEqual({ count: 1, from_m: expect.closeTo(0.025, 9) });
  expect(laid?.top_m).toBeCloseTo(0.065, 9);
  expect(layCold(groove, { ...bar, width_m: 0.2, length_m: 0.2 }, 1)).toBeNull();
});

test('a stack for a groove stands lowest at 1/√2 of its width, and holds what it is to fill', () => {
  const groove: Hollow = { kind: 'vTrough', width_m: 0.08, length_m: 0.25, depth_m: 0.04 };
  // So thin that their number rounds nothing: z(b) + V/(bL) is least at b = √(V·w/(d·L)), and then both terms are alike.
  const fine = stackFor(groove, volumeOf(groove), 1e-6, 0);
  expect(fine?.strip.width_m).toBeCloseTo(0.08 / Math.SQRT2, 3);
  expect(fine?.overRim_m).toBeCloseTo(0.04 * (Math.SQRT2 - 1), 5);
  fc.assert(
    fc.property(figure(0.03, 0.3), figure(0.1, 0.6), figure(0.3, 1), figure(0.002, 0.006), figure(0, 0.01), (width_m, length_m, share, thick, ends) => {
      const trough: Hollow = { kind: 'roundTrough', width_m, length_m, depth_m: (share * width_m) / 2 };
      const stack = stackFor(trough, volumeOf(trough), thick, ends);
      if (!stack) throw new Error('no stack');
      const { strip, count } = stack;
      expect(count * strip.width_m * strip.length_m * thick).toBeGreaterThanOrEqual(volumeOf(trough) * (1 - 1e-6));
      expect(strip.length_m + 2 * ends).toBeCloseTo(length_m, 9);
      expect(2 * stack.sides_m + strip.width_m).toBeCloseTo(width_m, 9);
      // It rests where the trough is as wide as it.
      expect(surfaceAt(trough, stack.from_m) / length_m).toBeCloseTo(strip.width_m, 9);
    }),
    { numRuns: 100, seed: 4 },
  );
  expect(stackFor(dam(0.1, 0.1), 1e-4, 0.003, 0)).toBeNull();
  expect(stackFor(groove, 1e-4, 0.003, 0.2)).toBeNull();
});

test('a mass in sheets, billets, jars and scrap', () => {
  const stock = { sheet: { width_m: 0.4, length_m: 0.5, depth_m: 0.003 }, billet: bar, jar_kg: 0.5, scrap_kg: 4 };
  // 2.5 kg at 2500 kg/m³ are a litre: a sheet has 600 cm³, a billet 100.
  const told = inStock(2.5, 2500, stock);
  expect(told).toEqual({ sheets: expect.closeTo(5 / 3, 9), billets: expect.closeTo(10, 9), jars: 5, scrapShort_kg: -1.5 });
  expect([told.sheets, told.billets].map((count) => toTake(count ?? 0))).toEqual([2, 10]);
  expect(inStock(1, 2500, {})).toEqual({ sheets: null, billets: null, jars: null, scrapShort_kg: null });
});
