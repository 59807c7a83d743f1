/** The rooms of the core stand on one another in this order: what a file imports lies in its own room or before it. */
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join, relative, sep } from 'node:path';

const ROOMS = [
  ...['problem', 'version', 'numerics', 'units', 'glass', 'stress', 'kiln', 'body', 'flow', 'look', 'fit', 'release', 'heat', 'learn'],
  ...['schedule', 'piece', 'contract', 'calculators', 'engine', 'index'],
];
const ROOT = join(__dirname, '..', 'packages', 'core', 'src');

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => (entry.isDirectory() ? filesIn(join(folder, entry.name)) : [join(folder, entry.name)]));
const roomOf = (file: string): string => relative(ROOT, file).split(sep)[0].replace(/\.ts$/, '');

const imports = filesIn(ROOT)
  .filter((file) => !file.endsWith('.test.ts') && !file.endsWith('testCases.ts'))
  .flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)].map(([, to]) => ({ file, from: roomOf(file), to: roomOf(join(dirname(file), to)) })),
  );

test('every file stands in a room', () => {
  expect(imports.length).toBeGreaterThan(300);
  expect([...new Set(imports.flatMap(({ from, to }) => [from, to]))].filter((room) => !ROOMS.includes(room))).toEqual([]);
});

test('no import runs back up', () => {
  expect(imports.filter(({ from, to }) => ROOMS.indexOf(to) > ROOMS.indexOf(from)).map(({ file, to }) => `${relative(ROOT, file)} imports ${to}`)).toEqual([]);
});
