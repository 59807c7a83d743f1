import Papa from 'papaparse';
import { cellsOf, csvOf } from './csv';

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

test.each([
  ...['=1+1', '+cmd', '@sum', '-x', "-2+3+cmd|' /C calc'!A0", '+1', '-1-2', '-', '=', ' =1+1', '\t=1', '\r=1', '\n=1', '\u00a0@sum'],
  ...['\uFF1D1+1', '\uFF0B1', '\uFF0D1', '\uFF20sum', '\u3000\uFF1D1'],
])('a spreadsheet calculates nothing that somebody has written: %j', (note) => {
  const { data } = Papa.parse<string[]>(csvOf([{ note }], 'comma').slice(1), { skipEmptyLines: true });
  expect(data).toEqual([['note'], [`'${note}`]]);
});

test('nor what a column is called; figures and plain words stay as they are', () => {
  const rows = ['-3', '-2.5', '-2,5', '12', 'plain', 'a=b', '2-3', ''].map((note) => ({ note }));
  const { data } = Papa.parse<string[]>(csvOf([...rows, { note: -3 }], 'comma').slice(1));
  expect(data.map(([cell]) => cell)).toEqual(['note', '-3', '-2.5', '-2,5', '12', 'plain', 'a=b', '2-3', '', '-3', '']);
  expect(csvOf([{ '=x': 1 }], 'comma').slice(1)).toBe("'=x\r\n1\r\n");
});

test('a table without rows has its columns', () => expect(csvOf([], 'semicolon', ['a', 'b'])).toBe('\uFEFFa;b\r\n'));

test('pasted text is split where it is split, and lines of words stay whole', () => {
  expect(cellsOf('200\t560\t10\r\n300\t790\t15\n\n')).toEqual([
    ['200', '560', '10'],
    ['300', '790', '15'],
  ]);
  expect(cellsOf('1,Warm up,200,560,0\n2,"Squeeze, long",1,2,3')).toEqual([
    ['1', 'Warm up', '200', '560', '0'],
    ['2', 'Squeeze, long', '1', '2', '3'],
  ]);
  expect(cellsOf('2,5 C/min to 560')).toEqual([['2,5 C/min to 560']]);
  expect(cellsOf(`\uFEFF1;Work;1,5;790;10`)).toEqual([['1', 'Work', '1,5', '790', '10']]);
});
