/** A cut list, in words: each piece with its number and sides, what is left over, and in which order it is cut. */
import { METRES_PER_INCH, type Units } from '../units/convert';
import { type Figure, formatLength, formatStock, text } from '../units/format';
import type { CutPiece, CuttingAsked, CuttingTold } from './cutting';
import { type ToldQuantity, inTwo } from './told';

/** To the tenth of a millimetre, or the thousandth of an inch: what a stop is set to. */
function cutTo(metres: number, { length }: Units): Figure {
  if (length === 'in') return { figure: String(Number((metres / METRES_PER_INCH).toFixed(3))), unit: 'in' };
  return { figure: String(Number((metres * 1e3).toFixed(1))), unit: 'mm' };
}

const long = (metres: number, units: Units): string => text(cutTo(metres, units));
const sides = ({ width_m, length_m, outline }: CutPiece, units: Units): string => {
  if (outline === 'disc' || outline === 'ring') return `${outline}, ${long(width_m, units)} across`;
  const box = `${cutTo(width_m, units).figure} × ${long(length_m, units)}`;
  return outline === 'rectangle' ? box : `${outline}, ${box}`;
};

const number = ({ count, spares }: CutPiece): Figure => ({ figure: spares > 0 ? `${count} + ${spares}` : String(count), unit: '' });
const note = (piece: CutPiece, units: Units): string =>
  [sides(piece, units), ...(piece.thickness_m > 0 ? [`${text(formatStock(piece.thickness_m, units.length))} thick`] : [])].join(', ');

function sumOf(asked: CuttingAsked, told: CuttingTold, units: Units): string[] {
  const { along, finished } = told;
  const [first] = told.pieces;
  switch (asked.kind) {
    case 'strips':
    case 'segments':
    case 'onEdge': {
      if (!along) return [];
      const each = asked.kind === 'strips' ? asked.strip_m : asked.kind === 'segments' ? asked.stop_m : asked.thickness_m;
      const whole = along.used_m + along.kerf_m + along.left_m;
      const count = Math.round(along.used_m / each);
      return [
        `${count} × ${long(each, units)} = ${long(along.used_m, units)}${along.kerf_m > 0 ? `; + kerf ${long(along.kerf_m, units)}` : ''}; + left over ${long(along.left_m, units)} = ${long(whole, units)}`,
      ];
    }
    case 'woven': {
      if (!finished) return [];
      const { across, along: down, strip_m, gap_m, border_m } = asked;
      const one = (count: number, size: number): string =>
        `${count} × ${long(strip_m, units)} + ${count - 1} × ${long(gap_m, units)}${border_m > 0 ? ` + 2 × ${long(border_m, units)}` : ''} = ${long(size, units)}`;
      return [one(across, finished.width_m), one(down, finished.length_m)];
    }
    case 'cap':
      return [`The outline, and ${long(asked.overhang_m, units)} more all round: ${sides(first, units)}`];
    case 'liner':
      return [`Every length counts the ${long(asked.thickness_m, units)} of the paper itself.`];
  }
}

const ORDER: Record<CuttingAsked['kind'], string[]> = {
  strips: ['Score away from you, running each strip off as it is scored; splinters go into the bin, not over the bench edge.'],
  onEdge: ['Stand them on edge in a dam that fits them; what does not fill it leans.'],
  woven: ['Cut the strips from the middle of the sheet outwards: its edges are less even; lay them from the middle outwards too.'],
  segments: ['Wet saw, eyes and ears covered, sleeves away from the blade.'],
  cap: [],
  liner: ['Cut with a knife on a board, long ones first; no dry sweeping of what falls, and a respirator.'],
};

export function cuttingWords(asked: CuttingAsked, told: CuttingTold, units: Units): ToldQuantity {
  const { pieces, finished, along, sheets } = told;
  const [first] = pieces;
  const all = pieces.reduce((sum, { count, spares }) => sum + count + spares, 0);
  const words: string[] = [];
  if (sheets !== null) words.push(`That takes ${sheets === 1 ? 'one sheet' : `${sheets} sheets`}.`);
  if (finished && asked.kind === 'onEdge' && along && along.left_m > 0) words.push(`${long(along.left_m, units)} of the width stay free: glass flows into it.`);
  words.push(...ORDER[asked.kind]);
  const size = (in_: Units): Figure => {
    const [width, length] = finished ? [finished.width_m, finished.length_m] : [first.width_m, first.length_m];
    return { figure: `${cutTo(width, in_).figure} × ${cutTo(length, in_).figure}`, unit: cutTo(length, in_).unit };
  };
  return {
    figures: [
      inTwo(finished ? 'finished size' : 'each', units, size),
      finished
        ? inTwo('deep', units, ({ length }) => formatLength(finished.depth_m, length))
        : { label: 'pieces', value: { figure: String(all), unit: '' }, other: { figure: '', unit: '' } },
    ],
    rows: pieces.map((piece) => ({ name: piece.name, value: number(piece), note: note(piece, units) })),
    sum: sumOf(asked, told, units),
    words,
    cautions: [],
    short: finished ? `${text(size(units))} of ${all} pieces` : `${first.count} × ${sides(first, units)}${pieces.length > 1 ? ' and more' : ''}`,
  };
}
