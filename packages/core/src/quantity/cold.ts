/**
 * What lies cold in a hollow before it melts: billets in courses, or strips stacked in a trough, and how far they stand over its rim.
 * Bricks lie flat and square to one another; a hollow narrows downwards, so that a course fits where its underside does. Lengths in m.
 */
import type { Footprint } from '../body/footprint';
import { type Hollow, surfaceAt } from './hollow';

export interface Brick {
  width_m: number;
  length_m: number;
  depth_m: number;
}

export interface Course {
  count: number;
  /** Its underside over the lowest point of the floor. */
  from_m: number;
}

export interface LaidCold {
  courses: Course[];
  /** Over the lowest point of the floor. */
  top_m: number;
  /** Over the rim; negative below it. */
  overRim_m: number;
}

/** Room for what is cut to fit, so that a figure that fits to the last digit does. */
const SLACK = 1 + 1e-9;
const whole = (room_m: number, side_m: number): number => Math.floor((room_m * SLACK) / side_m);

const gridIn = (width_m: number, length_m: number, across_m: number, along_m: number): number => whole(width_m, across_m) * whole(length_m, along_m);

/** Rows across an oval, about its middle: each as long as the narrower of its two edges lets it be. */
function rowsIn(width_m: number, length_m: number, across_m: number, along_m: number): number {
  let most = 0;
  for (let rows = 1; rows <= whole(length_m, along_m); rows++) {
    let count = 0;
    for (let i = 0; i < rows; i++) {
      const edge = Math.max(Math.abs(i * along_m - (rows * along_m) / 2), Math.abs((i + 1) * along_m - (rows * along_m) / 2));
      count += whole(width_m * Math.sqrt(Math.max(1 - (edge / (length_m / 2)) ** 2, 0)), across_m);
    }
    most = Math.max(most, count);
  }
  return most;
}

/** Bricks round a ring, each with its inner side on the inner cylinder and its outer corners within the outer one. */
function roundRing(outer_m: number, inner_m: number, across_m: number, along_m: number): number {
  if (Math.hypot(inner_m / 2 + across_m, along_m / 2) > (outer_m / 2) * SLACK) return 0;
  return inner_m > 0 ? Math.floor((Math.PI / Math.atan(along_m / inner_m)) * SLACK) : 0;
}

type Opening = Exclude<Footprint, { shape: 'polygon' }>;

/** What a hollow is open to at a height; null of an outline of corners, which is not laid out here. */
function openingAt(hollow: Hollow, z_m: number): Opening | null {
  switch (hollow.kind) {
    case 'straight':
      return hollow.outline.shape === 'polygon' ? null : hollow.outline;
    case 'vTrough':
    case 'roundTrough':
      return { shape: 'rectangle', width_m: surfaceAt(hollow, z_m) / hollow.length_m, length_m: hollow.length_m };
    case 'cone':
    case 'bowl':
      return { shape: 'disc', diameter_m: Math.sqrt((4 * surfaceAt(hollow, z_m)) / Math.PI) };
  }
}

function countIn(opening: Opening, { width_m, length_m }: Brick): number {
  const laid = (across_m: number, along_m: number): number => {
    switch (opening.shape) {
      case 'rectangle':
        return gridIn(opening.width_m, opening.length_m, across_m, along_m);
      case 'disc':
        return rowsIn(opening.diameter_m, opening.diameter_m, across_m, along_m);
      case 'oval':
        return rowsIn(opening.width_m, opening.length_m, across_m, along_m);
      case 'ring':
        return roundRing(opening.diameter_m, opening.inner_m, across_m, along_m);
    }
  };
  return Math.max(laid(width_m, length_m), laid(length_m, width_m));
}

/** Bricks that lie side by side at a height within its depth; null of an outline of corners. */
export function fitAt(hollow: Hollow, z_m: number, brick: Brick): number | null {
  const opening = openingAt(hollow, z_m);
  return opening && countIn(opening, brick);
}

const HALVINGS = 40;

/** Courses from where the first brick rests; those over the rim as many as at the rim. Null where none goes in, or it cannot be told. */
export function layCold(hollow: Hollow, brick: Brick, count: number): LaidCold | null {
  const { depth_m } = hollow;
  const fits = (z_m: number): number => fitAt(hollow, Math.min(z_m, depth_m), brick) ?? 0;
  if (fits(depth_m) === 0 || count < 1) return null;
  let [low, high] = [0, depth_m];
  if (fits(0) > 0) high = 0;
  for (let i = 0; i < HALVINGS && high > 0; i++) {
    const z = (low + high) / 2;
    if (fits(z) > 0) high = z;
    else low = z;
  }
  const courses: Course[] = [];
  let left = count;
  for (let from_m = high; left > 0; from_m += brick.depth_m) {
    const lain = Math.min(fits(from_m), left);
    courses.push({ count: lain, from_m });
    left -= lain;
  }
  const top_m = high + courses.length * brick.depth_m;
  return { courses, top_m, overRim_m: top_m - depth_m };
}

export interface Stack {
  strip: Brick;
  count: number;
  /** Where the lowest strip rests on the walls. */
  from_m: number;
  overRim_m: number;
  /** Free at each end, and at each side at the rim. */
  ends_m: number;
  sides_m: number;
}

const WIDTHS_TRIED = 400;

/**
 * Strips of one width that fill a trough once they have melted: of all widths the one whose stack stands lowest. They lie level on
 * both walls, shorter than the trough by a margin at each end. Null of what is no trough, or where nothing is left of its length.
 */
export function stackFor(hollow: Hollow, volume_m3: number, thickness_m: number, ends_m: number): Stack | null {
  if (hollow.kind !== 'vTrough' && hollow.kind !== 'roundTrough') return null;
  const { depth_m, width_m } = hollow;
  const length_m = hollow.length_m - 2 * ends_m;
  if (length_m <= 0) return null;
  let best: Stack | null = null;
  for (let i = 1; i < WIDTHS_TRIED; i++) {
    const wide_m = (i / WIDTHS_TRIED) * width_m;
    const from_m = heightWhere(hollow, wide_m);
    const count = Math.ceil(volume_m3 / (wide_m * length_m * thickness_m) - 1e-9);
    const overRim_m = from_m + count * thickness_m - depth_m;
    if (!best || overRim_m < best.overRim_m - 1e-12)
      best = { strip: { width_m: wide_m, length_m, depth_m: thickness_m }, count, from_m, overRim_m, ends_m, sides_m: (width_m - wide_m) / 2 };
  }
  return best;
}

/** The height at which a trough is so wide. */
function heightWhere(hollow: Extract<Hollow, { kind: 'vTrough' | 'roundTrough' }>, wide_m: number): number {
  if (hollow.kind === 'vTrough') return (hollow.depth_m * wide_m) / hollow.width_m;
  const radius_m = (hollow.width_m ** 2 / 4 + hollow.depth_m ** 2) / (2 * hollow.depth_m);
  return radius_m - Math.sqrt(Math.max(radius_m ** 2 - (wide_m / 2) ** 2, 0));
}
