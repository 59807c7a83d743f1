import Papa from 'papaparse';
import { csvOf } from './csv';

const ROWS = [
  { name: 'Schale, blau', depth_mm: 6.25, note: 'said "right"; cool' },
  { name: 'Чаша', depth_mm: -3, note: '' },
];

test.each([
  ['comma', ',', '6.25'],
  ['semicolon', ';', '6,25'],
] as const)('%s: read back it says the same', (style, delimiter, figure) => {
  const text = csvOf(ROWS, style);
  expect(text.charCodeAt(0)).toBe(0xfeff);
  const { data, errors } = Papa.parse<string[]>(text.slice(1), { delimiter, skipEmptyLines: true });
  expect(errors).toEqual([]);
  expect(data).toEqual([
    ['name', 'depth_mm', 'note'],
    ['Schale, blau', figure, 'said "right"; cool'],
    ['Чаша', '-3', ''],
  ]);
});

test('a spreadsheet computes nothing that somebody has written', () => {
  const rows = ['=1+1', '+cmd', '@sum', '-x', '-3', 'plain'].map((note) => ({ note }));
  expect(csvOf(rows, 'comma').slice(1).split('\r\n')).toEqual(['note', "'=1+1", "'+cmd", "'@sum", "'-x", '-3', 'plain', '']);
});

test('a table without rows has its columns', () => expect(csvOf([], 'semicolon', ['a', 'b'])).toBe('\uFEFFa;b\r\n'));
