import { bodyNamed } from '../bodies.testCases';
import { valueOf } from '../problem';
import { compose } from '../schedule/compose';
import { brokenOf } from '../schedule/reading';
import { composeLoad } from './compose';
import type { LoadEntry } from './entry';
import { drawnLoad, laid } from './load.testCases';

const load = (entries: readonly LoadEntry[]) => valueOf(composeLoad(entries));
const TILE: LoadEntry = { name: 'Tile', firing: laid(2, 3, 100) };
const PLATE: LoadEntry = { name: 'Plate', firing: laid(4, 3, 250) };
const TACKED: LoadEntry = { name: 'Tacked', firing: laid(2, 3, 200, { look: 'tack' }) };

test('one alone has what it would have by itself', () => {
  const { segments, entries, setBy, split } = load([PLATE]);
  const own = valueOf(compose(PLATE.firing));
  expect(segments).toEqual(own.segments);
  expect(entries[0].evaluation.readings).toEqual(own.evaluation.readings);
  expect(setBy.every(({ rate, target, hold }) => rate === null && target === null && hold === null)).toBe(true);
  expect(split).toBeNull();
});

describe('a tile beside a plate of 12 mm', () => {
  const { segments, entries, setBy, total_s, converged, split } = load([TILE, PLATE]);

  test('both keep every limit, each by its own simulation', () => {
    expect(converged).toBe(true);
    expect(entries.map(({ evaluation }) => brokenOf(evaluation.readings))).toEqual([[], []]);
    const [tile, plate] = entries.map(({ evaluation }) => evaluation.readings.find(({ limit }) => limit === 'setting')!.value);
    expect(plate).toBeGreaterThan(tile);
  });
  test('the plate sets how fast it warms and cools', () => {
    const at = (role: string) => segments.findIndex((segment) => segment.role === role);
    for (const role of ['warmUp', 'firstCool']) {
      expect(setBy[at(role)].rate).toBe(1);
      const own = entries[1].alone.segments.find((segment) => segment.role === role)!;
      expect(segments[at(role)].rate_C_per_h!).toBeLessThanOrEqual(own.rate_C_per_h!);
    }
    expect(setBy[at('drop')].hold).toBe(1);
  });
  test('without the plate it is over hours sooner, without the tile it is not, and two loads gain nothing', () => {
    expect(entries[1].without_s / (total_s - entries[0].alone.total_s)).toBeGreaterThan(0.8);
    expect(entries[1].without_s / (total_s - entries[0].alone.total_s)).toBeLessThan(1.2);
    expect(entries[0].without_s).toBeLessThan(600);
    expect(split).toBeNull();
  });
  test('whatever stands first', () => {
    const turned = load([PLATE, TILE]);
    expect(turned.segments).toEqual(segments);
    expect(turned.setBy.map(({ rate }) => rate)).toEqual(setBy.map(({ rate }) => (rate === null ? null : 1 - rate)));
  });
});

test('like ones are simulated once, and the one of another heat is named and gets a load of its own', () => {
  const three = load([TILE, TACKED, { ...TILE, name: 'Second tile' }, { ...TILE, name: 'Third tile' }]);
  expect(three.converged).toBe(false);
  expect(three.entries.map(({ evaluation }) => brokenOf(evaluation.readings).length > 0)).toEqual([false, true, false, false]);
  expect(three.entries[1].hotter_K).toBeLessThan(-10);
  expect(three.entries[0].hotter_K).toBe(0);
  expect(three.split).toMatchObject({ first: [1], second: [0, 2, 3] });
  expect(three.evaluations).toBe(load([TILE, TACKED, { ...TILE, name: 'Second tile' }]).evaluations);
});

test('who falls short in a load is not said to set its working hold', () => {
  const { segments, setBy, entries } = load([TILE, TACKED, { ...TACKED, name: 'Second' }, { name: 'Wide', firing: laid(2, 3, 300, { look: 'tack' }) }]);
  expect(entries[0].hotter_K).toBeGreaterThan(10);
  expect(setBy[segments.findIndex(({ role }) => role === 'work')].target).not.toBe(0);
});

test('a hot place and a cool one are judged by what they feel', () => {
  const [hot, cool] = [6, -6].map((hotter_K) => ({ ...PLATE, hotter_K }));
  const { entries, converged } = load([hot, cool]);
  expect(converged).toBe(true);
  expect(entries[0].evaluation.work_perPa.mean / entries[1].evaluation.work_perPa.mean).toBeGreaterThan(1.3);
  expect(entries[0].alone.segments).not.toEqual(entries[1].alone.segments);
});

