/**
 * A part of a lay-up as it lies, seen from above: an outline of its own, where its middle is, and how it is turned. Places are
 * counted from the middle of the box round the piece's outline: x to the right, y to the back, away from who stands before the
 * kiln. Lengths in m, angles in degrees against the clock.
 */
import { CORNERS_AT_MOST, type Footprint } from '../body/footprint';

export type Point = readonly [x: number, y: number];

/** Corners and lines are told from the part's own middle. */
export type PartOutline =
  | { shape: 'rectangle'; width_m: number; length_m: number }
  | { shape: 'disc'; diameter_m: number }
  | { shape: 'oval'; width_m: number; length_m: number }
  | { shape: 'polygon'; corners_m: readonly Point[] }
  /** As wide all along a line, which may bend. */
  | { shape: 'strip'; width_m: number; along_m: readonly Point[] }
  /** A rod or stringer along a line, as wide as its layer's rods are. */
  | { shape: 'rod'; along_m: readonly Point[] };

export interface PlacedPart {
  id: string;
  outline: PartOutline;
  x_m: number;
  y_m: number;
  /** −180 to 180. */
  turned_deg: number;
}

export const PART_SHAPES = ['rectangle', 'disc', 'oval', 'polygon', 'strip', 'rod'] as const satisfies readonly PartOutline['shape'][];

/** Corners that a round outline is followed by: its area is kept to the last digit, its rim to a two-thousandth of its radius. */
const ROUND_CORNERS = 96;
/** Times its radius, at which a regular polygon of so many corners has the area of the circle. */
const SAME_AREA = Math.sqrt((2 * Math.PI) / (ROUND_CORNERS * Math.sin((2 * Math.PI) / ROUND_CORNERS)));

/** A circle, or an oval, by its corners against the clock. */
export function roundCorners(width_m: number, length_m: number): Point[] {
  return Array.from({ length: ROUND_CORNERS }, (_, i) => {
    const angle = (2 * Math.PI * (i + 0.5)) / ROUND_CORNERS;
    return [(SAME_AREA * width_m * Math.cos(angle)) / 2, (SAME_AREA * length_m * Math.sin(angle)) / 2];
  });
}

export const boxCorners = (width_m: number, length_m: number): Point[] => [
  [-width_m / 2, -length_m / 2],
  [width_m / 2, -length_m / 2],
  [width_m / 2, length_m / 2],
  [-width_m / 2, length_m / 2],
];

/** Twice the area that corners enclose, positive against the clock, m². */
export const twiceSignedArea = (corners: readonly Point[]): number =>
  corners.reduce((sum, [x0, y0], i) => {
    const [x1, y1] = corners[(i + 1) % corners.length];
    return sum + x0 * y1 - x1 * y0;
  }, 0);

export const areaOf = (corners: readonly Point[]): number => Math.abs(twiceSignedArea(corners)) / 2;

export const lengthOf = (along_m: readonly Point[]): number =>
  along_m.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - along_m[i][0], y - along_m[i][1]), 0);

/** A mitre reaches out no further than so many half widths: beyond that a line turns back on itself. */
const LONGEST_MITRE = 4;

/** A band along a line, mitred where it bends and square at its ends: its area is its width times the line's length. */
export function bandCorners(along_m: readonly Point[], width_m: number): Point[] {
  const ways = along_m.slice(1).map(([x, y], i): Point => {
    const [dx, dy] = [x - along_m[i][0], y - along_m[i][1]];
    const long = Math.hypot(dx, dy);
    return [dx / long, dy / long];
  });
  const side = (sign: 1 | -1): Point[] =>
    along_m.map(([x, y], i) => {
      const [before, after] = [ways[Math.max(i - 1, 0)], ways[Math.min(i, ways.length - 1)]];
      const [nx, ny] = [-(before[1] + after[1]), before[0] + after[0]];
      // Between the two normals, as far as the mitre goes.
      const square = (nx * nx + ny * ny) / 2;
      const reach = (sign * width_m) / 2 / Math.max(square, 2 / LONGEST_MITRE ** 2);
      return [x + reach * nx, y + reach * ny];
    });
  return [...side(-1), ...side(1).reverse()];
}

