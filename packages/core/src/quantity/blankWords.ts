/** The blank for a form, in words: how large, what stands out and whether it holds, where its edge ends, what last time told. */
import type { Units } from '../units/convert';
import { type Figure, formatArea, formatLength, formatMass, formatStock, text } from '../units/format';
import { footprintArea } from '../body/footprint';
import { type BlankAsked, type BlankTold, type OverBySide, VALLEY } from './blank';
import { type ToldQuantity, inTwo } from './told';

/** Less than that is not measured with a tape. */
const SEEN_M = 0.0005;
/** From here on a skirt folds rather than hangs round. */
const FOLDS_FROM = 0.02;

const sizeIn = (sizes_m: readonly number[], { length }: Units): Figure => ({
  figure: sizes_m.map((size) => formatLength(size, length).figure).join(' × '),
  unit: formatLength(sizes_m[0], length).unit,
});

/** How its size is read: across a disc, by two sides, over lobes and between them. */
function sizeLabel({ form }: BlankAsked, { outline }: BlankTold): string {
  if (outline.shape === 'polygon') return 'blank, over lobes × between';
  return form.plan === 'round' ? 'blank, across' : 'blank';
}

function sumOf(asked: BlankAsked, told: BlankTold, units: Units): string[] {
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const { form } = asked;
  if (asked.way === 'over') {
    const ways = form.plan === 'round' || !form.along ? [form.across] : [form.across, form.along];
    return ways.flatMap(({ rim_m }, i) => {
      const hang = (told.summed_m[i] - told.bend_m - rim_m) / 2;
      return hang > 0 ? [`${long(rim_m)} + 2 × ${long(hang)} + ${long(told.bend_m)} round the edges = ${long(told.summed_m[i])}`] : [];
    });
  }
  const area = text(formatArea(told.lies_m2, units.length));
  const [first] = told.summed_m;
  const lies = `its middle, lying in the form up to ${asked.under_m > 0 ? `${long(asked.under_m)} below the rim` : 'the rim'}`;
  if (form.plan === 'round') return [`${lies}: ${area}`, `√(4 × ${area} ÷ π) = ${long(first)}`];
  // Where it bends one way alone, the sum is the way over it.
  if (form.plan === 'trough') return [`${lies}: ${area}`, `${area} ÷ ${long(told.summed_m[1])} = ${long(first)}`];
  return [`${lies}: ${area}`, `a blank of as much: ${text(sizeIn(told.summed_m, units))}`];
}

const SIDES: readonly [key: keyof OverBySide, words: string][] = [
  ['door_m', 'on the door side'],
  ['back_m', 'at the back'],
  ['left_m', 'on the left'],
  ['right_m', 'on the right'],
];

