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

/** Fastest rate, K/s, that keeps through plus across under difference_K. */
export const rateWithin = (difference_K: number, through_s: number, across_s: number): number => difference_K / (through_s + across_s);

/** Slowest time constant of a slab evening out by itself, s. */
export const equalisingTime = (glass: GlassConstants, depth_m: number, openFaces: OpenFaces): number =>
  (depth_m ** 2 * (openFaces === 2 ? 1 : 4)) / (Math.PI ** 2 * diffusivity(glass));
