/**
 * A shelf or a mould is brittle too, and a large one cracks before the frit on it does. One rule for it, dried by itself or with glass on
 * it. Shelf makers ask for rates that fall with the size: some 280 °C/h for 300 mm and 130 for half a metre and more, which is as the power
 * 1.5; small tiles go as fast as a kiln. That is for 16 mm of cordierite: a thicker one goes as much slower as it is thicker, as walls
 * do, and another material by how it evens out over how it swells. Typical: the maker's own stands above it.
 */
import type { Limits } from './limits';
import { type Pace, SHELF_M, type SetUp, type Stand } from './setups';

/** The length that the limit is told for, m. */
export const SHELF_REFERENCE_M = 0.3;
const POWER = 1.5;
/** Larger ones come in parts, or are as slow as this, m. */
const LARGE_M = 0.5;
/** Thinner ones are warmed no faster than so many times what the usual one is. */
const THIN_AT_MOST = 1.5;

/** Past this a shelf bears what the kiln can give, °C. */
export const SHELF_PAST_C = 500;

/** How fast what all lies on may be warmed, °C/h. No limit in what was made before there was one, nor for what does not crack of it. */
export function shelfPace({ shelf_C_per_h = Infinity }: Pick<Limits, 'shelf_C_per_h'>, { long_m, thick_m, bears = Infinity }: Stand): number {
  const bySize = shelf_C_per_h * (SHELF_REFERENCE_M / Math.min(long_m, LARGE_M)) ** POWER;
  return bySize * Math.min(THIN_AT_MOST, SHELF_M / thick_m) * bears;
}

/** How fast all that holds the glass may be warmed, °C/h, and past where it bears what the kiln can give: the slower of shelf and mould. */
export function standPace({ limits, stand, setup: { pace } }: Standing): StandPace<'shelfPace' | 'mouldPace'> {
  const shelf = { limit: 'shelfPace', C_per_h: shelfPace(limits, stand), past_C: SHELF_PAST_C } as const;
  return pace && pace.C_per_h < shelf.C_per_h ? { limit: 'mouldPace', ...pace } : shelf;
}

interface StandPace<L extends 'shelfPace' | 'mouldPace' | 'coatPace'> extends Pace {
  limit: L;
}

/** What is left of a way on which a pace counts is too short to be judged, K. */
export const LEAST_WAY_K = 60;

interface Standing {
  limits: Limits;
  stand: Stand;
  setup: SetUp;
}

/** Each pace that counts on a way up from here: that of shelf or mould, and that of the coat. */
export function pacesFrom(standing: Standing, from_C: number): StandPace<'shelfPace' | 'mouldPace' | 'coatPace'>[] {
  const { coat } = standing.setup;
  const all = [standPace(standing), ...(coat?.pace ? [{ limit: 'coatPace', ...coat.pace } as const] : [])];
  return all.filter(({ past_C }) => past_C - from_C > LEAST_WAY_K);
}

/** Hottest that shelf, mould and coat bear, °C. */
export const hottestBorne_C = ({ top_C = Infinity, coat }: SetUp): number => Math.min(top_C, coat?.top_C ?? Infinity);
