import { listPages, planTiles, tileName } from './planSvg';

const box = (width: number, length: number): [number, number][] => [
  [-width / 2, -length / 2],
  [width / 2, -length / 2],
  [width / 2, length / 2],
  [-width / 2, length / 2],
];
const plan = (width: number, length: number, mirrored = false) =>
  planTiles({
    title: 'Panel, version 3',
    rings: [box(width, length)],
    parts: [{ corners: box(0.02, 0.06).map(([x, y]) => [x + 0.03, y]), number: 1 }],
    mirrored,
  });

/** Corners of the paths of a page, in mm, in the order in which they are drawn. */
const paths = (page: string): number[][][] =>
  [...page.matchAll(/<path d="M([^"]+)Z"/g)].map(([, d]) => d.split('L').map((point) => point.split(' ').map(Number)));

test('a plan that fits a page stands on one, in its own size', () => {
  const { pages, columns, rows } = plan(0.15, 0.12);
  expect([pages.length, columns, rows]).toEqual([1, 1, 1]);
  const [rim, bar] = paths(pages[0]);
  expect(rim[1][0] - rim[0][0]).toBeCloseTo(150, 2);
  expect(rim[0][1] - rim[2][1]).toBeCloseTo(120, 2);
  expect(bar[1][0] - bar[0][0]).toBeCloseTo(20, 2);
  // To the right of the middle, and to its left where it is mirrored.
  expect(bar[0][0] - rim[0][0]).toBeCloseTo(95, 2);
  const [mirroredRim, mirroredBar] = paths(plan(0.15, 0.12, true).pages[0]);
  expect(mirroredRim[0][0] - mirroredBar[0][0]).toBeCloseTo(95, 2);
});

test('a larger one stands on as many as it takes, each shifted by what a page holds less what two share', () => {
  const { pages, columns, rows } = plan(0.3, 0.24);
  expect([pages.length, columns, rows]).toEqual([4, 2, 2]);
  const shifts = pages.map((page) => /translate\(([-\d.]+) ([-\d.]+)\)/.exec(page)?.slice(1).map(Number));
  expect(shifts[1]?.[0]).toBeCloseTo((shifts[0]?.[0] ?? 0) - 170, 9);
  expect(shifts[2]?.[1]).toBeCloseTo((shifts[0]?.[1] ?? 0) - 202, 9);
  expect(pages.map((page) => /page (\w+) of 2 × 2/.exec(page)?.[1])).toEqual(['A1', 'A2', 'B1', 'B2']);
  for (const page of pages) expect(page).toContain('100 mm: measure it');
  expect(tileName(2, 4)).toBe('C5');
});

test('is black on white in letters of 11 pt, names and all escaped', () => {
  const { pages } = planTiles({ title: 'Ebb & <flow>', rings: [box(0.1, 0.1)], parts: [], mirrored: false });
  const colours = new Set([...pages[0].matchAll(/(?:fill|stroke)="([^"]+)"/g)].map(([, colour]) => colour));
  expect(colours).toEqual(new Set(['black', 'white', 'none']));
  expect(pages[0]).toContain('Ebb &amp; &lt;flow&gt;');
  for (const [, size] of pages[0].matchAll(/font-size="([\d.]+)"/g)) expect(Number(size) * (72 / 25.4)).toBeGreaterThan(10.99);
});

test('a cutting list runs on over as many pages as it takes', () => {
  const row = (number: number) => ({ number, glass: 'Kelp', pieces: '4 × 14 × 69 mm', from: 'sheet of 3 mm', mass: '29 g', grind: 'grind: the cut shows' });
  const list = { title: 'Panel', rows: Array.from({ length: 40 }, (_, i) => row(i + 1)), notes: ['Score the smoother of the two faces.'] };
  const pages = listPages(list);
  expect(pages).toHaveLength(3);
  expect(pages.join(' ').match(/14 × 69 mm/g)).toHaveLength(40);
  expect(pages[2]).toContain('cutting list, 3 of 3');
});
