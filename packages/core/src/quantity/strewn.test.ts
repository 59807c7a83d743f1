import fc from 'fast-check';
import { naturalDepth } from '../body/body';
import { TYPICAL_FAMILIES } from '../glass/families';
import { TYPICAL_WORKS } from '../look/works';
import { valueOf } from '../problem';
import { type StrewnAsked, type StrewnTold, patchOf, strewn, strewnLook } from './strewn';

const glass = TYPICAL_FAMILIES[0];
const HOT = Math.sqrt(TYPICAL_WORKS.lace.least * TYPICAL_WORKS.lace.most);
const panel = { shape: 'rectangle', width_m: 0.18, length_m: 0.26 } as const;
const told = (asked: Partial<StrewnAsked>): StrewnTold =>
  valueOf(strewn({ glass, outline: panel, amount: { by: 'mass', mass_kg: 0.13 }, grain_m: 0.002, work_perPa: HOT, ...asked }));

test('a lace panel of 18 by 26 cm with 130 g: 0.28 g/cm², a film of 1.1 mm', () => {
  const { area_m2, perArea_kg_m2, look, mass_kg, perCoat_kg } = told({ coats: 2 });
  expect(area_m2).toBeCloseTo(0.0468, 12);
  expect(perArea_kg_m2).toBeCloseTo(2.778, 3);
  expect(look.film_m).toBeCloseTo(0.00111, 5);
  expect(look.as).toBe('lace');
  expect([mass_kg, perCoat_kg]).toEqual([expect.closeTo(0.13, 12), expect.closeTo(0.065, 12)]);
});

test('a slip of ten shows: a tenth lies as dots or islands, ten times runs level', () => {
  const { tenth, tenfold } = told({});
  expect(['dots', 'islands']).toContain(tenth.as);
  expect(tenfold.as).toBe('level');
  // An area typed ten times too large is the same slip.
  expect(told({ outline: { ...panel, length_m: 2 } }).look.as).not.toBe('lace');
});

test('mass, mass per area and film are one, by any outline, holes and stencil', () => {
  const amount = (perArea: number, area: number): StrewnAsked['amount'][] => [
    { by: 'mass', mass_kg: perArea * area },
    { by: 'perArea', perArea_kg_m2: perArea },
    { by: 'film', film_m: perArea / glass.density_kg_m3 },
  ];
  const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      figure(0.05, 0.5),
      figure(0.05, 0.5),
      figure(0, 0.9),
      figure(0.05, 1),
      figure(0.1, 20),
      figure(1e-4, 4e-3),
      (w, l, hole, open, perArea, grain_m) => {
        const outline = { shape: 'oval', width_m: w, length_m: l } as const;
        const whole = (Math.PI / 4) * w * l;
        const area = whole * (1 - hole) * open;
        const all = amount(perArea, area).map((one) => told({ outline, holes_m2: hole * whole, open, grain_m, amount: one }));
        for (const one of all) {
          expect(one.area_m2 / area).toBeCloseTo(1, 9);
          expect(one.mass_kg / (perArea * area)).toBeCloseTo(1, 9);
          // More of it is never barer.
          expect(one.tenth.bare).toBeGreaterThanOrEqual(one.look.bare);
          expect(one.look.bare).toBeGreaterThanOrEqual(one.tenfold.bare);
        }
      },
    ),
    { numRuns: 400, seed: 9 },
  );
});

test('its thresholds are where its look changes', () => {
  const { lacesFrom_kg_m2, closesFrom_kg_m2, levelsFrom_kg_m2 } = told({});
  const as = (perArea: number) => strewnLook(glass, perArea, 0.002, HOT).as;
  expect([lacesFrom_kg_m2 * 0.999, lacesFrom_kg_m2 * 1.001, closesFrom_kg_m2 * 0.999, closesFrom_kg_m2 * 1.001].map(as)).toEqual([
    'islands',
    'lace',
    'lace',
    'film',
  ]);
  expect([levelsFrom_kg_m2 * 0.999, levelsFrom_kg_m2 * 1.001].map(as)).toEqual(['film', 'level']);
  expect(levelsFrom_kg_m2).toBeCloseTo(0.88 * naturalDepth(glass) * glass.density_kg_m3, 9);
});

test('a patch leaves as much bare as it says, counted on a grid', () => {
  const { look } = told({});
  const [width, height] = [0.12, 0.12];
  const drops = patchOf(look, width, height);
  const n = 300;
  let bare = 0;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const [x, y] = [((i + 0.5) / n) * width, ((j + 0.5) / n) * height];
      if (drops.every(({ x_m, y_m, across_m }) => (x_m - x) ** 2 + (y_m - y) ** 2 > (across_m / 2) ** 2)) bare += 1;
    }
  expect(Math.abs(bare / n ** 2 - look.bare)).toBeLessThan(0.04);
  expect(patchOf(look, width, height)).toEqual(drops);
});

test('a heap is a disc at rest of its mass; powder cracks the wider the deeper it lay, and not where it lay dry', () => {
  const { disc_m, mass_kg } = told({});
  expect((Math.PI / 4) * disc_m ** 2 * naturalDepth(glass) * glass.density_kg_m3).toBeCloseTo(mass_kg, 12);
  const powder = (film_m: number, wetness: StrewnAsked['wetness']) =>
    told({ amount: { by: 'film', film_m }, grain_m: 2e-4, ...(wetness ? { wetness } : {}) }).cracks;
  expect([powder(0.001, undefined), powder(0.001, 'damp')]).toEqual([null, null]);
  const [thin, thick, flooded] = [powder(0.0005, 'wet'), powder(0.001, 'wet'), powder(0.001, 'flooded')];
  expect((thick?.plate_m ?? 0) / (thin?.plate_m ?? 1)).toBeCloseTo(2, 9);
  expect(flooded?.plate_m).toBeLessThan(thick?.plate_m ?? 0);
  expect(thin?.gap_m).toBeLessThan(thin?.plate_m ?? 0);
});

test('holes that leave nothing are refused where they stand', () => {
  expect(strewn({ glass, outline: panel, holes_m2: 0.05, amount: { by: 'film', film_m: 0.001 }, grain_m: 0.002 })).toMatchObject({
    ok: false,
    problem: { path: 'holes_m2' },
  });
});
