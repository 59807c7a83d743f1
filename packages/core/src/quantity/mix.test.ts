import fc from 'fast-check';
import { footprintArea } from '../body/footprint';
import { valueOf } from '../problem';
import { type Hollow, volumeOf } from './hollow';
import { WATER_kg_m3 } from '../units/physical';
import { type MixAsked, type MixTold, SHARES_OF, mix } from './mix';

const told = (asked: MixAsked): MixTold => valueOf(mix(asked));
const masses = ({ weighed }: MixTold): number[] => weighed.map(({ exact_kg }) => Math.round(exact_kg * 1e7) / 1e4);
const parts = [
  { name: 'opal', share: 3 },
  { name: 'clear', share: 1 },
];

test('three to one on a scale that steps by 5 g: what it can show, and by how much that is off', () => {
  const { weighed, total_kg, off } = told({ kind: 'shares', total_kg: 0.25, parts, step_kg: 0.005 });
  expect(weighed.map(({ exact_kg, weighed_kg }) => [exact_kg, weighed_kg].map((one) => Math.round(one * 1e5) / 100))).toEqual([
    [187.5, 190],
    [62.5, 65],
  ]);
  expect(total_kg).toBeCloseTo(0.255, 9);
  expect(weighed[0].share).toBeCloseTo(190 / 255, 9);
  expect(off).toBeCloseTo(65 / 62.5 - 1, 9);
  // Never nothing of what is to be in it.
  expect(told({ kind: 'shares', total_kg: 0.1, parts: [...parts, { name: 'gold', share: 0.01 }], step_kg: 0.005 }).weighed[2].weighed_kg).toBe(0.005);
});

test('two per cent can mean three things, and each is told apart', () => {
  const additives = (of: (typeof SHARES_OF)[number]) => [{ name: 'binder', share: 0.02, of, ...(of === 'solution' ? { liquid: 0.1 } : {}) }];
  const of = (meant: (typeof SHARES_OF)[number]): number[] =>
    masses(told({ kind: 'shares', total_kg: 1, parts: [{ name: 'powder', share: 1 }], additives: additives(meant), step_kg: 1e-5 }));
  expect(of('whole')).toEqual([980, 20]);
  expect(of('glass')).toEqual([980.3922, 19.6078]);
  // A tenth of liquid on the glass, of which two per cent are binder.
  expect(of('solution')).toEqual([909.0909, 1.8182, 89.0909]);
});

test('all parts come to what was asked for, however they are shared', () => {
  const share = fc.double({ min: 0.01, max: 10, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(share, { minLength: 1, maxLength: 6 }),
      fc.double({ min: 0, max: 0.3, noNaN: true }),
      fc.constantFrom(...SHARES_OF),
      share,
      (shares, extra, of, total_kg) => {
        const named = shares.map((one, i) => ({ name: `part ${i}`, share: one }));
        const additives = [{ name: 'additive', share: extra, of, liquid: 0.2 }];
        const { weighed, total_kg: sum } = told({ kind: 'shares', total_kg, parts: named, additives, step_kg: 0.001 });
        expect(weighed.reduce((all, { exact_kg }) => all + exact_kg, 0) / total_kg).toBeCloseTo(1, 9);
        // Half a step at most for each, but for what is rounded up to one.
        expect(Math.abs(sum - total_kg)).toBeLessThanOrEqual(weighed.length * 0.001 + 1e-9);
        expect(weighed[0].exact_kg / weighed[shares.length - 1].exact_kg).toBeCloseTo(shares[0] / shares[shares.length - 1], 6);
      },
    ),
    { numRuns: 400, seed: 11 },
  );
});

test('coats of primer: five parts of water on one of powder, by mass and by volume', () => {
  const coat = { kind: 'coats' as const, area_m2: 0.3, perCoat_kg_m2: 0.12, coats: 5, waterToPowder: 5, step_kg: 1e-6 };
  expect(masses(told(coat))).toEqual([30, 150]);
  // By volume, of a powder whose litre weighs 0.7 kg, that is more water on each kilogram.
  const [powder, water] = masses(told({ ...coat, bulk_kg_m3: 700 }));
  expect(water / powder).toBeCloseTo((5 * WATER_kg_m3) / 700, 3);
  expect(powder + water).toBeCloseTo(180, 3);
});

