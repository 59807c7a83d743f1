import { naturalDepth } from '../body/body';
import { SOFT_90 } from '../testCases';
import { laceAfter } from './lace';

const DENSITY = SOFT_90.density_kg_m3;

/** Numbers from 0 to 1, the same in every run (Park and Miller 1988). */
function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

/** Discs strewn at random on a square that joins up with itself; the share of points that none covers. */
function strewn(discs_per_m2: number, disc_m: number, side_m: number): number {
  const random = chance(7);
  const discs = Array.from({ length: Math.round(discs_per_m2 * side_m ** 2) }, () => [random() * side_m, random() * side_m]);
  const apart = (a: number, b: number): number => Math.min(Math.abs(a - b), side_m - Math.abs(a - b));
  const points = 2500;
  let bare = 0;
  for (let i = 0; i < points; i += 1) {
    const [x, y] = [random() * side_m, random() * side_m];
    if (discs.every(([u, v]) => apart(x, u) ** 2 + apart(y, v) ** 2 > (disc_m / 2) ** 2)) bare += 1;
  }
  return bare / points;
}

describe('grains strewn by hand', () => {
  test('leave as much bare as so many discs thrown at random', () => {
    const [perArea_kg_m2, grain_m] = [2.2, 0.002];
    const area_share = (2 * perArea_kg_m2) / (DENSITY * grain_m);
    const thrown = strewn(area_share / ((Math.PI * grain_m ** 2) / 4), grain_m, 0.08);
    expect(Math.abs(laceAfter(SOFT_90, { perArea_kg_m2, grain_m }, 0).open - thrown)).toBeLessThan(0.03);
  });

  test('open by grain as well as by mass: medium grain is still open at 0.4 g/cm², where powder is a film', () => {
    expect(laceAfter(SOFT_90, { perArea_kg_m2: 4, grain_m: 0.0025 }, 0.03)).toMatchObject({ as: 'lace' });
    expect(laceAfter(SOFT_90, { perArea_kg_m2: 4, grain_m: 0.0002 }, 3e-4)).toMatchObject({ as: 'film' });
    expect(laceAfter(SOFT_90, { perArea_kg_m2: 0.8, grain_m: 0.0025 }, 0.03)).toMatchObject({ as: 'islands' });
  });

  test('open more the hotter they are fired, with coarser holes, until drops stand as deep as hot glass rests', () => {
    const strewnOn = { perArea_kg_m2: 4, grain_m: 0.002 };
    const after = [0, 0.02, 0.05, 0.2].map((work) => laceAfter(SOFT_90, strewnOn, work));
    for (let i = 1; i < after.length; i += 1) {
      expect(after[i].open).toBeGreaterThan(after[i - 1].open);
      expect(after[i].hole_m).toBeGreaterThan(after[i - 1].hole_m);
    }
    expect(laceAfter(SOFT_90, strewnOn, 100).open).toBeCloseTo(Math.exp(-4 / DENSITY / naturalDepth(SOFT_90)), 9);
  });
});
