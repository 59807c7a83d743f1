/** A studio of ten years in the browser: what is sent, how it is kept, how much of a list exists at once, and how one finds a piece. */
import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { HTTPResponse } from 'puppeteer-core';
import { openDatabase } from '../apps/server/src/opening/open';
import { fillTenYears } from '../apps/server/src/test/tenYears';
import { ROOT } from './server';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
const COUNT = 5000;

beforeAll(async () => {
  await studio.stop();
  const { db, closeWhole } = openDatabase(studio.dataDir, join(ROOT, 'apps/server/src/db/migrations'));
  fillTenYears(db, COUNT, Date.now());
  await closeWhole();
  await studio.start();
});

let me: Visitor;
let answers: HTTPResponse[] = [];
beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
  answers = [];
  me.page.on('response', (response) => answers.push(response));
});
afterEach(() => me.leave());

const nodes = (): Promise<number> => me.page.evaluate(() => document.querySelectorAll('*').length);

test('lists have the rows in sight and weigh little; text goes out compressed, and what has its content in its name is kept for good', async () => {
  for (const [path, shown] of [
    ['/pieces', 'piece-link'],
    ['/notebook', 'firing-link'],
    ['/bench', 'bench-next'],
  ]) {
    await me.page.goto(studio.address + path);
    await me.find(shown);
    expect([path, (await nodes()) < 4000]).toEqual([path, true]);
  }
  // The engine comes once the page has been there for a moment.
  const isEngine = ({ pathname }: { pathname: string }): boolean => /^\/workers\/engine-\w{8}\.js$/.test(pathname);
  for (let tries = 0; tries < 300 && !answers.some((answer) => isEngine(new URL(answer.url()))); tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 100));
  const told = answers.map((answer) => {
    const { pathname } = new URL(answer.url());
    const { 'content-type': type = '', 'content-encoding': encoding, 'cache-control': cache } = answer.headers();
    return { url: answer.url(), pathname, type, encoding, cache };
  });
  const lists = told.filter(({ pathname, type }) => pathname.startsWith('/api/') && type.includes('json'));
  expect(lists.length).toBeGreaterThan(4);
  for (const { url, encoding } of lists) {
    const { length } = await (await fetch(url)).text();
    expect([url, length < 100_000, length < 2000 || encoding !== undefined]).toEqual([url, true, true]);
  }
  const assets = told.filter(({ pathname }) => /^\/(_expo|assets|workers)\//.test(pathname));
  expect(new Set(assets.map(({ pathname }) => pathname.split('.').at(-1)))).toEqual(new Set(['js', 'woff2']));
  expect(assets.some(isEngine)).toBe(true);
  expect(assets.filter(({ cache }) => cache !== 'public, max-age=31536000, immutable')).toEqual([]);
  expect(assets.filter(({ pathname, encoding }) => pathname.endsWith('.js') && encoding !== 'br' && encoding !== 'gzip')).toEqual([]);
  const pages = told.filter(({ type }) => type.includes('html'));
  expect(pages.length).toBe(3);
  expect(pages.filter(({ cache }) => cache !== 'no-cache')).toEqual([]);
});

test('a piece is found by a word of its name, and the way back leads to what was found', async () => {
  await me.page.goto(`${studio.address}/pieces`);
  expect(await me.sees('pieces-count', /^\d+ pieces$/)).toBe(`${COUNT + 10} pieces`);
  await me.type('pieces-search', 'ahrenkorb');
  const found = await me.sees('pieces-count', /^8\d\d pieces found$/);
  await me.page.waitForFunction(() => window.location.search === '?q=ahrenkorb');
  await me.expectSound('pieces searched');
  await me.press('piece-link');
  await me.sees('fold-fits', /./);
  await me.page.goBack();
  expect(await me.sees('pieces-count', /found$/)).toBe(found);
  await me.type('pieces-search', ' nobodycalledonethis');
  await me.sees('no-pieces', /No piece is like that/);
});

test('all that waits is a touch away from the Bench', async () => {
  await me.page.goto(`${studio.address}/bench`);
  const all = await me.sees('all-waiting', /^All \d+ that wait$/);
  await me.press('all-waiting');
  expect(await me.sees('pieces-count', /found$/)).toBe(`${/\d+/.exec(all)?.[0]} pieces found`);
  await me.press('filter-waits-yes');
  await me.sees('pieces-count', /^\d+ pieces$/);
});

test('the first view and the first run sheet weigh no more than a phone can wait for, and nothing that is read later is asked for with them', () => {
  const dist = join(ROOT, 'apps/web/dist');
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  const first = [...page.matchAll(/src="\/(_expo\/[^"]+\.js)"/g)].map(([, path]) => path);
  const named = (folder: string, start: string): string[] =>
    readdirSync(join(dist, folder)).flatMap((name) => (name.startsWith(start) && name.endsWith('.js') ? `${folder}/${name}` : []));
  // The worker with what it begins with; its other calculators are read later.
  const engine =
    /name="torvin-engine" content="([^"]+)"/
      .exec(page)?.[1]
      .split(' ')
      .map((path) => path.slice(1)) ?? [];
  const sheet = [...named('_expo/static/js/web', 'run-'), ...engine];
  expect([first.length, sheet.length]).toEqual([2, 3]);
  expect(readFileSync(join(dist, engine[0]), 'utf8')).toMatch(/import\("\.\/later-\w{8}\.js"\)/);
  const bytes = (paths: string[], packed: 'br' | 'gz'): number => paths.reduce((sum, path) => sum + statSync(join(dist, `${path}.${packed}`)).size, 0);
  expect(bytes(first, 'br')).toBeLessThan(350_000);
  expect(bytes(first, 'gz')).toBeLessThan(450_000);
  expect(bytes([...first, ...sheet], 'br')).toBeLessThan(535_000);
  const entry = first.map((path) => readFileSync(join(dist, path), 'utf8')).join('');
  // Of validation, tables and gestures a word that each has.
  for (const words of ['discriminated', 'GestureDetector', 'Papa', 'UTF-8']) expect([words, entry.includes(words)]).toEqual([words, false]);
});
