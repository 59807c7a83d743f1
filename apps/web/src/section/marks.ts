/** What a section is drawn of, from the back: the same marks on a page, where they move, and as a small finished picture in a list. */
import type { Ghost } from '@torvin/core/look';
import type { DrawnLayer } from '@torvin/core/piece';
import { escaped } from '@/paper/page';
import type { Colours } from '@/theme/theme';
import type { SectionGeometry, Shape } from './geometry';
import { ghostPath } from './ghost';
import type { TimedSection } from './inTime';

interface Paint {
  fill?: string;
  stroke?: string;
  strokeWidth?: number;
  strokeDasharray?: string;
  fillRule?: 'evenodd';
}

interface Band {
  x: number;
  y: number;
  width: number;
  height: number;
}

export type Mark =
  ({ of: 'rect'; rx?: number } & Band & Paint) | ({ of: 'path'; d: string } & Paint) | ({ of: 'line'; x1: number; x2: number; y1: number; y2: number } & Paint);

type Used = Pick<Colours, 'ink' | 'shelf' | 'touch'>;

export interface MarksOf {
  width: number;
  small: boolean;
  colours: Used;
}

/** A mould is hollow, and only its wall is known: it is drawn as one of no certain height. */
export const isMould = ({ ware: item }: DrawnLayer): boolean => item !== undefined && item !== 'shelf' && item !== 'fibre';

const MOULD = { height: 0.9, rim: 0.1, floor: 0.3 };

function mouldPath(shelfY: number, { x, y, width }: Band): string {
  const high = MOULD.height * (shelfY - y);
  const [rim, floor] = [MOULD.rim * width, MOULD.floor * high];
  const inside = width - 2 * rim;
  return `M${x} ${shelfY} V${shelfY - high} h${rim} q${inside * 0.08} ${high - floor} ${inside / 2} ${high - floor} q${inside * 0.42} 0 ${inside / 2} ${floor - high} h${rim} V${shelfY} Z`;
}

/** How much of its height, or of half its width, a corner takes that a fuse has rounded. */
const ROUNDED_SHARE = 0.8;

/** A box that stands on its foot with its upper corners round. */
function softPath({ x, y, width, height }: Band): string {
  const r = ROUNDED_SHARE * Math.min(height, width / 2);
  return `M${x} ${y + height}V${y + r}Q${x} ${y} ${x + r} ${y}H${x + width - r}Q${x + width} ${y} ${x + width} ${y + r}V${y + height}Z`;
}

/** Of made glass its stripes within a box: on one another from below, or from left to right. */
function bandsOf({ stripes = [], stacked }: DrawnLayer, { x, y, width, height }: Band): Mark[] {
  let done = 0;
  return stripes.map(({ colour: fill, share }) => {
    const from = done;
    done += share;
    return stacked
      ? { of: 'rect', x, width, y: y + height * (1 - done), height: height * share, fill }
      : { of: 'rect', x: x + width * from, width: width * share, y, height, fill };
  });
}

/** Ticks along the coated face. */
function coating({ x, y, width, height }: Band, side: 'up' | 'down', { ink }: Used): Mark {
  const face = side === 'up' ? y + 2.5 : y + height - 2.5;
  return { of: 'line', x1: x + 2, x2: x + width - 2, y1: face, y2: face, stroke: ink, strokeWidth: 3, strokeDasharray: '2 4' };
}

const lineOf = (small: boolean): number => (small ? 0.75 : 1);

/** The shelf, under the glass. */
export const shelfMark = ({ shelfY }: SectionGeometry, { width, small, colours }: MarksOf): Mark => ({
  ...{ of: 'rect', x: 0, y: shelfY, width, height: small ? 4 : 14, fill: colours.shelf },
});

/** The shelf's edge, over it. */
export const edgeMark = ({ shelfY }: SectionGeometry, { width, small, colours }: MarksOf): Mark => ({
  ...{ of: 'line', x1: 0, x2: width, y1: shelfY, y2: shelfY, stroke: colours.ink, strokeWidth: small ? 0.5 : 1 },
});

