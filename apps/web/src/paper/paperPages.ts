/** Pages of rows for paper: a title, headings, rows and drawings one after the other, each page with a foot that nothing runs into. */
import { together } from '@/ui/together';
import { MARGIN, PAGE, pageOf, rule, words, wrapped } from './page';

export type Block =
  | { as: 'heading'; words: string }
  | { as: 'words'; words: string; bold?: boolean }
  /** end: to the right of its title. */
  | { as: 'row'; title: string; lines: readonly string[]; end?: string }
  /** svg: what is drawn within its height and the width between the margins, from its own upper left. */
  | { as: 'drawing'; height: number; svg: string };

export interface Paper {
  title: string;
  about: string;
  blocks: readonly Block[];
}

/** A row; end: to the right of its title. */
export const row = (title: string, lines: readonly string[], end = ''): Block => ({ as: 'row', title, lines, ...(end ? { end } : {}) });
export const said = (words: string): Block => ({ as: 'words', words });
/** A heading with what stands under it; nothing where that is nothing. */
export const part = (title: string, blocks: readonly Block[]): Block[] => (blocks.length > 0 ? [{ as: 'heading', words: title }, ...blocks] : []);

export const INSIDE = PAGE.width - 2 * MARGIN;
const SIZE = 11;
const LINE = 14;
const TITLE = 18;
const HEADING = 13;
/** Letters on a line, on the safe side. */
const LETTERS = 88;
const BOLD_LETTERS = 80;
const TITLE_LETTERS = 46;
/** Of a row's title where something stands at its end. */
const BESIDE_LETTERS = 60;
const FOOT = 26;
const BOTTOM = PAGE.height - MARGIN - FOOT;

interface Piece {
  height: number;
  /** Drawn from its upper edge. */
  at(y: number): string;
  /** It does not end a page: what it announces stands under it. */
  leads?: boolean;
  /** Over it, but for the top of a page. */
  gap: number;
}

const lines = (content: readonly string[], y: number, bold = false, indent = 0): string =>
  content.map((line, i) => words(MARGIN + indent, y + (i + 1) * LINE - 3, line, { size: SIZE, bold })).join('');

function pieceOf(block: Block): Piece[] {
  switch (block.as) {
    case 'heading':
      return [
        {
          height: HEADING + 8,
          gap: 12,
          leads: true,
          at: (y) => words(MARGIN, y + HEADING, block.words, { size: HEADING, bold: true }) + rule(y + HEADING + 5),
        },
      ];
    case 'words':
      // Line by line, so that a long note runs on over pages.
      return wrapped(together(block.words), block.bold ? BOLD_LETTERS : LETTERS).map((line, i) => ({
        height: LINE,
        gap: i === 0 ? 4 : 0,
        at: (y) => lines([line], y, block.bold),
      }));
    case 'row': {
      const title = wrapped(block.title, block.end ? BESIDE_LETTERS : BOLD_LETTERS);
      const under = block.lines.filter((line) => line !== '').flatMap((line) => wrapped(together(line), LETTERS));
      const end = block.end;
      return [
        {
          ...{ height: (title.length + under.length) * LINE, gap: 6 },
          at: (y) =>
            lines(title, y, true) +
            (end ? words(PAGE.width - MARGIN, y + LINE - 3, end, { size: SIZE, bold: true, anchor: 'end' }) : '') +
            lines(under, y + title.length * LINE),
        },
      ];
    }
    case 'drawing':
      return [{ height: block.height, gap: 8, at: (y) => `<g transform="translate(${MARGIN} ${y.toFixed(1)})">${block.svg}</g>` }];
  }
}

/** At least one page; foot: what stands at the foot of each beside its number. */
export function paperPages({ title, about, blocks }: Paper, foot: string): string[] {
  const heads = wrapped(title, TITLE_LETTERS);
  const subtitle = wrapped(together(about), LETTERS);
  const top = MARGIN + heads.length * (TITLE + 4) + subtitle.length * LINE + 14;
  const head =
    heads.map((line, i) => words(MARGIN, MARGIN + (i + 1) * (TITLE + 4) - 6, line, { size: TITLE, bold: true })).join('') +
    lines(subtitle, MARGIN + heads.length * (TITLE + 4));
  const pages: string[][] = [[head]];
  let y = top;
  const pieces = blocks.flatMap(pieceOf);
  pieces.forEach((piece, i) => {
    const isFirst = pages[pages.length - 1].length === (pages.length === 1 ? 1 : 0);
    const gap = isFirst ? 0 : piece.gap;
    const next = piece.leads ? (pieces[i + 1]?.height ?? 0) + (pieces[i + 1]?.gap ?? 0) : 0;
    if (!isFirst && y + gap + piece.height + next > BOTTOM) {
      pages.push([]);
      y = MARGIN;
    } else y += gap;
    pages[pages.length - 1].push(piece.at(y));
    y += piece.height;
  });
  return pages.map((parts, i) =>
    pageOf(title, [
      ...parts,
      rule(BOTTOM + 10),
      words(MARGIN, BOTTOM + 24, foot.slice(0, 70), { size: SIZE }),
      words(PAGE.width - MARGIN, BOTTOM + 24, pages.length === 1 ? '' : `${i + 1} of ${pages.length}`, { size: SIZE, anchor: 'end' }),
    ]),
  );
}
