/**
 * Grains on an area: what they weigh, how deep they come to lie, how they look after a firing, and whether a figure is wrong by ten. As
 * a film by the model of grains strewn at random (flow/lace); above the depth at which hot glass stays where it is, as level glass.
 *
 * Powder that is wetted on paper holds on to it while it shrinks, and parts into plates like drying mud: plates are some times as
 * wide as the layer is deep (Groisman and Kaplan 1994, Europhys. Lett. 25, 415), and the gaps are what the plates shrink by. How
 * many times, by how wet it lay, is a typical figure.
 */
import { RECEDES_AT, naturalDepth } from '../body/body';
import { type Footprint, footprintArea } from '../body/footprint';
import { FILM_BELOW, ISLANDS_FROM, laceAfter, strewnFor } from '../flow/lace';
import type { GlassConstants } from '../glass/constants';
import { type Outcome, found, refused } from '../problem';

export const WETNESSES = ['dry', 'damp', 'wet', 'flooded'] as const;
export type Wetness = (typeof WETNESSES)[number];

export interface StrewnAsked {
  glass: GlassConstants;
  outline: Footprint;
  /** Of it, that stays free, m². */
  holes_m2?: number;
  /** Share of what is left that a stencil lets through. */
  open?: number;
  amount: { by: 'mass'; mass_kg: number } | { by: 'perArea'; perArea_kg_m2: number } | { by: 'film'; film_m: number };
  grain_m: number;
  /** In how many coats it goes on. */
  coats?: number;
  /** Heat work of the firing, 1/Pa; as it lies cold where left out. */
  work_perPa?: number;
  /** On paper: how wet it lay. */
  wetness?: Wetness;
}

/** dots: single grains. islands, lace, film: as grains lie at random. level: deep enough to run together to one glass. */
export type StrewnAs = 'dots' | 'islands' | 'lace' | 'film' | 'level';

export interface StrewnLook {
  as: StrewnAs;
  /** If it were spread evenly. */
  film_m: number;
  /** Bare share, and the width of a hole on average, m. */
  bare: number;
  hole_m: number;
  drop_m: number;
  lying: number;
}

export interface StrewnTold {
  /** That it lies on, m². */
  area_m2: number;
  mass_kg: number;
  perCoat_kg: number;
  perArea_kg_m2: number;
  look: StrewnLook;
  /** Where this grain, after this firing, holds together to lace, closes to a film and runs level, kg/m². */
  lacesFrom_kg_m2: number;
  closesFrom_kg_m2: number;
  levelsFrom_kg_m2: number;
  /** With a tenth of it, and ten times as much. */
  tenth: StrewnLook;
  tenfold: StrewnLook;
  /** All of it in one heap, run to a disc. */
  disc_m: number;
  /** Wetted on paper: how wide its plates and the gaps between them are, m; null where it does not crack. */
  cracks: { plate_m: number; gap_m: number } | null;
}

/** Single dots: with more than this bare hardly two grains touch. */
const DOTS_FROM = 0.9;
/** Plates over the depth of the loose layer, typical of practice: damp powder does not hold on to the paper. */
const PLATES: Record<Wetness, number | null> = { dry: null, damp: null, wet: 6, flooded: 3 };
/** Of a sifted layer of powder so much is glass. */
const SIFTED = 0.5;

export function strewnLook(glass: GlassConstants, perArea_kg_m2: number, grain_m: number, work_perPa: number): StrewnLook {
  const film_m = perArea_kg_m2 / glass.density_kg_m3;
  const { open: bare, hole_m, drop_m, lying, as } = laceAfter(glass, { perArea_kg_m2, grain_m }, work_perPa);
  const isLevel = film_m >= RECEDES_AT * naturalDepth(glass);
  return { as: isLevel ? 'level' : bare > DOTS_FROM ? 'dots' : as, film_m, bare: isLevel ? 0 : bare, hole_m, drop_m, lying };
}

function perAreaOf({ glass, amount }: StrewnAsked, area_m2: number): number {
  switch (amount.by) {
    case 'mass':
      return amount.mass_kg / area_m2;
    case 'perArea':
      return amount.perArea_kg_m2;
    case 'film':
      return amount.film_m * glass.density_kg_m3;
  }
}

export function strewn(asked: StrewnAsked): Outcome<StrewnTold> {
  const { glass, outline, holes_m2 = 0, open = 1, grain_m, coats = 1, work_perPa = 0, wetness = 'dry' } = asked;
  const whole_m2 = footprintArea(outline);
  if (holes_m2 >= whole_m2) return refused('too-much', 'holes_m2', 'The holes leave nothing of the area: check their size and their number.');
  const area_m2 = (whole_m2 - holes_m2) * open;
  const perArea_kg_m2 = perAreaOf(asked, area_m2);
  const look = (by: number): StrewnLook => strewnLook(glass, perArea_kg_m2 * by, grain_m, work_perPa);
  const at = (bare: number): number => strewnFor(glass, grain_m, work_perPa, bare);
  const mass_kg = perArea_kg_m2 * area_m2;
  const times = PLATES[wetness];
  const loose_m = perArea_kg_m2 / glass.density_kg_m3 / SIFTED;
  const plate_m = times === null ? 0 : times * loose_m;
  return found({
    ...{ area_m2, mass_kg, perCoat_kg: mass_kg / coats, perArea_kg_m2, look: look(1), tenth: look(0.1), tenfold: look(10) },
    ...{ lacesFrom_kg_m2: at(ISLANDS_FROM), closesFrom_kg_m2: at(FILM_BELOW), levelsFrom_kg_m2: RECEDES_AT * naturalDepth(glass) * glass.density_kg_m3 },
    disc_m: Math.sqrt((4 * mass_kg) / (Math.PI * glass.density_kg_m3 * naturalDepth(glass))),
    cracks: times === null ? null : { plate_m, gap_m: plate_m * (1 - Math.cbrt(SIFTED)) },
  });
}

/** A place in a patch, and how wide what lies there is; m from its corner. */
export interface Drop {
  x_m: number;
  y_m: number;
  across_m: number;
}

/** The same for the same seed (Mulberry32). */
function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Drops thrown at random on a patch, as many as lie there: together they leave as much of it bare as the look says. */
export function patchOf({ drop_m, lying }: StrewnLook, width_m: number, height_m: number, seed = 1): Drop[] {
  const random = dice(seed);
  // Those that reach in over its edge count as well.
  const [w, h] = [width_m + drop_m, height_m + drop_m];
  const count = Math.round((lying * w * h) / ((Math.PI / 4) * drop_m ** 2));
  return Array.from({ length: count }, () => ({ x_m: random() * w - drop_m / 2, y_m: random() * h - drop_m / 2, across_m: drop_m }));
}
