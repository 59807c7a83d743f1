import type { FormShape } from '../form/shape';
import { SOFT_90 } from '../testCases';
import { valueOf } from '../problem';
import { blank } from './blank';
import { blankFor, formFigures, materialWords, printWords } from './formTold';

const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;
const basin: FormShape = { use: 'hollow', plan: 'round', across_m: 0.366, deep_m: 0.062, thick_m: 0.012, material: 'earthenware' };

test('a basin: what it holds by the cap of its sphere, and the blank of as much area as its inside', () => {
  const [holds, cut, weighs] = formFigures(basin, SOFT_90, 0.006, METRIC);
  const m3 = (Math.PI * 0.062 * (3 * 0.183 ** 2 + 0.062 ** 2)) / 6;
  expect(Number(holds.value.figure)).toBeCloseTo(m3 * 1e6, -1);
  expect(holds.note).toBe(`${(m3 * SOFT_90.density_kg_m3).toFixed(2)} kg of glass`);
  expect(cut).toMatchObject({ label: 'blank that ends at its rim', value: { figure: '383', unit: 'mm' }, note: 'of 6 mm' });
  const surface = Math.PI * (0.183 ** 2 + 0.062 ** 2);
  expect(weighs.value).toEqual({ figure: (surface * 0.012 * 1850).toFixed(2), unit: 'kg' });
});

test('a former: the largest blank ends just over the shelf, on the sides that it hangs down', () => {
  const ridge: FormShape = { use: 'former', plan: 'trough', across_m: 0.12, along_m: 0.24, deep_m: 0.11, thick_m: 0.002, material: 'stainless' };
  const asked = blankFor(ridge, SOFT_90, 0.006);
  const told = asked && valueOf(blank(asked));
  expect(told?.clearance_m).toBeCloseTo(0.005, 9);
  expect(told?.sizes_m).toEqual([expect.closeTo(0.12 + 2 * 0.105 + (0.006 * Math.PI) / 2, 9), 0.24]);
  const leaning = blankFor({ ...ridge, floor_m: 0.2 }, SOFT_90, 0.006);
  expect(leaning && valueOf(blank(leaning)).clearance_m).toBeCloseTo(0.005, 9);
});

test('over half a sphere, by its points, the blank is as long as the way over it, and ends just over the shelf', () => {
  const R = 0.1;
  const points_m = Array.from({ length: 91 }, (_, i) => ({ out_m: R * Math.sin((i * Math.PI) / 180), up_m: R * Math.cos((i * Math.PI) / 180) }));
  const dome: FormShape = { use: 'former', plan: 'round', across_m: R, floor_m: 2 * R, deep_m: R, thick_m: 0.002, material: 'stainless', points_m };
  const asked = blankFor(dome, SOFT_90, 0.006);
  const told = asked && valueOf(blank(asked));
  const bend = 0.006 * Math.atan2(R, R / 2);
  expect(told?.sizes_m[0]).toBeCloseTo(2 * R * Math.acos(0.005 / R) + bend, 4);
  expect(told?.clearance_m).toBeCloseTo(0.005, 3);
});

test('rings, plates and grids take no blank; what cannot hold water holds none', () => {
  expect(formFigures({ ...basin, use: 'dam' }, SOFT_90, 0.006, METRIC).map(({ label }) => label)).toEqual(['holds, to its rim', 'weighs about']);
  expect(formFigures({ ...basin, use: 'texture', deep_m: 0.003 }, SOFT_90, 0.006, METRIC).map(({ label }) => label)).toEqual(['weighs about']);
});

test('what a form is of is told in the degrees of the studio', () => {
  expect(materialWords({ ...basin, material: 'mildSteel' }, METRIC)).toBe(
    'Mild steel: scales from about 550 °C, and its flakes stick to glass; thin sheet and grids sag above about 750 °C.',
  );
  expect(materialWords({ ...basin, material: 'stainless' }, { ...METRIC, temperature: 'F' })).toBe(
    'Stainless steel: scales from about 1598 °F, and its flakes stick to glass; thin sheet and grids sag above about 1562 °F.',
  );
  expect(materialWords(basin, METRIC)).toBeNull();
});

test('how letters on a plate read', () => {
  expect(printWords({ relief: 'raised', lettering: 'plain' })).toMatch(
    /lies deep in the glass.*as written through the glass from above, and mirrored on the face/,
  );
  expect(printWords({ relief: 'sunk', lettering: 'mirrored' })).toMatch(/stands up on the glass.*mirrored through the glass from above, and as written/);
  expect(printWords({})).not.toMatch(/Letters/);
});
