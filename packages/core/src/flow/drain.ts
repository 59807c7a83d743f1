/**
 * Glass that runs out of a pot or through a grid. Each hole passes what throughHole tells for its head, which falls as the pot
 * empties: a filled hole adds its own length to it. What hangs below a hole holds glass back by its skin, so that only what stands
 * over that head runs: Q = c·(H − H₀) with H = V/A + b, which dies away as exp(−cW/A), W the heat work. Below H₀ nothing runs.
 */
import type { GlassConstants } from '../glass/constants';
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import { throughHole } from './spread';

export interface Holes {
  holes: number;
  /** Across one of them, m. */
  hole_m: number;
  /** Thickness of what they go through, m. */
  plate_m: number;
}

export interface Filling {
  volume_m3: number;
  /** Inside area of what holds it, m². */
  area_m2: number;
}

/** Volume, m³, for each metre of head and 1/Pa of heat work. */
const conductance = (glass: GlassConstants, { holes, hole_m, plate_m }: Holes): number =>
  holes * throughHole(glass, { radius_m: hole_m / 2, plate_m, head_m: 1 }, 1);

/** Heat work, 1/Pa, after which a share of the filling, 0 to under 1, has run out; Infinity where it never does. */
export function workToDrain(glass: GlassConstants, { volume_m3, area_m2 }: Filling, through: Holes, share: number): number {
  const full_m = volume_m3 / area_m2;
  const spare_m = through.plate_m - heldHead(glass, through.hole_m);
  if (share >= mostDrained(glass, { volume_m3, area_m2 }, through)) return Infinity;
  return (area_m2 / conductance(glass, through)) * Math.log((full_m + spare_m) / ((1 - share) * full_m + spare_m));
}

/** Share of the filling that can ever run out, 0 to 1: what is left is held back by the holes' own skin. */
export function mostDrained(glass: GlassConstants, { volume_m3, area_m2 }: Filling, { hole_m, plate_m }: Holes): number {
  const full_m = volume_m3 / area_m2;
  return Math.min(1, Math.max(0, (full_m + plate_m - heldHead(glass, hole_m)) / full_m));
}

/** Share of the filling that has run out after some heat work: the inverse of workToDrain, no more than can. */
export function drainedShare(glass: GlassConstants, { volume_m3, area_m2 }: Filling, through: Holes, work_perPa: number): number {
  const full_m = volume_m3 / area_m2;
  const gone = -Math.expm1((-work_perPa * conductance(glass, through)) / area_m2);
  const drives_m = Math.max(0, full_m + through.plate_m - heldHead(glass, through.hole_m));
  return Math.min(1, (gone * drives_m) / full_m);
}

/** The drop that hangs below a hole reaches this share of its radius down, and adds so much to the head. */
const DROP_SHARE = 0.6;
/** From this many capillary lengths of radius on no drop can hang: the hole holds nothing. */
const OPEN_FROM = 2.4;

/** Half of how wide a hole must be to hold nothing back, m. */
export const openRadius = ({ surfaceTension_N_m, density_kg_m3 }: GlassConstants): number =>
  OPEN_FROM * Math.sqrt(surfaceTension_N_m / (density_kg_m3 * STANDARD_GRAVITY_m_s2));

/** Head, m, under which surface tension holds glass back in a round hole: 2γ/(ρg r), less the drop's own height; 0 for a wide one. */
export function heldHead(glass: GlassConstants, hole_m: number): number {
  const radius_m = hole_m / 2;
  if (radius_m >= openRadius(glass)) return 0;
  const { surfaceTension_N_m, density_kg_m3 } = glass;
  return Math.max(0, (2 * surfaceTension_N_m) / (density_kg_m3 * STANDARD_GRAVITY_m_s2 * radius_m) - DROP_SHARE * radius_m);
}
