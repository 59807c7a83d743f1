/** Labels for what lies about in a studio: a name, a few lines and a code that opens its page, in any size, alone or many on a sheet. mm. */
import QRCode from 'qrcode';
import { escaped } from '@/paper/page';

export interface LabelTold {
  name: string;
  lines: readonly string[];
  /** What its code opens. */
  url: string;
}

export interface LabelSize {
  width_mm: number;
  height_mm: number;
}

export const PAPERS = { A4: { width_mm: 210, height_mm: 297 }, Letter: { width_mm: 215.9, height_mm: 279.4 } } as const satisfies Record<string, LabelSize>;
export type LabelPaper = keyof typeof PAPERS | 'own';

/** A label is at least so large that its code can be read, and no larger than a sheet within its margins. */
export const LABEL_RANGE_M = { least: 0.012, most: 0.19 } as const;
/** So far in no printer reaches. */
export const LEAST_MARGIN_MM = 4;
const PAD_MM = 1.5;
/** Modules of white round a code, by its standard. */
const QUIET = 4;
const LETTER_WIDTH = 0.56;
const LINE = 1.25;
const LEAST_FONT_MM = 1.9;

const code = (url: string, x: number, y: number, side: number): string => {
  const { modules } = QRCode.create(url, { errorCorrectionLevel: 'M' });
  const each = side / (modules.size + 2 * QUIET);
  const rows = Array.from({ length: modules.size }, (_, row) => {
    const runs: string[] = [];
    for (let from = 0; from < modules.size; from++) {
      if (!modules.get(row, from)) continue;
      let to = from;
      while (to < modules.size && modules.get(row, to)) to++;
      runs.push(
        `M${((from + QUIET) * each).toFixed(3)} ${((row + QUIET) * each).toFixed(3)}h${((to - from) * each).toFixed(3)}v${each.toFixed(3)}h-${((to - from) * each).toFixed(3)}z`,
      );
      from = to;
    }
    return runs.join('');
  }).join('');
  return `<path transform="translate(${x.toFixed(2)} ${y.toFixed(2)})" d="${rows}" fill="black"/>`;
};

/** Broken at spaces, and within a word that is longer than a line. */
function broken(words: string, letters: number): string[] {
  const most = Math.max(letters, 4);
  const lines: string[] = [];
  for (const word of words.split(' ').flatMap((one) => one.match(new RegExp(`.{1,${most}}`, 'g')) ?? [])) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** What is written in a box: its name as large as lets all of it in, what finds no room left out from the end. */
function writing({ name, lines }: LabelTold, x: number, y: number, width: number, height: number): string {
  const set = (font: number): { rows: { line: string; size: number; bold: boolean }[]; tall: number } => {
    const small = Math.max(font * 0.72, LEAST_FONT_MM);
    const rows = [
      ...broken(name, Math.floor(width / (font * LETTER_WIDTH))).map((line) => ({ line, size: font, bold: true })),
      ...lines.filter(Boolean).flatMap((one) => broken(one, Math.floor(width / (small * LETTER_WIDTH))).map((line) => ({ line, size: small, bold: false }))),
    ];
    return { rows, tall: rows.reduce((sum, { size }) => sum + size * LINE, 0) };
  };
  let font = Math.min(height / 4, 7);
  while (font > LEAST_FONT_MM && set(font).tall > height) font = Math.max(font * 0.92, LEAST_FONT_MM);
  let at = y;
  return set(font)
    .rows.flatMap(({ line, size, bold }) => {
      at += size * LINE;
      if (at > y + height + 0.01) return [];
      return [
        `<text x="${x.toFixed(2)}" y="${(at - size * 0.3).toFixed(2)}" font-size="${size.toFixed(2)}"${bold ? ' font-weight="bold"' : ''}>${escaped(line)}</text>`,
      ];
    })
    .join('');
}

/** Beside its code, or over it where it stands upright. */
export function labelSvg(label: LabelTold, { width_mm, height_mm }: LabelSize): string {
  const inside = { width: width_mm - 2 * PAD_MM, height: height_mm - 2 * PAD_MM };
  const isWide = inside.width >= inside.height * 1.2;
  const side = isWide ? Math.min(inside.height, inside.width * 0.45) : Math.min(inside.width, inside.height * 0.55);
  const words = isWide
    ? writing(label, PAD_MM, PAD_MM, inside.width - side - PAD_MM, inside.height)
    : writing(label, PAD_MM, PAD_MM, inside.width, inside.height - side - PAD_MM);
  return words + code(label.url, width_mm - PAD_MM - side, isWide ? PAD_MM + (inside.height - side) / 2 : height_mm - PAD_MM - side, side);
}

export interface LabelGrid {
  columns: number;
  rows: number;
  /** Where the first of them begins, mm: all of them stand in the middle of the sheet, as on sheets that are cut already. */
  left_mm: number;
  top_mm: number;
}

/** How many stand beside one another and over one another; none where a label is larger than what a printer reaches. gap_mm: between columns. */
export function onSheet({ width_mm, height_mm }: LabelSize, paper: LabelSize, gap_mm = 0): LabelGrid {
  const fits = (length: number, one: number, gap: number): number => Math.max(0, Math.floor((length - 2 * LEAST_MARGIN_MM + gap) / (one + gap) + 1e-9));
  const [columns, rows] = [fits(paper.width_mm, width_mm, gap_mm), fits(paper.height_mm, height_mm, 0)];
  return {
    ...{ columns, rows },
    left_mm: (paper.width_mm - columns * width_mm - Math.max(columns - 1, 0) * gap_mm) / 2,
    top_mm: (paper.height_mm - rows * height_mm) / 2,
  };
}

const sheet = ({ width_mm, height_mm }: LabelSize, inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width_mm}mm" height="${height_mm}mm" viewBox="0 0 ${width_mm} ${height_mm}" font-family="sans-serif" fill="black"><rect width="${width_mm}" height="${height_mm}" fill="white"/>${inside}</svg>`;

/** used: places of the first sheet that are gone already. Each alone on a label printer's own paper, or row by row on sheets with lines to cut along. */
export function labelSheets(labels: readonly LabelTold[], size: LabelSize, paper: LabelPaper, used = 0, gap_mm = 0): string[] {
  if (paper === 'own') return labels.map((label) => sheet(size, labelSvg(label, size)));
  const of = PAPERS[paper];
  const { columns, rows, left_mm, top_mm } = onSheet(size, of, gap_mm);
  const each = columns * rows;
  if (each < 1) return [];
  const first = Math.min(used, each - 1);
  return Array.from({ length: Math.ceil((first + labels.length) / each) }, (_, page) => {
    const parts = labels.flatMap((label, i) => {
      const place = first + i - page * each;
      if (place < 0 || place >= each) return [];
      const [x, y] = [left_mm + (place % columns) * (size.width_mm + gap_mm), top_mm + Math.floor(place / columns) * size.height_mm];
      return [
        `<g transform="translate(${x.toFixed(2)} ${y.toFixed(2)})"><rect width="${size.width_mm}" height="${size.height_mm}" fill="none" stroke="black" stroke-width="0.1" stroke-dasharray="1 1"/>${labelSvg(label, size)}</g>`,
      ];
    });
    return sheet(of, parts.join(''));
  });
}
