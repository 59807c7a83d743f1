import { valueOf } from '../problem';
import { type Hollow, heldTo, lined } from './hollow';
import { WATER_kg_m3 } from '../units/physical';
import { type HowMuch, howMuch } from './howMuch';

const trough: Hollow = { kind: 'vTrough', width_m: 0.08, length_m: 0.25, depth_m: 0.04 };
const told = (asked: Partial<HowMuch>) => valueOf(howMuch({ density_kg_m3: 2500, cavities: [], ...asked }));

test('cavities by size, by water and by their model are summed, with what stays', () => {
  const { cavities, volume_m3, total_kg } = told({
    cavities: [
      // 4 × 8 × 25 / 2 = 400 cm³.
      { by: 'size', count: 2, hollow: trough },
      // 530 g of which 30.9 were drunk: half a litre.
      { by: 'water', count: 1, poured_kg: 0.53, drunk_kg: 0.53 - 0.0005 * WATER_kg_m3 },
      // Wax of 180 g at 0.9 g/cm³: 200 cm³.
      { by: 'model', count: 3, model_kg: 0.18, density_kg_m3: 900 },
    ],
    stays_kg: 0.05,
  });
  expect(cavities.map((one) => Math.round(one.volume_m3 * 1e9) / 1e3)).toEqual([800, 500, 600]);
  expect(volume_m3).toBeCloseTo(0.0019, 12);
  expect(total_kg).toBeCloseTo(0.0019 * 2500 + 0.05, 12);
});

test('what there is fills so far, with what stays in the pot', () => {
  const { filled } = told({ cavities: [{ by: 'size', count: 2, hollow: trough, liner_m: 0.002 }], stays_kg: 0.1, have_kg: 1.1 });
  const left = lined(trough, 0.002);
  expect(left && filled?.level_m && heldTo(left, filled.level_m)).toBeCloseTo(1 / 2500 / 2, 9);
  expect(filled?.missing_kg).toBeGreaterThan(0);
  const over = told({ cavities: [{ by: 'size', count: 1, hollow: trough }], have_kg: 2 });
  expect(over.filled).toEqual({ missing_kg: expect.closeTo(-1, 9), level_m: null });
  expect(told({ cavities: [{ by: 'water', count: 1, poured_kg: 1 }], have_kg: 1 }).filled?.level_m).toBeNull();
  expect(told({ cavities: [{ by: 'size', count: 1, hollow: trough }] }).filled).toBeNull();
});

test('a liner that fills the hollow and a mould that drank all are refused where they stand', () => {
  const refusal = (cavity: HowMuch['cavities'][number]) => howMuch({ density_kg_m3: 2500, cavities: [{ by: 'size', count: 1, hollow: trough }, cavity] });
  expect(refusal({ by: 'size', count: 1, hollow: trough, liner_m: 0.05 })).toMatchObject({ ok: false, problem: { path: 'cavities.1.liner_m' } });
  expect(refusal({ by: 'water', count: 1, poured_kg: 0.1, drunk_kg: 0.1 })).toMatchObject({ ok: false, problem: { path: 'cavities.1.drunk_kg' } });
});
