import { MARGIN, PAGE } from './page';
import { type Block, paperPages, part, row, said } from './paperPages';

const textsOf = (svg: string): { y: number; size: number; words: string }[] =>
  [...svg.matchAll(/<text x="[-\d.]+" y="([-\d.]+)" font-size="([\d.]+)"[^>]*>([^<]*)<\/text>/g)].map(([, y, size, words]) => ({
    y: Number(y),
    size: Number(size),
    words,
  }));
const rows = (count: number): Block[] =>
  Array.from({ length: count }, (_, i) => row(`Piece ${i + 1}.`, ['disc of 380 mm · 2 layers', 'Full fuse, then slump'], 'right'));
const paper = (blocks: readonly Block[]) => paperPages({ title: 'Notebook', about: 'all of it', blocks }, 'Notebook');

test.each([1, 12, 13, 14, 60, 200])('%i rows stand on as many pages as they need, each once, none over the foot', (count) => {
  const pages = paper(rows(count));
  const all = pages.flatMap(textsOf).map(({ words }) => words);
  for (let i = 1; i <= count; i++) expect(all.filter((words) => words === `Piece ${i}.`)).toHaveLength(1);
  for (const page of pages) {
    const texts = textsOf(page);
    const foot = texts.filter(({ words }) => words === 'Notebook').at(-1)!;
    for (const { y, size, words } of texts) {
      expect(size).toBeGreaterThanOrEqual(11);
      expect(y).toBeLessThan(PAGE.height - MARGIN / 2);
      if (words.startsWith('Piece') || words.startsWith('Full')) expect(y + 3).toBeLessThan(foot.y - 11);
    }
  }
  expect(textsOf(pages[0]).some(({ words }) => words === `1 of ${pages.length}`)).toBe(pages.length > 1);
});

test('no two lines of a page lie on one another', () => {
  for (const page of paper([...rows(30), ...part('Said', [said('A long note that goes on. '.repeat(60))])])) {
    const left = [...page.matchAll(/<text x="36\.0" y="([\d.]+)"/g)].map(([, y]) => Number(y)).sort((a, b) => a - b);
    left.slice(1).forEach((y, i) => expect(y - left[i]).toBeGreaterThanOrEqual(11));
  }
});

test('a heading never stands alone at the end of a page, and one of nothing is left out', () => {
  for (let before = 1; before < 40; before++) {
    const pages = paper([...Array.from({ length: before }, () => said('A line.')), ...part('Heading', [row('Under it', ['one', 'two'])])]);
    const on = pages.findIndex((page) => page.includes('>Heading<'));
    expect(pages[on]).toContain('>Under it<');
  }
  expect(part('Nothing', [])).toEqual([]);
});

test('what a person wrote is no markup', () => expect(paper([said('<b>& "so"')])[0]).toContain('&lt;b&gt;&amp; &quot;so&quot;'));
