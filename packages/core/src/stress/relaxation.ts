/**
 * How glass relaxes: structure and stress, both slowed alike by temperature and by frozen structure.
 *
 * Tool 1946 and Narayanaswamy 1971 (J. Am. Ceram. Soc. 54, 491): the structure is described by a fictive temperature
 * Tf that follows T with a spectrum of times, each scaled by exp(H·[x/T + (1−x)/Tf − 1/Tref]), temperatures in K.
 * Stress relaxes by a generalised Maxwell model with the same scaling; its mean time is η/G.
 */
import { KELVIN_AT_0_C } from '../units/physical';
import { type GlassConstants, type RelaxationConstants, shearModulus, type SpectrumTerm } from '../glass/constants';
import { LOG_VISCOSITY } from '../glass/viscosity';

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
  activation_K: 76000,
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

/** Mean stress relaxation time as atAnnealing·exp(byT/T + byTf/Tf − offset), temperatures in kelvin. */
export function stressTimeTerms(glass: GlassConstants, { activation_K, nonLinearity }: RelaxationConstants) {
  return {
    atAnnealing_s: 10 ** LOG_VISCOSITY.annealing / shearModulus(glass),
    byT_K: activation_K * nonLinearity,
    byTf_K: activation_K * (1 - nonLinearity),
    offset: activation_K / (glass.annealing_C + KELVIN_AT_0_C),
  };
}
