/**
 * A sheet that sinks under its own weight. Viscous bending is elastic bending with the rate in place of the strain
 * (Trouton; Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells, for the elastic cases), so shapes are
 * functions of the heat work W alone.
 *
 * Into a hollow: the middle of a sheet over an opening goes down at C·ρ·g·a⁴/(η·L²), a half the short span. C is 48 times what
 * a simply supported plate of that outline bends by. Once it is deeper than it is thick it must stretch as well: the rate is
 * divided by 1 + c·(w/L)², c with a rim that slides inwards but drags on primer. What bends one way alone, as into a long
 * trough, does not stretch. The plate formula alone would say 30 to 75 °C too little for a disc. It ends at the mould.
 *
 * Over a former: by the small-angle law of an edge held fast its tip would go down at 0.375·ρ·g·l⁴/(η·L²). A primed sheet lifts
 * off the former's top and turns freely over its edge, so that it starts about twice as fast; as it hangs ever steeper its weight
 * pulls along it and bends it ever less, and it ends short of upright. REACH has what it really takes, as multiples of the
 * small-angle law.
 */
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import type { GlassConstants } from '../glass/constants';

export const OUTLINES = ['round', 'oval', 'rectangle', 'trough', 'lobed'] as const;
/** Of an opening, from above. trough: bent one way, its ends open. lobed: as many lobes all round. */
export type Outline = (typeof OUTLINES)[number];

/** What a sheet spans. span_m: the short way; along_m: the long way, as far where left out; plan: round where left out. */
export interface Opening {
  span_m: number;
  plan?: Outline;
  along_m?: number;
  lobes?: number;
}

/** What flows keeps its volume: Poisson's ratio. */
const POISSON = 0.5;
/** C of a plate that bends by 1 q·a⁴/D, a its short span: D is ηL³/3 where it flows, and C counts half spans. */
const PER_PLATE = 48;
/** How far the middle of a strip on two edges bends, in q·a⁴/D. */
const STRIP_BENDS = 5 / 384;

/** Simply supported disc: (5 + ν)/(64·(1 + ν)) of its radius. */
const DISC = { drive: (3 * (5 + POISSON)) / (64 * (1 + POISSON)), stretching: 0.45 };
/** What sinks in one direction only. */
const ONE_WAY = { drive: PER_PLATE * STRIP_BENDS, stretching: 0 };

/** At short by long span, 1 to 0: what an oval opening takes (simply supported; a test finds the same by least energy, after Ritz). */
const OVAL: Stops = [
  [0, ONE_WAY.drive, 0],
  [1 / 3, 0.501, 0.05],
  [1 / 2, 0.407, 0.16],
  [2 / 3, 0.318, 0.3],
  [1, DISC.drive, DISC.stretching],
];
/** Of a rectangle only how much stretching brakes it: how it bends is summed. */
const RECTANGLE_STRETCHING: readonly (readonly [number, number])[] = [
  [0, 0],
  [1 / 3, 0.03],
  [1 / 2, 0.09],
  [2 / 3, 0.19],
  [1, 0.3],
];
/** Lobes, or corners, by the circle within them: five and more are a disc. */
const BY_INNER_CIRCLE: Readonly<Record<number, number>> = { 3: 0.25, 4: 0.195 };

type Stops = readonly (readonly [at: number, drive: number, stretching: number])[];

/** Between two stops in a straight line. */
function between(stops: readonly (readonly number[])[], at: number, column: number): number {
  const above = Math.max(
    1,
    stops.findIndex(([stop]) => stop >= at),
  );
  const [from, to] = [stops[above - 1], stops[above]];
  return from[column] + ((at - from[0]) / (to[0] - from[0])) * (to[column] - from[column]);
}

/** How far a simply supported rectangle bends in its middle, in q·a⁴/D with a its short span (Lévy's series; Timoshenko and Woinowsky-Krieger, art. 30). */
function rectangleBends(longByShort: number): number {
  let bends = STRIP_BENDS;
  for (let m = 1, sign = 1; m <= 7; m += 2, sign = -sign) {
    const at = (m * Math.PI * longByShort) / 2;
    bends -= (sign * (4 / Math.PI ** 5) * (at * Math.tanh(at) + 2)) / (2 * Math.cosh(at) * m ** 5);
  }
  return bends;
}

/** The same opening where a wall is narrower: as slender, but for a trough, which stays as long. */
export const narrowed = (opening: Opening, span_m: number): Opening => ({
  ...opening,
  span_m,
  ...(opening.along_m === undefined || opening.plan === 'trough' ? {} : { along_m: opening.along_m * (span_m / opening.span_m) }),
});

/** Of an opening: drive is C, stretching is c. */
export function sagConstants({ span_m, plan = 'round', along_m = span_m, lobes }: Opening): { drive: number; stretching: number } {
  const slender = Math.min(1, span_m / Math.max(along_m, 1e-9));
  switch (plan) {
    case 'round':
      return DISC;
    case 'trough':
      return ONE_WAY;
    case 'lobed':
      return { ...DISC, drive: BY_INNER_CIRCLE[lobes ?? 0] ?? DISC.drive };
    case 'oval':
      return { drive: between(OVAL, slender, 1), stretching: between(OVAL, slender, 2) };
    case 'rectangle':
      return { drive: PER_PLATE * rectangleBends(1 / slender), stretching: between(RECTANGLE_STRETCHING, slender, 1) };
  }
}

