import fc from 'fast-check';
import { findAmong } from './entries';
import { nearWords, slipsBetween } from './near';
import { soughtIn, wordsOf } from './sought';

describe('what was typed', () => {
  test('is words without accents, apart by whatever is none', () => expect(wordsOf("L'Été, look-in 3 mm")).toEqual(['l', 'ete', 'look', 'in', '3', 'mm']));

  test.each([
    ['mold', [['mold', 'mould']]],
    ['moulds', [['moulds', 'molds', 'mould', 'mold']]],
    ['inches', [['inches', 'inch']]],
    ['glass', [['glass']]],
    ['colored tray', [['colored', 'coloured'], ['tray']]],
    ['kiln wash', [['kiln wash', 'release', 'primer']]],
    ['new kiln wash', [['new'], ['kiln wash', 'release', 'primer']]],
    ['look-in', [['look in', 'check']]],
    ['kiln', [['kiln']]],
    ['  ', []],
  ])('%j', (typed, sought) => expect(soughtIn(typed)).toEqual(sought));

  test('a spelling that both have in common is sought once', () => expect(soughtIn('programmed')).toEqual([['programmed']]));
});

/** The distance by its definition, all ways tried. */
function byDefinition(a: string, b: string): number {
  if (a === '' || b === '') return a.length + b.length;
  const rest = [
    byDefinition(a.slice(1), b) + 1,
    byDefinition(a, b.slice(1)) + 1,
    byDefinition(a.slice(1), b.slice(1)) + (a[0] === b[0] ? 0 : 1),
    a.length > 1 && b.length > 1 && a[0] === b[1] && a[1] === b[0] ? byDefinition(a.slice(2), b.slice(2)) + 1 : Infinity,
  ];
  return Math.min(...rest);
}

describe('slips', () => {
  test('are counted as by the definition, and no further than asked', () => {
    const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), maxLength: 5 });
    fc.assert(
      fc.property(word, word, fc.integer({ min: 0, max: 4 }), (a, b, most) => {
        expect(slipsBetween(a, b, most)).toBe(Math.min(byDefinition(a, b), most + 1));
      }),
      { numRuns: 300 },
    );
  });

  test('the nearest words alone are found, and what a word begins', () => {
    const words = ['basin', 'basil', 'sundial', 'plaque', 'plaques', 'tray'];
    expect(nearWords('bsain', words)).toEqual(['basin']);
    expect(nearWords('sundail', words)).toEqual(['sundial']);
    expect(nearWords('plaqe', words)).toEqual(['plaque', 'plaques']);
    expect(nearWords('try', words)).toEqual([]);
  });
});

describe('among entries', () => {
  const entries = [{ text: 'Bird-bath basin', at: 1 }, { text: 'Basin, second try', at: 3 }, { text: 'Steel mould', at: 2 }, { text: 'Back up the studio' }];
  const found = (typed: string) => findAmong(typed, entries).map(({ text }) => text);

  test('all that was typed must be there, the newest first', () => {
    expect(found('basin')).toEqual(['Basin, second try', 'Bird-bath basin']);
    expect(found('bas bird')).toEqual(['Bird-bath basin']);
    expect(found('basin mold')).toEqual([]);
  });

  test('slips, spellings and other names are forgiven', () => {
    expect(found('mold')).toEqual(['Steel mould']);
    expect(found('stel mold')).toEqual(['Steel mould']);
    expect(found('bassin')).toEqual(['Basin, second try', 'Bird-bath basin']);
    expect(found('')).toEqual([]);
  });
});
