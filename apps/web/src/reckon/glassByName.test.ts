import { EMPTY_SHELVES, type Shelves } from '@torvin/schema';
import { glassByName } from './glassByName';

const glass = (id: string, name: string, familyId: string) => ({ id, name, familyId, colour: '#fff' }) as Shelves['glasses'][number];
const shelves: Shelves = {
  ...EMPTY_SHELVES,
  families: [
    { id: 'soft', name: 'Soft sheet 90' },
    { id: 'float', name: 'Window float' },
  ] as Shelves['families'],
  glasses: [
    glass('a', 'Clear', 'soft'),
    glass('b', 'Clear', 'float'),
    glass('c', 'Sea blue', 'soft'),
    glass('d', 'Old rose', 'soft'),
    glass('e', 'Sea green', 'soft'),
  ],
  archived: ['d'],
};

test('one of its name is taken however it is written', () => {
  expect(glassByName(shelves, ' sea  BLUE ').glass?.id).toBe('c');
});

test('of several called the same it asks for the family, and takes it', () => {
  expect(glassByName(shelves, 'clear')).toEqual({
    glass: null,
    problem: "2 glasses of the shelf are called 'clear': write 'Clear, Soft sheet 90' or 'Clear, Window float'.",
  });
  expect(glassByName(shelves, 'Clear, window float').glass?.id).toBe('b');
});

test('one that is not there is refused with the nearest names; what was put away is none of them', () => {
  expect(glassByName(shelves, 'Sea blu').problem).toMatch(/^No glass of the shelf is called 'Sea blu'\. Nearest: 'Sea blue', 'Sea green' or /);
  expect(glassByName(shelves, 'Old rose').problem).not.toMatch(/Nearest.*Old rose/);
  expect(glassByName({ ...shelves, glasses: [] }, 'Clear').problem).toMatch(/there is none on it yet/);
});
