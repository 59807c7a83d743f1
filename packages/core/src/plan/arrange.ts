/** Parts moved, turned, mirrored, repeated, lined up and spaced: new places from old ones, outlines as they are. */
import { type Box, type PartOutline, type PlacedPart, type Point, boxOf, partCorners, wholeTurn } from './parts';

/** Which way a mirror throws: from left to right over a line that runs to the back, or from the front to the back. */
export type Mirror = 'leftRight' | 'frontBack';

const flipped = (points: readonly Point[]): Point[] => points.map(([x, y]) => [-x, y]);

/** An outline turned over from left to right. */
export function flippedOutline(outline: PartOutline): PartOutline {
  switch (outline.shape) {
    case 'polygon':
      return { ...outline, corners_m: flipped(outline.corners_m) };
    case 'strip':
    case 'rod':
      return { ...outline, along_m: flipped(outline.along_m) };
    default:
      return outline;
  }
}

export const movedBy = <P extends PlacedPart>(part: P, dx_m: number, dy_m: number): P => ({ ...part, x_m: part.x_m + dx_m, y_m: part.y_m + dy_m });

/** In a line at a distance from the middle. */
export function mirrored<P extends PlacedPart>(part: P, way: Mirror, at_m = 0): P {
  const over = { ...part, outline: flippedOutline(part.outline) };
  // A throw to the back is one to the right, and half a turn.
  return way === 'leftRight'
    ? { ...over, x_m: 2 * at_m - part.x_m, turned_deg: wholeTurn(-part.turned_deg) }
    : { ...over, y_m: 2 * at_m - part.y_m, turned_deg: wholeTurn(180 - part.turned_deg) };
}

/** As a body that is turned over like a page carries it. */
export const turnedOver = <P extends PlacedPart>(part: P): P => mirrored(part, 'leftRight');

export function turnedAbout<P extends PlacedPart>(part: P, [x, y]: Point, degrees: number): P {
  const angle = (degrees * Math.PI) / 180;
  const [dx, dy] = [part.x_m - x, part.y_m - y];
  return {
    ...part,
    x_m: x + dx * Math.cos(angle) - dy * Math.sin(angle),
    y_m: y + dx * Math.sin(angle) + dy * Math.cos(angle),
    turned_deg: wholeTurn(part.turned_deg + degrees),
  };
}

/** Round parts, each with the width of its rods where it is one. */
export const boxRound = (parts: readonly PlacedPart[], across: (part: PlacedPart) => number = () => 0): Box =>
  boxOf(parts.flatMap((part) => partCorners(part, across(part))));

export interface Row {
  /** How many there are then in all, and in how many rows. */
  count: number;
  rows: number;
  /** Clear between one and the next, to the right and to the back, m. */
  gap_m: number;
  rowGap_m: number;
  /** Every other row stands half a step to the right. */
  staggered: boolean;
  /** The first stands where it stands and the others to its right; else all of them stand round the middle of the piece. */
  centred: boolean;
}

/** The same parts in rows: those that there are, and copies of them. newId: for each copy. */
export function inRows<P extends PlacedPart>(
  parts: readonly P[],
  { count, rows, gap_m, rowGap_m, staggered, centred }: Row,
  newId: () => string,
  box: Box,
): P[] {
  const [stepX, stepY] = [box.right - box.left + gap_m, box.back - box.front + rowGap_m];
  const shifted = staggered && rows > 1 ? stepX / 2 : 0;
  const start: Point = centred
    ? [-((count - 1) * stepX + shifted) / 2 - (box.left + box.right) / 2, -((rows - 1) * stepY) / 2 - (box.front + box.back) / 2]
    : [0, 0];
  return Array.from({ length: rows }, (_, row) =>
    Array.from({ length: count }, (__, i) =>
      parts.map((part) => ({
        ...movedBy(part, start[0] + i * stepX + (row % 2 === 1 ? shifted : 0), start[1] + row * stepY),
        id: row === 0 && i === 0 ? part.id : newId(),
      })),
    ),
  ).flat(2);
}

/** The same parts round the middle of the piece, one every so many degrees, turned with it. */
export const inRing = <P extends PlacedPart>(parts: readonly P[], count: number, newId: () => string, about: Point = [0, 0]): P[] =>
  Array.from({ length: count }, (_, i) => parts.map((part) => (i === 0 ? part : { ...turnedAbout(part, about, (360 * i) / count), id: newId() }))).flat();

export const ALIGNMENTS = ['left', 'middle', 'right', 'front', 'centre', 'back'] as const;
export type Alignment = (typeof ALIGNMENTS)[number];

/** Where a box is lined up by, x or y. */
export const lineOf = ({ left, right, front, back }: Box, by: Alignment): number =>
  ({ left, middle: (left + right) / 2, right, front, centre: (front + back) / 2, back })[by];

const isAcross = (by: Alignment): boolean => by === 'left' || by === 'middle' || by === 'right';

/** Each with that side of its box on the line of the box round all of them. */
export function aligned<P extends PlacedPart>(parts: readonly P[], by: Alignment, across?: (part: PlacedPart) => number): P[] {
  const to = lineOf(boxRound(parts, across), by);
  return parts.map((part) => {
    const off = to - lineOf(boxRound([part], across), by);
    return isAcross(by) ? movedBy(part, off, 0) : movedBy(part, 0, off);
  });
}

/** As much clear between each and the next, the first and the last where they are; in the order in which they lie. */
export function spaced<P extends PlacedPart>(parts: readonly P[], along: 'x' | 'y', across?: (part: PlacedPart) => number): P[] {
  const extent = (part: P): { from: number; to: number } => {
    const { left, right, front, back } = boxRound([part], across);
    return along === 'x' ? { from: left, to: right } : { from: front, to: back };
  };
  const order = parts.map((part) => ({ part, ...extent(part) })).sort((a, b) => a.from + a.to - b.from - b.to);
  if (order.length < 3) return [...parts];
  const room = order[order.length - 1].to - order[0].from - order.reduce((sum, { from, to }) => sum + to - from, 0);
  const gap = room / (order.length - 1);
  let next = order[0].from;
  const moved = new Map<P, P>();
  for (const { part, from, to } of order) {
    moved.set(part, along === 'x' ? movedBy(part, next - from, 0) : movedBy(part, 0, next - from));
    next += to - from + gap;
  }
  return parts.map((part) => moved.get(part) ?? part);
}
