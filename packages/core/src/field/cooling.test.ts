import { ProblemError } from '../problem';
import { CELLS_AT_MOST, type UnevenBody } from './body';
import { steadyCooling } from './cooling';

const GLASS = { conductivity_W_mK: 1.2, density_kg_m3: 2500, heatCapacity_J_kgK: 1100 };
const KAPPA = GLASS.conductivity_W_mK / (GLASS.density_kg_m3 * GLASS.heatCapacity_J_kgK);
const HELD = { top: 'held', side: 'held', bottom: 'held' } as const;
const FREE_SIDES = { ...HELD, side: 0 } as const;

const plate = (depth_m: number, more: Partial<UnevenBody> = {}): UnevenBody => ({
  ...{ shape: 'section', parts: [{ width_m: 0.1, depth_m }], level: 'bottom', glass: GLASS, exchange_W_m2K: FREE_SIDES },
  ...more,
});
/** How far the middle lags behind faces that are held, s. */
const lag = (body: UnevenBody): number => steadyCooling({ ...body, fineness: body.shape === 'box' ? 25 : 41 }).lead_s;

describe('closed forms', () => {
  test('a plate: R·L²/8κ with two faces, R·L²/2κ with one, and the same bulge L²/24κ', () => {
    const L = 0.05;
    const two = steadyCooling(plate(L, { fineness: 60 }));
    const one = steadyCooling(plate(L, { fineness: 60, exchange_W_m2K: { ...FREE_SIDES, bottom: 0 } }));
    expect(two.lead_s / (L ** 2 / (8 * KAPPA))).toBeCloseTo(1, 2);
    expect(one.lead_s / (L ** 2 / (2 * KAPPA))).toBeCloseTo(1, 2);
    for (const { bulge_s } of [two, one]) expect(bulge_s / (L ** 2 / (24 * KAPPA))).toBeCloseTo(1, 2);
  });

  test.each([
    ['a square bar', { shape: 'section', parts: [{ width_m: 0.06, depth_m: 0.06 }] }, 0.0737 * 0.06 ** 2],
    ['a bar twice as wide as deep', { shape: 'section', parts: [{ width_m: 0.12, depth_m: 0.06 }] }, 0.1139 * 0.06 ** 2],
    ['a cylinder as high as wide', { shape: 'round', parts: [{ width_m: 0.03, depth_m: 0.06 }] }, 0.0502 * 0.06 ** 2],
    [
      'a long cylinder, d²/16κ',
      { shape: 'round', parts: [{ width_m: 0.03, depth_m: 0.06 }], exchange_W_m2K: { top: 0, bottom: 0, side: 'held' } },
      0.06 ** 2 / 16,
    ],
    ['a cube', { shape: 'box', parts: [{ width_m: 0.03, depth_m: 0.06 }], length_m: 0.06 }, 0.0562 * 0.06 ** 2],
  ] as const)('%s lags by its figure', (_, shape, over) => {
    const body: UnevenBody = { level: 'bottom', glass: GLASS, exchange_W_m2K: HELD, ...shape };
    expect(Math.abs(lag(body) / (over / KAPPA) - 1)).toBeLessThan(0.01);
  });
});

describe('how far the inside stands above its plane', () => {
  // The lead of the middle less the mean: that is by the torsion constant of the section, J = β·long·short³, J/4A.
  test.each([
    ['a square bar', 0.06, 0.0737 - 0.1406 / 4],
    ['a bar twice as wide as deep', 0.12, 0.1139 - 0.229 / 4],
  ])('in %s, by its torsion constant', (_, width_m, over) => {
    const { bulge_s } = steadyCooling({ ...plate(0.06), parts: [{ width_m, depth_m: 0.06 }], exchange_W_m2K: HELD, fineness: 41 });
    expect(Math.abs(bulge_s / ((over * 0.06 ** 2) / KAPPA) - 1)).toBeLessThan(0.01);
  });

  // Plate, long section and block of casting crystal, s, with about 50 W/(m²·K) at every open face.
  test.each([
    [0.05, 0.18, [241, 464, 634]],
    [0.1, 0.2, [963, 1455, 1761]],
  ] as const)('at %f m by %f m it grows with every open side, which a plate’s figure misses', (depth_m, width_m, expected) => {
    const open = { top: 50, side: 50, bottom: 50 };
    const section = { ...plate(depth_m), parts: [{ width_m, depth_m }], glass: { ...GLASS, density_kg_m3: 2520 }, fineness: 24 };
    const found = [
      steadyCooling({ ...section, exchange_W_m2K: FREE_SIDES }),
      steadyCooling({ ...section, exchange_W_m2K: open }),
      steadyCooling({ ...section, shape: 'box', parts: [{ width_m: width_m / 2, depth_m }], length_m: width_m, exchange_W_m2K: open, fineness: 16 }),
    ];
    found.forEach(({ bulge_s }, i) => expect(Math.abs(bulge_s / expected[i] - 1)).toBeLessThan(0.03));
  });
});

const PLASTER = { thickness_m: 0.025, conductivity_W_mK: 0.45, density_kg_m3: 1100, heatCapacity_J_kgK: 1000 };

const casting: UnevenBody = {
  shape: 'section',
  parts: [
    { width_m: 0.1, depth_m: 0.05 },
    { width_m: 0.1, depth_m: 0.04 },
  ],
  level: 'top',
  glass: GLASS,
  under: [PLASTER],
  beside: PLASTER,
  exchange_W_m2K: { top: 80, side: 80, bottom: 80 },
};

