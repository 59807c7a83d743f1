/** The help that ships: every page has some, and what it names is in the papers. */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { DOCS, headingOf, meaningOf, sectionsOf } from '@/help/papers';
import { HELP_PAGES, helpFor } from '@/help/pages';

const ROOT = join(__dirname, '..');
const docs = Object.fromEntries(DOCS.map(({ name }) => [name, readFileSync(join(ROOT, `docs/${name}.md`), 'utf8')]));

/** Addresses as their files say them, a piece or record of any id. */
const addresses = (readdirSync(join(ROOT, 'apps/web/src/app'), { recursive: true }) as string[])
  .filter((file) => file.endsWith('.tsx') && !/_layout|not-found|gallery|label/.test(file))
  .map(
    (file) =>
      `/${file
        .replace(/\.tsx$/, '')
        .replace(/(^|\/)index$/, '')
        .replace(/\[kind\]/, 'kilns')
        .replace(/\[\w+\]/g, 'a-1')}`,
  );

test('every page has its help, but for the first address and Help itself', () => {
  expect(addresses.length).toBeGreaterThan(20);
  expect(addresses.filter((path) => helpFor(path) === null)).toEqual(addresses.filter((path) => path === '/' || path.startsWith('/help')));
});

test('what a page’s help names is there: headings of papers, words of the glossary', () => {
  const missing = HELP_PAGES.flatMap(({ title, more, terms }) => [
    ...more.filter(({ doc, heading }) => !sectionsOf(doc as never, docs[doc]).some((section) => section.heading === heading)).map((one) => [title, one]),
    ...terms.filter((term) => meaningOf(term, docs.glossary) === null).map((term) => [title, term]),
  ]);
  expect(missing).toEqual([]);
});

test('a paper is apart by its headings, which are shown without marks', () => {
  const [first, second] = sectionsOf('model', docs.model);
  expect(first.heading).toBe('The model');
  expect(second).toMatchObject({ doc: 'model', heading: 'Glass' });
  expect(second.text.length).toBeGreaterThan(200);
  expect(headingOf('A piece: `.json`, format `torvin-piece`')).toBe('A piece');
});

test('a word’s meaning has no names of code', () => {
  expect(meaningOf('plan', docs.glossary)).toMatch(/^a piece from above/);
  expect(meaningOf('plan', docs.glossary)).not.toMatch(/`/);
  expect(meaningOf('nobody says this', docs.glossary)).toBeNull();
});
