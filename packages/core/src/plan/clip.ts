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
