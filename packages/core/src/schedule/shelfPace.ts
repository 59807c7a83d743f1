/**
 * A shelf or a mould is brittle too, and a large one cracks before the frit on it does. Shelf makers ask for rates that fall with
 * the size: some 280 °C/h for 300 mm and 130 for half a metre and more, which is as the power 1.5; small tiles go as fast as a
 * kiln. A typical figure: the maker's own stands above it.
 */
import type { Limits } from './limits';
import type { Pace, SetUp } from './setups';

/** The length that the limit is told for, m. */
export const SHELF_REFERENCE_M = 0.3;
const POWER = 1.5;
/** Larger ones come in parts, or are as slow as this, m. */
const LARGE_M = 0.5;

/** Past this a shelf bears what the kiln can give, °C. */
export const SHELF_PAST_C = 500;

/** How fast what the glass lies on may be warmed, °C/h; size_m: its longer side. No limit in what was made before there was one. */
export const shelfPace = ({ shelf_C_per_h = Infinity }: Pick<Limits, 'shelf_C_per_h'>, size_m: number): number =>
  shelf_C_per_h * (SHELF_REFERENCE_M / Math.min(size_m, LARGE_M)) ** POWER;

/** How fast all that holds the glass may be warmed, °C/h, and past where it bears what the kiln can give: the slower of shelf and mould. */
export function standPace({ limits, shelf_m, setup: { pace } }: Standing): StandPace<'shelfPace' | 'mouldPace'> {
  const shelf = { limit: 'shelfPace', C_per_h: shelfPace(limits, shelf_m), past_C: SHELF_PAST_C } as const;
  return pace && pace.C_per_h < shelf.C_per_h ? { limit: 'mouldPace', ...pace } : shelf;
}

interface StandPace<L extends 'shelfPace' | 'mouldPace' | 'coatPace'> extends Pace {
  limit: L;
}

/** What is left of a way on which a pace counts is too short to be judged, K. */
export const LEAST_WAY_K = 60;

interface Standing {
  limits: Limits;
  shelf_m: number;
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
