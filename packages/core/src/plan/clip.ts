/**
 * What outlines have in common and what they leave. Corners are brought to a raster first: sides that all but touch would else
 * lead a sweep astray.
 */
import clipping from 'polygon-clipping';
import { type Point, boxOf, twiceSignedArea } from './parts';

/** Outlines with their holes; the first of each is its rim. */
export type Shapes = readonly (readonly (readonly Point[])[])[];

/** A thousandth of a millimetre, below anything that is cut. */
const RASTER_M = 1e-6;

type Loose = [number, number][][][];

const onRaster = (shapes: Shapes): Loose =>
  shapes.map((rings) => rings.map((ring) => ring.map(([x, y]): [number, number] => [Math.round(x / RASTER_M), Math.round(y / RASTER_M)])));
const inMetres = (shapes: Loose): Point[][][] =>
  // A ring comes back closed: its first corner stands at its end again.
  shapes.map((rings) => rings.map((ring) => ring.slice(0, -1).map(([x, y]): Point => [x * RASTER_M, y * RASTER_M])));

export const shapeOf = (corners: readonly Point[]): Shapes => [[corners]];

export const commonTo = (one: Shapes, other: Shapes): Point[][][] => inMetres(clipping.intersection(onRaster(one), onRaster(other)));
export const withoutOther = (one: Shapes, other: Shapes): Point[][][] => inMetres(clipping.difference(onRaster(one), onRaster(other)));
export const together = (shapes: readonly Shapes[]): Point[][][] => {
  const [first, ...rest] = shapes.map(onRaster);
  return first ? inMetres(clipping.union(first, ...rest)) : [];
};

/** Holes go off, whichever way round they run, m². */
export const shapesArea = (shapes: Shapes): number =>
  shapes.reduce(
    (sum, [rim, ...holes]) => sum + holes.reduce((left, hole) => left - Math.abs(twiceSignedArea(hole)) / 2, Math.abs(twiceSignedArea(rim)) / 2),
    0,
  );

/** Whether an outline turns one way all round, against the clock. */
export function isConvex(corners: readonly Point[]): boolean {
  return corners.every(([x, y], i) => {
    const [x1, y1] = corners[(i + 1) % corners.length];
    const [x2, y2] = corners[(i + 2) % corners.length];
    return (x1 - x) * (y2 - y1) - (y1 - y) * (x2 - x1) >= -1e-15;
  });
}

/**
 * What two convex outlines have in common, as one outline, empty where it is nothing: one of them cut off along every side of the
 * other (Sutherland and Hodgman 1974, Comm. ACM 17, 32). Many times quicker than the general way, and most parts are convex.
 */
export function commonToConvex(one: readonly Point[], other: readonly Point[]): Point[] {
  let left: Point[] = [...one];
  for (let i = 0; i < other.length && left.length > 0; i += 1) {
    const [x0, y0] = other[i];
    const [x1, y1] = other[(i + 1) % other.length];
    const inside = ([x, y]: Point): number => (x1 - x0) * (y - y0) - (y1 - y0) * (x - x0);
    const cut: Point[] = [];
    let before = left[left.length - 1];
    let was = inside(before);
    for (const point of left) {
      const is = inside(point);
      if (is >= 0 !== was >= 0) {
        const at = was / (was - is);
        cut.push([before[0] + at * (point[0] - before[0]), before[1] + at * (point[1] - before[1])]);
      }
      if (is >= 0) cut.push(point);
      before = point;
      was = is;
    }
    left = cut;
  }
  return left;
}

/** Whether the boxes of two outlines have anything in common. */
export function mayTouch(one: readonly Point[], other: readonly Point[], near_m = 0): boolean {
  const [a, b] = [boxOf(one), boxOf(other)];
  return a.left < b.right + near_m && b.left < a.right + near_m && a.front < b.back + near_m && b.front < a.back + near_m;
}

/** Area that two outlines have in common, m². */
export const overlapArea = (one: readonly Point[], other: readonly Point[]): number =>
  mayTouch(one, other) ? shapesArea(commonTo(shapeOf(one), shapeOf(other))) : 0;

/** How far a point lies from a side, m. */
function fromSide([x, y]: Point, [x0, y0]: Point, [x1, y1]: Point): number {
  const [dx, dy] = [x1 - x0, y1 - y0];
  const square = dx * dx + dy * dy;
  const along = square > 0 ? Math.min(Math.max(((x - x0) * dx + (y - y0) * dy) / square, 0), 1) : 0;
  return Math.hypot(x - x0 - along * dx, y - y0 - along * dy);
}

/** From a point to the nearest place of a closed outline, m. */
export const fromOutline = (point: Point, corners: readonly Point[]): number =>
  corners.reduce((least, corner, i) => Math.min(least, fromSide(point, corner, corners[(i + 1) % corners.length])), Infinity);

/** Whether a point lies within outlines, by how often a line from it crosses them. */
export const isWithin = ([x, y]: Point, rings: readonly (readonly Point[])[]): boolean =>
  rings.reduce(
    (odd, ring) =>
      ring.reduce((inside, [x0, y0], i) => {
        const [x1, y1] = ring[(i + 1) % ring.length];
        return y0 > y !== y1 > y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0) ? !inside : inside;
      }, odd),
    false,
  );

/** The least distance between two outlines that lie apart, m. */
export function gapBetween(one: readonly Point[], other: readonly Point[]): number {
  const from = one.reduce((least, point) => Math.min(least, fromOutline(point, other)), Infinity);
  return other.reduce((least, point) => Math.min(least, fromOutline(point, one)), from);
}
