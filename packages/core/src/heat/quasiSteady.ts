/**
 * Closed forms for a slab whose surface moves at a steady rate (Carslaw and Jaeger, Conduction of Heat in
 * Solids, 1959, ch. 3): the difference settles at R·L²/(8κ) with both faces open and R·L²/(2κ) with one.
 */
import { type GlassConstants, diffusivity } from '../glass/constants';

export type OpenFaces = 1 | 2;

/** Core-to-skin lag, s: times a rate in K/s it is the settled difference in K. */
export const slabLag = (glass: GlassConstants, depth_m: number, openFaces: OpenFaces): number =>
  depth_m ** 2 / ((openFaces === 2 ? 8 : 2) * diffusivity(glass));

/** The same for a long cylinder, R·d²/(16κ), and a sphere, R·d²/(24κ), of diameter d. */
export const solidLag = (glass: GlassConstants, diameter_m: number, shape: 'cylinder' | 'sphere'): number =>
  diameter_m ** 2 / ((shape === 'cylinder' ? 16 : 24) * diffusivity(glass));

/**
 * Top to underside, s for each K/s, of a cylinder or a sphere that takes its heat through its upper half alone: the first harmonic
 * of such a heating, a straight line from below to above. A body free to bow bears nothing of it, but for the share that is held.
 */
export const oneSidedLag = (glass: GlassConstants, diameter_m: number, shape: 'cylinder' | 'sphere'): number =>
  diameter_m ** 2 / ((shape === 'cylinder' ? Math.PI : 4) * diffusivity(glass));

/** Parts of a settled core-to-skin difference by which a body free to bow is pulled: the profile's bulge against its mean, or its straight line. */
const PULLED = { oneFace: 1 / 12, twoFaces: 1 / 3, cylinder: 1 / 2, sphere: 3 / 5 } as const;

/**
 * Tension, K of EαΔT/(1−ν), that settles for each K/s of a plate's rate: free to bow, and the held share of its straight part, which with
 * one face open is half of what crosses the glass, the heat of what lies under it (J/(m²K)) included.
 */
export function plateTensionLag(glass: GlassConstants, depth_m: number, openFaces: OpenFaces, under_J_m2K: number, heldShare: number): number {
  const lag_s = slabLag(glass, depth_m, openFaces);
  if (openFaces === 2) return PULLED.twoFaces * lag_s;
  return PULLED.oneFace * lag_s + (heldShare / 2) * (lag_s + (depth_m * under_J_m2K) / glass.conductivity_W_mK);
}

/** The same for a long cylinder or a sphere; sides_s: its oneSidedLag, 0 where heat comes from all round. */
export const solidTensionLag = (glass: GlassConstants, diameter_m: number, shape: 'cylinder' | 'sphere', sides_s: number, heldShare: number): number =>
  PULLED[shape] * solidLag(glass, diameter_m, shape) + (heldShare / 2) * sides_s;

/** Fastest rate, K/s, that keeps through plus across under difference_K. */
export const rateWithin = (difference_K: number, through_s: number, across_s: number): number => difference_K / (through_s + across_s);

/** Slowest time constant of a slab evening out by itself, s. */
export const equalisingTime = (glass: GlassConstants, depth_m: number, openFaces: OpenFaces): number =>
  (depth_m ** 2 * (openFaces === 2 ? 1 : 4)) / (Math.PI ** 2 * diffusivity(glass));

/** First roots of J₀ and of sin: the slowest mode of a long cylinder and of a sphere whose outside is held (Carslaw and Jaeger, §7.6 and §9.3). */
const SLOWEST = { cylinder: 2.404826, sphere: Math.PI } as const;

/** The same for a long cylinder or a sphere of a diameter. */
export const solidEqualisingTime = (glass: GlassConstants, diameter_m: number, shape: 'cylinder' | 'sphere'): number =>
  (diameter_m / 2 / SLOWEST[shape]) ** 2 / diffusivity(glass);
