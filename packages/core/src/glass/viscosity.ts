/**
 * Viscosity of glass by Vogel, Fulcher and Tammann: log10 η = A + B/(T − T0), η in Pa·s, T in °C.
 * Sources: Vogel 1921 (Phys. Z. 22, 645), Fulcher 1925 (J. Am. Ceram. Soc. 8, 339), Tammann and Hesse 1926.
 * Valid for equilibrium glass from the strain point up; below it the structure is frozen and glass is softer
 * than this says.
 *
 * Annealing and softening point leave A open. A third point in the fluid range settles it. A strain point lies too
 * near the annealing point for that: one degree of its error moves A by nearly one, so it only leans on A's usual value.
 */
import { decay } from '../numerics/decay';
import { KELVIN_AT_0_C } from '../units/physical';
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

/** High-temperature limit of log10 η that soda-lime glasses share, and how far single glasses stray from it. */
export const SODA_LIME_A = -2.6;
const A_STRAYS = 0.5;
/** Makers' strain points are told to about this, K. */
const STRAIN_POINT_ERROR_K = 5;
/** A third point at or below this log10 η settles A. */
export const FLUID_POINT_LOG_ETA_AT_MOST = 4;
/** Beyond these no silicate melt lies: such a third point contradicts the other two. */
export const A_RANGE = { least: -6, most: 0 } as const;

/** The curve through the annealing and softening points with A given. */
export function vftThrough(annealing_C: number, softening_C: number, A = SODA_LIME_A): Vft {
  const atAnnealing = LOG_VISCOSITY.annealing - A;
  const atSoftening = LOG_VISCOSITY.softening - A;
  const T0 = (atAnnealing * annealing_C - atSoftening * softening_C) / (atAnnealing - atSoftening);
  return { A, B: atAnnealing * (annealing_C - T0), T0 };
}

/** The curve through three points, T0 being the root of a linear equation. */
function vftThroughThree(annealing_C: number, softening_C: number, fluid: { temperature_C: number; logEta: number }): Vft {
  const first = (LOG_VISCOSITY.annealing - LOG_VISCOSITY.softening) / (softening_C - annealing_C);
  const second = (LOG_VISCOSITY.softening - fluid.logEta) / (fluid.temperature_C - softening_C);
  const T0 = (first * annealing_C - second * fluid.temperature_C) / (first - second);
  const B = first * (annealing_C - T0) * (softening_C - T0);
  return { A: LOG_VISCOSITY.softening - B / (softening_C - T0), B, T0 };
}

/** The A that a strain point and the usual value agree on, each by its own uncertainty (two Newton steps suffice). */
function leaningA(annealing_C: number, softening_C: number, strain_C: number): number {
  let A = SODA_LIME_A;
  for (let round = 0; round < 2; round += 1) {
    const curve = vftThrough(annealing_C, softening_C, A);
    const miss = LOG_VISCOSITY.strain - logViscosity(curve, strain_C);
    const slope = (logViscosity(vftThrough(annealing_C, softening_C, A + 0.01), strain_C) - logViscosity(curve, strain_C)) / 0.01;
    const error = (STRAIN_POINT_ERROR_K * curve.B) / (strain_C - curve.T0) ** 2;
    const pull = (slope * miss) / error ** 2 + (SODA_LIME_A - A) / A_STRAYS ** 2;
    A += pull / (slope ** 2 / error ** 2 + 1 / A_STRAYS ** 2);
  }
  return Math.min(Math.max(A, A_RANGE.least), A_RANGE.most);
}

/** The curve of a glass from all the points known of it. */
export function viscosityOf({ annealing_C, softening_C, fluidPoint, strain_C }: GlassConstants): Vft {
  if (fluidPoint) return vftThroughThree(annealing_C, softening_C, fluidPoint);
  if (strain_C !== undefined) return vftThrough(annealing_C, softening_C, leaningA(annealing_C, softening_C, strain_C));
  return vftThrough(annealing_C, softening_C);
}

/** Whether a curve is one that glass can have: falling, with A in the range of silicate melts. */
export const isPlausible = ({ A, B }: Vft): boolean => B > 0 && A >= A_RANGE.least && A <= A_RANGE.most;

/** log10 of η in Pa·s; infinite at and below T0, where the formula has no meaning but glass is rigid. */
export const logViscosity = ({ A, B, T0 }: Vft, temperature_C: number): number => (temperature_C <= T0 ? Infinity : A + B / (temperature_C - T0));

/** Slope of ln η over 1/T at a temperature, K: the activation that the curve itself has there. */
export const slopeOf = ({ B, T0 }: Vft, temperature_C: number): number => (Math.LN10 * B * (temperature_C + KELVIN_AT_0_C) ** 2) / (temperature_C - T0) ** 2;

/** Fluidity 1/η, 1/(Pa·s); zero at and below T0. */
export const fluidity = ({ A, B, T0 }: Vft, temperature_C: number): number => (temperature_C <= T0 ? 0 : decay(Math.LN10 * (A + B / (temperature_C - T0))));

/** °C at which log10 η has the given value, which must exceed A. */
export const temperatureAt = ({ A, B, T0 }: Vft, logEta: number): number => T0 + B / (logEta - A);
