import type { LaidLayer } from '@torvin/core/piece';
import { trimsOf } from './trim';

const SIZES = [0.003, 0.006, 0.01];
const sheet: LaidLayer = { id: 'a', form: 'sheet', glassId: 'clear', thickness_m: 0.003 };
const pieces: LaidLayer = { id: 'b', form: 'pieces', glassId: 'clear', thickness_m: 0.003, cover: 0.22, count: 4 };
const frit: LaidLayer = { id: 'c', form: 'frit', glassId: 'clear', perArea_kg_m2: 2 };

describe('trimming a layer on its drawing', () => {
  test('a sheet takes the thickness of the shelf that is nearest to the finger, and always covers the outline', () => {
    const { depth, cover } = trimsOf(sheet, 0.003, SIZES);
    expect(cover).toBeNull();
    expect([0.001, 0.0044, 0.0046, 0.02].map(depth.near)).toEqual([0.003, 0.003, 0.006, 0.01]);
    expect([depth.next(1), depth.next(-1)]).toEqual([0.006, 0.003]);
    expect(depth.layer(0.006)).toEqual({ ...sheet, thickness_m: 0.006 });
  });

  test('a thickness that the shelf does not have is kept until it is moved', () => {
    const odd = trimsOf({ ...sheet, thickness_m: 0.004 }, 0.004, SIZES).depth;
    expect([odd.next(1), odd.next(-1)]).toEqual([0.006, 0.003]);
    expect(odd).toMatchObject({ value: 0.004, least: 0.003, most: 0.01 });
  });

  test('where the shelf names no thickness it goes by half millimetres', () => {
    expect(trimsOf(sheet, 0.003, []).depth.near(0.00412)).toBeCloseTo(0.004, 12);
  });

  test('pieces cover by twentieths, never nothing and never more than all', () => {
    const { cover } = trimsOf(pieces, 0.003, SIZES);
    expect([-1, 0.24, 0.31, 7].map((share) => cover?.near(share))).toEqual([0.01, 0.25, expect.closeTo(0.3, 9), 1]);
    expect(cover?.next(1)).toBeCloseTo(0.25, 12);
    expect(cover?.layer(0.3)).toEqual({ ...pieces, cover: 0.3 });
  });

  test('grains are laid by mass: twice as deep is twice the mass', () => {
    const { depth } = trimsOf(frit, 0.0008, []);
    expect(depth.layer(0.0016)).toEqual({ ...frit, perArea_kg_m2: expect.closeTo(4, 9) as number });
    expect(depth.near(0.00082)).toBeCloseTo(0.0008, 9);
  });

  test('a rod grows by half millimetres within what rods are', () => {
    const { depth } = trimsOf({ id: 'r', form: 'rod', glassId: 'clear', diameter_m: 0.005 }, 0.005, SIZES);
    expect(depth.next(-1)).toBeCloseTo(0.0045, 12);
    expect(depth.near(1)).toBe(0.05);
  });
});
