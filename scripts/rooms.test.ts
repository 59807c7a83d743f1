/** The rooms of the core, of the server and of the web app stand on one another in this order: what a file imports lies in its own room or before it. */
import { readFileSync, readdirSync } from 'node:fs';
import { basename, dirname, join, relative, sep } from 'node:path';

const HOUSES = {
  'packages/core/src': [
    ...[
      'problem',
      'keys',
      'version',
      'numerics',
      'find',
      'units',
      'glass',
      'stress',
      'kiln',
      'controller',
      'body',
      'flow',
      'plan',
      'emptyFiring',
      'form',
      'quantity',
      'look',
      'fit',
      'release',
      'making',
      'heat',
      'field',
      'learn',
    ],
    ...['schedule', 'load', 'causes', 'practice', 'piece', 'contract', 'calculators', 'engine'],
  ],
  'apps/server/src': ['db', 'folder', 'store', 'compute', 'access', 'config', 'opening', 'backup', 'live', 'http', 'running', 'main'],
  'apps/web/src': [
    ...[
      'outside',
      'outbox',
      'data',
      'away',
      'engine',
      'theme',
      'ui',
      'panel',
      'photos',
      'paper',
      'section',
      'plan',
      'shelves',
      'settings',
      'layup',
      'planner',
      'start',
      'journey',
      'pieces',
      'reckon',
      'runsheet',
    ],
    ...['files', 'keyin', 'load', 'notebook', 'given', 'bench', 'kiln', 'help', 'find', 'gallery', 'pages', 'workbench', 'app'],
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
    )
    // The version, from outside of them all.
    .filter(({ to }) => to !== '..');

  test('every file stands in a room', () => {
    expect(imports.length).toBeGreaterThan(200);
    expect([...new Set(imports.flatMap(({ from, to }) => [from, to]))].filter((room) => !rooms.includes(room))).toEqual([]);
  });

  test('no import runs back up', () => {
    expect(imports.filter(({ from, to }) => rooms.indexOf(to) > rooms.indexOf(from)).map(({ file, to }) => `${relative(root, file)} imports ${to}`)).toEqual(
      [],
    );
  });
});

test('no two files need each other, also by way of others', () => {
  const roots = Object.keys(HOUSES).concat('packages/schema/src');
  const files = new Set(roots.flatMap((folder) => filesIn(join(__dirname, '..', folder))).filter((file) => /\.tsx?$/.test(file) && !isTest(file)));
  const fileOf = (path: string): string | undefined => [path, `${path}.ts`, `${path}.tsx`, join(path, 'index.ts')].find((one) => files.has(one));
  const web = join(__dirname, '../apps/web/src');
  const needs = new Map(
    [...files].map((file) => {
      const named = [...readFileSync(file, 'utf8').matchAll(/(?:from |import\()'((?:\.|@\/)[^']+)'/g)].map(([, path]) => path);
      return [file, named.flatMap((path) => fileOf(path.startsWith('@/') ? join(web, path.slice(2)) : join(dirname(file), path)) ?? [])];
    }),
  );
  const done = new Set<string>();
  const rings: string[] = [];
  const follow = (file: string, way: readonly string[]): void => {
    if (way.includes(file)) rings.push([...way.slice(way.indexOf(file)), file].map((one) => relative(join(__dirname, '..'), one)).join(' needs '));
    if (way.includes(file) || done.has(file)) return;
    for (const next of needs.get(file) ?? []) follow(next, [...way, file]);
    done.add(file);
  };
  for (const file of files) follow(file, []);
  expect(files.size).toBeGreaterThan(600);
  expect(rings).toEqual([]);
});

const WORKSPACES = ['packages/core/src', 'packages/schema/src', 'apps/server/src', 'apps/web/src', 'e2e', 'benchmarks', 'scripts'];
const sources = WORKSPACES.flatMap((folder) => filesIn(join(__dirname, '..', folder))).filter((file) => /\.(m|c)?[jt]sx?$/.test(file));

test('no two modules differ by letter case alone: a disk that ignores case would load the wrong one', () => {
  const stems = new Set(sources.map((file) => join(dirname(file), basename(file).replace(/(\.test)?\.\w+$/, ''))));
  const seen = new Map<string, string>();
  const alike = [...stems].flatMap((stem) => {
    const other = seen.get(stem.toLowerCase());
    seen.set(stem.toLowerCase(), stem);
    return other ? [`${other} and ${stem}`] : [];
  });
  expect(stems.size).toBeGreaterThan(600);
  expect(alike).toEqual([]);
});

test('what the compiler takes on trust is ten casts at most, each with its reason', () => {
  const product = sources.filter((file) => /[/\\](packages|apps)[/\\]/.test(file) && !isTest(file));
  const casts = product.flatMap((file) => {
    const lines = readFileSync(file, 'utf8').split('\n');
    return lines.flatMap((line, i) =>
      line.includes('as unknown as') ? [{ at: `${file}:${i + 1}`, before: lines.slice(Math.max(0, i - 3), i).join(' ') }] : [],
    );
  });
  expect(casts.length).toBeLessThanOrEqual(10);
  expect(casts.filter(({ before }) => !/no-restricted-syntax -- .{10}/.test(before)).map(({ at }) => at)).toEqual([]);
});

test('a form with figures in it holds the units they are typed in', () => {
  const forms = sources
    .filter((file) => file.includes(join('apps', 'web', 'src')) && !isTest(file))
    .map((file) => ({ file, text: readFileSync(file, 'utf8') }));
  const typed = forms.filter(({ text }) => /<(Field|TypedField)\b/.test(text) && /useUnits\(\)/.test(text) && /useState/.test(text));
  // In a form already, or with units of their own: what Reckon keeps says its units, a schedule on paper has those of the paper; words have none.
  const words = ['HandFields', 'FiringSetUp'];
  const elsewhere = [...words, 'FormStory', 'KilnTimes', 'MakingStory', 'GivenScreen', 'Proven', 'RecordForm', 'PieceForm'];
  expect(typed.length).toBeGreaterThan(8);
  expect(
    typed.filter(({ file, text }) => !text.includes('inFormUnits(') && !elsewhere.includes(basename(file, '.tsx'))).map(({ file }) => basename(file)),
  ).toEqual([]);
});

test('nothing that React keeps goes stale: errors of a form, and values from outside', () => {
  const pages = sources
    .filter((file) => file.includes(join('apps', 'web', 'src')) && !isTest(file))
    .map((file) => ({ file: basename(file), text: readFileSync(file, 'utf8') }));
  // The form library changes its errors in place, so that a form which shows them is not kept.
  const showErrors = pages.filter(({ text }) => /\bformState\b|errors: Partial<Record/.test(text));
  expect(showErrors.length).toBeGreaterThan(3);
  expect(showErrors.filter(({ text }) => !text.includes("'use no memo'")).map(({ file }) => file)).toEqual([]);
  // Listening only to be drawn again is of no use: what is kept is not drawn. The value itself is used.
  expect(pages.filter(({ text }) => /^\s*use(Told|SyncExternalStore)\(.*\);$/m.test(text)).map(({ file }) => file)).toEqual([]);
});
