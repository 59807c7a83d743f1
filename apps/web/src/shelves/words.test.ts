import { METRIC } from '@torvin/core/units';
import { EMPTY_SHELVES, type Shelves, titleOf } from '@torvin/schema';
import { aboutShelves, nameAmong, sourceOf } from './words';

const glass = (id: string, name: string, familyId: string) => ({ id, name, familyId, source: 'a maker', contents: [], coated: false });
const shelves = {
  ...EMPTY_SHELVES,
  families: [
    { id: 'soft', name: 'Soft sheet 90' },
    { id: 'float', name: 'Window float' },
  ],
  glasses: [glass('a', 'Clear', 'soft'), glass('b', 'Clear', 'float'), glass('c', 'Kelp', 'soft')],
} as unknown as Shelves;
const about = aboutShelves(shelves, METRIC);

test('glasses that are called the same are told apart by their family, others go by their name', () => {
  expect(nameAmong(shelves, 'glasses', 'a', about)).toEqual({ name: 'Clear', note: 'Soft sheet 90' });
  expect(nameAmong(shelves, 'glasses', 'c', about)).toEqual({ name: 'Kelp' });
  expect(nameAmong(shelves, 'glasses', 'gone', about)).toBeNull();
  const test = { id: 't', version: 1, glassA: 'a', glassB: 'b', result: 'cracked', note: '', testedAt: 0 } as const;
  expect(titleOf('stripTests', test, about)).toBe('Clear (Soft sheet 90) with Clear (Window float): cracked');
  expect(titleOf('stripTests', { ...test, glassB: 'gone' }, about)).toBe('Clear (Soft sheet 90) with gone: cracked');
});

test('what asks for no source has none', () => {
  expect(sourceOf({ id: 't', version: 1, glassA: 'a', glassB: 'b', result: 'holds', note: '', testedAt: 0 })).toBe('');
  expect(sourceOf(shelves.glasses[0])).toBe('a maker');
});
