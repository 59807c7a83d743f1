/** A plan on paper in its own size, on as many pages as it takes, and its cutting list. Lengths on the page in mm. */
import type { Point } from '@torvin/core/plan';
import { escaped, wrapped } from '@/paper/page';

/** What fits on A4 and on Letter with a margin that any printer leaves. */
export const SHEET_MM = { width: 190, height: 255 } as const;
/** The window that the plan is seen through on each page, and what two neighbours both show. */
const WINDOW = { left: 5, top: 30, width: 180, height: 212 } as const;
const OVERLAP_MM = 10;
/** 11 pt. */
const LETTERS_MM = 3.88;
const RULE_MM = 100;

export interface PlanOnPaper {
  /** What it is of, with its version. */
  title: string;
  rings: readonly (readonly Point[])[];
  /** With their numbers on the cutting list. */
  parts: readonly { corners: readonly Point[]; number: number }[];
  /** As it is seen from the other face, or laid under glass that is drawn on from behind. */
  mirrored: boolean;
}

export interface Tiles {
  columns: number;
  rows: number;
  pages: string[];
}

const mm = (metres: number): number => metres * 1000;
const n = (value: number): string => value.toFixed(2);

const say = (x: number, y: number, content: string, { bold = false, middle = false } = {}): string =>
  `<text x="${n(x)}" y="${n(y)}" font-size="${LETTERS_MM}"${bold ? ' font-weight="bold"' : ''}${middle ? ' text-anchor="middle"' : ''}>${escaped(content)}</text>`;

const line = (x1: number, y1: number, x2: number, y2: number, weight = 0.25, dashed = false): string =>
  `<line x1="${n(x1)}" y1="${n(y1)}" x2="${n(x2)}" y2="${n(y2)}" stroke="black" stroke-width="${weight}"${dashed ? ' stroke-dasharray="2 2"' : ''}/>`;

const sheetOf = (title: string, parts: readonly string[]): string =>
  [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${SHEET_MM.width}mm" height="${SHEET_MM.height}mm" viewBox="0 0 ${SHEET_MM.width} ${SHEET_MM.height}" font-family="sans-serif" fill="black">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="${SHEET_MM.width}" height="${SHEET_MM.height}" fill="white"/>`,
    ...parts,
    '</svg>',
  ].join('\n');

/** 100 mm to be measured, with a tick at every ten. */
const ruleAt = (x: number, y: number): string[] => [
  line(x, y, x + RULE_MM, y, 0.4),
  ...Array.from({ length: 11 }, (_, i) => line(x + 10 * i, y - (i % 5 === 0 ? 3 : 1.5), x + 10 * i, y, 0.25)),
  say(x + RULE_MM + 3, y, '100 mm: measure it'),
];

const LETTER_A = 65;
/** 'B3': rows by letters from the back, columns by numbers from the left. */
export const tileName = (row: number, column: number): string => `${String.fromCharCode(LETTER_A + row)}${column + 1}`;

