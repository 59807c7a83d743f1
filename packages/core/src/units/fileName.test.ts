import { fileName } from './fileName';

test.each([
  ['Plaque no. 14', 'Plaque no. 14.csv'],
  ['Schale für Ines / 2', 'Schale für Ines - 2.csv'],
  ['Чаша «Осень»', 'Чаша «Осень».csv'],
  ['皿', '皿.csv'],
  ['a\\b:c*d?e"f<g>h|i\u0007j', 'a-b-c-d-e-f-g-h-i-j.csv'],
  ['..hidden..', 'hidden.csv'],
  ['CON', 'CON-.csv'],
  ['aux', 'aux-.csv'],
  ['nul.2', 'nul-.2.csv'],
  ['Com1 .x', 'Com1- .x.csv'],
  ['LPT²', 'LPT²-.csv'],
  ['Console', 'Console.csv'],
  ['com10', 'com10.csv'],
  ['Dish. ', 'Dish.csv'],
  ['???', 'torvin.csv'],
  ['', 'torvin.csv'],
  ['x'.repeat(200), `${'x'.repeat(80)}.csv`],
])('%s', (words, name) => expect(fileName(words, 'csv')).toBe(name));

test('letters written in two parts become one, and none is cut in half', () => {
  expect(fileName('u\u0308ber', 'json')).toBe('über.json');
  expect(fileName('🫖'.repeat(100), 'json')).toBe('torvin.json');
});
