/**
 * What is cut for a plan: parts of one glass and one size together, how many, and which of their sides show. A side that meets its
 * neighbour, lies under a sheet or ends in glass that runs level rounds or closes by itself; one that stays crisp, or lies at the rim,
 * is felt and seen.
 */
import type { Footprint } from '../body/footprint';
import { fromOutline, isWithin } from './clip';
import { type PartOutline, type PlacedPart, type Point, footprintRings, lengthOf, partArea, partCorners, partSides } from './parts';

export interface CutLayer {
  /** Where its parts lie; it covers the whole outline where they are left out. */
  placed?: readonly PlacedPart[];
  /** Of rods among its parts, m. */
  across_m?: number;
  /** Whether it covers all that lies under it. */
  covers: boolean;
}

/** What comes of cut sides. */
export interface AfterCutting {
  /** Whether the firing runs level, so that every side is gone in it. */
  levels: boolean;
  /** Whether the rim is ground in a later step. */
  rimIsGround: boolean;
}

/** Lengths of the sides of a part by what becomes of them, m. */
export interface Sides {
  /** Stay to be seen. */
  shows_m: number;
  /** At the rim of the piece. */
  atRim_m: number;
  /** Against another part. */
  meets_m: number;
  /** Under a sheet that lies over it. */
  covered_m: number;
}

export interface CutGroup {
  /** Index of the layer. */
  layer: number;
  /** Of one of them; mirror images are cut apart, as glass has two faces. */
  outline: PartOutline;
  count: number;
  ids: string[];
  width_m: number;
  length_m: number;
  area_m2: number;
  /** Of all of them together. */
  sides: Sides;
  grind: Grind;
}

/** Whether cut sides are ground before they are laid: all that shows; none, as none stays; none now, as the rim is ground later. */
export type Grind = 'shows' | 'levels' | 'hidden' | 'rimLater';

/** Sides that are so near to something are one with it, m. */
const FLUSH_M = 0.0006;
/** Sides are looked at every so often, m. */
const EVERY_M = 0.002;
/** Parts that differ by less are cut alike, m. */
const ALIKE_M = 0.0002;

/** Middles of short stretches along a closed outline, with their length and a point just inside. */
function stretches(corners: readonly Point[]): { at: Point; long_m: number }[] {
  return corners.flatMap(([x0, y0], i) => {
    const [x1, y1] = corners[(i + 1) % corners.length];
    const long_m = Math.hypot(x1 - x0, y1 - y0);
    const count = Math.max(Math.ceil(long_m / EVERY_M), 1);
    return Array.from({ length: count }, (_, k) => {
      const along = (k + 0.5) / count;
      return { at: [x0 + along * (x1 - x0), y0 + along * (y1 - y0)] as Point, long_m: long_m / count };
    });
  });
}

function sidesOf(corners: readonly Point[], rings: readonly (readonly Point[])[], neighbours: readonly (readonly Point[])[], isCovered: boolean): Sides {
  const sides = { shows_m: 0, atRim_m: 0, meets_m: 0, covered_m: 0 };
  for (const { at, long_m } of stretches(corners)) {
    if (rings.some((ring) => fromOutline(at, ring) <= FLUSH_M) || !isWithin(at, rings)) sides.atRim_m += long_m;
    else if (neighbours.some((other) => fromOutline(at, other) <= FLUSH_M || isWithin(at, [other]))) sides.meets_m += long_m;
    else if (isCovered) sides.covered_m += long_m;
    else sides.shows_m += long_m;
  }
  return sides;
}

/** Where sides lie near one another at all. */
const nearTo = (corners: readonly Point[], others: readonly (readonly Point[])[]): (readonly Point[])[] => {
  const box = (of: readonly Point[]) =>
    of.reduce(([l, r, f, b], [x, y]) => [Math.min(l, x), Math.max(r, x), Math.min(f, y), Math.max(b, y)], [Infinity, -Infinity, Infinity, -Infinity]);
  const [left, right, front, back] = box(corners);
  return others.filter((other) => {
    const [l, r, f, b] = box(other);
    return l <= right + FLUSH_M && r >= left - FLUSH_M && f <= back + FLUSH_M && b >= front - FLUSH_M;
  });
};

/** A rectangle turned by a quarter is the same rectangle; anything else is told by its own corners. */
function keyOf({ outline }: PlacedPart): string {
  const rounded = (metres: number): number => Math.round(metres / ALIKE_M);
  switch (outline.shape) {
    case 'disc':
      return `disc ${rounded(outline.diameter_m)}`;
    case 'rectangle':
    case 'oval':
      return `${outline.shape} ${[rounded(outline.width_m), rounded(outline.length_m)].sort((a, b) => a - b).join()}`;
    case 'polygon':
      return `polygon ${outline.corners_m.map(([x, y]) => `${rounded(x)},${rounded(y)}`).join(' ')}`;
    case 'strip':
      return `strip ${rounded(outline.width_m)} ${outline.along_m.map(([x, y]) => `${rounded(x)},${rounded(y)}`).join(' ')}`;
    case 'rod':
      return `rod ${rounded(lengthOf(outline.along_m))} ${outline.along_m.length}`;
  }
}

const added = (one: Sides, other: Sides): Sides => ({
  shows_m: one.shows_m + other.shows_m,
  atRim_m: one.atRim_m + other.atRim_m,
  meets_m: one.meets_m + other.meets_m,
  covered_m: one.covered_m + other.covered_m,
});

/** A side that is so short is a corner, m. */
const CORNER_M = 0.003;

function grindOf({ shows_m, atRim_m }: Sides, { levels, rimIsGround }: AfterCutting): Grind {
  if (levels && atRim_m < CORNER_M) return 'levels';
  if (!levels && shows_m >= CORNER_M) return 'shows';
  if (atRim_m >= CORNER_M) return rimIsGround ? 'rimLater' : 'shows';
  return levels ? 'levels' : 'hidden';
}

/** layers: index 0 at the bottom. The largest of a layer first. */
export function cutList(footprint: Footprint, layers: readonly CutLayer[], after: AfterCutting): CutGroup[] {
  const rings = footprintRings(footprint);
  return layers.flatMap(({ placed, across_m = 0 }, layer): CutGroup[] => {
    if (!placed) return [];
    const isCovered = layers.slice(layer + 1).some(({ covers }) => covers);
    const all = placed.map((part) => partCorners(part, across_m));
    const groups = new Map<string, CutGroup>();
    placed.forEach((part, i) => {
      const sides = sidesOf(all[i], rings, nearTo(all[i], all.toSpliced(i, 1)), isCovered);
      const key = keyOf(part);
      const group = groups.get(key);
      if (group) groups.set(key, { ...group, count: group.count + 1, ids: [...group.ids, part.id], sides: added(group.sides, sides) });
      else
        groups.set(key, {
          layer,
          outline: part.outline,
          count: 1,
          ids: [part.id],
          ...partSides(part, across_m),
          area_m2: partArea(part, across_m),
          sides,
          grind: 'hidden',
        });
    });
    return [...groups.values()].map((group) => ({ ...group, grind: grindOf(group.sides, after) })).sort((a, b) => b.area_m2 - a.area_m2);
  });
}