export function planTiles({ title, rings, parts, mirrored }: PlanOnPaper): Tiles {
  const side = mirrored ? -1 : 1;
  // From the back left corner, downwards, as a page is read.
  const all = [...rings.flat(), ...parts.flatMap(({ corners }) => corners)];
  const [left, top] = [Math.min(...all.map(([x]) => side * mm(x))) - 2, Math.min(...all.map(([, y]) => -mm(y))) - 2];
  const [wide, high] = [Math.max(...all.map(([x]) => side * mm(x))) + 2 - left, Math.max(...all.map(([, y]) => -mm(y))) + 2 - top];
  const [stepX, stepY] = [WINDOW.width - OVERLAP_MM, WINDOW.height - OVERLAP_MM];
  const columns = Math.max(Math.ceil((wide - OVERLAP_MM) / stepX), 1);
  const rows = Math.max(Math.ceil((high - OVERLAP_MM) / stepY), 1);
  const path = (corners: readonly Point[]): string => `M${corners.map(([x, y]) => `${n(side * mm(x) - left)} ${n(-mm(y) - top)}`).join('L')}Z`;
  const middle = (corners: readonly Point[]): Point => [
    corners.reduce((sum, [x]) => sum + side * mm(x), 0) / corners.length - left,
    corners.reduce((sum, [, y]) => sum - mm(y), 0) / corners.length - top,
  ];
  const drawn = [
    ...rings.map((ring) => `<path d="${path(ring)}" fill="none" stroke="black" stroke-width="0.5"/>`),
    ...parts.map(({ corners }) => `<path d="${path(corners)}" fill="none" stroke="black" stroke-width="0.3"/>`),
    ...parts.map(({ corners, number }) => say(...middle(corners), String(number), { middle: true })),
  ].join('');
  const pages = Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns }, (__, column) => {
      const name = tileName(row, column);
      const { left: x, top: y, width, height } = WINDOW;
      const joins = [
        ...(column + 1 < columns ? [line(x + stepX + OVERLAP_MM / 2, y, x + stepX + OVERLAP_MM / 2, y + height, 0.2, true)] : []),
        ...(column > 0 ? [line(x + OVERLAP_MM / 2, y, x + OVERLAP_MM / 2, y + height, 0.2, true)] : []),
        ...(row + 1 < rows ? [line(x, y + stepY + OVERLAP_MM / 2, x + width, y + stepY + OVERLAP_MM / 2, 0.2, true)] : []),
        ...(row > 0 ? [line(x, y + OVERLAP_MM / 2, x + width, y + OVERLAP_MM / 2, 0.2, true)] : []),
      ];
      return sheetOf(`${title}, ${name}`, [
        say(x, 6, `${title} · 1:1${mirrored ? ', mirrored' : ''}`, { bold: true }),
        say(
          x,
          11.5,
          `page ${name} of ${rows} × ${columns}${rows * columns > 1 ? ', cut on the dashed lines and join' : ''} · print at 100 %, not fitted to the page`,
        ),
        ...ruleAt(x, 21),
        `<clipPath id="window-${name}"><rect x="${x}" y="${y}" width="${width}" height="${height}"/></clipPath>`,
        `<g clip-path="url(#window-${name})"><g transform="translate(${n(x - column * stepX)} ${n(y - row * stepY)})">${drawn}</g></g>`,
        ...joins,
        say(x, SHEET_MM.height - 4, title),
      ]);
    }),
  ).flat();
  return { columns, rows, pages };
}

export interface ListOnPaper {
  title: string;
  rows: readonly { number: number; glass: string; pieces: string; from: string; mass: string; grind: string }[];
  /** How they are scored. */
  notes: readonly string[];
}

const LINE_MM = 6;
const LETTERS_ON_A_LINE = 88;

/** The cutting list, on as many pages as it takes. */
export function listPages({ title, rows, notes }: ListOnPaper): string[] {
  const lines = [
    ...rows.flatMap(({ number, glass, pieces, from, mass, grind }) => [
      { words: `No. ${number}: ${pieces}`, bold: true },
      { words: `${from}, ${glass} · ${mass} · ${grind}`, bold: false },
    ]),
    ...notes.flatMap((note) => wrapped(note, LETTERS_ON_A_LINE).map((one) => ({ words: one, bold: false }))),
  ];
  const onPage = Math.floor((SHEET_MM.height - 30) / LINE_MM);
  const count = Math.max(Math.ceil(lines.length / onPage), 1);
  return Array.from({ length: count }, (_, page) =>
    sheetOf(`${title}, cutting list`, [
      say(WINDOW.left, 8, `${title} · cutting list${count > 1 ? `, ${page + 1} of ${count}` : ''}`, { bold: true }),
      ...lines.slice(page * onPage, (page + 1) * onPage).map(({ words, bold }, i) => say(WINDOW.left, 20 + i * LINE_MM, words, { bold })),
      say(WINDOW.left, SHEET_MM.height - 4, title),
    ]),
  );
}