/** One shape of a layer; chosen: it stands out. */
export function shapeMarks({ layer: index, round, ...box }: Shape, layers: readonly DrawnLayer[], shelfY: number, of: MarksOf, chosen = false): Mark[] {
  const layer = layers[index];
  const { ink, touch } = of.colours;
  const line = lineOf(of.small);
  const coat = layer.coated ? [coating(box, layer.coated, of.colours)] : [];
  // Pieces that lie on top of all the rest.
  const isSoft = layer.softened === true && layers.slice(index).every(({ form }) => form === 'pieces');
  if (isSoft || isMould(layer)) {
    const d = isSoft ? softPath(box) : mouldPath(shelfY, box);
    return [{ of: 'path', d, fill: layer.colour, stroke: ink, strokeWidth: line }, ...coat];
  }
  const whole = { of: 'rect', ...box, rx: round } as const;
  return [
    ...(layer.stripes ? [{ ...whole, fill: layer.colour }] : []),
    ...bandsOf(layer, box),
    { ...whole, fill: layer.stripes ? 'none' : layer.colour, stroke: chosen ? touch : ink, strokeWidth: chosen ? 3 : line },
    ...coat,
  ];
}

/** What is becoming of it, in dashes. */
export function ghostMark(ghost: Ghost, drawn: SectionGeometry, layers: readonly DrawnLayer[], { touch }: Used): Mark {
  const standing = drawn.shapes.filter(({ layer }) => layers[layer]?.form === 'pieces');
  return { of: 'path', d: ghostPath(ghost, standing, drawn), fill: 'none', stroke: touch, strokeWidth: 2, strokeDasharray: '6 4' };
}

/** A section as it was laid. */
export const sectionMarks = (drawn: SectionGeometry, layers: readonly DrawnLayer[], of: MarksOf): Mark[] => [
  shelfMark(drawn, of),
  ...drawn.shapes.flatMap((shape) => shapeMarks(shape, layers, drawn.shelfY, of)),
  edgeMark(drawn, of),
];

/** Glass in its form, or run out of the one that it had. */
export function firedMarks({ drawn, glass, form }: TimedSection, of: MarksOf): Mark[] {
  const edge = { stroke: of.colours.ink, strokeWidth: lineOf(of.small) };
  return [
    shelfMark(drawn, of),
    ...(form ? [{ of: 'path', d: form, fill: of.colours.shelf, ...edge } as const] : []),
    ...glass.map(({ colour, path }) => ({ of: 'path', d: path, fill: colour, ...edge }) as const),
    edgeMark(drawn, of),
  ];
}

const px = (value: number): number => Math.round(value * 100) / 100;

function tagOf(mark: Mark): string {
  const { fill, stroke, strokeWidth, strokeDasharray, fillRule } = mark;
  const paint =
    (fill === undefined ? '' : ` fill="${escaped(fill)}"`) +
    (stroke === undefined ? '' : ` stroke="${escaped(stroke)}"`) +
    (strokeWidth === undefined ? '' : ` stroke-width="${strokeWidth}"`) +
    (strokeDasharray === undefined ? '' : ` stroke-dasharray="${strokeDasharray}"`) +
    (fillRule === undefined ? '' : ` fill-rule="${fillRule}"`);
  switch (mark.of) {
    case 'rect':
      return `<rect x="${px(mark.x)}" y="${px(mark.y)}" width="${px(mark.width)}" height="${px(mark.height)}" rx="${px(mark.rx ?? 0)}"${paint}/>`;
    case 'path':
      return `<path d="${mark.d}"${paint}/>`;
    case 'line':
      return `<line x1="${px(mark.x1)}" x2="${px(mark.x2)}" y1="${px(mark.y1)}" y2="${px(mark.y2)}"${paint}/>`;
  }
}

/** Marks as an address that a picture is shown from. */
export function pictureOf(marks: readonly Mark[], { width, height }: { width: number; height: number }): string {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${marks.map(tagOf).join('')}</svg>`;
  // Of all signs these two alone mean something in such an address.
  return `data:image/svg+xml,${svg.replace(/[%#]/g, encodeURIComponent)}`;
}
