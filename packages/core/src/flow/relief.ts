/**
 * How relief levels: a ripple of wave number k on a layer of depth h dies away as exp(−W·rate), W the heat work,
 * rate = (ρg/k + γk)/2 · F(kh). F is Orchard's (1962, Appl. Sci. Res. A 11, 451) for a base that grips,
 * (sinh 2x − 2x)/(cosh 2x + 1 + 2x²), and (cosh 2x − 1)/(sinh 2x + 2x) for one that slides freely. A primed shelf lies
 * between: the geometric mean is taken. Small slopes only: for steep edges see STEEP_EDGES.
 */
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import type { GlassConstants } from '../glass/constants';

export type Base = 'grips' | 'slides' | 'between';

function baseFactor(x: number, base: Base): number {
  if (base === 'between') return Math.sqrt(baseFactor(x, 'grips') * baseFactor(x, 'slides'));
  // Beyond this the base is too deep to matter and the hyperbolic functions overflow.
  if (x > 20) return 1;
  if (base === 'slides') return (Math.cosh(2 * x) - 1) / (Math.sinh(2 * x) + 2 * x);
  // sinh 2x − 2x loses its digits for thin layers; its series does not.
  const rise = x < 0.05 ? (4 * x ** 3) / 3 + (4 * x ** 5) / 15 : Math.sinh(2 * x) - 2 * x;
  return rise / (Math.cosh(2 * x) + 1 + 2 * x * x);
}

/** Pa: times heat work, 1/Pa, it is the exponent. width_m is that of one part, half a wave; depth_m that of the whole. */
export function reliefRate(glass: GlassConstants, width_m: number, depth_m: number, base: Base = 'between'): number {
  const k = Math.PI / width_m;
  const drive = (glass.density_kg_m3 * STANDARD_GRAVITY_m_s2) / k + glass.surfaceTension_N_m * k;
  return (drive / 2) * baseFactor(k * depth_m, base);
}

/**
 * Times faster than the theory that real relief levels, whose edges are steep. Calibrated on parts of 3 mm, 25 mm wide, on two
 * sheets of 3 mm: a contour fuse leaves half of their height, which makes a tack leave three quarters and a full fuse a seventh.
 */
export const STEEP_EDGES = 1.5;

/** As reliefRate, for relief as it is laid rather than for ripples. */
export const levellingRate = (glass: GlassConstants, width_m: number, depth_m: number): number => STEEP_EDGES * reliefRate(glass, width_m, depth_m);

/** Share of the height of laid parts that is left after some heat work. */
export const heightLeft = (glass: GlassConstants, width_m: number, depth_m: number, work_perPa: number): number =>
  Math.exp(-work_perPa * levellingRate(glass, width_m, depth_m));

/** Share of the relief of small slopes that is left, 1 before any work. */
export const reliefLeft = (glass: GlassConstants, width_m: number, depth_m: number, work_perPa: number, base: Base = 'between'): number =>
  Math.exp(-work_perPa * reliefRate(glass, width_m, depth_m, base));

/** How far an edge has rounded: W·γ over its size, of order one when a sheet's edge has become a half circle. */
export const edgeRounding = (glass: GlassConstants, edge_m: number, work_perPa: number): number => (work_perPa * glass.surfaceTension_N_m) / edge_m;
