/** A page for paper and for files: black on white, figures 11 pt and more. Lengths in points. */

/** A4's width and Letter's height, less nothing: the margins are inside. */
export const PAGE = { width: 595, height: 792 } as const;
export const MARGIN = 36;

export const escaped = (words: string): string => words.replace(/[&<>"]/g, (mark) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[mark] ?? mark);

interface Style {
  size?: number;
  bold?: boolean;
  anchor?: 'start' | 'middle' | 'end';
}

export const words = (x: number, y: number, content: string, { size = 11, bold = false, anchor = 'start' }: Style = {}): string =>
  `<text x="${x.toFixed(1)}" y="${y.toFixed(1)}" font-size="${size}"${bold ? ' font-weight="bold"' : ''} text-anchor="${anchor}">${escaped(content)}</text>`;

/** Letters on a line of bold words across the page, on the safe side. */
export const WARNING_LINE = 84;

/** Broken into lines at its spaces. */
export function wrapped(content: string, most: number): string[] {
  return content
    .split(' ')
    .filter(Boolean)
    .reduce<string[]>((lines, word) => {
      const last = lines.at(-1);
      if (last === undefined || last.length + 1 + word.length > most) return [...lines, word];
      return [...lines.slice(0, -1), `${last} ${word}`];
    }, []);
}

export const rule = (y: number, weight = 0.5): string =>
  `<line x1="${MARGIN}" x2="${PAGE.width - MARGIN}" y1="${y}" y2="${y}" stroke="black" stroke-width="${weight}"/>`;

/** All of a page, with its title. */
export const pageOf = (title: string, parts: readonly string[]): string =>
  [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${PAGE.width}pt" height="${PAGE.height}pt" viewBox="0 0 ${PAGE.width} ${PAGE.height}" font-family="sans-serif" fill="black">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="${PAGE.width}" height="${PAGE.height}" fill="white"/>`,
    ...parts,
    '</svg>',
  ].join('\n');
