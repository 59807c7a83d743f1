/**
 * Hollows that glass is to fill, their opening up and level: how much they hold to a height, how high an amount stands in them, and
 * what a liner leaves of them. Closed forms. Lengths in m, measured inside; heights z from the lowest point of the floor.
 */
import { type Footprint, footprintArea, footprintWall, insetBy } from '../body/footprint';

export type Hollow =
  /** Straight walls: a dam, a box, a ring between two cylinders. */
  | { kind: 'straight'; outline: Footprint; depth_m: number }
  | { kind: 'vTrough'; width_m: number; length_m: number; depth_m: number }
  /** Part of a lying cylinder, half of it at most: as deep as half its width, or shallower. */
  | { kind: 'roundTrough'; width_m: number; length_m: number; depth_m: number }
  /** A frustum; with no floor a cone on its point. */
  | { kind: 'cone'; rim_m: number; floor_m: number; depth_m: number }
  /** A wall that is part of a sphere, through the rim and the edge of a flat floor; with no floor a dome turned over. */
  | { kind: 'bowl'; rim_m: number; floor_m: number; depth_m: number };

/** Radius of a lying cylinder of which a chord and its depth are known, m. */
const cylinderRadius = (width_m: number, depth_m: number): number => (width_m ** 2 / 4 + depth_m ** 2) / (2 * depth_m);

/** Centre over the floor and radius of the sphere that a bowl's wall is part of, m. */
function sphereOf({ rim_m, floor_m, depth_m }: Extract<Hollow, { kind: 'bowl' }>): { centre_m: number; radius_m: number } {
  const centre_m = ((rim_m / 2) ** 2 - (floor_m / 2) ** 2 + depth_m ** 2) / (2 * depth_m);
  return { centre_m, radius_m: Math.hypot(floor_m / 2, centre_m) };
}

/** Of the free surface when it is filled to a height within its depth, m². */
export function surfaceAt(hollow: Hollow, z_m: number): number {
  switch (hollow.kind) {
    case 'straight':
      return footprintArea(hollow.outline);
    case 'vTrough':
      return (hollow.width_m * hollow.length_m * z_m) / hollow.depth_m;
    case 'roundTrough': {
      const radius = cylinderRadius(hollow.width_m, hollow.depth_m);
      return 2 * hollow.length_m * Math.sqrt(Math.max(2 * radius * z_m - z_m ** 2, 0));
    }
    case 'cone': {
      const radius = (hollow.floor_m + ((hollow.rim_m - hollow.floor_m) * z_m) / hollow.depth_m) / 2;
      return Math.PI * radius ** 2;
    }
    case 'bowl': {
      const { centre_m, radius_m } = sphereOf(hollow);
      return Math.PI * Math.max(radius_m ** 2 - (z_m - centre_m) ** 2, 0);
    }
  }
}

/** What it holds up to a height within its depth, m³. */
export function heldTo(hollow: Hollow, z_m: number): number {
  switch (hollow.kind) {
    case 'straight':
      return surfaceAt(hollow, z_m) * z_m;
    case 'vTrough':
      return (surfaceAt(hollow, z_m) * z_m) / 2;
    case 'roundTrough': {
      const radius = cylinderRadius(hollow.width_m, hollow.depth_m);
      const over = radius - z_m;
      return hollow.length_m * (radius ** 2 * Math.acos(Math.min(over / radius, 1)) - over * Math.sqrt(Math.max(2 * radius * z_m - z_m ** 2, 0)));
    }
    case 'cone': {
      const [low, high] = [hollow.floor_m / 2, Math.sqrt(surfaceAt(hollow, z_m) / Math.PI)];
      return ((Math.PI * z_m) / 3) * (low ** 2 + low * high + high ** 2);
    }
    case 'bowl': {
      const { centre_m, radius_m } = sphereOf(hollow);
      return Math.PI * (radius_m ** 2 * z_m - ((z_m - centre_m) ** 3 + centre_m ** 3) / 3);
    }
  }
}

