/** The outline of a piece as it lies on the shelf. Lengths in m. */
export type Footprint =
  | { shape: 'rectangle'; width_m: number; length_m: number }
  | { shape: 'disc'; diameter_m: number }
  | { shape: 'oval'; width_m: number; length_m: number }
  /** Round a hole: in a dam with a core, or of segments. */
  | { shape: 'ring'; diameter_m: number; inner_m: number }
  /** Corners in order, either way round; the outline closes itself and must not cross itself. */
  | { shape: 'polygon'; corners_m: readonly (readonly [x: number, y: number])[] };

/** Of an outline by its corners. */
export const CORNERS_AT_MOST = 64;

type Corners = readonly (readonly [number, number])[];

const edges = (corners: Corners): [from: readonly [number, number], to: readonly [number, number]][] =>
  corners.map((corner, i) => [corner, corners[(i + 1) % corners.length]]);

const shoelace = (corners: Corners): number => Math.abs(edges(corners).reduce((sum, [[x0, y0], [x1, y1]]) => sum + (x0 * y1 - x1 * y0) / 2, 0));

/** Perimeter of an ellipse by Ramanujan's second formula (1914), good to 1e-5 for any oval that glass is cut to. */
function ovalPerimeter(width: number, length: number): number {
  const a = width / 2;
  const b = length / 2;
  const h = ((a - b) / (a + b)) ** 2;
  return Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
}

/** Area, m². */
export function footprintArea(footprint: Footprint): number {
  switch (footprint.shape) {
    case 'rectangle':
      return footprint.width_m * footprint.length_m;
    case 'disc':
      return (Math.PI * footprint.diameter_m ** 2) / 4;
    case 'oval':
      return (Math.PI * footprint.width_m * footprint.length_m) / 4;
    case 'ring':
      return (Math.PI * (footprint.diameter_m ** 2 - footprint.inner_m ** 2)) / 4;
    case 'polygon':
      return shoelace(footprint.corners_m);
  }
}

/** Length of the outline, m; of a ring both of its rims. */
export function footprintPerimeter(footprint: Footprint): number {
  switch (footprint.shape) {
    case 'rectangle':
      return 2 * (footprint.width_m + footprint.length_m);
    case 'disc':
      return Math.PI * footprint.diameter_m;
    case 'oval':
      return ovalPerimeter(footprint.width_m, footprint.length_m);
    case 'ring':
      return Math.PI * (footprint.diameter_m + footprint.inner_m);
    case 'polygon':
      return edges(footprint.corners_m).reduce((sum, [[x0, y0], [x1, y1]]) => sum + Math.hypot(x1 - x0, y1 - y0), 0);
  }
}

/** The greatest straight dimension that counts for unevenness across the kiln, m. */
export function footprintSpan(footprint: Footprint): number {
  switch (footprint.shape) {
    case 'disc':
    case 'ring':
      return footprint.diameter_m;
    case 'polygon':
      return footprint.corners_m.reduce(
        (most, [x0, y0], i) => footprint.corners_m.slice(i + 1).reduce((best, [x1, y1]) => Math.max(best, Math.hypot(x1 - x0, y1 - y0)), most),
        0,
      );
    default:
      return Math.max(footprint.width_m, footprint.length_m);
  }
}

/** The shorter side of the box round the outline, m: what a mould or a former has to do with. */
export function footprintNarrow(footprint: Footprint): number {
  switch (footprint.shape) {
    case 'disc':
    case 'ring':
      return footprint.diameter_m;
    case 'polygon': {
      const size = (axis: 0 | 1): number => {
        const along = footprint.corners_m.map((corner) => corner[axis]);
        return Math.max(...along) - Math.min(...along);
      };
      return Math.min(size(0), size(1));
    }
    default:
      return Math.min(footprint.width_m, footprint.length_m);
  }
}

/** Across its hole, m; 0 where it has none. */
export const footprintHole = (footprint: Footprint): number => (footprint.shape === 'ring' ? footprint.inner_m : 0);

/** The narrowest that glass is within it, m: a ring's wall, else the shorter side of its box. */
export const footprintWall = (footprint: Footprint): number =>
  footprint.shape === 'ring' ? (footprint.diameter_m - footprint.inner_m) / 2 : footprintNarrow(footprint);

/** What the outline's turning adds to an area by the square of a distance: π for any that turns once, nothing where a hole turns back (Steiner). */
export const turning = ({ shape }: Footprint): number => (shape === 'ring' ? 0 : Math.PI);

/** Area of the outline moved outwards by distance_m all round (Steiner): exact for outlines without inward corners. */
export const grownArea = (footprint: Footprint, distance_m: number): number =>
  footprintArea(footprint) + footprintPerimeter(footprint) * distance_m + turning(footprint) * distance_m ** 2;

/** Whether two sides of a polygon cross. */
export function crossesItself(corners: Corners): boolean {
  const sides = edges(corners);
  const turn = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number], [cx, cy]: readonly [number, number]): number =>
    Math.sign((bx - ax) * (cy - ay) - (by - ay) * (cx - ax));
  return sides.some(([a, b], i) =>
    sides.some(([c, d], j) => {
      const neighbours = j <= i + 1 || (i === 0 && j === sides.length - 1);
      return !neighbours && turn(a, b, c) !== turn(a, b, d) && turn(c, d, a) !== turn(c, d, b);
    }),
  );
}

/** The two sides of the box round an outline, m, the shorter first. */
export function sidesOf(footprint: Footprint): [number, number] {
  const narrow = footprintNarrow(footprint);
  return footprint.shape === 'rectangle' || footprint.shape === 'oval'
    ? [narrow, Math.max(footprint.width_m, footprint.length_m)]
    : [narrow, footprintSpan(footprint)];
}

/** The same outline by a factor in both directions. */
export function scaledBy(footprint: Footprint, by: number): Footprint {
  switch (footprint.shape) {
    case 'disc':
      return { shape: 'disc', diameter_m: footprint.diameter_m * by };
    case 'ring':
      return { shape: 'ring', diameter_m: footprint.diameter_m * by, inner_m: footprint.inner_m * by };
    case 'polygon':
      return { shape: 'polygon', corners_m: footprint.corners_m.map(([x, y]) => [x * by, y * by] as const) };
    default:
      return { ...footprint, width_m: footprint.width_m * by, length_m: footprint.length_m * by };
  }
}

/** The outline with so much off all round; of a polygon one of as much less area, by Steiner's formula. */
export function insetBy(footprint: Footprint, by_m: number): Footprint {
  switch (footprint.shape) {
    case 'disc':
      return { shape: 'disc', diameter_m: footprint.diameter_m - 2 * by_m };
    case 'ring':
      return { shape: 'ring', diameter_m: footprint.diameter_m - 2 * by_m, inner_m: footprint.inner_m + 2 * by_m };
    case 'polygon': {
      const area = footprintArea(footprint);
      return scaledBy(footprint, Math.sqrt(Math.max(area - footprintPerimeter(footprint) * by_m + Math.PI * by_m ** 2, 0) / area));
    }
    default:
      return { ...footprint, width_m: footprint.width_m - 2 * by_m, length_m: footprint.length_m - 2 * by_m };
  }
}

/** Whether one outline lies within another by the sides of their boxes. */
export const fitsWithin = (small: Footprint, large: Footprint): boolean =>
  footprintArea(small) < footprintArea(large) + 1e-12 &&
  footprintSpan(small) < footprintSpan(large) * Math.SQRT2 + 1e-9 &&
  footprintNarrow(small) < footprintNarrow(large) + 1e-9;
