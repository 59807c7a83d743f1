import type { Piece } from '@torvin/schema';
import { whereIn } from './useWhere';

jest.mock('@/data/pieces', () => ({}));
jest.mock('@/outbox/useOutbox', () => ({}));

const lay = (id: string, layers = 1) => ({
  kind: 'lay',
  id,
  side: 'above',
  layers: Array.from({ length: layers }, (_, i) => ({ id: `${id}${i}`, form: 'sheet' })),
});
const fire = (id: string) => ({ kind: 'fire', id });
const piece = (journey: object[], fired: Record<string, unknown> = {}): Piece => ({ doc: { journey }, fired }) as unknown as Piece;

test('glass goes into the step that is looked at, else the first that lays', () => {
  const one = piece([lay('a', 2), fire('f'), lay('b'), fire('g')]);
  expect(whereIn(one, undefined)).toMatchObject({ into: { stepId: 'a' }, laid: 2, isBegun: false });
  expect(whereIn(one, 'b')).toMatchObject({ into: { stepId: 'b' }, laid: 1 });
  expect(whereIn(one, 'g')).toMatchObject({ into: { stepId: 'a' } });
});

test('what was fired or worked on stays: it goes into what comes after, as a step of its own where nothing is laid there', () => {
  const half = piece([lay('a'), fire('f'), lay('b'), fire('g')], { f: 'right' });
  expect(whereIn(half, 'a')).toMatchObject({ into: { stepId: 'b' }, isBegun: true });
  expect(whereIn(piece([lay('a'), fire('f'), fire('g')], { f: null }), undefined)).toMatchObject({ into: { place: 2 }, laid: 0, isBegun: true });
  expect(whereIn(piece([lay('a'), { kind: 'cut', id: 'c', doneAt: 1 }]), 'a')).toMatchObject({ into: { place: 2 }, isBegun: true });
  expect(whereIn(piece([]), undefined)).toMatchObject({ into: { place: 0 }, isBegun: false });
});