test('what the body gives is what passes to the kiln', () => {
  for (const body of [casting, plate(0.006), { ...casting, shape: 'round' } as const, { ...casting, shape: 'box', length_m: 0.2 } as const]) {
    expect(steadyCooling(body).imbalance).toBeLessThan(1e-8);
  }
});

test('half the cells change no figure by two hundredths', () => {
  const [coarse, fine] = [8, 16].map((fineness) => steadyCooling({ ...casting, fineness }));
  expect(Math.abs(coarse.bulge_s / fine.bulge_s - 1)).toBeLessThan(0.02);
  expect(Math.abs(coarse.spread_s / fine.spread_s - 1)).toBeLessThan(0.02);
});

test('it is hottest in the deep part of a casting, off its middle, and coldest at an edge of the shallow one', () => {
  const { hottest, coldest } = steadyCooling(casting);
  expect(hottest.x_m).toBeLessThan(0.1);
  expect(coldest.x_m).toBeGreaterThan(0.1);
});

test('deeper, wider, more unlike or behind a thicker wall is never quicker', () => {
  const of = (more: Partial<UnevenBody>): number => steadyCooling({ ...casting, ...more }).bulge_s;
  const parts = (deep: number, shallow: number, width = 0.1) => [
    { width_m: width, depth_m: deep },
    { width_m: width, depth_m: shallow },
  ];
  const depths = [0.03, 0.05, 0.08].map((depth) => of({ parts: parts(depth, depth * 0.8) }));
  const widths = [0.05, 0.1, 0.2].map((width) => of({ parts: parts(0.05, 0.04, width) }));
  for (const [less, same, more] of [depths, widths]) {
    expect(same).toBeGreaterThan(less);
    expect(more).toBeGreaterThan(same);
  }
  const behind = [0.01, 0.025, 0.05].map((thickness_m) => {
    const wall = { ...PLASTER, thickness_m };
    return steadyCooling({ ...casting, under: [wall], beside: wall }).evens_s;
  });
  expect(behind).toEqual(behind.toSorted((a, b) => a - b));
  expect(behind[2]).toBeGreaterThan(1.2 * behind[0]);
});

test('shapes that hardly are one have figures, within the cells that there may be', () => {
  const shapes: UnevenBody[] = [
    plate(0.0005, {
      parts: [
        { width_m: 0.1, depth_m: 0.0005 },
        { width_m: 0.05, depth_m: 0.06 },
      ],
    }),
    {
      ...casting,
      shape: 'box',
      length_m: 0.3,
      parts: [
        { width_m: 0.002, depth_m: 0.2 },
        { width_m: 0.1, depth_m: 0.02 },
      ],
    },
    { ...casting, shape: 'round', parts: [{ width_m: 0.001, depth_m: 0.1 }] },
  ];
  for (const shape of shapes) {
    const { spread_s, bulge_s, cells, iterations } = steadyCooling(shape);
    for (const figure of [spread_s, bulge_s]) expect(figure).toBeGreaterThan(0);
    expect(cells).toBeLessThanOrEqual(CELLS_AT_MOST);
    expect(iterations).toBeLessThan(400);
  }
});

test('a thin sheet as wide as a table has the bulge of a plate, though its cells are few', () => {
  const { bulge_s, cells } = steadyCooling(plate(0.0005, { parts: [{ width_m: 2, depth_m: 0.0005 }] }));
  expect(cells).toBeLessThanOrEqual(CELLS_AT_MOST);
  expect(Math.abs(bulge_s / (0.0005 ** 2 / (24 * KAPPA)) - 1)).toBeLessThan(0.05);
});

test('very wide, thin and fine is held to the cells there may be, at once; hardly open it is still solved', () => {
  const wide = Array.from({ length: 24 }, (_, i) => ({ width_m: 2, depth_m: 0.0005 + i * 1e-5 }));
  expect(steadyCooling(plate(0.001, { parts: wide, fineness: 60 })).cells).toBeLessThanOrEqual(CELLS_AT_MOST);
  const { imbalance, spread_s } = steadyCooling({ ...casting, exchange_W_m2K: { top: 1e-3, side: 0, bottom: 0 } });
  expect(imbalance).toBeLessThan(1e-3);
  expect(spread_s).toBeGreaterThan(0);
});

test('where nothing leads to the kiln it is said', () => {
  expect(() => steadyCooling(plate(0.01, { exchange_W_m2K: { top: 0, side: 0, bottom: 0 } }))).toThrow(ProblemError);
});

test('its map shows the lead where glass is, between the coldest and the hottest', () => {
  const { map, lead_s, spread_s } = steadyCooling(casting);
  expect(map.lead_s).toHaveLength(map.columns * map.rows);
  expect(map.width_m).toBe(0.2);
  expect(map.height_m).toBeCloseTo(0.05, 9);
  const told = map.lead_s.filter((lead): lead is number => lead !== null);
  // Under the shallow half there is mould: a fifth of the depth over half of the width.
  expect(told.length / map.lead_s.length).toBeCloseTo(0.9, 2);
  expect(Math.max(...told)).toBeLessThanOrEqual(lead_s);
  expect(Math.min(...told)).toBeGreaterThanOrEqual(lead_s - spread_s);
  expect(Math.max(...told)).toBeGreaterThan(0.99 * lead_s);
});

test('a body cools as slowly as its slowest mode: a slab with held faces by L²/π²κ', () => {
  const { evens_s } = steadyCooling(plate(0.05, { fineness: 60 }));
  expect(Math.abs(evens_s / (0.05 ** 2 / (Math.PI ** 2 * KAPPA)) - 1)).toBeLessThan(0.01);
});
