/**
 * Glass that fills the corners of what it is cast into. Its own skin bridges a corner with a radius R and holds γ/R against the ρgh that
 * presses it in; what gives way is viscous: dR/dW = −(ρghR − γ)/4, W the heat work (the shrinking of a void in a melt, Mackenzie and
 * Shuttleworth 1949, Proc. Phys. Soc. B 62, 833, with one curvature, as along a groove). So R falls to γ/(ρgh) and no further.
 */
import type { GlassConstants } from '../glass/constants';
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';

const pressure = ({ density_kg_m3 }: GlassConstants, head_m: number): number => density_kg_m3 * STANDARD_GRAVITY_m_s2 * head_m;

/** The finest radius, m, that a head of glass fills, however long it is hot. */
export const finestDetail = (glass: GlassConstants, head_m: number): number => glass.surfaceTension_N_m / pressure(glass, head_m);

/** Radius, m, that corners are filled to after some heat work; open_m: what they are bridged with at first, such as a grain. */
export function detailAfter(glass: GlassConstants, head_m: number, open_m: number, work_perPa: number): number {
  const least_m = finestDetail(glass, head_m);
  return least_m + Math.max(0, open_m - least_m) * Math.exp((-pressure(glass, head_m) * work_perPa) / 4);
}

/** Heat work, 1/Pa, after which corners are filled to a radius: the inverse of detailAfter; infinite where they never are. */
export function workToFill(glass: GlassConstants, head_m: number, open_m: number, detail_m: number): number {
  const least_m = finestDetail(glass, head_m);
  if (detail_m <= least_m) return Infinity;
  return (4 / pressure(glass, head_m)) * Math.log(Math.max(1, (open_m - least_m) / (detail_m - least_m)));
}