/** across_m: of the layer's rods; of no meaning for other shapes. */
export function outlineCorners(outline: PartOutline, across_m = 0): Point[] {
  switch (outline.shape) {
    case 'rectangle':
      return boxCorners(outline.width_m, outline.length_m);
    case 'disc':
      return roundCorners(outline.diameter_m, outline.diameter_m);
    case 'oval':
      return roundCorners(outline.width_m, outline.length_m);
    case 'polygon':
      return twiceSignedArea(outline.corners_m) < 0 ? outline.corners_m.toReversed() : [...outline.corners_m];
    case 'strip':
      return bandCorners(outline.along_m, outline.width_m);
    case 'rod':
      return bandCorners(outline.along_m, across_m);
  }
}

/** A point of a part's own, where the part lies. */
export function laidAt([x, y]: Point, { x_m, y_m, turned_deg }: Omit<PlacedPart, 'id' | 'outline'>): Point {
  const angle = (turned_deg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return [x_m + x * cos - y * sin, y_m + x * sin + y * cos];
}

/** Its corners where it lies, against the clock. */
export const partCorners = (part: PlacedPart, across_m = 0): Point[] => outlineCorners(part.outline, across_m).map((corner) => laidAt(corner, part));

/** m². */
export function partArea({ outline }: Pick<PlacedPart, 'outline'>, across_m = 0): number {
  switch (outline.shape) {
    case 'rectangle':
      return outline.width_m * outline.length_m;
    case 'disc':
      return (Math.PI * outline.diameter_m ** 2) / 4;
    case 'oval':
      return (Math.PI * outline.width_m * outline.length_m) / 4;
    case 'polygon':
      return areaOf(outline.corners_m);
    default:
      return areaOf(outlineCorners(outline, across_m));
  }
}

export interface Box {
  left: number;
  right: number;
  front: number;
  back: number;
}

export function boxOf(corners: readonly Point[]): Box {
  const box = { left: Infinity, right: -Infinity, front: Infinity, back: -Infinity };
  for (const [x, y] of corners) {
    box.left = Math.min(box.left, x);
    box.right = Math.max(box.right, x);
    box.front = Math.min(box.front, y);
    box.back = Math.max(box.back, y);
  }
  return box;
}

/** The two sides of the box round a part as it is cut, not as it is turned, m. */
export function partSides({ outline }: Pick<PlacedPart, 'outline'>, across_m = 0): { width_m: number; length_m: number } {
  const { left, right, front, back } = boxOf(outlineCorners(outline, across_m));
  return outline.shape === 'disc'
    ? { width_m: outline.diameter_m, length_m: outline.diameter_m }
    : outline.shape === 'oval' || outline.shape === 'rectangle'
      ? { width_m: outline.width_m, length_m: outline.length_m }
      : { width_m: right - left, length_m: back - front };
}

/** Its outline told from the middle of its own box, and how far that middle lies from where it was told from. */
export function centred(outline: PartOutline): { outline: PartOutline; by: Point } {
  if (outline.shape !== 'polygon' && outline.shape !== 'strip' && outline.shape !== 'rod') return { outline, by: [0, 0] };
  const own = outline.shape === 'polygon' ? outline.corners_m : outline.along_m;
  const { left, right, front, back } = boxOf(own);
  const by: Point = [(left + right) / 2, (front + back) / 2];
  const moved = own.map(([x, y]): Point => [x - by[0], y - by[1]]);
  return { outline: outline.shape === 'polygon' ? { ...outline, corners_m: moved } : { ...outline, along_m: moved }, by };
}

/** The outlines of a piece, from the middle of its box: the rim against the clock, a hole the other way round. */
export function footprintRings(footprint: Footprint): Point[][] {
  switch (footprint.shape) {
    case 'rectangle':
      return [boxCorners(footprint.width_m, footprint.length_m)];
    case 'disc':
      return [roundCorners(footprint.diameter_m, footprint.diameter_m)];
    case 'oval':
      return [roundCorners(footprint.width_m, footprint.length_m)];
    case 'ring':
      return [roundCorners(footprint.diameter_m, footprint.diameter_m), roundCorners(footprint.inner_m, footprint.inner_m).toReversed()];
    case 'polygon': {
      const { outline } = centred({ shape: 'polygon', corners_m: footprint.corners_m });
      return [outlineCorners(outline)];
    }
  }
}

/** An angle as it is told, −180 to 180 degrees. */
export function wholeTurn(degrees: number): number {
  const turned = ((((degrees + 180) % 360) + 360) % 360) - 180;
  return turned === -180 ? 180 : turned;
}

export const PART_CORNERS_AT_MOST = CORNERS_AT_MOST;
