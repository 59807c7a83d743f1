import { lidsOf } from '../body/airWay';
import { bodyFigures } from '../body/body';
import { compose } from '../schedule/compose';
import type { FiringCase } from '../schedule/firingCase';
import { resolved } from '../schedule/resolved';
import { setUpOf } from '../schedule/setups';
import { SOFT_90, sheetsOf } from '../testCases';
import { bodyOfLayers, levelled } from './bodyOf';
import type { LaidLayer } from './document';
import { drawnLayers } from './drawnLayers';
import { withGaps } from './lumps';

type Lumps = Extract<LaidLayer, { form: 'chunks' }>;
const lumps = (perArea_kg_m2: number, thick_mm: number, wide_mm: number): Lumps => ({
  ...{ id: 'l', glassId: 'clear', form: 'chunks', perArea_kg_m2, thick_m: thick_mm / 1000, wide_m: wide_mm / 1000 },
});
const CLEAR = { id: 'clear', name: 'Clear', constants: SOFT_90 } as Parameters<typeof bodyOfLayers>[1][number];
const square = { shape: 'rectangle', width_m: 0.2, length_m: 0.2 } as const;

const bodyOf = (layers: LaidLayer[]) => {
  const made = bodyOfLayers({ footprint: square, dammed: true, layers, solid: { from: 0, to: 0 }, casting: null }, [CLEAR]);
  if (!made.ok) throw new Error(made.problem.message);
  return made.value.body;
};
const firing = (layer: LaidLayer, look: FiringCase['look'] = 'slabFlow'): FiringCase => ({
  ...{ ...sheetsOf(1, 0.003), look, body: bodyOf([layer]) },
  setup: setUpOf({ kind: 'bareShelf', paper: false }),
});
const warmUp = (layer: LaidLayer): number => {
  const outcome = compose(firing(layer));
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value.segments.find(({ role }) => role === 'warmUp')?.rate_C_per_h ?? NaN;
};

test('lumps that come to less than their own thickness lie with gaps, with all of their mass', () => {
  // 25 kg/m² come to 10 mm: lumps of 20 mm cover half of it.
  expect(withGaps(lumps(25, 20, 40), 2500)).toMatchObject({ perArea_kg_m2: 50, cover: 0.5 });
  expect(withGaps(lumps(75, 20, 40), 2500)).toMatchObject({ perArea_kg_m2: 75, cover: 1 });
  const { depth, mass_kg } = bodyFigures(bodyOf([lumps(25, 20, 40)]));
  expect(mass_kg).toBeCloseTo(25 * 0.04, 12);
  expect([depth.mean_m, depth.max_m]).toEqual([expect.closeTo(0.01, 12), expect.closeTo(0.02, 12)]);
  const shelf = { glasses: [{ id: 'clear', name: 'Clear', colour: '#fff' }], made: [], families: [] } as unknown as Parameters<typeof drawnLayers>[1];
  expect(drawnLayers([lumps(25, 20, 40)], shelf)).toMatchObject([{ thickness_m: 0.02, cover: 0.5, lump: { thick_m: 0.02, wide_m: 0.04 } }]);
});

test('once levelled they are grains over the whole outline, with all of their mass and the name they had', () => {
  const half = { ...lumps(50, 20, 40), cover: 0.5 };
  expect(levelled([half])).toEqual([{ id: 'l', glassId: 'clear', form: 'frit', name: 'Chunks', perArea_kg_m2: 25, cover: 1 }]);
  expect(levelled([{ ...half, name: 'Strips' }])).toMatchObject([{ form: 'frit', name: 'Strips' }]);
});

test('their size decides: flat ones are squeezed, thick ones warmed slowly, small ones neither', () => {
  const squeeze = (thick_mm: number, wide_mm: number): number => resolved(firing(lumps(42, thick_mm, wide_mm))).squeeze_perPa;
  expect(squeeze(6, 60)).toBeGreaterThan(0);
  expect([squeeze(10, 30), squeeze(22, 60), squeeze(3, 20)]).toEqual([0, 0, 0]);
  expect(lidsOf(bodyOf([lumps(42, 3, 80)]))).toEqual([{ thickness_m: 0.003, way_m: 0.08 }]);
  const frit = warmUp({ id: 'f', glassId: 'clear', form: 'frit', perArea_kg_m2: 42 });
  const [small, strips, billets] = [warmUp(lumps(42, 3, 20)), warmUp(lumps(42, 6, 60)), warmUp(lumps(42, 22, 60))];
  expect(small).toBeCloseTo(frit, -1);
  expect(strips).toBeLessThan(frit);
  // A plate four times as thick bears a quarter of the rate; the kiln's own lag takes some of that.
  expect(billets).toBeLessThan(strips / 1.5);
});

test('each of them bears its own difference: only what is left over under whole ones is thinner', () => {
  for (const [perArea, thick_mm] of [
    [42, 6],
    [42, 22],
    [10, 22],
    [400, 15],
  ]) {
    const [lowest, ...above] = resolved(firing(lumps(perArea, thick_mm, 60))).layers_m;
    expect(Math.min(...(above.length > 0 ? above : [lowest]))).toBeGreaterThanOrEqual(thick_mm / 1000 - 1e-12);
  }
});