/** Pa·m: the sinking of the middle per heat work while it is flat. */
const sagDrive = (glass: GlassConstants, opening: Opening, sheet_m: number): number =>
  (sagConstants(opening).drive * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * (opening.span_m / 2) ** 4) / sheet_m ** 2;

/** Heat work, 1/Pa, after which the middle of a sheet over an opening is drop_m down. */
export const workToSag = (glass: GlassConstants, opening: Opening, sheet_m: number, drop_m: number, stretching = sagConstants(opening).stretching): number =>
  (drop_m + (stretching * drop_m ** 3) / (3 * sheet_m ** 2)) / sagDrive(glass, opening, sheet_m);

/** How far down the middle is after some heat work, m, and no further than the mould: the inverse of workToSag. */
export function sagAfter(
  glass: GlassConstants,
  opening: Opening,
  sheet_m: number,
  work_perPa: number,
  mould_m = Infinity,
  stretching = sagConstants(opening).stretching,
): number {
  // w + p·w³ = q has one real root; Cardano's form for it keeps its digits when p is small.
  const q = work_perPa * sagDrive(glass, opening, sheet_m);
  const p = stretching / (3 * sheet_m ** 2);
  if (p === 0) return Math.min(q, mould_m);
  const s = Math.sqrt(1 / (3 * p));
  const w = 2 * s * Math.sinh(Math.asinh((3 * q) / (2 * s)) / 3);
  return Math.min(w, mould_m);
}

const STRAIGHT_OVERHANG = 0.375;

/**
 * Heat work over that of the small-angle law, at drop by overhang: a viscous sheet whose bending carries its own weight and pull,
 * touching the former's top from one side (tops half as wide as 0.5 to 1.75 overhangs give 0.4 to 0.6 up to a half, 0.63 to 0.85
 * at 0.8, 1.1 to 1.2 at 0.9 and 3.5 at 0.95; these are their middles).
 */
const REACH: readonly (readonly [number, number])[] = [
  [0, 0.515],
  [0.5, 0.515],
  [0.8, 0.74],
  [0.9, 1.15],
  [0.95, 3.5],
];

/** REACH between its stops: straight on both logarithms over what is left to upright, and on as at the last. */
function reach(share: number): number {
  const above = REACH.findIndex(([stop]) => stop >= share);
  const [from, to] = above < 0 ? REACH.slice(-2) : [REACH[Math.max(above - 1, 0)], REACH[Math.max(above, 1)]];
  const left = (stop: number): number => Math.log(Math.max(1 - stop, 1e-9));
  const on = (left(share) - left(from[0])) / (left(to[0]) - left(from[0]));
  return from[1] * (to[1] / from[1]) ** on;
}

/** What a bend of the sheet over its former's edge keeps from hanging: this share of the edge's radius and half the thickness. */
const BEND_KEEPS = 0.57;

/** As far as an edge that stands out can come down over a former's edge of some radius, m: ever so hot, it hangs no lower. */
export const deepestDrape = (overhang_m: number, sheet_m: number, edge_m = 0): number => Math.max(0, overhang_m - BEND_KEEPS * (edge_m + sheet_m / 2));

/** Heat work, 1/Pa, after which a straight edge that stands out by overhang_m has its tip drop_m down; Infinity where it never gets there. */
export const workToDrape = (glass: GlassConstants, overhang_m: number, sheet_m: number, drop_m: number): number =>
  drop_m < overhang_m ? reach(drop_m / overhang_m) * drop_m * perDrop(glass, overhang_m, sheet_m) : drop_m > 0 ? Infinity : 0;

/** By the small-angle law, for each metre, 1/(Pa·m). */
const perDrop = (glass: GlassConstants, overhang_m: number, sheet_m: number): number =>
  sheet_m ** 2 / (STRAIGHT_OVERHANG * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * overhang_m ** 4);

const HALVINGS = 48;

/** How far down the tip is after some heat work, m, and never lower than it can hang: the inverse of workToDrape. */
export function drapeAfter(glass: GlassConstants, overhang_m: number, sheet_m: number, work_perPa: number): number {
  let [low, high] = [0, deepestDrape(overhang_m, sheet_m)];
  if (workToDrape(glass, overhang_m, sheet_m, high) <= work_perPa) return high;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (workToDrape(glass, overhang_m, sheet_m, middle) < work_perPa) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Share of its rim that a disc of the given radius has too much once it hangs down from a former: 0 where they are equal. */
export const rimToSpare = (disc_m: number, former_m: number): number => Math.max(0, 1 - former_m / disc_m);

/** How far an edge may stand out, m, for its tip to come down by a little in some heat work: workToDrape the other way round, while it is steep nowhere. */
export const overhangThatHolds = (glass: GlassConstants, sheet_m: number, drop_m: number, work_perPa: number): number =>
  ((REACH[0][1] * drop_m * sheet_m ** 2) / (STRAIGHT_OVERHANG * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * work_perPa)) ** 0.25;
