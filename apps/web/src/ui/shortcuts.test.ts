import { PLACES } from './places';
import { SHORTCUTS, chordOf, isTyping, lettersAreOn, meaningOf, setLetters } from './shortcuts';

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
    expect([meaningOf('/', null), meaningOf('?', null)]).toEqual([{ open: 'find' }, { open: 'help' }]);
    expect(meaningOf('q', null)).toBeNull();
    expect(meaningOf('q', 'g')).toBeNull();
    for (const key of ['n', '/', '?']) expect(SHORTCUTS.some(({ keys }) => keys === key)).toBe(true);
  });

  test('undo and redo are where every program has them', () => {
    expect([chordOf('z', false), chordOf('Z', true), chordOf('y', false)]).toEqual([{ press: 'undo' }, { press: 'redo' }, { press: 'redo' }]);
    expect([chordOf('y', true), chordOf('u', false), chordOf('n', false)]).toEqual([null, null, null]);
  });

  test('single letters are on until they are switched off, and stay off', () => {
    expect(lettersAreOn()).toBe(true);
    setLetters(false);
    expect([lettersAreOn(), localStorage.getItem('torvin-letters')]).toEqual([false, 'false']);
    setLetters(true);
    expect(lettersAreOn()).toBe(true);
  });

  test('in a field they are text', () => {
    const field = document.createElement('input');
    expect(isTyping(field)).toBe(true);
    expect(isTyping(document.createElement('div'))).toBe(false);
    expect(isTyping(null)).toBe(false);
  });
});
