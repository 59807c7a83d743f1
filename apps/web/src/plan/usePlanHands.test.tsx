/** Keys on the plan: what they move, by how much in the studio's unit, and which of them are left to the page. */
import type { Footprint } from '@torvin/core/body';
import type { Box, Point } from '@torvin/core/plan';
import { renderHook } from '@testing-library/react';
import { planGeometry } from './geometry';
import type { OwnPart } from './ownPart';
import { middleOf, usePlanHands } from './usePlanHands';

let mockLength: 'mm' | 'in' = 'mm';
jest.mock('@/data/FormUnits', () => ({ useUnits: () => ({ length: mockLength, temperature: 'C', mass: 'g' }) }));

Object.assign(window, { matchMedia: () => ({ matches: false }) });

const PLAQUE: Footprint = { shape: 'rectangle', width_m: 0.3, length_m: 0.2 };
const drawn = planGeometry(PLAQUE, [], 358, 400);
const corners: Point[] = [
  [-0.01, -0.01],
  [0.01, -0.01],
  [0.01, 0.01],
  [-0.01, 0.01],
];
const part = (id: string): OwnPart => ({ id, corners, colour: '#888888', called: id, name: id, middle: [0, 0], turned_deg: 0, size: '20 × 20 mm' });
const own = ['a', 'b', 'c'].map(part);

function keyed(chosen: readonly string[], key: string, held: { shiftKey?: boolean; ctrlKey?: boolean } = {}) {
  const said: [string, ...unknown[]][] = [];
  const act =
    (name: string) =>
    (...words: unknown[]): void =>
      void said.push([name, ...words]);
  const acts = { onPlace: null, onSelect: act('select'), onSelectAll: act('all'), onMove: act('move'), onTurn: act('turn'), onRemove: act('remove') };
  const hands = renderHook(() => usePlanHands({ drawn, own, chosen: own.filter(({ id }) => chosen.includes(id)), about: [0, 0] }, acts));
  const event = { key, shiftKey: false, ctrlKey: false, metaKey: false, ...held, preventDefault: act('kept'), stopPropagation: () => undefined };
  (hands.result.current.keys as { onKeyDown(event: object): void }).onKeyDown(event);
  return said;
}

test.each([
  ['mm', 0.001, 0.01],
  ['in', 0.0254 / 32, 0.0254 / 4],
] as const)('in %s an arrow moves what is chosen by the fine step, with shift by the coarse one', (unit, fine, coarse) => {
  mockLength = unit;
  expect(keyed(['b'], 'ArrowRight')).toEqual([['move', fine, 0], ['kept']]);
  expect(keyed(['b'], 'ArrowLeft')[0]).toEqual(['move', -fine, 0]);
  expect(keyed(['b'], 'ArrowUp')[0]).toEqual(['move', 0, fine]);
  expect(keyed(['a', 'b'], 'ArrowDown', { shiftKey: true })[0]).toEqual(['move', 0, -coarse]);
});

test('with nothing chosen an arrow chooses the first part; brackets and Delete are left to the page', () => {
  expect(keyed([], 'ArrowUp')).toEqual([['select', 'a', false], ['kept']]);
  for (const key of ['[', '}', 'Delete', 'Backspace', 'x', 'a']) expect(keyed([], key)).toEqual([]);
});

test('brackets turn by a degree, with shift by fifteen, to the left with the first', () => {
  expect(['[', ']', '{', '}'].map((key) => keyed(['a'], key)[0])).toEqual([
    ['turn', 1],
    ['turn', -1],
    ['turn', 15],
    ['turn', -15],
  ]);
});

test('Page up and down go round, Home and End go to the ends, with shift they add', () => {
  const chosen = (from: readonly string[], key: string): unknown => keyed(from, key)[0][1];
  expect([chosen(['a'], 'PageDown'), chosen(['c'], 'PageDown'), chosen(['a'], 'PageUp'), chosen([], 'PageDown'), chosen([], 'PageUp')]).toEqual([
    ...['b', 'a', 'c', 'a', 'c'],
  ]);
  expect([chosen(['b'], 'Home'), chosen(['b'], 'End')]).toEqual(['a', 'c']);
  expect(keyed(['a'], 'PageDown', { shiftKey: true })[0]).toEqual(['select', 'b', true]);
});

test('all are chosen at once, let go and removed', () => {
  expect(keyed([], 'a', { ctrlKey: true })[0]).toEqual(['all']);
  expect(keyed(['b'], 'Escape')[0]).toEqual(['select', null, false]);
  expect([keyed(['b'], 'Delete')[0], keyed(['b'], 'Backspace')[0]]).toEqual([['remove'], ['remove']]);
});

test('the middle of a box', () => {
  const box: Box = { left: -0.1, right: 0.3, front: 0, back: 0.05 };
  expect(middleOf(box)).toEqual([expect.closeTo(0.1, 12), 0.025]);
});
