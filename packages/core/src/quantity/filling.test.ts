import fc from 'fast-check';
import { naturalDepth } from '../body/body';
import { TYPICAL_FAMILIES } from '../glass/families';
import { valueOf } from '../problem';
import { type Filling, type FillingTold, filling, heapLeft, heapUpTo } from './filling';
import { type Hollow, surfaceAt, volumeOf } from './hollow';

const glass = TYPICAL_FAMILIES[0];
const density = glass.density_kg_m3;
const natural = naturalDepth(glass);
const box: Hollow = { kind: 'straight', outline: { shape: 'rectangle', width_m: 0.1, length_m: 0.2 }, depth_m: 0.03 };
const told = (asked: Partial<Filling>): FillingTold => valueOf(filling({ glass, hollow: box, filler: { by: 'mass', mass_kg: 0.5 }, ...asked }));
const deep = (depth_m: number, hollow: Hollow = box): FillingTold =>
  told({ hollow, filler: { by: 'mass', mass_kg: depth_m * surfaceAt(hollow, 0) * density } });

test('a mass, segments and grains come to the same depth where they are the same glass', () => {
  const depth_m = 0.012;
  const byMass = deep(depth_m);
  expect(byMass).toMatchObject({ level_m: expect.closeTo(depth_m, 9), rim: 'full', covers: 1, back_m: 0, heap: null, refills: 0, next_kg: null });
  expect(byMass.over_kg).toBeCloseTo(-(0.03 - depth_m) * 0.02 * density, 9);
  const sawn = told({ filler: { by: 'segments', depth_m: 0.015, cover: 0.8 } });
  expect(sawn).toMatchObject({ mass_kg: expect.closeTo(byMass.mass_kg, 9), level_m: expect.closeTo(depth_m, 9) });
  // Level with grains it sinks to the share of them that is glass.
  expect(told({ filler: { by: 'grains', packing: 0.6 } })).toMatchObject({ level_m: expect.closeTo(0.6 * 0.03, 9), refills: 0, heap: null });
});

test('near the depth at which glass rests it grades from apart over scalloped to full, with no step', () => {
  expect([0.5, 0.7, 0.86, 0.9, 0.99, 1.01].map((share) => deep(share * natural).rim)).toEqual(['pools', 'scallops', 'scallops', 'wavers', 'wavers', 'full']);
  fc.assert(
    fc.property(fc.double({ min: 0.3, max: 1.2, noNaN: true }), fc.constantFrom('box', 'disc', 'ring'), (share, shape) => {
      const hollow: Hollow =
        shape === 'box'
          ? box
          : shape === 'disc'
            ? { kind: 'straight', outline: { shape: 'disc', diameter_m: 0.18 }, depth_m: 0.03 }
            : { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.2, inner_m: 0.12 }, depth_m: 0.03 };
      const [less, more] = [deep(share * natural, hollow), deep((share + 1e-4) * natural, hollow)];
      expect(more.back_m).toBeLessThanOrEqual(less.back_m + 1e-12);
      expect(less.back_m - more.back_m).toBeLessThan(1e-4);
      // Where it draws back it stands as deep as it does there: what is covered times that depth is all of it.
      if (less.covers < 1) expect(less.covers * 0.88 * natural).toBeCloseTo(share * natural, 9);
    }),
    { numRuns: 400, seed: 5 },
  );
  // Into a groove it runs whatever there is of it.
  expect(told({ hollow: { kind: 'vTrough', width_m: 0.1, length_m: 0.2, depth_m: 0.05 }, filler: { by: 'mass', mass_kg: 0.05 } })).toMatchObject({
    rim: 'full',
    covers: 1,
  });
});

test('a rim that stayed back takes so much more next time as would have stood as deep where it was bare', () => {
  // 100 by 200 mm, 5 mm back all round: 90 by 190 were covered.
  expect(told({ last: { mass_kg: 0.4, back_m: 0.005 } }).next_kg).toBeCloseTo((0.4 * 0.02) / (0.09 * 0.19), 9);
  const back = deep(0.8 * natural);
  const again = told({ filler: { by: 'mass', mass_kg: back.mass_kg }, last: { mass_kg: back.mass_kg, back_m: back.back_m } }).next_kg ?? NaN;
  // By its own model: it then reaches the wall, no more.
  expect(told({ filler: { by: 'mass', mass_kg: again } }).covers).toBeCloseTo(1, 6);
  expect(told({ last: { mass_kg: 0.4, back_m: 0.06 } }).next_kg).toBeNull();
});

test('a heap: a roof as steep as grains lie, its volume by thin slices, and levelled by heat', () => {
  const slope = 0.65;
  const sliced = (height: number): number => {
    const n = 2000;
    return Array.from({ length: n }, (_, i) => (((i + 0.5) / n) * height) / slope)
      .map((inset) => (0.1 - 2 * inset) * (0.2 - 2 * inset))
      .reduce((sum, area) => sum + (area * height) / n, 0);
  };
  for (const height of [0.005, 0.02, 0.0325]) expect(heapUpTo(box, height)).toBeCloseTo(sliced(height), 9);
  const disc: Hollow = { kind: 'straight', outline: { shape: 'disc', diameter_m: 0.1 }, depth_m: 0.02 };
  expect(heapUpTo(disc, 1)).toBeCloseTo((Math.PI * 0.05 ** 3 * slope) / 3, 12);
  // A ridge round a ring: half its wall times its height at the top.
  const ring: Hollow = { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.2, inner_m: 0.1 }, depth_m: 0.02 };
  expect(heapUpTo(ring, 1)).toBeCloseTo((surfaceAt(ring, 0) * 0.025 * slope) / 2, 12);
  const asked = { filler: { by: 'mass' as const, mass_kg: 0.03 * 0.02 * density * 0.7 }, packing: 0.6 };
  const heaped = told({ ...asked, work_perPa: 0.03 });
  expect(heaped.refills).toBe(0);
  expect(heapUpTo(box, heaped.heap?.overRim_m ?? 0)).toBeCloseTo((0.03 * 0.02 * 0.7) / 0.6 - 0.03 * 0.02, 9);
  expect(heaped.heap?.crown_m).toBeGreaterThan(told({ ...asked, work_perPa: 0.3 }).heap?.crown_m ?? 1);
  expect(told(asked).heap?.crown_m).toBeNull();
  expect(heapLeft(glass, 0.02, 0.1, 0)).toBe(1);
});

test('what does not go in at once is filled up as often as it takes, and all of it goes in', () => {
  const full = volumeOf(box) * density;
  expect(told({ filler: { by: 'mass', mass_kg: full }, packing: 0.3 }).refills).toBeGreaterThan(
    told({ filler: { by: 'mass', mass_kg: full }, packing: 0.5 }).refills,
  );
  expect(told({ filler: { by: 'mass', mass_kg: 2 * full } })).toMatchObject({ level_m: null, over_kg: expect.closeTo(full, 9) });
});

test('a liner that fills it and segments without a floor are refused where they stand', () => {
  expect(filling({ glass, hollow: box, liner_m: 0.05, filler: { by: 'mass', mass_kg: 1 } })).toMatchObject({ ok: false, problem: { path: 'liner_m' } });
  const hollow: Hollow = { kind: 'bowl', rim_m: 0.2, floor_m: 0.05, depth_m: 0.05 };
  expect(filling({ glass, hollow, filler: { by: 'segments', depth_m: 0.01, cover: 1 } })).toMatchObject({ ok: false, problem: { path: 'filler.by' } });
});