test('plaster round a model: the slurry fills the flask less the model', () => {
  const model: Hollow = { kind: 'bowl', rim_m: 0.12, floor_m: 0, depth_m: 0.05 };
  const { flask, weighed } = told({ kind: 'plaster', model, wall_m: 0.02, shares: { plaster: 1, silica: 1, water: 1 }, step_kg: 1e-6 });
  expect(flask?.outline).toEqual({ shape: 'disc', diameter_m: expect.closeTo(0.16, 12) });
  expect(flask?.volume_m3).toBeCloseTo((Math.PI / 4) * 0.16 ** 2 * 0.07 - volumeOf(model), 12);
  const [plaster, silica, water] = weighed.map(({ exact_kg }) => exact_kg);
  expect(plaster / 2700 + silica / 2650 + water / WATER_kg_m3).toBeCloseTo(flask?.volume_m3 ?? NaN, 9);
  // The core of a ring is poured too.
  const ring: Hollow = { kind: 'straight', outline: { shape: 'ring', diameter_m: 0.2, inner_m: 0.1 }, depth_m: 0.03 };
  const round = told({ kind: 'plaster', model: ring, wall_m: 0.02, shares: { plaster: 1, silica: 1, water: 1 }, step_kg: 0.001 }).flask;
  expect(round && footprintArea(round.outline)).toBeCloseTo((Math.PI / 4) * 0.24 ** 2, 12);
});

test('scrap by its grades, and how much of it a grade asks for', () => {
  const yields = [
    { name: 'coarse', share: 0.4 },
    { name: 'medium', share: 0.3 },
    { name: 'fine', share: 0.2 },
  ];
  const all = told({ kind: 'crush', yields, scrap_kg: 2, step_kg: 0.001 });
  expect(masses(all)).toEqual([800, 600, 400]);
  expect(all.crushed).toEqual({ scrap_kg: 2, lost_kg: expect.closeTo(0.2, 9) });
  // Grades and losses are what was crushed.
  expect(all.weighed.reduce((sum, { exact_kg }) => sum + exact_kg, 0) + (all.crushed?.lost_kg ?? 0)).toBeCloseTo(2, 12);
  const wanted = told({ kind: 'crush', yields, wanted: { name: 'medium', mass_kg: 0.6 }, step_kg: 0.001 });
  expect(wanted.crushed?.scrap_kg).toBeCloseTo(2, 9);
});

test.each<[string, MixAsked, string]>([
  ['shares of nothing', { kind: 'shares', total_kg: 1, parts: [{ name: 'a', share: 0 }], step_kg: 0.001 }, 'parts'],
  ['additives that leave no glass', { kind: 'shares', total_kg: 1, parts, additives: [{ name: 'b', share: 1, of: 'whole' }], step_kg: 0.001 }, 'additives'],
  ['grades that are more than was crushed', { kind: 'crush', yields: [{ name: 'a', share: 1.2 }], scrap_kg: 1, step_kg: 0.001 }, 'yields'],
  ['a grade that does not come out', { kind: 'crush', yields: [{ name: 'a', share: 0.2 }], wanted: { name: 'b', mass_kg: 1 }, step_kg: 0.001 }, 'wanted'],
  ['scrap of which nothing is told', { kind: 'crush', yields: [{ name: 'a', share: 0.2 }], step_kg: 0.001 }, 'scrap_kg'],
  [
    'plaster without water',
    {
      kind: 'plaster',
      model: { kind: 'bowl', rim_m: 0.1, floor_m: 0, depth_m: 0.04 },
      wall_m: 0.02,
      shares: { plaster: 1, silica: 1, water: 0 },
      step_kg: 0.001,
    },
    'shares',
  ],
])('%s are refused where they stand', (_, asked, path) => {
  expect(mix(asked)).toMatchObject({ ok: false, problem: { path } });
});
