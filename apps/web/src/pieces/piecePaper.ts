/** A piece on paper: from the side, its journey, what lies in it. */
import { footprintHole, footprintSpan, footprintWords } from '@torvin/core/body';
import { type DrawnBody, setupWords, stepName, stepWords } from '@torvin/core/piece';
import { type Units, formatStock, text } from '@torvin/core/units';
import type { Piece, Shelves } from '@torvin/schema';
import type { StripStep } from '@/journey/JourneyStrip';
import { firedSection } from '@/section/fired';
import { sectionGeometry } from '@/section/geometry';
import { capital } from '@/ui/capital';
import { type Block, INSIDE, type Paper, part, row } from '@/paper/paperPages';
import { PIECE_PAPER } from './words';

const DRAWN_HEIGHT = 110;

/** A body from the side, in lines alone. */
function sectionOf(drawn: DrawnBody): Block {
  const box = { width: INSIDE, height: DRAWN_HEIGHT };
  const line = 'fill="none" stroke="black" stroke-width="0.75"';
  const after = firedSection(drawn, box);
  const { shelfY, shapes } = after?.drawn ?? sectionGeometry(footprintSpan(drawn.footprint), drawn.layers, box, undefined, footprintHole(drawn.footprint));
  const glass = after
    ? after.glass.map(({ path }) => `<path d="${path}" ${line}/>`)
    : shapes.map(
        ({ x, y, width, height, round }) =>
          `<rect x="${x.toFixed(1)}" y="${y.toFixed(1)}" width="${width.toFixed(1)}" height="${height.toFixed(1)}" rx="${round.toFixed(1)}" ${line}/>`,
      );
  const form = after?.form ? [`<path d="${after.form}" ${line} stroke-dasharray="3 2"/>`] : [];
  return {
    as: 'drawing',
    height: DRAWN_HEIGHT,
    svg: [...form, ...glass, `<line x1="0" x2="${INSIDE}" y1="${shelfY}" y2="${shelfY}" stroke="black" stroke-width="1"/>`].join(''),
  };
}

const STANDS = { done: 'done', next: 'next', toCome: PIECE_PAPER.toCome } as const;

export function piecePaper(piece: Piece, steps: readonly StripStep[], drawn: DrawnBody, shelves: Shelves, units: Units): Paper {
  const nameOf = (shelf: readonly { id: string; name: string }[], id: string): string => shelf.find((one) => one.id === id)?.name ?? '';
  const stepLines = ({ step }: StripStep): string[] =>
    step.kind === 'fire'
      ? [PIECE_PAPER.keyedInto(setupWords(step.setup), nameOf(shelves.kilns, step.kilnId), nameOf(shelves.controllers, step.controllerId), step.scheduleId)]
      : [capital(stepWords(step, units))];
  const layers = drawn.layers.map(({ name, thickness_m, cover, count }, i) =>
    row(`${i + 1} ${name}`, [
      [
        text(formatStock(thickness_m, units.length)),
        ...(count === undefined ? [] : [PIECE_PAPER.ofThem(count)]),
        ...(cover === undefined ? [] : [PIECE_PAPER.over(Math.round(100 * cover))]),
      ].join(', '),
    ]),
  );
  return {
    title: piece.name,
    about: `${footprintWords(piece.doc.footprint, units.length)}${piece.tags.length > 0 ? ` · ${piece.tags.join(', ')}` : ''}`,
    blocks: [
      sectionOf(drawn),
      ...part(
        PIECE_PAPER.itsJourney,
        steps.map((one, i) =>
          row(`${i + 1} ${stepName(one.step)}`, [...stepLines(one), ...(one.problem ? [one.problem.message] : []), ...one.warnings], STANDS[one.stands]),
        ),
      ),
      ...part(PIECE_PAPER.liesShelfUp, layers),
    ],
  };
}
