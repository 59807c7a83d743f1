/** What a printed page holds, read from its PDF: the straight lines that are drawn on it, as long as they come out of the printer. */
import { inflateSync } from 'node:zlib';

type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** Ends in mm from the lower left corner of the paper. */
export interface Drawn {
  from: readonly [x: number, y: number];
  to: readonly [x: number, y: number];
  long: number;
}

const MM_PER_POINT = 25.4 / 72;
const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

const after = ([a, b, c, d, e, f]: Matrix, [A, B, C, D, E, F]: Matrix): Matrix => [
  ...([a * A + b * C, a * B + b * D, c * A + d * C, c * B + d * D] as const),
  ...([e * A + f * C + E, e * B + f * D + F] as const),
];

function linesOf(content: string): Drawn[] {
  const drawn: Drawn[] = [];
  const stack: Matrix[] = [];
  let now = IDENTITY;
  let numbers: number[] = [];
  let [start, at]: [readonly [number, number], readonly [number, number]] = [
    [0, 0],
    [0, 0],
  ];
  const place = (x: number, y: number): readonly [number, number] => {
    const [a, b, c, d, e, f] = now;
    return [(a * x + c * y + e) * MM_PER_POINT, (b * x + d * y + f) * MM_PER_POINT];
  };
  const lineTo = (to: readonly [number, number]): void => {
    drawn.push({ from: at, to, long: Math.hypot(to[0] - at[0], to[1] - at[1]) });
    at = to;
  };
  for (const token of content.split(/\s+/)) {
    if (/^[-+.\d]+$/.test(token)) {
      numbers.push(Number(token));
      continue;
    }
    const [x, y] = numbers.slice(-2);
    if (token === 'q') stack.push(now);
    else if (token === 'Q') now = stack.pop() ?? IDENTITY;
    else if (token === 'cm') now = after(numbers.slice(-6) as unknown as Matrix, now);
    else if (token === 'm') at = start = place(x, y);
    else if (token === 'l') lineTo(place(x, y));
    else if (token === 'h') lineTo(start);
    numbers = [];
  }
  return drawn;
}

/** Of each page in its order. */
export function printedLines(pdf: Uint8Array): Drawn[][] {
  const bytes = Buffer.from(pdf);
  const text = bytes.toString('latin1');
  const pages: Drawn[][] = [];
  for (const { index } of text.matchAll(/\/Filter\s*\/FlateDecode[^>]*>>\s*stream\r?\n/g)) {
    const from = text.indexOf('stream', index + 8) + 'stream'.length;
    const begins = text[from] === '\r' ? from + 2 : from + 1;
    const content = inflateSync(bytes.subarray(begins, text.indexOf('endstream', begins))).toString('latin1');
    // Fonts and pictures are streams too; a page sets its scale first.
    if (/^\s*[-.\d]+ 0 0 [-.\d]+ 0 [-.\d]+ cm/.test(content)) pages.push(linesOf(content));
  }
  return pages;
}
