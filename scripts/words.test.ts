/** What a person reads, found in the sources by their syntax: no word that the glossary says is not used, and no more long sentences. */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { WORDS_NOT_USED, wordNotUsed } from './glossary';

const ROOT = join(__dirname, '..');
const SOURCES = ['packages/core/src', 'packages/schema/src', 'apps/server/src', 'apps/web/src'];
const PAPERS = ['README.md', 'CONTRIBUTING.md', ...readdirSync(join(ROOT, 'docs')).map((name) => `docs/${name}`)].filter(
  (name) => name.endsWith('.md') && name !== 'docs/glossary.md',
);

const sourcesIn = (folder: string): string[] =>
  (readdirSync(join(ROOT, folder), { recursive: true }) as string[])
    .filter((name) => /\.tsx?$/.test(name) && !/\.(test|d)\.tsx?$/.test(name) && !/(^|[\\/])(test|testCases)[\\/.]/.test(name))
    .map((name) => join(folder, name));

/** A figure put in counts as one word. */
const FIGURE = '0';

/** Words with room between them that are neither a drawn path nor a question to the database. */
const isSpoken = (text: string): boolean =>
  /[A-Za-z]{3,}\s+\S/.test(text) &&
  !/^[MLHVCQAZ\d\s.,-]+$/.test(text) &&
  !/\b(select|insert|update|create|pragma)\b.*\b(from|into|set|table|index|on)\b/is.test(text);
const withoutTags = (text: string): string => text.replace(/<style>.*<\/style>/s, '').replace(/<[^>]+>/g, ' ');

function spokenIn(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(join(ROOT, file), 'utf8'), ts.ScriptTarget.Latest, false);
  const said: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) said.push(node.text);
    if (ts.isJsxText(node)) said.push(node.text.replace(/\s+/g, ' '));
    if (ts.isTemplateExpression(node)) said.push(node.head.text + node.templateSpans.map(({ literal }) => FIGURE + literal.text).join(''));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return said.map(withoutTags).filter(isSpoken);
}

/** Parts shown one by one, and the doors between rooms. */
const SHOWN_APART = ['apps/web/src/gallery', 'apps/web/src/workbench.tsx'];
/** What a browser or a key of what is kept reads, and no person: sizes, shadows, patterns of a date, names of drafts. */
const isForMachines = (text: string): boolean =>
  /\dpx|[{}]|^use no memo$|^(EEE )?d MMM|^(torvin label| in-own-size)|^(firing|given|key-in|kept after|new|outline|record|tell|target|rate|took|hold) 0( |$)|^0 turned$|^new piece$/.test(
    text,
  );

test('no component holds words of its own: they stand in the words of its room', () => {
  const components = sourcesIn('apps/web/src').filter((file) => file.endsWith('.tsx') && !SHOWN_APART.some((one) => file.startsWith(one)));
  expect(components.length).toBeGreaterThan(200);
  expect(components.flatMap((file) => spokenIn(file).flatMap((text) => (isForMachines(text) ? [] : `${file}: ${text}`)))).toEqual([]);
});

test('no words are kept that nothing says any more', () => {
  const files = sourcesIn('apps/web/src').map((file) => ({ file, text: readFileSync(join(ROOT, file), 'utf8') }));
  const kept = files.filter(({ file }) => /[\\/](words|said)\.ts$/.test(file));
  const all = files.map(({ text }) => text).join('\n');
  const entries = kept.flatMap(({ file, text }) =>
    [...text.matchAll(/^export const ([A-Z_]+) = \{\n([^]*?)^\} as const;/gm)].flatMap(([, group, body]) =>
      // Taken by a name that is worked out, they are not looked for one by one.
      all.includes(`${group}[`) ? [] : [...body.matchAll(/^ {2}(\w+):/gm)].map(([, name]) => ({ file, said: `${group}.${name}` })),
    ),
  );
  const used = new Set([...all.matchAll(/\b[A-Z_]+\.\w+/g)].map(([said]) => said));
  // What is taken apart where it stands: const { groups: names } = FIND_WORDS.
  const apart = new Set(
    [...all.matchAll(/\{ ([^{}]+) \} = ([A-Z_]+);/g)].flatMap(([, names, group]) => names.split(', ').map((name) => `${group}.${name.split(':')[0]}`)),
  );
  expect(entries.length).toBeGreaterThan(1000);
  expect(entries.filter(({ said }) => !used.has(said) && !apart.has(said))).toEqual([]);
});

const LONGEST_WORDS = 18;
const longSentences = (text: string): string[] => text.split(/[.!?:;](?:\s|$)/).filter((sentence) => sentence.trim().split(/\s+/).length > LONGEST_WORDS);

/** What people type, to be found under the words that are used. */
const TYPED = join('packages', 'core', 'src', 'find', 'spellings.ts');

const said = SOURCES.flatMap(sourcesIn)
  .filter((file) => file !== TYPED)
  .flatMap((file) => spokenIn(file).map((text) => ({ file, text })));

test('the sources say something, and the glossary has words that are not used', () => {
  expect(said.length).toBeGreaterThan(3000);
  expect(WORDS_NOT_USED.length).toBeGreaterThan(25);
  expect(wordNotUsed('Take it away at the look-in.')).toMatch(/^'look-in' in .* say check$/);
  expect(wordNotUsed('The outlook-in-chief')).toBeNull();
});

test('no word is used in them that the glossary says is not used', () => {
  expect(said.flatMap(({ file, text }) => wordNotUsed(text)?.concat(` (${file})`) ?? [])).toEqual([]);
});

test.each(PAPERS)('nor in %s', (paper) => {
  const lines = readFileSync(join(ROOT, paper), 'utf8')
    .split('\n')
    .map((line) => line.replace(/`[^`]*`/g, ''));
  expect(lines.flatMap((line) => wordNotUsed(line) ?? [])).toEqual([]);
});

/** Laws with their sources, and a few more: so many there are. One that is shortened lowers it. */
const LONG_SENTENCES = 12;

test('no sentence is added that is over eighteen words long', () => {
  const long = said.flatMap(({ file, text }) => longSentences(text).map((sentence) => `${file}: ${sentence.trim()}`));
  expect(long.length > LONG_SENTENCES ? long : []).toEqual([]);
});
