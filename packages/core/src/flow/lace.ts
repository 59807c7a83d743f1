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
  /** Share of the outline that is bare. */
  open: number;
  /** How wide a hole is on average, m: the free way along a line, 1/(N·D) for N drops of D on each m². */
  hole_m: number;
  /** islands: fewer grains than hold together; film: closed but for pinholes. */
  as: 'islands' | 'lace' | 'film';
}

const ISLANDS_FROM = 0.55;
const FILM_BELOW = 0.05;

export function laceAfter(glass: GlassConstants, { perArea_kg_m2, grain_m }: Strewn, work_perPa: number): Lace {
  const drop_m = grain_m + COARSENS * glass.surfaceTension_N_m * work_perPa;
  const film_m = perArea_kg_m2 / glass.density_kg_m3;
  // No drop covers less for its mass than a puddle at rest.
  const lying = Math.max((LYING * film_m) / drop_m, film_m / naturalDepth(glass));
  const open = Math.exp(-lying);
  return { open, hole_m: (Math.PI * drop_m) / (4 * lying), as: open > ISLANDS_FROM ? 'islands' : open < FILM_BELOW ? 'film' : 'lace' };
}
