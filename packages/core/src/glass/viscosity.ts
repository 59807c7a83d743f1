/**
 * Viscosity of glass by Vogel, Fulcher and Tammann: log10 η = A + B/(T − T0), η in Pa·s, T in °C.
 * Sources: Vogel 1921 (Phys. Z. 22, 645), Fulcher 1925 (J. Am. Ceram. Soc. 8, 339), Tammann and Hesse 1926.
 * Valid for equilibrium glass from the strain point up; below it the structure is frozen and glass is softer
 * than this says.
 */
import type { GlassConstants } from './constants';

export interface Vft {
  A: number;
  /** K. */
  B: number;
  /** °C. */
  T0: number;
}

/** log10 of the viscosity in Pa·s that defines each reference temperature. */
export const LOG_VISCOSITY = {
  strain: 13.5,
  annealing: 12,
  softening: 6.6,
} as const;

/** High-temperature limit of log10 η that soda-lime glasses share; a third measured point would settle it. */
export const SODA_LIME_A = -2.6;

/** The curve through the annealing and softening points with A given. */
export function vftThrough(annealing_C: number, softening_C: number, A = SODA_LIME_A): Vft {
  const atAnnealing = LOG_VISCOSITY.annealing - A;
  const atSoftening = LOG_VISCOSITY.softening - A;
  const T0 = (atAnnealing * annealing_C - atSoftening * softening_C) / (atAnnealing - atSoftening);
  return { A, B: atAnnealing * (annealing_C - T0), T0 };
}

export const viscosityOf = (glass: GlassConstants): Vft => vftThrough(glass.annealing_C, glass.softening_C);

/** log10 of η in Pa·s; infinite at and below T0, where the formula has no meaning but glass is rigid. */
export const logViscosity = ({ A, B, T0 }: Vft, temperature_C: number): number => (temperature_C <= T0 ? Infinity : A + B / (temperature_C - T0));

/** Fluidity 1/η, 1/(Pa·s); zero at and below T0. */
export const fluidity = ({ A, B, T0 }: Vft, temperature_C: number): number => (temperature_C <= T0 ? 0 : Math.exp(-Math.LN10 * (A + B / (temperature_C - T0))));

/** °C at which log10 η has the given value, which must exceed A. */
export const temperatureAt = ({ A, B, T0 }: Vft, logEta: number): number => T0 + B / (logEta - A);