/** Its rim seen from above. */
export function fromAbove(hollow: Hollow): Footprint {
  switch (hollow.kind) {
    case 'straight':
      return hollow.outline;
    case 'vTrough':
    case 'roundTrough':
      return { shape: 'rectangle', width_m: hollow.width_m, length_m: hollow.length_m };
    default:
      return { shape: 'disc', diameter_m: hollow.rim_m };
  }
}

/** To its rim, m³. */
export const volumeOf = (hollow: Hollow): number => heldTo(hollow, hollow.depth_m);

/** Heights are found within this share of the depth. */
const CLOSE = 1e-9;

/** How high an amount stands in it, m; null where it runs over the rim. Newton's steps, kept within what is known by halving. */
export function levelOf(hollow: Hollow, volume_m3: number): number | null {
  const { depth_m } = hollow;
  if (volume_m3 > volumeOf(hollow) * (1 + CLOSE)) return null;
  let [low, high] = [0, depth_m];
  let z = depth_m / 2;
  while (high - low > CLOSE * depth_m) {
    const over = heldTo(hollow, z) - volume_m3;
    if (over > 0) high = z;
    else low = z;
    const step = z - over / surfaceAt(hollow, z);
    const next = step > low && step < high ? step : (low + high) / 2;
    if (Math.abs(next - z) < (CLOSE * depth_m) / 4) return next;
    z = next;
  }
  return z;
}

const HAS_ROOM_M = 1e-6;

/** What a liner of one thickness on walls, ends and floor leaves of it; null where that is nothing. */
export function lined(hollow: Hollow, liner_m: number): Hollow | null {
  if (liner_m <= 0) return hollow;
  const left = within(hollow, liner_m);
  const narrow = left.kind === 'straight' ? footprintWall(left.outline) : widthOf(left);
  return left.depth_m > HAS_ROOM_M && narrow > HAS_ROOM_M && volumeOf(left) > 0 ? left : null;
}

const widthOf = (hollow: Exclude<Hollow, { kind: 'straight' }>): number => ('rim_m' in hollow ? hollow.rim_m : Math.min(hollow.width_m, hollow.length_m));

function within(hollow: Hollow, by_m: number): Hollow {
  const depth_m = hollow.depth_m - by_m;
  switch (hollow.kind) {
    case 'straight':
      return { ...hollow, outline: insetBy(hollow.outline, by_m), depth_m };
    case 'vTrough': {
      // Both walls move in along their normals, so that the groove rises by more than the liner is thick.
      const deep = hollow.depth_m - (by_m * Math.hypot(hollow.width_m / 2, hollow.depth_m)) / (hollow.width_m / 2);
      return { ...hollow, depth_m: deep, width_m: (hollow.width_m * deep) / hollow.depth_m, length_m: hollow.length_m - 2 * by_m };
    }
    case 'roundTrough': {
      const radius = cylinderRadius(hollow.width_m, hollow.depth_m);
      const rim = radius - hollow.depth_m;
      return { ...hollow, depth_m, width_m: 2 * Math.sqrt(Math.max((radius - by_m) ** 2 - rim ** 2, 0)), length_m: hollow.length_m - 2 * by_m };
    }
    case 'cone': {
      const slope = (hollow.rim_m - hollow.floor_m) / 2 / hollow.depth_m;
      const sideways = by_m * Math.hypot(1, slope);
      const floor_m = Math.max(hollow.floor_m + 2 * (slope * by_m - sideways), 0);
      // Where no floor is left the point rises by more than the liner is thick.
      const rim_m = hollow.rim_m - 2 * sideways;
      return { ...hollow, rim_m, floor_m, depth_m: floor_m > 0 ? depth_m : Math.min(depth_m, rim_m / 2 / Math.max(slope, 1e-12)) };
    }
    case 'bowl': {
      const { centre_m, radius_m } = sphereOf(hollow);
      const across = (z_m: number): number => 2 * Math.sqrt(Math.max((radius_m - by_m) ** 2 - (z_m - centre_m) ** 2, 0));
      return { ...hollow, rim_m: across(hollow.depth_m), floor_m: hollow.floor_m > 0 ? across(by_m) : 0, depth_m };
    }
  }
}
