/**
 * Heat work W = ∫dt/η, 1/Pa: what hot glass has done, ramps included. Two firings of equal W look alike. Edges
 * round by S = W·γ/r (Frenkel 1945, J. Phys. USSR 9, 385, for the scale), so the work a look needs grows with
 * the sheet's thickness and falls with surface tension.
 */
import { type Vft, logViscosity } from '../glass/viscosity';

export interface WorkRange {
  /** 1/Pa. */
  least: number;
  most: number;
}

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
