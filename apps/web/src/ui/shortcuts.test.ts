import { PLACES } from './places';
import { SHORTCUTS, isTyping, meaningOf } from './shortcuts';

describe('keys', () => {
  test.each(PLACES.map(({ key, href }) => [key, href] as const))('g then %s goes to %s', (key, place) => {
    expect(meaningOf('g', null)).toBeNull();
    expect(meaningOf(key, 'g')).toEqual({ go: place });
  });

  test('each place has a key of its own, which the list names', () => {
    expect(new Set(PLACES.map(({ key }) => key)).size).toBe(PLACES.length);
    expect(SHORTCUTS[0]).toEqual({ keys: 'g then b, p, k, n, s', does: 'go to Bench, Pieces, Kiln, Notebook, Shelves' });
  });

  test('alone they do what the list says', () => {
    expect(meaningOf('n', null)).toEqual({ go: '/pieces/new' });
    expect(meaningOf('u', 'x')).toEqual({ press: 'undo' });
    expect(meaningOf('?', null)).toEqual({ help: true });
    expect(meaningOf('q', null)).toBeNull();
    expect(meaningOf('q', 'g')).toBeNull();
    for (const key of ['n', '/', 'u', '?']) expect(SHORTCUTS.some(({ keys }) => keys === key)).toBe(true);
  });

  test('in a field they are text', () => {
    const field = document.createElement('input');
    expect(isTyping(field)).toBe(true);
    expect(isTyping(document.createElement('div'))).toBe(false);
    expect(isTyping(null)).toBe(false);
  });
});
