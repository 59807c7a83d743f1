/**
 * A sheet that sinks under its own weight. Viscous bending is elastic bending with the rate in place of the strain
 * (Trouton; Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells, for the elastic cases), so shapes are
 * functions of the heat work W alone.
 *
 * Into a hollow: the middle of a supported disc of radius a goes down at 0.17·ρ·g·a⁴/(η·L²). Once it is deeper than it
 * is thick it must stretch as well: the rate is divided by 1 + c·(w/L)². With a rim that slides inwards c is 0.25 to 0.5;
 * the plate formula alone would say 30 to 75 °C too little. It ends at the mould.
 *
 * Over a former: a straight edge that stands out by l goes down at its tip at 0.375·ρ·g·l⁴/(η·L²), while it is steep
 * nowhere. A round blank over a small former cannot stay round: it has too much rim and folds in lobes.
 */
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import type { GlassConstants } from '../glass/constants';

const SUPPORTED_DISC = 0.17;
const STRAIGHT_OVERHANG = 0.375;
/** Towards the end of the range for a rim that slides: it drags on primer. */
export const STRETCHING = 0.45;

/** Pa·m: the sinking of the middle per heat work while it is flat. */
const discDrive = (glass: GlassConstants, radius_m: number, sheet_m: number): number =>
  (SUPPORTED_DISC * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * radius_m ** 4) / sheet_m ** 2;

/** Heat work, 1/Pa, after which the middle of a sheet over a hollow of the given radius is drop_m down. */
export const workToSag = (glass: GlassConstants, radius_m: number, sheet_m: number, drop_m: number, stretching = STRETCHING): number =>
  (drop_m + (stretching * drop_m ** 3) / (3 * sheet_m ** 2)) / discDrive(glass, radius_m, sheet_m);

/** How far down the middle is after some heat work, m, and no further than the mould: the inverse of workToSag. */
export function sagAfter(glass: GlassConstants, radius_m: number, sheet_m: number, work_perPa: number, mould_m = Infinity, stretching = STRETCHING): number {
  // w + p·w³ = q has one real root; Cardano's form for it keeps its digits when p is small.
  const q = work_perPa * discDrive(glass, radius_m, sheet_m);
  const p = stretching / (3 * sheet_m ** 2);
  if (p === 0) return Math.min(q, mould_m);
  const s = Math.sqrt(1 / (3 * p));
  const w = 2 * s * Math.sinh(Math.asinh((3 * q) / (2 * s)) / 3);
  return Math.min(w, mould_m);
}

/** Heat work, 1/Pa, after which a straight edge that stands out by overhang_m has its tip drop_m down. */
export const workToDrape = (glass: GlassConstants, overhang_m: number, sheet_m: number, drop_m: number): number =>
  (drop_m * sheet_m ** 2) / (STRAIGHT_OVERHANG * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * overhang_m ** 4);

/** How far down the tip is after some heat work, m; it cannot hang lower than it is long. */
export const drapeAfter = (glass: GlassConstants, overhang_m: number, sheet_m: number, work_perPa: number): number =>
  Math.min(work_perPa / workToDrape(glass, overhang_m, sheet_m, 1), overhang_m);

/** Share of its rim that a disc of the given radius has too much once it hangs down from a former: 0 where they are equal. */
export const rimToSpare = (disc_m: number, former_m: number): number => Math.max(0, 1 - former_m / disc_m);

/** How far an edge may stand out, m, for its tip to come down no more than drop_m in some heat work: workToDrape the other way round. */
export const overhangThatHolds = (glass: GlassConstants, sheet_m: number, drop_m: number, work_perPa: number): number =>
  ((drop_m * sheet_m ** 2) / (STRAIGHT_OVERHANG * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * work_perPa)) ** 0.25;
