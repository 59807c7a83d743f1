import type { ForKiln } from '@torvin/schema';
import { suggestedLoads } from './suggest';

const waits = (pieceName: string, hours: number, more: Partial<ForKiln> = {}): ForKiln => ({
  ...{ pieceId: pieceName, pieceName, stepId: 's', look: 'fullFuse', kilnId: 'k', scheduleId: pieceName, familyId: 'f', damp: false, dueOn: null },
  total_s: hours * 3600,
  ...more,
});
const named = (all: readonly ForKiln[]): string[][] => suggestedLoads(all).map(({ pieces }) => pieces.map(({ pieceName }) => pieceName));

test('the same firing of the same glass in one kiln goes together, what takes far longer does not', () => {
  expect(named([waits('thick', 40), waits('a', 12), waits('b', 11), waits('c', 16)])).toEqual([['b', 'a', 'c']]);
});
test('another kiln, another firing, another glass and what is damp stay out', () => {
  const others = [waits('b', 12, { kilnId: 'other' }), waits('c', 12, { look: 'tack' }), waits('d', 12, { familyId: 'hard' }), waits('e', 12, { damp: true })];
  expect(named([waits('a', 12), ...others])).toEqual([]);
});
test('what is due first comes first, whatever hours it spares', () => {
  const all = [
    ...[waits('a', 10, { look: 'tack', dueOn: '2026-12-20' }), waits('b', 10, { look: 'tack' })],
    ...[waits('c', 30), waits('d', 40), waits('e', 9, { look: 'contour', dueOn: '2026-12-24' }), waits('f', 9, { look: 'contour', dueOn: '2026-12-04' })],
  ];
  expect(named(all)).toEqual([
    ['e', 'f'],
    ['a', 'b'],
    ['c', 'd'],
  ]);
});
test('what spares the kiln most hours comes first, with its hours', () => {
  const all = [waits('a', 10, { look: 'tack' }), waits('b', 10, { look: 'tack' }), waits('c', 30), waits('d', 40)];
  expect(named(all)).toEqual([
    ['c', 'd'],
    ['a', 'b'],
  ]);
  expect(suggestedLoads(all)[0]).toMatchObject({ atLeast_s: 40 * 3600, apart_s: 70 * 3600 });
  expect(suggestedLoads([])).toEqual([]);
});
