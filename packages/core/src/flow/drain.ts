/**
 * Glass that runs out of a pot or through a grid. Each hole passes what throughHole tells for its head, which falls as the pot
 * empties: a filled hole adds its own length to it. Q = c·H with H = V/A + b, so H dies away as exp(−cW/A), W the heat work.
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

/** Heat work, 1/Pa, after which a share of the filling, 0 to under 1, has run out. */
export function workToDrain(glass: GlassConstants, { volume_m3, area_m2 }: Filling, through: Holes, share: number): number {
  const full_m = volume_m3 / area_m2;
  return (area_m2 / conductance(glass, through)) * Math.log((full_m + through.plate_m) / ((1 - share) * full_m + through.plate_m));
}

/** Share of the filling that has run out after some heat work: the inverse of workToDrain, no more than all. */
export function drainedShare(glass: GlassConstants, { volume_m3, area_m2 }: Filling, through: Holes, work_perPa: number): number {
  const full_m = volume_m3 / area_m2;
  const gone = -Math.expm1((-work_perPa * conductance(glass, through)) / area_m2);
  return Math.min(1, (gone * (full_m + through.plate_m)) / full_m);
}

/** Head, m, under which surface tension holds glass back in a round hole: 2γ/(ρg r). */
export const heldHead = ({ surfaceTension_N_m, density_kg_m3 }: GlassConstants, hole_m: number): number =>
  (4 * surfaceTension_N_m) / (density_kg_m3 * STANDARD_GRAVITY_m_s2 * hole_m);
