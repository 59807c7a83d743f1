/** The key-in sheet as one page that fits A4 and Letter: what the controller wants, large, with a box to tick and one to read back. */
import { type FigureKind, countsWords, figuresKeyed, keyIn } from '@torvin/core/controller';
import { LOOK_NAMES } from '@torvin/core/look';
import { ROLE_NAMES } from '@torvin/core/schedule';
import type { Piece, Schedule, Snapshot } from '@torvin/schema';
import { format } from 'date-fns/format';
import { WORK_CAUTIONS } from '@/layup/cautions';
import { MARGIN, PAGE, WARNING_LINE, pageOf, rule, words, wrapped } from '@/paper/page';
import { KEY_IN_SVG } from './words';

export interface KeyInPage {
  piece: Pick<Piece, 'name'>;
  schedule: Schedule;
  /** As it stands on its shelf now. */
  controller?: Snapshot['controller'];
  /** How what lies there now differs from what it was made from, where it is fired all the same. */
  differences?: readonly string[];
  /** What was found before, and stands against the firing. */
  standing?: readonly string[];
}

const TOP = 128;
const LINE = 15;
const TALLEST_ROW = 52;
const BOX = 12;
/** Where the three figures of a segment end, in the order in which they are asked for. */
const FIGURES_END = [244, 336, 420] as const;
const HEADS: Record<FigureKind, (unit: string) => string> = { rate: () => 'rate', target: (unit) => KEY_IN_SVG.target(unit), hold: () => 'hold' };

export function keyInSvg({ piece, schedule, controller = schedule.snapshot.controller, differences = [], standing = [] }: KeyInPage): string {
  const { kilnName, firing, familyName } = schedule.snapshot;
  const { rows, switchOff, remarks } = keyIn(schedule.segments, controller);
  const said = [...(switchOff ? [KEY_IN_SVG.thenNothingAfter(rows.length)] : []), ...remarks.map(({ message }) => message), WORK_CAUTIONS.keyIn].flatMap(
    (sentence) => wrapped(sentence, WARNING_LINE),
  );
  const warning = [...(differences.length === 0 ? [] : [KEY_IN_SVG.outDateFired(differences.join(' '))]), ...standing].flatMap((one) =>
    wrapped(one, WARNING_LINE),
  );
  const foot = PAGE.height - MARGIN - 14 - LINE * (said.length + warning.length);
  const height = Math.min(TALLEST_ROW, (foot - TOP) / rows.length);
  // As large as its row lets it be.
  const large = Math.max(13, Math.min(24, height * 0.52));
  const columns = { number: MARGIN, name: 64, keyed: 448, read: PAGE.width - MARGIN - BOX };
  const heads = rows.slice(0, 1).flatMap((row) => figuresKeyed(row, controller));
  const box = (x: number, y: number): string =>
    `<rect x="${x}" y="${(y - BOX / 2).toFixed(1)}" width="${BOX}" height="${BOX}" fill="none" stroke="black" stroke-width="0.8"/>`;
  const right = { size: 11, anchor: 'end' } as const;
  return pageOf(KEY_IN_SVG.toKeyIn(piece.name), [
    words(MARGIN, MARGIN + 18, KEY_IN_SVG.toKeyIn(piece.name), { size: 20, bold: true }),
    words(MARGIN, MARGIN + 38, KEY_IN_SVG.whichCounts(LOOK_NAMES[firing.look], familyName, kilnName, controller.name, controller.unit), {
      size: 12,
    }),
    ...wrapped(countsWords(controller), WARNING_LINE).map((line, i) => words(MARGIN, MARGIN + 54 + LINE * i, line, { size: 12 })),
    ...heads.map(({ kind }, i) => words(FIGURES_END[i], TOP - 8, HEADS[kind](controller.unit), right)),
    words(columns.keyed, TOP - 8, 'keyed'),
    words(PAGE.width - MARGIN, TOP - 8, KEY_IN_SVG.readBack, right),
    ...rows.flatMap((row, i) => {
      const y = TOP + i * height;
      const line = y + height / 2 + large * 0.35;
      return [
        rule(y),
        words(columns.number, line, String(i + 1), { bold: true, size: large }),
        words(columns.name, line, row.ends ? KEY_IN_SVG.endsIt : ROLE_NAMES[schedule.segments[row.segment].role], { size: 12 }),
        ...figuresKeyed(row, controller).map(({ kind, figure }, k) =>
          words(FIGURES_END[k], line, figure, { bold: kind === 'target', size: large, anchor: 'end' }),
        ),
        box(columns.keyed, y + height / 2),
        box(columns.read, y + height / 2),
      ];
    }),
    rule(TOP + rows.length * height),
    ...said.map((sentence, i) => words(MARGIN, foot + LINE * (i + 1), sentence)),
    ...warning.map((sentence, i) => words(MARGIN, foot + LINE * (said.length + i + 1), sentence, { bold: true })),
    words(MARGIN, PAGE.height - MARGIN + 4, `${piece.name} · ${schedule.name || format(schedule.createdAt, 'd MMM yyyy, HH:mm')}`),
    words(PAGE.width - MARGIN, PAGE.height - MARGIN + 4, KEY_IN_SVG.powerOffBefore, { anchor: 'end' }),
  ]);
}
