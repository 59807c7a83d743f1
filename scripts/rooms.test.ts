/** The rooms of the core, and those of the web app, stand on one another in this order: what a file imports lies in its own room or before it. */
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join, relative, sep } from 'node:path';

const HOUSES = {
  'packages/core/src': [
    ...[
      'problem',
      'version',
      'numerics',
      'units',
      'glass',
      'stress',
      'kiln',
      'controller',
      'body',
      'flow',
      'plan',
      'ware',
      'form',
      'quantity',
      'look',
      'fit',
      'release',
      'making',
      'heat',
      'learn',
    ],
    ...['schedule', 'practice', 'piece', 'contract', 'calculators', 'engine', 'index'],
  ],
  'apps/web/src': [
    ...['outside', 'outbox', 'data', 'away', 'engine', 'theme', 'ui', 'panel', 'photos', 'section', 'plan', 'shelves', 'piece', 'reckon', 'runsheet'],
    ...['files', 'keyin', 'notebook', 'given', 'bench', 'kiln', 'gallery', 'pages', 'workbench', 'app'],
  ],
} as const;

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => (entry.isDirectory() ? filesIn(join(folder, entry.name)) : [join(folder, entry.name)]));
const isTest = (file: string): boolean => /\.test\.tsx?$/.test(file) || file.endsWith('testCases.ts') || file.includes(`${sep}test${sep}`);

describe.each(Object.entries(HOUSES))('%s', (folder, rooms: readonly string[]) => {
  const root = join(__dirname, '..', folder);
  const roomOf = (file: string): string =>
    relative(root, file)
      .split(sep)[0]
      .replace(/\.tsx?$/, '');
  const imports = filesIn(root)
    .filter((file) => /\.tsx?$/.test(file) && !isTest(file))
    .flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(/(?:from |import\()'(\.|@)(\/[^']+|\.[^']*)'/g)].map(([, start, to]) => ({
        file,
        from: roomOf(file),
        to: roomOf(start === '@' ? join(root, to) : join(dirname(file), start + to)),
      })),
    );

  test('every file stands in a room', () => {
    expect(imports.length).toBeGreaterThan(300);
    expect([...new Set(imports.flatMap(({ from, to }) => [from, to]))].filter((room) => !rooms.includes(room))).toEqual([]);
  });

  test('no import runs back up', () => {
    expect(imports.filter(({ from, to }) => rooms.indexOf(to) > rooms.indexOf(from)).map(({ file, to }) => `${relative(root, file)} imports ${to}`)).toEqual(
      [],
    );
  });
});
