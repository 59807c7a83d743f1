/** @jest-environment node */
import QRCode from 'qrcode';
import { PAPERS, labelSheets, labelSvg, onSheet } from './labels';

const label = {
  name: 'Bird-bath basin',
  lines: ['Wet slate, Fern', 'disc of 380 mm', '1.70 kg'],
  url: 'http://192.168.1.20:4310/pieces/01a22b8e-f8a2-75fa-b9b9-0d5730032d47',
};
const SIZES = [
  { width_mm: 60, height_mm: 30 },
  { width_mm: 30, height_mm: 60 },
  { width_mm: 20, height_mm: 20 },
  { width_mm: 100, height_mm: 25 },
  { width_mm: 150, height_mm: 100 },
];

test.each(SIZES)('%j: all that is written lies within the label and beside its code', (size) => {
  const svg = labelSvg(label, size);
  const [, cx, cy] = /<path transform="translate\(([\d.]+) ([\d.]+)\)"/.exec(svg)!.map(Number);
  const texts = [...svg.matchAll(/<text x="([\d.]+)" y="([\d.]+)" font-size="([\d.]+)"[^>]*>([^<]*)</g)];
  expect(texts.length).toBeGreaterThan(0);
  const isWide = size.width_mm > size.height_mm;
  for (const [, x, y, font, words] of texts) {
    expect(Number(y)).toBeLessThanOrEqual(size.height_mm);
    expect(Number(x) + words.length * Number(font) * 0.56).toBeLessThanOrEqual((isWide ? cx : size.width_mm) + 0.6);
    if (!isWide) expect(Number(y)).toBeLessThanOrEqual(cy + 0.5);
  }
});

test('the code is that of the address, module by module, with the white round it that readers need', () => {
  const { modules } = QRCode.create(label.url, { errorCorrectionLevel: 'M' });
  const d = /<path transform="[^"]*" d="([^"]*)"/.exec(labelSvg(label, SIZES[0]))![1];
  const runs = [...d.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)v([\d.]+)/g)].map((run) => run.slice(1).map(Number));
  const each = runs[0][3];
  const dark = new Set(
    runs.flatMap(([x, y, wide]) => Array.from({ length: Math.round(wide / each) }, (_, k) => `${Math.round(y / each) - 4} ${Math.round(x / each) - 4 + k}`)),
  );
  const wanted = new Set<string>();
  for (let i = 0; i < modules.size; i++) for (let k = 0; k < modules.size; k++) if (modules.get(i, k)) wanted.add(`${i} ${k}`);
  expect(dark).toEqual(wanted);
});

test('so many labels to a sheet, from the place that is free, and the rest on the next', () => {
  expect(onSheet(SIZES[0], PAPERS.A4)).toMatchObject({ columns: 3, rows: 9 });
  expect(onSheet(SIZES[0], PAPERS.Letter)).toMatchObject({ columns: 3, rows: 9 });
  const count = (svg: string): number => svg.split('<g ').length - 1;
  expect(labelSheets(Array(30).fill(label), SIZES[0], 'A4').map(count)).toEqual([27, 3]);
  expect(labelSheets(Array(30).fill(label), SIZES[0], 'A4', 25).map(count)).toEqual([2, 27, 1]);
  expect(labelSheets([label, label], SIZES[0], 'own')).toHaveLength(2);
  expect(labelSheets([label], { width_mm: 203, height_mm: 20 }, 'A4')).toEqual([]);
});

test('they stand in the middle of the sheet, so that sheets which are cut already are met', () => {
  // 2 5/8 · 1 in with 1/8 in between columns: thirty on a Letter sheet, 3/16 in from its side and half an inch from its top.
  const met = onSheet({ width_mm: 66.675, height_mm: 25.4 }, PAPERS.Letter, 3.175);
  expect(met).toMatchObject({ columns: 3, rows: 10 });
  expect(met.left_mm).toBeCloseTo(4.7625, 3);
  expect(met.top_mm).toBeCloseTo(12.7, 3);
  const at = (svg: string): string[] => [...svg.matchAll(/<g transform="translate\(([\d.]+ [\d.]+)\)/g)].map(([, place]) => place);
  const [sheet] = labelSheets(Array(4).fill(label), { width_mm: 66.675, height_mm: 25.4 }, 'Letter', 0, 3.175);
  expect(at(sheet)).toEqual(['4.76 12.70', '74.61 12.70', '144.46 12.70', '4.76 38.10']);
});
