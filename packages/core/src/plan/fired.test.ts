import { naturalDepth } from '../body/body';
import type { Footprint } from '../body/footprint';
import { levellingRate } from '../flow/relief';
import { rimReach } from '../flow/spread';
import { SOFT_90 } from '../testCases';
import { type Field, type FiredAs, firedField } from './fired';
import type { PlacedPart } from './parts';
import { damped } from './ripples';
import { type MappedLayer, thicknessMap } from './thickness';

const REST = naturalDepth(SOFT_90);
const SQUARE: Footprint = { shape: 'rectangle', width_m: 0.2, length_m: 0.2 };
const fuse = (work_perPa: number, more: Partial<FiredAs> = {}): FiredAs => ({ glass: SOFT_90, work_perPa, flows: true, dammed: false, ...more });

const volumeOf = ({ grid, depth_m, share }: Field): number => depth_m.reduce((sum, one, i) => sum + one * share[i], 0) * grid.cell_m ** 2;
const areaOf = ({ grid, share }: Field): number => share.reduce((sum, one) => sum + one, 0) * grid.cell_m ** 2;
function depthAt({ grid, depth_m, share }: Field, x_m: number, y_m = 0): number {
  const column = Math.floor((x_m - grid.left_m) / grid.cell_m);
  const cell = Math.floor((y_m - grid.front_m) / grid.cell_m) * grid.columns + column;
  return share[cell] > 0.5 ? depth_m[cell] : 0;
}
const bars = (depth_m: number, at: readonly number[], width_m = 0.024): MappedLayer => ({
  depth_m,
  placed: at.map((x_m, i): PlacedPart => ({ id: String(i), outline: { shape: 'rectangle', width_m, length_m: 0.2 }, x_m, y_m: 0, turned_deg: 0 })),
});
const laid = (...layers: MappedLayer[]): Field => thicknessMap(SQUARE, layers);

test('two fields come back from their ripples as they were, and each ripple is one of them', () => {
  const [columns, rows] = [32, 8];
  const field = Float64Array.from({ length: columns * rows }, (_, i) => Math.cos((6 * Math.PI * (i % columns)) / columns) + ((i * 7) % 5));
  const other = field.map((_, i) => (i * 11) % 3);
  const back = damped([field, other], columns, rows, 0.01, () => 1);
  back[0].forEach((value, i) => expect(value).toBeCloseTo(field[i], 9));
  back[1].forEach((value, i) => expect(value).toBeCloseTo(other[i], 9));
  const ripple = field.map((_, i) => Math.cos((6 * Math.PI * (i % columns)) / columns));
  const k = (6 * Math.PI) / (columns * 0.01);
  const [halved] = damped([ripple, other], columns, rows, 0.01, (one) => (Math.abs(one - k) < 1e-9 ? 0.5 : 0));
  halved.forEach((value, i) => expect(value).toBeCloseTo(0.5 * ripple[i], 9));
});

describe('relief', () => {
  test('of one ripple dies away as the theory says', () => {
    // Ten half waves of 20 mm from side to side.
    const { grid } = laid({ depth_m: 0.009 });
    const wave = (i: number): number => Math.cos((10 * Math.PI * ((i % grid.columns) + 0.5)) / grid.columns);
    const depth_m = Float64Array.from({ length: grid.columns * grid.rows }, (_, i) => 0.009 + 0.0005 * wave(i));
    const field = { grid, depth_m, share: depth_m.map(() => 1) };
    const work = 6e-3;
    const fired = firedField(field, fuse(work, { flows: false }));
    const relief = (of: Field): number => depthAt(of, 0.001) - (depthAt(of, -0.019) + depthAt(of, 0.021)) / 2;
    // Ten half waves between two sides are no endless ripple.
    expect(Math.abs(relief(fired) / relief(field) - Math.exp(-work * levellingRate(SOFT_90, 0.02, 0.0095)))).toBeLessThan(0.03);
  });

  test('of bars stands after a tack and lies after a full fuse, and its glass stays', () => {
    const field = laid({ depth_m: 0.006 }, bars(0.004, [-0.06, 0, 0.06]));
    const [tacked, fused] = [3.6e-3, 2.7e-2].map((work) => firedField(field, fuse(work, { flows: false })));
    const relief = (of: Field): number => depthAt(of, 0) - depthAt(of, 0.03);
    expect(relief(tacked)).toBeGreaterThan(0.55 * 0.004);
    expect(relief(fused)).toBeLessThan(0.25 * 0.004);
    for (const one of [tacked, fused]) expect(Math.abs(volumeOf(one) / volumeOf(field) - 1)).toBeLessThan(1e-3);
  });
});

