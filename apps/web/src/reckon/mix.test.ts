import { METRIC } from '@torvin/core/units';
import { readMix, withMeanings } from './mixEntry';

const mix = { parts: '1', 'p0.name': 'Clear', 'p0.share': '1', total: '250', additives: '1', 'a0.name': 'Binder', 'a0.percent': '4' };
const kept = (typed: Record<string, string>, kind = 'mixes') => ({ kind, typed });

test('what a share is of has to be told: no silent meaning', () => {
  expect(readMix(mix, METRIC)).toMatchObject({ value: null, missing: ['what the share of Binder is of'] });
  expect(readMix({ ...mix, 'a0.of': 'glass' }, METRIC).value).toMatchObject({ additives: [{ name: 'Binder', of: 'glass', share: 0.04 }] });
  expect(readMix({ ...mix, 'a0.of': 'solution' }, METRIC).missing).toEqual(['liquid of additive 1']);
});

test('asked once: it is as it was kept in the studio, of the same additive first, else of the last one; what is told now stands', () => {
  const before = [
    kept({ ...mix, additives: '1', 'a0.name': 'Colour', 'a0.of': 'whole' }),
    kept({ 'a0.of': 'solution', additives: '1' }, 'grains'),
    kept({ ...mix, additives: '2', 'a0.name': 'binder ', 'a0.of': 'glass', 'a1.name': 'Salt', 'a1.of': 'solution' }),
  ];
  expect(withMeanings(mix, before)['a0.of']).toBe('glass');
  expect(withMeanings({ ...mix, 'a0.name': 'Gum' }, before)['a0.of']).toBe('whole');
  expect(withMeanings({ ...mix, 'a0.of': 'whole' }, before)['a0.of']).toBe('whole');
  expect(withMeanings(mix, [])).toEqual(mix);
  // One that was removed again told nothing.
  expect(withMeanings(mix, [kept({ ...mix, additives: '0', 'a0.of': 'glass' })])).toEqual(mix);
});
