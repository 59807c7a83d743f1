/** A motif as it is typed: what it comes to in either unit, and what is wrong with it in words. */
import { footprintArea } from '@torvin/core/body';
import { METRIC } from '@torvin/core/units';
import { EMPTY_SHELVES, type Made, type Shelves } from '@torvin/schema';
import { leftWords } from '@/shelves/leftWords';
import { MOTIF_KINDS, type MotifFields, type MotifKind, fieldsOf, readMotif, usualFields } from './motifEntry';

const glass = (id: string): Shelves['glasses'][number] => ({
  ...{ id, version: 1, name: id, source: '', familyId: 'f', colour: '#112233', thicknesses_m: [0.002, 0.003], coated: false },
  ...{ forms: ['sheet', 'cap', 'pieces'], contents: [] },
});
const bar: Made = {
  ...{ id: 'bar', version: 1, name: 'Layered bar', source: '', form: 'bar', count: 4, thickness_m: 0.018, mass_kg: 0.4, lie: 'level' },
  ...{ footprint: { shape: 'rectangle', width_m: 0.02, length_m: 0.2 }, stripes: [{ glassId: 'straw', share: 1 }] },
  ...{ fragile: false, heat: null, from: null, note: '', madeAt: 1 },
};
const SHELVES: Shelves = { ...EMPTY_SHELVES, glasses: [glass('straw'), glass('rose')], made: [bar] };

const read = (kind: MotifKind, fields: Partial<MotifFields> = {}, glassIds = ['straw', 'rose'], unit: 'mm' | 'in' = 'mm') =>
  readMotif({ kind, fields: { ...usualFields(kind, unit, undefined), ...fields }, glassIds, borderId: 'rose', capId: 'straw' }, SHELVES, unit);

test.each(MOTIF_KINDS)('%s can be laid by its usual figures, in millimetres and in inches', (kind) => {
  for (const unit of ['mm', 'in'] as const) {
    const told = read(kind, {}, ['straw', 'rose'], unit);
    if (!told.ok) throw new Error(told.problem.message);
    const { motif, footprint, of, words } = told.value;
    expect(motif.parts.length).toBeGreaterThan(5);
    expect(Math.max(...motif.parts.map((part) => part.of))).toBeLessThan(of.length);
    expect(footprintArea(footprint)).toBeGreaterThan(0);
    expect(words).toMatch(unit === 'mm' ? / mm/ : / in/);
    expect(words).not.toMatch(unit === 'mm' ? / in\b[^a-z]*\d/ : / mm/);
  }
});

test('strips on edge stand in a dam as wide as their sheets come to; a woven panel has its cap', () => {
  const strips = read('onEdge', { count: '10', sheet: '2 mm' });
  expect(strips).toMatchObject({ ok: true, value: { dammed: true, footprint: { width_m: expect.closeTo(0.02, 9), length_m: 0.1 } } });
  expect(strips.ok && strips.value.of.every(({ cutFace }) => cutFace === 'side')).toBe(true);
  expect(read('woven')).toMatchObject({ ok: true, value: { cap: { glassId: 'straw', thickness_m: 0.002 } } });
});

test.each([
  ['onEdge', { count: '' }, /enter a figure/],
  ['onEdge', { count: '401' }, /Strips is 401; it must be from 1 to 400/],
  ['onEdge', { count: '2.5' }, /must be whole/],
  ['onEdge', { thick: '40 mm' }, /High is 40 mm; it must be from 0.5 mm to 25 mm/],
  ['ring', { count: '60' }, /60 of these do not go round/],
  ['ring', { deep: '80' }, /meet in the middle/],
  ['woven', { gap: '50' }, /The gaps are wider than the pieces/],
  ['slices', { wide: 'broad' }, /'broad' is not a/],
] as [MotifKind, Partial<MotifFields>, RegExp][])('%s of %j is refused in words', (kind, fields, words) => {
  const told = read(kind, fields);
  expect(told.ok ? 'laid' : told.problem.message).toMatch(words);
});

test('what made glass is too small for is refused, by its own sizes; slices of a bar begin as its section', () => {
  const told = read('ring', { wide: '20', deep: '250', across: '600' }, ['bar']);
  expect(told.ok ? '' : told.problem.message).toBe("'Layered bar' is 20 × 200 mm: no segment of 20 × 250 mm comes out of it.");
  expect(usualFields('slices', 'mm', bar)).toMatchObject({ wide: '20 mm', deep: '18 mm' });
  expect(usualFields('onEdge', 'mm', bar)).toMatchObject({ sheet: '18 mm', long: '200 mm' });
  expect(readMotif({ kind: 'ring', fields: usualFields('ring', 'mm', undefined), glassIds: ['gone'], borderId: null, capId: null }, SHELVES, 'mm').ok).toBe(
    false,
  );
});

test.each([
  [0.4, 'all of it left'],
  [0.3, '300 g left, as much as 3 of 4'],
  [0.0001, 'none left'],
  [-0.1, '100 g more is named than there was'],
])('%s kg of 400 g are left as: %s', (left_kg, words) => expect(leftWords(left_kg, bar, METRIC)).toBe(words));

test('what was typed stays whatever glass or kind is chosen after it; what was not is as that glass is', () => {
  const typed = { onEdge: { count: '7' }, ring: { across: '22 cm' } };
  expect(fieldsOf(typed, 'onEdge', 'mm', undefined)).toMatchObject({ count: '7', sheet: '3 mm' });
  expect(fieldsOf(typed, 'onEdge', 'mm', bar)).toMatchObject({ count: '7', sheet: '18 mm', long: '200 mm' });
  expect(fieldsOf({ onEdge: { sheet: '2 mm' } }, 'onEdge', 'mm', bar)).toMatchObject({ sheet: '2 mm' });
  expect(fieldsOf(typed, 'ring', 'mm', bar)).toMatchObject({ across: '22 cm', count: '10', thick: '18 mm' });
});