test('the offset of the controller moves the targets and nothing that the glass feels', () => {
  const reads = (offset_K: number) => load([TILE, PLATE].map((one) => ({ ...one, firing: { ...one.firing, corrections: { offset_K, workFactor: 1 } } })));
  const [plain, high] = [reads(0), reads(12)];
  high.segments.forEach(({ target_C }, i) => expect(target_C - plain.segments[i].target_C).toBeCloseTo(12, 6));
  expect(high.entries[1].evaluation.work_perPa.mean).toBeCloseTo(plain.entries[1].evaluation.work_perPa.mean, 6);
});

describe('who may not be with others is refused, and told why', () => {
  const damp: LoadEntry = { name: 'Damp mould', firing: bodyNamed('into a damp mould') };
  test.each<[string, LoadEntry, string, RegExp]>([
    ['a damp mould', damp, 'fires-alone', /^Damp mould is damp\. .*dry it first, or fire it alone\.$/],
    ['wax', { name: 'Wax', firing: bodyNamed('wax burnt out of plaster') }, 'fires-alone', /^Wax: burning out\. It is fired alone, /],
    ['another heat range', { name: 'Hard', firing: bodyNamed('borosilicate') }, 'other-heat-range', /^Hard anneals \d+ °C hotter than Tile/],
    ['another kiln', { name: 'Weak', firing: bodyNamed('in a weak kiln') }, 'other-kiln', /^Weak is planned for another kiln/],
  ])('%s', (_, entry, code, message) => {
    expect(composeLoad([TILE, entry])).toMatchObject({
      ok: false,
      problem: { code, message: expect.stringMatching(message), path: expect.stringMatching(/^entries\.1\./) },
    });
  });
  test('alone it is fired', () => {
    expect(load([damp]).converged).toBe(true);
    expect(composeLoad([])).toMatchObject({ ok: false, problem: { code: 'empty-load' } });
  });
});

/** Figures as they are keyed: rates round to a few hundredths, holds to minutes. */
const ROUNDING = 1.03;
const MINUTES_S = 600;

describe.each(Array.from({ length: process.env.LONG ? 30 : 10 }, (_, seed) => [seed]))('load %i, drawn', (seed) => {
  const entries = drawnLoad(seed);
  const { total_s, converged, entries: judged } = load(entries);

  test('keeps every limit of every piece, or says who is not right in it', () => {
    const short = judged.filter(({ evaluation }) => brokenOf(evaluation.readings).length > 0);
    if (converged) expect(short).toEqual([]);
    else expect(short.length).toBeGreaterThan(0);
    for (const { evaluation, hotter_K } of judged) {
      const isOff = brokenOf(evaluation.readings).every(({ limit }) => limit === 'workLeast' || limit === 'workMost');
      expect([isOff, hotter_K !== 0]).toEqual([true, brokenOf(evaluation.readings).length > 0]);
    }
  });
  test('takes no longer than one after the other, and no less than the longest', () => {
    const alone = judged.map((one) => one.alone.total_s);
    expect(total_s).toBeLessThanOrEqual(alone.reduce((sum, one) => sum + one, 0));
    if (converged) expect(total_s).toBeGreaterThan(Math.max(...alone) / ROUNDING);
  });
  test('is no longer without any one of them', () => {
    if (!converged) return;
    entries.forEach((_, i) => {
      const rest = load(entries.filter((_one, at) => at !== i));
      expect(rest.total_s).toBeLessThanOrEqual(total_s * ROUNDING + MINUTES_S);
    });
  });
});

test('of mixed firings a split is offered whose halves can each be right', () => {
  const offered = Array.from({ length: 6 }, (_, seed) => drawnLoad(100 + seed, false)).flatMap((entries) => {
    const { split, converged } = load(entries);
    return split && !converged ? [{ entries, split }] : [];
  });
  expect(offered.length).toBeGreaterThan(0);
  for (const { entries, split } of offered) {
    expect([...split.first, ...split.second].sort()).toEqual(entries.map((_, i) => i));
    for (const some of [split.first, split.second]) expect(load(some.map((i) => entries[i])).converged).toBe(true);
  }
});
