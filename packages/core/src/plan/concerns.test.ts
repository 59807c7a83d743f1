import type { Footprint } from '../body/footprint';
import { type NextFiring, type PlanConcern, planConcerns } from './concerns';
import { concernWords } from './concernWords';
import type { PlacedPart } from './parts';
import { type MappedLayer, thicknessMap } from './thickness';

const PANEL: Footprint = { shape: 'rectangle', width_m: 0.3, length_m: 0.24 };
const FUSED: NextFiring = { joins: true, flows: false, dammed: false, naturalDepth_m: 0.0065 };
const bar = (id: string, x_m: number, y_m = 0, turned_deg = 0): PlacedPart => ({
  ...{ id, x_m, y_m, turned_deg },
  outline: { shape: 'rectangle', width_m: 0.02, length_m: 0.06 },
});
const SHEETS: MappedLayer[] = [{ depth_m: 0.003 }, { depth_m: 0.003 }];

function said(layers: MappedLayer[], next: NextFiring | null = FUSED, footprint = PANEL): PlanConcern[] {
  return planConcerns(footprint, layers, thicknessMap(footprint, layers), next);
}
const over = (...placed: PlacedPart[]): MappedLayer[] => [...SHEETS, { depth_m: 0.003, placed }];

test('bars that lie well within a panel and apart from one another are nothing to speak of', () => {
  expect(said(over(bar('a', -0.05), bar('b', 0), bar('c', 0.05)))).toEqual([]);
});

describe('a part at the rim', () => {
  test('that stands out, lies outside, is one with it, or is too near, is told with how far', () => {
    expect(said(over(bar('a', 0.146)))).toEqual([{ kind: 'offBase', part: 'a', over_m: expect.closeTo(0.006, 9) }]);
    expect(said(over(bar('a', 0.5)))).toEqual([{ kind: 'outside', part: 'a' }]);
    expect(said(over(bar('a', 0.14)))).toEqual([{ kind: 'edgeShows', part: 'a' }]);
    expect(said(over(bar('a', 0.138)))).toEqual([{ kind: 'nearRim', part: 'a', gap_m: expect.closeTo(0.002, 9) }]);
    expect(said(over(bar('a', 0.1365)))).toEqual([]);
  });

  test('near it matters only where the firing joins them and no wall holds the rim', () => {
    expect(said(over(bar('a', 0.138)), { ...FUSED, dammed: true })).toEqual([]);
    expect(said(over(bar('a', 0.138)), null)).toEqual([]);
  });

  test('of a ring may be the hole', () => {
    const ring: Footprint = { shape: 'ring', diameter_m: 0.3, inner_m: 0.1 };
    expect(said(over(bar('a', 0)), FUSED, ring)).toEqual([{ kind: 'outside', part: 'a' }]);
    expect(said(over(bar('a', 0.055)), FUSED, ring)).toMatchObject([{ kind: 'offBase', part: 'a', over_m: expect.closeTo(0.005, 4) }]);
    expect(said(over(bar('a', 0.1)), FUSED, ring)).toEqual([]);
  });
});

describe('a part on parts', () => {
  test('rests on one of them with its other end in the air', () => {
    // A bar across a bar: 20 mm of its 60 lie on it.
    const [across] = said(over(bar('a', 0), bar('b', 0, 0, 90)));
    expect(across).toEqual({ kind: 'bridges', part: 'b', over: 'a', air: expect.closeTo(2 / 3, 3) });
  });

  test('lies well on others that bear all of it, in its own layer or one below', () => {
    const flat: PlacedPart = { ...bar('flat', 0), outline: { shape: 'rectangle', width_m: 0.1, length_m: 0.1 } };
    expect(said([...over(flat), { depth_m: 0.003, placed: [bar('b', 0.01)] }])).toEqual([]);
    const left: PlacedPart = { ...flat, id: 'left', x_m: -0.05 };
    const right: PlacedPart = { ...flat, id: 'right', x_m: 0.05 };
    expect(said(over(left, right, bar('b', 0)))).toEqual([]);
  });

  test('under a sheet over everything are that sheet’s to bend over', () => {
    expect(said([...over(bar('a', 0)), { depth_m: 0.003 }, { depth_m: 0.003, placed: [bar('b', 0, 0, 90)] }])).toEqual([]);
  });
});

test('a thin base draws in under its parts where it flows', () => {
  const thin: MappedLayer[] = [{ depth_m: 0.003 }, { depth_m: 0.003, placed: [bar('a', 0)] }];
  const [one] = said(thin, { ...FUSED, flows: true });
  expect(one).toEqual({ kind: 'drawsIn', base_m: expect.closeTo(0.003, 9), rest_m: 0.0065 });
  expect(said(over(bar('a', 0)), { ...FUSED, flows: true })).toEqual([]);
  expect(concernWords(one, () => '', 'in')).toMatch(/the base is 0\.118 in where it is bare/);
});

test('each is said with the name of its part and in the units of the studio', () => {
  const [out] = said(over(bar('a', 0.146)));
  expect(concernWords(out, () => 'Kelp bar 6', 'mm')).toBe('Over the rim: Kelp bar 6 stands out 6 mm. What stands out bends down to the shelf as it softens.');
});
