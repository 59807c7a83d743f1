/** What is in a kiln beside a piece: the mass of the load, a shelf over it, glass of another family, metals that fume. */
import { bodyNamed } from '../bodies.testCases';
import { valueOf } from '../problem';
import { brokenOf } from '../schedule/reading';
import { FIBRE_PAPER, withPaper } from '../schedule/setups';
import { composeLoad } from './compose';
import type { LoadEntry } from './entry';
import { laid } from './load.testCases';
import { furnitureStores, storedBy } from './stored';
import { fumeSays } from './words';

const load = (entries: readonly LoadEntry[], given: Parameters<typeof composeLoad>[2] = {}) => valueOf(composeLoad(entries, undefined, given));
const TILE: LoadEntry = { name: 'Tile', firing: laid(2, 3, 100) };
const PLATE: LoadEntry = { name: 'Plate', firing: laid(4, 3, 250) };

describe('the mass of a load', () => {
  const [glass] = PLATE.firing.body.glasses;
  const ofPlate = 0.25 ** 2 * 0.012 * glass.density_kg_m3 * glass.heatCapacity_J_kgK;

  test('is that of the glass and of what it lies in; its shelf is of the kiln', () => {
    expect(storedBy(PLATE.firing)).toBeCloseTo(ofPlate, 3);
    const { thickness_m, density_kg_m3, heatCapacity_J_kgK } = FIBRE_PAPER;
    const onPaper = storedBy({ ...PLATE.firing, setup: withPaper(PLATE.firing.setup) });
    expect(onPaper - ofPlate).toBeCloseTo(0.25 ** 2 * thickness_m * density_kg_m3 * heatCapacity_J_kgK, 3);
    expect(storedBy(bodyNamed('a bowl, 300 by 50 mm'))).toBeGreaterThan(0);
  });
  test('counts shelves over the first, and posts as high as what lies between them', () => {
    const room = { wide_m: 0.45, long_m: 0.45, isRound: false, high_m: 0.4 };
    const clear = { between_m: 0.01, wall_m: 0.025, over_m: 0.05, elements_m: 0.05, probe_m: 0.02 };
    const items = [0.03, 0.01].map((high_m) => ({ wide_m: 0.1, long_m: 0.1, isRound: false, high_m }));
    const one = furnitureStores(room, clear, items, [
      { item: 0, shelf: 0 },
      { item: 1, shelf: 0 },
    ]);
    const two = furnitureStores(room, clear, items, [
      { item: 0, shelf: 0 },
      { item: 1, shelf: 1 },
    ]);
    expect(one).toBe(0);
    expect(two).toBeCloseTo(2000 * 1050 * (0.4 * 0.4 * 0.016 + 4 * 0.038 ** 2 * 0.08), 3);
  });
  test('slows the kiln where that is as fast as it can, and what each would have by itself stays', () => {
    const plain = load([PLATE, TILE]);
    const heavy = load([PLATE, TILE], { stores: { chamber_J_K: 8000, furniture_J_K: 3000 } });
    expect(heavy.load_J_K).toBeCloseTo(3000 + storedBy(PLATE.firing) + storedBy(TILE.firing), 6);
    expect([plain.load_J_K, plain.converged, heavy.converged]).toEqual([0, true, true]);
    expect(heavy.total_s).toBeGreaterThan(plain.total_s);
    expect(heavy.entries.map(({ alone }) => alone)).toEqual(plain.entries.map(({ alone }) => alone));
    const last = (one: typeof plain): number => {
      const { segments } = one.entries[0].evaluation.simulation;
      return segments[segments.length - 1].end_s - segments[segments.length - 2].end_s;
    };
    // The kiln's own fall, longer by what is in it.
    expect(last(heavy) / last(plain)).toBeGreaterThan(1 + (0.8 * heavy.load_J_K) / 8000);
  });
});

test('under another shelf it lags, warms and cools more slowly, and keeps its limits; beside one in the open it sets the pace', () => {
  const both = load([PLATE, { ...PLATE, name: 'Under', underShelf: true }]);
  expect(both.converged).toBe(true);
  expect(both.setBy[both.segments.findIndex(({ role }) => role === 'firstCool')].rate).toBe(1);
  const [open, under] = both.entries.map(({ alone }) => alone);
  expect(under.segments[0].rate_C_per_h!).toBeLessThan(open.segments[0].rate_C_per_h!);
  const work = both.entries.map(({ evaluation }) => evaluation.work_perPa.mean);
  expect(work[1]).toBeLessThan(work[0]);
});

test('where the kiln runs behind, glass has less of the same schedule', () => {
  const both = load([PLATE, { ...PLATE, name: 'Behind', lag_s: 300 }]);
  expect(both.converged).toBe(true);
  const work = both.entries.map(({ evaluation }) => evaluation.work_perPa.mean);
  expect(work[1] / work[0]).toBeLessThan(0.95);
});

describe('glass of another heat range', () => {
  const float: LoadEntry = { name: 'Float', firing: bodyNamed('window float, slumped') };
  const soft: LoadEntry = { name: 'Soft', firing: bodyNamed('stuck with crisp edges') };

  test('is refused unless the studio lets it in, and then each is soaked where its own glass asks, the hotter first', () => {
    expect(composeLoad([soft, float])).toMatchObject({ ok: false, problem: { code: 'other-heat-range' } });
    const { segments, entries, setBy } = load([soft, float], { mixed: true });
    const own = entries.map(({ alone }) => alone.segments.find(({ role }) => role === 'drop')!.target_C);
    const soaks = segments.filter(({ role }) => role === 'drop');
    expect(soaks.map(({ target_C }) => target_C)).toEqual([...own].sort((a, b) => b - a));
    expect(soaks[1].rate_C_per_h).not.toBeNull();
    // Each soak is set by the glass that asks for it.
    expect(setBy.filter((_, i) => segments[i].role === 'drop').map(({ target }) => target)).toEqual(own[0] > own[1] ? [0, 1] : [1, 0]);
    // Whatever the heat does to one of them, both are annealed.
    const unsound = entries.flatMap(({ evaluation }) => brokenOf(evaluation.readings)).filter(({ limit }) => limit !== 'workLeast' && limit !== 'workMost');
    expect(unsound).toEqual([]);
  });
  test('of one range nothing changes', () => {
    expect(load([TILE, PLATE], { mixed: true })).toEqual(load([TILE, PLATE]));
  });
});

test('silver and lead fume beside glass that has none, where it is hot enough', () => {
  const entries = [{ contents: ['silver' as const] }, { contents: [] }, {}];
  expect(fumeSays(entries, 0, 780)).toEqual(['Its silver may fume and stain clear glass beside it. Lay it apart, or fire it by itself.']);
  expect(fumeSays(entries, 1, 780)).toEqual([]);
  expect(fumeSays(entries, 0, 660)).toEqual([]);
  expect(fumeSays([entries[0], entries[0]], 0, 780)).toEqual([]);
  expect(fumeSays([{ contents: ['copper' as const] }, {}], 0, 780)).toEqual([]);
});
