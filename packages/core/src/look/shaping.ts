/**
 * A hollow taken as a shallow bowl, a cap of a sphere of its span and depth: a blank smaller than its mould rests where the
 * bowl is as wide as the blank. Moulds with steep walls or flat floors hold it elsewhere.
 */
import { type Footprint, sidesOf } from '../body/footprint';
import type { Holes } from '../flow/drain';
import { type Opening, narrowed } from '../flow/sag';
import type { EmptyItem } from '../emptyFiring/emptyItems';

/** What shapes the glass, by the few measures that its firing is computed from. */
export type Shaping =
  /** What it sinks into, seen from above; down_m: how far its middle is down already, as where it is fired once more. */
  | ({ kind: 'hollow'; depth_m: number; down_m?: number } & Opening)
  /** drop_m: how far the edge is to come down; overhang_m: how far the blank stands out over the former. */
  | { kind: 'former'; overhang_m: number; drop_m: number; former_m?: number; down_m?: number }
  /** Strips that stand on edge, cut from sheet of this thickness. */
  | { kind: 'strips'; sheet_m: number }
  /** Segments side by side in a ring, so far apart where they do not touch. */
  | { kind: 'ring'; gap_m: number }
  /** A plate, or several, that come down on spacers; plate_m: how thick they are together. */
  | { kind: 'press'; spacer_m: number; plate_kg: number; plate_m: number }
  /** A cavity, open at the top. */
  | ({ kind: 'cavity' } & Cavity)
  /** A cavity with a core in it: glass stands between the two. core_m: how thick the core is behind it. */
  | ({ kind: 'core'; core_m: number } & Cavity)
  /** A cavity filled from a reservoir above it, through a round hole of a length of plate_m. */
  | ({ kind: 'reservoir'; hole_m: number; plate_m: number } & Cavity)
  /** A grid or a pot: round holes in a floor of plate_m. collects_m: across the dam or form it runs into; left out where it runs onto an open shelf. */
  | ({ kind: 'drain'; collects_m?: number } & Holes)
  /** What is fired itself, with no glass in it or on it. */
  | ({ kind: 'ware' } & EmptyItem);

/** What glass is cast into: its thickest and its thinnest section, the wall of its mould, and the radius of the finest detail that it is to fill, m. */
export interface Cavity {
  thick_m: number;
  thin_m: number;
  wall_m: number;
  detail_m?: number;
  /** The water that fills it, kg, where that is known. */
  water_kg?: number;
  /** The form of its thickest section where that is slender; a slab where left out. */
  slender?: 'cylinder' | 'sphere';
}

/** The cavity that glass is cast into; null for all other forms. */
export const cavityOf = (shaping: Shaping | undefined): Extract<Shaping, Cavity> | null => (shaping && 'thick_m' in shaping ? shaping : null);

/** What is fired with no glass; null where a form is for glass. */
export const emptyItemOf = (shaping: Shaping | undefined): Extract<Shaping, EmptyItem> | null => (shaping?.kind === 'ware' ? shaping : null);

/** What bends glass, and can have done so half-way already. */
export type Bending = Extract<Shaping, { down_m?: number }>;
export const isBending = (shaping: Shaping | undefined): shaping is Bending => shaping?.kind === 'hollow' || shaping?.kind === 'former';

/** How far a shaping brings the glass down, m; null for those that are no bending. */
export const shapingDown = (shaping: Shaping | undefined): number | null =>
  isBending(shaping) ? (shaping.kind === 'hollow' ? shaping.depth_m : shaping.drop_m) : null;

export type Hollow = Extract<Shaping, { kind: 'hollow' }>;

const HALF = 0.5;

/** Height of a bowl's wall above its floor where it is width_m wide, m; its depth at the rim. */
export function bowlHeight({ span_m, depth_m }: Pick<Hollow, 'span_m' | 'depth_m'>, width_m: number): number {
  if (width_m >= span_m) return depth_m;
  const radius_m = ((HALF * span_m) ** 2 + depth_m ** 2) / (2 * depth_m);
  // Deeper than half its span, a bowl is widest under its rim: a blank wider than the rim's circle is held there.
  return radius_m - Math.sqrt(Math.max(radius_m ** 2 - (HALF * width_m) ** 2, 0));
}

/** Which side of a blank lies across an opening, m: its shorter one; in a trough the one that is not laid along it, as near as its sides allow. */
export function sideAcross({ plan, along_m }: Pick<Opening, 'plan' | 'along_m'>, footprint: Footprint): number {
  const [narrow_m, far_m] = sidesOf(footprint);
  if (plan !== 'trough' || along_m === undefined) return narrow_m;
  return Math.abs(narrow_m - along_m) < Math.abs(far_m - along_m) ? far_m : narrow_m;
}

/** The hollow that a blank really spans: its own width, and the depth that is left under it, where it is smaller than the mould. */
export function spanned(hollow: Hollow, footprint: Footprint): Hollow {
  const width_m = sideAcross(hollow, footprint);
  if (width_m >= hollow.span_m) return hollow;
  return { ...hollow, ...narrowed(hollow, width_m), depth_m: bowlHeight(hollow, width_m) };
}

/** What a piece would sink into where its own rim alone is held. */
export function openingUnder(footprint: Footprint): Opening {
  const [span_m, along_m] = sidesOf(footprint);
  if (footprint.shape === 'rectangle') return { plan: 'rectangle', span_m, along_m };
  return footprint.shape === 'oval' ? { plan: 'oval', span_m, along_m } : { span_m };
}