const listed = (parts: readonly string[]): string => (parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts[parts.length - 1]}`);

function lastWords({ last, form }: BlankAsked, { shift, summed_m }: BlankTold, units: Units): string[] {
  if (!last || !shift) return [];
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const sizes = [last.across_m, ...(summed_m.length > 1 && last.along_m !== undefined ? [last.along_m] : [])];
  const off = SIDES.flatMap(([key, where]) => {
    const over = last.over[key];
    return Math.abs(over) < SEEN_M ? [] : [`${long(Math.abs(over))} ${over > 0 ? 'over' : 'short'} ${where}`];
  });
  const moved = [
    ...(Math.abs(shift.fromDoor_m) < SEEN_M ? [] : [`${long(Math.abs(shift.fromDoor_m))} ${shift.fromDoor_m > 0 ? 'further from' : 'nearer to'} the door`]),
    ...(Math.abs(shift.fromLeft_m) < SEEN_M ? [] : [`${long(Math.abs(shift.fromLeft_m))} further to the ${shift.fromLeft_m > 0 ? 'right' : 'left'}`]),
  ];
  const said = [
    `Last time’s blank of ${text(sizeIn(sizes, units))} came out ${off.length > 0 ? listed(off) : 'as it was meant'}: that counts more than the sum, which says ${text(sizeIn(summed_m, units))}.`,
  ];
  if (moved.length > 0)
    said.push(
      `Lay it ${listed(moved)} than last time. Over on the same side of the mould when that is turned round: the mould is uneven; over at the door again: the heat is.`,
    );
  if (shift.left_m >= SEEN_M) said.push(`Left ${form.plan === 'round' ? 'round' : 'in this form'}, it still ends up to ${long(shift.left_m)} off on one side.`);
  return said;
}

function intoWords(asked: Extract<BlankAsked, { way: 'into' }>, told: BlankTold, units: Units): { words: string[]; cautions: string[] } {
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const stands = Math.max(...told.stands_m);
  const words: string[] = [];
  const cautions: string[] = [];
  const thick = text(formatStock(asked.thickness_m, units.length));
  if (stands > told.bears_m + SEEN_M) {
    cautions.push(
      `It sticks out ${long(stands)} over the rim. In this firing ${thick} of glass takes ${long(told.bears_m)} before its edge hangs: it may hook over the rim. Take thicker glass, or let the edge end lower.`,
    );
  }
  if (!asked.last && told.summed_m.some((size, i) => size > told.sizes_m[i] + SEEN_M))
    words.push(
      `This is the largest that slides in; its edge ends lower than meant. To end there it would be ${text(sizeIn(told.summed_m, units))}. An edge of ${thick} hooks over the rim beyond ${long(told.bears_m)}.`,
    );
  if (Math.min(...told.stands_m) < -SEEN_M) words.push(`It is smaller than the rim: it starts within the mould, on its wall.`);
  if (told.rimEnds_m !== null && told.rimEnds_m >= SEEN_M && asked.form.plan !== 'lobed')
    words.push(`Cut to the rim itself, it would end ${long(told.rimEnds_m)} below the rim.`);
  words.push(
    asked.form.plan === 'trough'
      ? 'Bent one way alone it is as long as the way through its own middle.'
      : 'A sheet that slides in keeps its area. On rough primer or paper it slides less and stretches. Then this blank ends over the rim: enter below by how much.',
  );
  return { words, cautions };
}

function overWords({ form }: BlankAsked, told: BlankTold, units: Units): { words: string[]; cautions: string[] } {
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const words: string[] = [];
  const cautions: string[] = [];
  const { clearance_m, spare, stands_m, outline } = told;
  if (clearance_m !== null && clearance_m < 0)
    cautions.push(`Its lowest edge would stand on the shelf: raise the former by at least ${long(-clearance_m)}, or take a blank that much smaller all round.`);
  if (outline.shape === 'rectangle' && form.plan === 'rectangle') words.push('Its corners hang lowest, by both sides together.');
  if (spare !== null && spare > FOLDS_FROM) {
    const much = `${Math.round(spare * 100)} %`;
    if (outline.shape === 'polygon')
      words.push(
        `${much} of its rim are more than goes round the former: it folds between its ${form.lobes} lobes. Where they meet it sticks out by ${VALLEY.toFixed(2)} of the rest. It drops there a quarter as soon.`,
      );
    else
      cautions.push(
        `Of a disc this wide ${much} of the rim are more than goes round its former: it cannot hang round and folds in lobes, two when slow, more when hot. Lobes cut into the blank decide where.`,
      );
  }
  words.push(`What stands out less than ${long(told.bears_m)} hardly moves while ${long(Math.max(...stands_m))} come down.`);
  return { words, cautions };
}

export function blankWords(asked: BlankAsked, told: BlankTold, units: Units): ToldQuantity {
  const { sizes_m, stands_m, bears_m, clearance_m, mass_kg, outline } = told;
  const stands = Math.max(...stands_m);
  const { words, cautions } = asked.way === 'into' ? intoWords(asked, told, units) : overWords(asked, told, units);
  const size = text(sizeIn(sizes_m, units));
  const weight = `${text(formatArea(footprintArea(outline), units.length))} × ${text(formatStock(asked.thickness_m, units.length))} of glass = ${text(formatMass(mass_kg, units.mass))}`;
  return {
    figures: [
      inTwo(sizeLabel(asked, told), units, (in_) => sizeIn(sizes_m, in_)),
      ...(asked.way === 'into'
        ? [
            inTwo(stands < 0 ? 'inside the rim by' : 'out over the rim', units, ({ length }) => formatLength(Math.abs(stands), length)),
            inTwo('an edge bears', units, ({ length }) => formatLength(bears_m, length)),
          ]
        : [
            inTwo('stands out', units, ({ length }) => formatLength(stands, length)),
            inTwo((clearance_m ?? 0) < 0 ? 'too low by' : 'clear of the shelf', units, ({ length }) => formatLength(Math.abs(clearance_m ?? 0), length)),
          ]),
    ],
    sum: [...sumOf(asked, told, units), weight],
    words: [...lastWords(asked, told, units), ...words],
    cautions,
    short: `blank of ${size}${outline.shape === 'polygon' ? ` in ${asked.form.lobes} lobes` : ''}`,
  };
}
