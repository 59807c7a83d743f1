import fc from 'fast-check';
import { type Hollow, heldTo, levelOf, lined, surfaceAt, volumeOf } from './hollow';

const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const is = <const K extends string>(kind: K) => fc.constant(kind);

const hollows: fc.Arbitrary<Hollow> = fc.oneof(
  fc.record({
    kind: is('straight'),
    outline: fc.oneof(
      fc.record({ shape: is('disc'), diameter_m: figure(0.05, 0.5) }),
      fc.record({ shape: is('oval'), width_m: figure(0.05, 0.5), length_m: figure(0.05, 0.5) }),
      fc.record({ shape: is('rectangle'), width_m: figure(0.05, 0.5), length_m: figure(0.05, 0.5) }),
      fc.tuple(figure(0.1, 0.5), figure(0.1, 0.7)).map(([diameter_m, share]) => ({ shape: 'ring' as const, diameter_m, inner_m: share * diameter_m })),
    ),
    depth_m: figure(0.01, 0.2),
  }),
  fc.record({ kind: is('vTrough'), width_m: figure(0.03, 0.3), length_m: figure(0.05, 0.6), depth_m: figure(0.02, 0.2) }),
  fc
    .tuple(figure(0.03, 0.3), figure(0.05, 0.6), figure(0.2, 1))
    .map(([width_m, length_m, share]) => ({ kind: 'roundTrough' as const, width_m, length_m, depth_m: (share * width_m) / 2 })),
  fc
    .tuple(is('cone'), figure(0.05, 0.4), figure(0, 1), figure(0.02, 0.3))
    .map(([kind, rim_m, share, depth_m]) => ({ kind, rim_m, floor_m: share * rim_m, depth_m })),
  fc
    .tuple(is('bowl'), figure(0.1, 0.4), figure(0, 0.9), figure(0.1, 1))
    .map(([kind, rim_m, share, deep]) => ({ kind, rim_m, floor_m: share * rim_m, depth_m: (deep * rim_m) / 2 })),
);

/** A second way: the free surface summed over thin slices. */
function sliced(hollow: Hollow, to_m: number): number {
  const slices = 4000;
  const each = to_m / slices;
  return Array.from({ length: slices }, (_, i) => surfaceAt(hollow, (i + 0.5) * each)).reduce((sum, area) => sum + area * each, 0);
}

test('shapes of the books: a half ball, a cone, half a lying cylinder, a prism', () => {
  const r = 0.08;
  expect(volumeOf({ kind: 'bowl', rim_m: 2 * r, floor_m: 0, depth_m: r })).toBeCloseTo((2 / 3) * Math.PI * r ** 3, 12);
  expect(volumeOf({ kind: 'cone', rim_m: 2 * r, floor_m: 0, depth_m: 0.1 })).toBeCloseTo((Math.PI * r ** 2 * 0.1) / 3, 12);
  expect(volumeOf({ kind: 'roundTrough', width_m: 2 * r, length_m: 0.3, depth_m: r })).toBeCloseTo((Math.PI / 2) * r ** 2 * 0.3, 12);
  expect(volumeOf({ kind: 'vTrough', width_m: 0.1, length_m: 0.3, depth_m: 0.05 })).toBeCloseTo((0.1 * 0.05 * 0.3) / 2, 12);
  expect(volumeOf({ kind: 'straight', outline: { shape: 'ring', diameter_m: 0.2, inner_m: 0.1 }, depth_m: 0.02 })).toBeCloseTo(
    (Math.PI / 4) * (0.04 - 0.01) * 0.02,
    12,
  );
  const corners_m = [
    [0, 0],
    [0.2, 0],
    [0, 0.1],
  ] as const;
  expect(volumeOf({ kind: 'straight', outline: { shape: 'polygon', corners_m }, depth_m: 0.02 })).toBeCloseTo(0.01 * 0.02, 12);
  // A bowl whose wall stands upright at the rim is half a ball less the cap under its floor.
  const cap = r - Math.sqrt(r ** 2 - 0.03 ** 2);
  const less = (Math.PI * cap ** 2 * (3 * r - cap)) / 3;
  expect(volumeOf({ kind: 'bowl', rim_m: 2 * r, floor_m: 0.06, depth_m: r - cap })).toBeCloseTo((2 / 3) * Math.PI * r ** 3 - less, 12);
});

test('what it holds is the sum of its surfaces, and an amount stands as high as it is held to', () => {
  fc.assert(
    fc.property(hollows, figure(0.01, 1), (hollow, share) => {
      const to = share * hollow.depth_m;
      const held = heldTo(hollow, to);
      expect(Math.abs(sliced(hollow, to) / held - 1)).toBeLessThan(1e-4);
      expect(Math.abs((levelOf(hollow, held) ?? NaN) - to)).toBeLessThan(1e-6 * hollow.depth_m);
      expect(levelOf(hollow, volumeOf(hollow) * 1.001)).toBeNull();
    }),
    { numRuns: 300, seed: 16 },
  );
});

test('a liner leaves what lies at least its thickness inside: less by its area times that, the thinner the truer', () => {
  fc.assert(
    fc.property(hollows, (hollow) => {
      const volume = (liner_m: number): number => {
        const left = lined(hollow, liner_m);
        return left ? volumeOf(left) : 0;
      };
      const thin = 1e-6;
      const area = (volumeOf(hollow) - volume(thin)) / thin;
      // Walls and floor, never less than the opening seen from above.
      expect(area).toBeGreaterThan(0.99 * surfaceAt(hollow, hollow.depth_m));
      // Twice as thick takes twice as much, as long as it is thin.
      expect((volumeOf(hollow) - volume(2 * thin)) / (2 * thin) / area).toBeCloseTo(1, 2);
      expect(volume(0.003)).toBeLessThan(volumeOf(hollow));
      expect(lined(hollow, 1)).toBeNull();
    }),
    { numRuns: 300, seed: 61 },
  );
  // By hand: 100 mm wide and 50 deep is a groove of a right angle; 3 mm along its walls lift it by 3·√2.
  const groove = lined({ kind: 'vTrough', width_m: 0.1, length_m: 0.3, depth_m: 0.05 }, 0.003);
  expect(groove).toMatchObject({ depth_m: expect.closeTo(0.05 - 0.003 * Math.SQRT2, 12), length_m: expect.closeTo(0.294, 12) });
  const ball = lined({ kind: 'bowl', rim_m: 0.16, floor_m: 0, depth_m: 0.08 }, 0.002);
  expect(ball).toEqual({ kind: 'bowl', rim_m: expect.closeTo(0.156, 9), floor_m: 0, depth_m: expect.closeTo(0.078, 9) });
  expect(lined({ kind: 'straight', outline: { shape: 'rectangle', width_m: 0.2, length_m: 0.1 }, depth_m: 0.03 }, 0.003)).toEqual({
    kind: 'straight',
    outline: { shape: 'rectangle', width_m: expect.closeTo(0.194, 12), length_m: expect.closeTo(0.094, 12) },
    depth_m: expect.closeTo(0.027, 12),
  });
});
