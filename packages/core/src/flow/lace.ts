/**
 * Grains strewn one by one cover a shelf at random: of grains that lie on their flat sides and have an area s for each unit of
 * shelf, 1 − exp(−s) is covered (a Boolean model; Matheron 1975), s = 2m/(ρD) with the mass m per area and the grain D. Hot, they
 * run together into fewer and coarser drops, each of which covers less for its mass: D grows in proportion to γW, W the heat work,
 * until they stand as deep as hot glass rests. How fast is a typical figure, the rest of it counting; no two hands strew alike.
 */
import { naturalDepth } from '../body/body';
import type { GlassConstants } from '../glass/constants';

/** Broken grains lie flat: so many times the mass over ρD, where spheres have 1.5. */
const LYING = 2;
/** Growth of a drop for each metre of γW: leaves lace of 2 mm grains at full heat about as open as it is known to come out. */
const COARSENS = 0.05;

export interface Strewn {
  perArea_kg_m2: number;
  grain_m: number;
}

export interface Lace {
  /** Across a drop, m, and how much of the outline drops would cover if none lay over another. */
  drop_m: number;
  lying: number;
  /** Share of the outline that is bare. */
  open: number;
  /** How wide a hole is on average, m: the free way along a line, 1/(N·D) for N drops of D on each m². */
  hole_m: number;
  /** islands: fewer grains than hold together; film: closed but for pinholes. */
  as: 'islands' | 'lace' | 'film';
}

/** Bare shares: with more of it grains lie apart in islands, with less they close to a film but for pinholes. */
export const ISLANDS_FROM = 0.55;
export const FILM_BELOW = 0.05;

export function laceAfter(glass: GlassConstants, { perArea_kg_m2, grain_m }: Strewn, work_perPa: number): Lace {
  const drop_m = dropAfter(glass, grain_m, work_perPa);
  const lying = (perArea_kg_m2 / glass.density_kg_m3) * lyingPerDepth(glass, drop_m);
  const open = Math.exp(-lying);
  return { drop_m, lying, open, hole_m: (Math.PI * drop_m) / (4 * lying), as: open > ISLANDS_FROM ? 'islands' : open < FILM_BELOW ? 'film' : 'lace' };
}

const dropAfter = (glass: GlassConstants, grain_m: number, work_perPa: number): number => grain_m + COARSENS * glass.surfaceTension_N_m * work_perPa;

/** No drop covers less for its mass than a puddle at rest. */
const lyingPerDepth = (glass: GlassConstants, drop_m: number): number => Math.max(LYING / drop_m, 1 / naturalDepth(glass));

/** The mass per area, kg/m², that leaves so much of the outline bare: the inverse of laceAfter. */
export const strewnFor = (glass: GlassConstants, grain_m: number, work_perPa: number, open: number): number =>
  (-Math.log(open) * glass.density_kg_m3) / lyingPerDepth(glass, dropAfter(glass, grain_m, work_perPa));
