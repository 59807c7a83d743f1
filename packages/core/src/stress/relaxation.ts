/**
 * How glass relaxes: structure and stress, both slowed alike by temperature and by frozen structure.
 *
 * Tool 1946 and Narayanaswamy 1971 (J. Am. Ceram. Soc. 54, 491): the structure is described by a fictive temperature Tf that
 * follows T with a spectrum of times. All of them go with the viscosity: the glass's own curve at Tf, and from there to T the
 * way of a glass whose structure stands still, ln η(T, Tf) = ln η(Tf) + x·H·(1/T − 1/Tf), temperatures in K (Mazurin 1977,
 * J. Non-Cryst. Solids 25, 129, has this split). Stress relaxes by a generalised Maxwell model; its mean time is η/G.
 */
import { KELVIN_AT_0_C } from '../units/physical';
import { type GlassConstants, type RelaxationConstants, shearModulus, type SpectrumTerm } from '../glass/constants';
import { LOG_VISCOSITY, slopeOf, type Vft, viscosityOf } from '../glass/viscosity';

/**
 * Six terms for soda-lime glass (Carré and Daudeville 1999, J. Phys. IV 9, 3-175), times over their mean. The same
 * shape serves structure, whose times are nine times as long.
 */
const SODA_LIME_SPECTRUM: readonly SpectrumTerm[] = [
  { weight: 0.05523, ratio: 6.658e-5 },
  { weight: 0.08205, ratio: 1.197e-3 },
  { weight: 0.1215, ratio: 1.514e-2 },
  { weight: 0.2286, ratio: 1.672e-1 },
  { weight: 0.286, ratio: 7.497e-1 },
  { weight: 0.2265, ratio: 3.292 },
];

const SODA_LIME_RELAXATION: RelaxationConstants = {
  stress: SODA_LIME_SPECTRUM,
  structure: SODA_LIME_SPECTRUM,
  structureOverStress: 9,
  nonLinearity: 0.5,
};

/** What is known of a glass's relaxation, with its spectra scaled to a weight and a mean of one. */
export const relaxationOf = ({ relaxation = SODA_LIME_RELAXATION }: GlassConstants): RelaxationConstants => ({
  ...relaxation,
  stress: normalised(relaxation.stress),
  structure: normalised(relaxation.structure),
});

/** Scales weights to sum to one and ratios to a mean of one. */
export function normalised(terms: readonly SpectrumTerm[]): SpectrumTerm[] {
  const total = terms.reduce((sum, { weight }) => sum + weight, 0);
  const mean = terms.reduce((sum, { weight, ratio }) => sum + (weight / total) * ratio, 0);
  return terms.map(({ weight, ratio }) => ({ weight: weight / total, ratio: ratio / mean }));
}

/** x·H, K: what 1/T is multiplied with in ln η of a glass whose structure stands still. */
export function glassySlope(glass: GlassConstants, vft = viscosityOf(glass)): number {
  const { nonLinearity, activation_K = slopeOf(vft, glass.annealing_C) } = relaxationOf(glass);
  return nonLinearity * activation_K;
}

/** °C at which a glass that froze at frozen_C, structure and all, is so many decades of viscosity stiffer than there. */
export function stifferBy(decades: number, glass: GlassConstants, frozen_C: number, vft: Vft): number {
  const further = (decades * Math.LN10) / glassySlope(glass, vft);
  return 1 / (1 / (frozen_C + KELVIN_AT_0_C) + further) - KELVIN_AT_0_C;
}

/** ln of the mean stress relaxation time over what it is at the annealing point: curve_K/(Tf − T0) + glassy_K·(1/T − 1/Tf) − offset. */
export interface StressTime {
  atAnnealing_s: number;
  /** K; Tf in °C beside it. */
  curve_K: number;
  /** °C: at and below it the curve has no value, and nothing relaxes. */
  T0_C: number;
  /** Temperatures in kelvin beside it. */
  glassy_K: number;
  offset: number;
}

export function stressTimeOf(glass: GlassConstants): StressTime {
  const vft = viscosityOf(glass);
  return {
    atAnnealing_s: 10 ** LOG_VISCOSITY.annealing / shearModulus(glass),
    curve_K: Math.LN10 * vft.B,
    T0_C: vft.T0,
    glassy_K: glassySlope(glass, vft),
    offset: Math.LN10 * (LOG_VISCOSITY.annealing - vft.A),
  };
}
