/**
 * Heat work W = ∫dt/η, 1/Pa: what hot glass has done, ramps included. Two firings of equal W look alike. Edges
 * round by S = W·γ/r (Frenkel 1945, J. Phys. USSR 9, 385, for the scale), so the work a look needs grows with
 * the sheet's thickness and falls with surface tension.
 */
import type { GlassConstants } from '../glass/constants';
import { type Vft, logViscosity } from '../glass/viscosity';

export interface WorkRange {
  /** 1/Pa. */
  least: number;
  most: number;
}

/** The reference body: 3 mm sheets of γ 0.30 N/m. */
const REFERENCE_SHEET_M = 0.003;
const REFERENCE_TENSION_N_m = 0.3;
/**
 * Calibrated so that the range holds what practice fires soft sheet 90 at, from 790 °C for 8 min to 820 °C for 8 min
 * or 790 °C for 25 min. A climb at 300 °C/h and the drop from it do as much work as eleven more minutes of hold; that
 * share is in these figures.
 */
export const FULL_FUSE_WORK: WorkRange = { least: 1.6e-2, most: 4.6e-2 };

/** The work that a full fuse needs for a body whose thickest sheet is sheet_m. */
export function fullFuseWork(glass: GlassConstants, sheet_m: number, reference = FULL_FUSE_WORK): WorkRange {
  const scale = (sheet_m / REFERENCE_SHEET_M) * (REFERENCE_TENSION_N_m / glass.surfaceTension_N_m);
  return { least: reference.least * scale, most: reference.most * scale };
}

/** The middle of a range on the scale that counts, which is logarithmic. */
export const middleWork = ({ least, most }: WorkRange): number => Math.sqrt(least * most);

/** log10 of the viscosity at which a hold of hold_s does the given work. */
export const logViscosityFor = (work_perPa: number, hold_s: number): number => Math.log10(hold_s / work_perPa);

/**
 * The hold, s, that the climb to temperature_C and the cooling from it are worth: fluidity falls by e every
 * (T − T0)²/(B ln 10) degrees, so each ramp is worth that many degrees over its rate, K/s.
 */
export const rampsWorth = ({ B, T0 }: Vft, temperature_C: number, up_K_per_s: number, down_K_per_s: number): number =>
  (1 / up_K_per_s + 1 / down_K_per_s) * efold({ B, T0 }, temperature_C);

/** Degrees over which fluidity grows by a factor of e near temperature_C, K. */
export const efold = ({ B, T0 }: Pick<Vft, 'B' | 'T0'>, temperature_C: number): number => (temperature_C - T0) ** 2 / (B * Math.LN10);

/** The hold, s, at another temperature that does the same work: t2 = t1·η(T2)/η(T1). */
export const equalHold = (vft: Vft, hold_s: number, from_C: number, to_C: number): number =>
  hold_s * 10 ** (logViscosity(vft, to_C) - logViscosity(vft, from_C));