describe('a rim', () => {
  test('of a thin sheet draws in, its glass stands in a bead along it and the middle stays thin', () => {
    const work = 3e-2;
    const field = laid({ depth_m: 0.003 });
    const fired = firedField(field, fuse(work));
    const drawnIn = (0.2 - Math.sqrt(areaOf(fired))) / 2;
    expect(drawnIn).toBeGreaterThan(0.5 * rimReach(SOFT_90, 0.003, work));
    expect(drawnIn).toBeLessThan(1.5 * rimReach(SOFT_90, 0.003, work));
    expect(depthAt(fired, 0)).toBeCloseTo(0.003, 4);
    const edge = 0.1 - drawnIn - 0.0015;
    expect(depthAt(fired, edge)).toBeGreaterThan(0.0042);
    expect(depthAt(fired, edge)).toBeLessThan(REST * 1.02);
    expect(Math.abs(volumeOf(fired) / volumeOf(field) - 1)).toBeLessThan(1e-3);
  });

  test('of a thick slab runs out, thinner at the rim than in the middle', () => {
    const field = laid({ depth_m: 0.012 });
    const fired = firedField(field, fuse(3e-2));
    expect(areaOf(fired)).toBeGreaterThan(1.05 * 0.04);
    expect(depthAt(fired, 0)).toBeGreaterThan(0.011);
    expect(depthAt(fired, 0.101)).toBeLessThan(0.008);
    expect(Math.abs(volumeOf(fired) / volumeOf(field) - 1)).toBeLessThan(1e-3);
  });

  test('comes to rest where all of it is as deep as glass lies', () => {
    for (const depth_m of [0.003, 0.009]) {
      const fired = firedField(laid({ depth_m }), fuse(50));
      const deep = fired.depth_m.filter((_, i) => fired.share[i] > 0.5);
      expect(Math.abs(areaOf(fired) / ((0.04 * depth_m) / REST) - 1)).toBeLessThan(0.06);
      expect(Math.abs(deep.reduce((sum, one) => sum + one, 0) / deep.length / REST - 1)).toBeLessThan(0.06);
    }
  });

  test('of what lies as deep as it rests, or in a dam, stays', () => {
    const still = firedField(laid({ depth_m: REST }), fuse(3e-2));
    expect(Math.abs(areaOf(still) / 0.04 - 1)).toBeLessThan(0.02);
    const dammed = firedField(laid({ depth_m: 0.02 }), fuse(0.3, { dammed: true }));
    expect(Math.abs(areaOf(dammed) / 0.04 - 1)).toBeLessThan(1e-9);
    expect(depthAt(dammed, 0.098)).toBeCloseTo(0.02, 6);
  });
});

describe('a gap between bars on the bare shelf', () => {
  test('closes where they are deep and opens where they are thin', () => {
    const at = [-0.04, -0.013, 0.014, 0.041];
    const deep = firedField(laid(bars(0.014, at)), fuse(3e-2));
    expect(depthAt(deep, 0.0005)).toBeGreaterThan(0.004);
    const thin = laid(bars(0.003, at));
    expect(areaOf(firedField(thin, fuse(3e-2)))).toBeLessThan(0.97 * (4 * 0.024 * 0.2));
    expect(depthAt(firedField(thin, fuse(3e-2)), 0.0005)).toBeLessThan(1e-4);
  });
});

test('a grid of half the cells tells the same', () => {
  const layers = [{ depth_m: 0.003 }, bars(0.003, [-0.06, 0, 0.06])];
  const [fine, coarse] = [0.002, 0.004].map((cell_m) => firedField(thicknessMap(SQUARE, layers, cell_m), fuse(1e-2)));
  for (const x of [0, 0.03, 0.06]) expect(Math.abs(depthAt(coarse, x) / depthAt(fine, x) - 1)).toBeLessThan(0.06);
  expect(Math.abs(areaOf(coarse) / areaOf(fine) - 1)).toBeLessThan(0.04);
});
