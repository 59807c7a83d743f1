import { SHORTCUTS, isTyping, meaningOf } from './shortcuts';

describe('keys', () => {
  test.each([
    ['b', '/bench'],
    ['p', '/pieces'],
    ['n', '/notebook'],
    ['s', '/shelves'],
  ])('g then %s goes to %s', (key, place) => {
    expect(meaningOf('g', null)).toBeNull();
    expect(meaningOf(key, 'g')).toEqual({ go: place });
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
