import type { Footprint } from '../body/footprint';
import { type AfterCutting, type CutLayer, cutList } from './cutList';
import type { PlacedPart } from './parts';

const PANEL: Footprint = { shape: 'rectangle', width_m: 0.2, length_m: 0.1 };
const TACKED: AfterCutting = { levels: false, rimIsGround: false };
const bar = (id: string, x_m: number, y_m = 0, turned_deg = 0, width_m = 0.02): PlacedPart => ({
  ...{ id, x_m, y_m, turned_deg },
  outline: { shape: 'rectangle', width_m, length_m: 0.06 },
});
const base: CutLayer = { covers: true };
const on = (...placed: PlacedPart[]): CutLayer => ({ placed, covers: false });

test('parts of one size are one line of the list, also turned; the largest come first', () => {
  const [large, small] = cutList(PANEL, [base, on(bar('a', -0.05), bar('b', 0, 0, 37), bar('c', 0.05, 0, 0, 0.03))], TACKED);
  expect(large).toMatchObject({ layer: 1, count: 1, width_m: 0.03, length_m: 0.06, ids: ['c'] });
  expect(small).toMatchObject({ count: 2, ids: ['a', 'b'], area_m2: expect.closeTo(0.0012, 12) });
});

test('a mirror image is cut for itself', () => {
  const sail = (id: string, sign: 1 | -1): PlacedPart => ({
    ...{ id, x_m: 0.04 * sign, y_m: 0, turned_deg: 0 },
    outline: {
      shape: 'polygon',
      corners_m: [
        [-0.02 * sign, -0.02],
        [0.02 * sign, -0.02],
        [0.02 * sign, 0.02],
      ],
    },
  });
  expect(cutList(PANEL, [base, on(sail('a', 1), sail('b', -1))], TACKED)).toHaveLength(2);
});

describe('the sides of a part', () => {
  const sides = (layers: CutLayer[], after = TACKED) => cutList(PANEL, layers, after)[0];

  test('all show where it lies free and stays as it is cut', () => {
    expect(sides([base, on(bar('a', 0))])).toMatchObject({ grind: 'shows', sides: { shows_m: expect.closeTo(0.16, 9), atRim_m: 0, meets_m: 0 } });
  });

  test('need no grinding where it runs level, lies under a sheet, or meets its neighbours', () => {
    expect(sides([base, on(bar('a', 0))], { levels: true, rimIsGround: false }).grind).toBe('levels');
    expect(sides([base, on(bar('a', 0)), base])).toMatchObject({ grind: 'hidden', sides: { covered_m: expect.closeTo(0.16, 9) } });
    const three = cutList(PANEL, [base, on(bar('a', -0.02), bar('b', 0), bar('c', 0.02))], TACKED)[0];
    expect(three.sides.meets_m).toBeCloseTo(4 * 0.06, 9);
  });

  test('at the rim show, unless the rim is ground later', () => {
    const atRim = [base, on(bar('a', 0.09)), base];
    expect(sides(atRim)).toMatchObject({ grind: 'shows', sides: { atRim_m: expect.closeTo(0.06, 3) } });
    expect(sides(atRim, { levels: false, rimIsGround: true }).grind).toBe('rimLater');
  });
});
