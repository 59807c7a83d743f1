/** What a plan from above shows that goes wrong later: parts off the glass, too near its rim, over one another, a base that draws in. */
import { RECEDES_AT } from '../body/body';
import type { Footprint } from '../body/footprint';
import { commonTo, commonToConvex, fromOutline, gapBetween, isConvex, isWithin, shapeOf, shapesArea, together, withoutOther } from './clip';
import { type Box, type PlacedPart, type Point, areaOf, boxOf, footprintRings, partCorners } from './parts';
import type { MappedLayer, ThicknessMap } from './thickness';

export type PlanConcern =
  /** Stands out over the rim by so much. */
  | { kind: 'offBase'; part: string; over_m: number }
  /** Lies on nothing of the piece at all. */
  | { kind: 'outside'; part: string }
  | { kind: 'nearRim'; part: string; gap_m: number }
  /** Its side is one with the rim: the cut is seen there. */
  | { kind: 'edgeShows'; part: string }
  /** Lies in part on another, and with the rest of it over air. */
  | { kind: 'bridges'; part: string; over: string; air: number }
  /** Under its parts the base is thinner than it would lie. */
  | { kind: 'drawsIn'; base_m: number; rest_m: number };

/** What the firing that comes next does to it. */
export interface NextFiring {
  /** Whether it joins what lies on one another, so that what stands near the rim can run over it. */
  joins: boolean;
  /** Whether its rim travels. */
  flows: boolean;
  dammed: boolean;
  /** Of the glass that the most of it is made of, m. */
  naturalDepth_m: number;
}

/** A side that is meant to lie on the rim does within this, m. */
const FLUSH_M = 0.0005;
/** A shape that hands cut: less than this over the rim is no fault, m. */
const CUT_WITHIN_M = 0.0003;
/** What lies on another but for this share of it lies on it. */
const AS_GOOD_AS_ALL = 0.02;
/** Two parts that meet: as much of one another as cutting is out by, m². */
const TOUCHING_M2 = 2e-6;

interface Laid {
  part: PlacedPart;
  corners: Point[];
  box: Box;
  convex: boolean;
  area_m2: number;
  depth_m: number;
}

function laidIn({ placed = [], depth_m, across_m }: MappedLayer): Laid[] {
  return placed.map((part) => {
    const corners = partCorners(part, across_m);
    return { part, corners, box: boxOf(corners), convex: isConvex(corners), area_m2: areaOf(corners), depth_m };
  });
}

/** How far it reaches over: its corners beyond the rim, or the rim, as of a hole, in under its sides, m. */
function outBy(corners: readonly Point[], rings: readonly (readonly Point[])[]): number {
  const beyond = corners.filter((corner) => !isWithin(corner, rings)).map((corner) => Math.min(...rings.map((ring) => fromOutline(corner, ring))));
  const under = rings.flat().filter((point) => isWithin(point, [corners]));
  return Math.max(0, ...beyond, ...under.map((point) => fromOutline(point, corners)));
}

function byTheRim({ part, corners, area_m2, depth_m }: Laid, rings: readonly (readonly Point[])[], next: NextFiring | null): PlanConcern[] {
  // All corners within it, and none of the rim's within the part: nothing can stand out.
  const isWithinIt = corners.every((corner) => isWithin(corner, rings)) && !rings.some((ring) => ring.some((point) => isWithin(point, [corners])));
  const outside = isWithinIt ? 0 : shapesArea(withoutOther(shapeOf(corners), [rings]));
  if (outside > area_m2 * (1 - AS_GOOD_AS_ALL)) return [{ kind: 'outside', part: part.id }];
  const over_m = outside > 0 ? outBy(corners, rings) : 0;
  if (over_m > CUT_WITHIN_M) return [{ kind: 'offBase', part: part.id, over_m }];
  const gap_m = Math.min(...rings.map((ring) => gapBetween(corners, ring)));
  if (gap_m <= FLUSH_M) return [{ kind: 'edgeShows', part: part.id }];
  return next?.joins && !next.dammed && gap_m < depth_m ? [{ kind: 'nearRim', part: part.id, gap_m }] : [];
}

const touches = (a: Box, b: Box): boolean => a.left < b.right && b.left < a.right && a.front < b.back && b.front < a.back;

const common = (one: Laid, other: Laid): Point[][][] => {
  if (!one.convex || !other.convex) return commonTo(shapeOf(one.corners), shapeOf(other.corners));
  const corners = commonToConvex(one.corners, other.corners);
  return corners.length > 2 ? [[corners]] : [];
};

/** Parts on parts since the last layer that lies over everything. */
function bridges(levels: readonly Laid[]): PlanConcern[] {
  return levels.flatMap((upper, i): PlanConcern[] => {
    const under: { lower: Laid; shared: Point[][][]; area_m2: number }[] = [];
    for (let k = 0; k < i; k += 1) {
      if (!touches(levels[k].box, upper.box)) continue;
      const shared = common(upper, levels[k]);
      const area_m2 = shapesArea(shared);
      if (area_m2 > TOUCHING_M2) under.push({ lower: levels[k], shared, area_m2 });
    }
    if (under.length === 0) return [];
    // Where the lower ones lie apart from one another their shares add up; else each place counts once.
    const added = under.reduce((sum, { area_m2 }) => sum + area_m2, 0);
    const apart = under.every(({ lower }, k) => under.slice(k + 1).every((other) => !touches(lower.box, other.lower.box)));
    const borne = apart ? added : shapesArea(together(under.map(({ shared }) => shared)));
    const air = 1 - borne / upper.area_m2;
    return air > AS_GOOD_AS_ALL ? [{ kind: 'bridges', part: upper.part.id, over: under[under.length - 1].lower.part.id, air }] : [];
  });
}

/** layers: index 0 at the bottom; from: the lowest of them that is spoken of. */
export function planConcerns(footprint: Footprint, layers: readonly MappedLayer[], map: ThicknessMap, next: NextFiring | null, from = 0): PlanConcern[] {
  const rings = footprintRings(footprint);
  const own = layers.slice(from);
  const lastWhole = own.findLastIndex(({ placed, cover = 1 }) => placed === undefined && cover > 1 - 1e-9);
  const found = own.flatMap(laidIn).flatMap((laid) => byTheRim(laid, rings, next));
  const levels = own.slice(lastWhole + 1).flatMap(laidIn);
  const base_m = map.thinnest.depth_m;
  const drawsIn = next?.flows && !next.dammed && levels.length > 0 && base_m > 0 && base_m < RECEDES_AT * next.naturalDepth_m;
  return [...found, ...bridges(levels), ...(drawsIn ? [{ kind: 'drawsIn' as const, base_m, rest_m: next.naturalDepth_m }] : [])];
}
