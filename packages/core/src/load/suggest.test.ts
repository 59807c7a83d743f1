import { type Room, USUAL_CLEARANCES } from '../kiln/inside';
import { arranged } from './arrange';
import { LOAD_AT_MOST } from './entry';
import type { Outline } from './outline';
import { type Insides, type Waits, suggestedLoads } from './suggest';

type Named = Waits & { name: string };
const tile = (side_m: number): Outline => ({ wide_m: side_m, long_m: side_m, isRound: false, high_m: 0.006 });
const waits = (name: string, hours: number, more: Partial<Waits> = {}): Named => ({
  ...{ name, look: 'fullFuse', kilnId: 'k', familyId: 'f', damp: false, dueOn: null, total_s: hours * 3600, outline: tile(0.1) },
  ...more,
});
const nowhere: Insides = () => null;
const BOX: Room = { wide_m: 0.5, long_m: 0.4, isRound: false, high_m: 0.3 };
const boxed: Insides = () => ({ room: BOX, clear: USUAL_CLEARANCES });
const named = (all: readonly Named[], inside = nowhere): string[][] => suggestedLoads(all, inside).map(({ pieces }) => pieces.map(({ name }) => name));

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
    ['f', 'e'],
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
  expect(suggestedLoads(all, nowhere)[0]).toMatchObject({ atLeast_s: 40 * 3600, apart_s: 70 * 3600 });
  expect(suggestedLoads([], nowhere)).toEqual([]);
});
test('no more than find room on one shelf: the rest are a load of their own, what is due first before the others', () => {
  const trays = Array.from({ length: 6 }, (_, i) => waits(`tray ${i}`, 12, { outline: tile(0.169), ...(i === 5 ? { dueOn: '2026-12-04' } : {}) }));
  expect(named(trays, boxed)).toEqual([
    ['tray 5', 'tray 0', 'tray 1', 'tray 2'],
    ['tray 3', 'tray 4'],
  ]);
  // A small one goes where a large one does not.
  const small = waits('small', 12.5, { outline: tile(0.05) });
  expect(named([...trays.slice(0, 3), waits('large', 12.1, { outline: tile(0.3) }), small], boxed)).toEqual([['tray 0', 'tray 1', 'tray 2', 'small']]);
});
test('what is larger than the shelf does not keep the others apart', () => {
  const all = [waits('huge', 12, { outline: tile(0.6) }), waits('a', 12.5), waits('b', 13)];
  expect(named(all, boxed)).toEqual([['a', 'b']]);
});
test('whatever is suggested finds room, and none is in two loads', () => {
  let state = 7;
  const next = (): number => (state = (state * 48271) % 2147483647) / 2147483647;
  for (let drawn = 0; drawn < 12; drawn += 1) {
    const all = Array.from({ length: 30 }, (_, i) => waits(`${i}`, 10 + 8 * next(), { outline: { ...tile(0.04 + 0.2 * next()), isRound: next() > 0.6 } }));
    const loads = suggestedLoads(all, boxed);
    expect(loads.length).toBeGreaterThan(0);
    const taken = loads.flatMap(({ pieces }) => pieces);
    expect(new Set(taken).size).toBe(taken.length);
    for (const { pieces } of loads) {
      expect(pieces.length).toBeLessThanOrEqual(LOAD_AT_MOST);
      expect(
        arranged(
          pieces.map(({ outline }) => outline),
          BOX,
        ).left,
      ).toEqual([]);
      expect(Math.max(...pieces.map(({ total_s }) => total_s)) / Math.min(...pieces.map(({ total_s }) => total_s))).toBeLessThanOrEqual(1.5);
    }
  }
});
