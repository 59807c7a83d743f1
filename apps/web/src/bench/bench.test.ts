import type { Series } from '@torvin/core/heat';
import { isCoolBy } from '@/data/isCoolBy';
import { standingAt } from './byClock';
import type { WaitingPiece } from '@torvin/schema';
import { decisionFor, dueFirst, waitsFor } from './waiting';

/** Climbs for 1000 s, holds for 600, drops for 400. */
const series: Series = {
  t_s: [0, 500, 1000, 1300, 1600, 1800, 2000],
  kiln_C: [20, 400, 800, 800, 800, 650, 500],
  skin_C: [20, 390, 790, 798, 800, 660, 505],
  core_C: [20, 380, 780, 795, 800, 680, 510],
  joints: [
    { rampEnd: 2, holdEnd: 4 },
    { rampEnd: 6, holdEnd: 6 },
  ],
};

test('what has a day to be done by comes first, the nearest of them before the others', () => {
  const one = (name: string, dueOn: string | null) => ({ piece: { name, dueOn } }) as WaitingPiece;
  const all = [one('a', null), one('b', '2027-01-04'), one('c', null), one('d', '2026-12-24')];
  expect(dueFirst(all).map(({ piece }) => piece.name)).toEqual(['d', 'b', 'a', 'c']);
});

describe('a firing by the clock', () => {
  test.each([
    [0, 0, false, 1600],
    [999, 0, false, 1600],
    [1000, 0, true, 1600],
    [1700, 1, false, 2000],
  ])('after %d s runs segment %d', (seconds, segment, holding, ends_s) => {
    expect(standingAt(series, seconds)).toMatchObject({ segment, holding, ends_s, over: false });
  });

  test('tells what the kiln and the core have now, and when it is over', () => {
    expect(standingAt(series, 1300)).toMatchObject({ kiln_C: 800, core_C: 795 });
    expect(standingAt(series, 2000)).toMatchObject({ segment: null, over: true, kiln_C: 500 });
    expect(standingAt(series, 9999)).toMatchObject({ over: true });
    expect(standingAt(series, -60)).toMatchObject({ segment: 0, kiln_C: 20 });
  });
});

test.each([
  ['choice', null, 'a firing to be chosen'],
  ['schedule', 'fullFuse', 'the schedule of its full fuse'],
  ['kiln', 'slump', 'the kiln, for its slump'],
  ['again', 'fullFuse', 'another full fuse: the last fell short'],
  ['decision', 'fullFuse', 'a decision: its full fuse went too far'],
] as const)('what waits for %s says so', (what, look, words) => expect(waitsFor({ for: what, look, step: null })).toBe(words));

test('a load has a result to record once it was opened, or is cool by its schedule', () => {
  const load = { at: 1_000_000, openedAt: null };
  expect(isCoolBy({ load, total_s: 3600 }, load.at + 3599e3)).toBe(false);
  expect(isCoolBy({ load, total_s: 3600 }, load.at + 3600e3)).toBe(true);
  expect(isCoolBy({ load: { ...load, openedAt: load.at + 60e3 }, total_s: 3600 }, load.at + 120e3)).toBe(true);
  // Planned for later.
  expect(isCoolBy({ load, total_s: 3600 }, load.at - 1)).toBe(false);
});

test.each([
  [{ for: 'kiln', look: 'fullFuse', outdated: [] }, null],
  [{ for: 'hand', look: null, outdated: [] }, null],
  [{ for: 'choice', look: null, outdated: [] }, 'Plan'],
  [{ for: 'schedule', look: 'tack', outdated: [] }, 'Plan'],
  [{ for: 'decision', look: 'tack', outdated: [] }, 'See next plan'],
  [{ for: 'again', look: 'slump', outdated: [] }, 'See next plan'],
  [{ for: 'kiln', look: 'fullFuse', outdated: ['It was laid 6 mm deep.'] }, 'Calculate again'],
] as const)('%j needs: %s', (waits, act) => {
  expect(decisionFor({ ...waits, outdated: [...waits.outdated] })?.act ?? null).toBe(act);
});
