/** What the engine needs to know of a glass. Every field is an input of the compute API. */

export type StateName = 'set' | 'anneals' | 'softens' | 'bends' | 'sticks' | 'levels' | 'runs';

/** log10 η, Pa·s, where each state begins on the way up. */
export type StateThresholds = Record<Exclude<StateName, 'set'>, number>;

export interface SpectrumTerm {
  /** Share of the whole; all weights sum to one. */
  weight: number;
  /** Time of this term over the mean time; weight times ratio sums to one. */
  ratio: number;
}

export interface RelaxationConstants {
  stress: readonly SpectrumTerm[];
  structure: readonly SpectrumTerm[];
  /** Mean time of structural relaxation over that of stress. */
  structureOverStress: number;
  /** Narayanaswamy's x: how much of the slowing is by temperature rather than structure. */
  nonLinearity: number;
  /** Activation of the glass whose structure stands still, over the gas constant, K; the viscosity curve's own slope at the annealing point where left out. */
  activation_K?: number;
}

export interface GlassConstants {
  /** Linear expansion of the solid, 1/K. */
  expansion_perK: number;
  /** Temperature at 10^12 Pa·s, °C. */
  annealing_C: number;
  /** Temperature at 10^6.6 Pa·s, °C. */
  softening_C: number;
  density_kg_m3: number;
  youngs_Pa: number;
  poisson: number;
  conductivity_W_mK: number;
  heatCapacity_J_kgK: number;
  /** Surface tension of the melt, N/m. */
  surfaceTension_N_m: number;
  /** Temperature at 10^13.5 Pa·s, °C, where the maker tells it; it bends the viscosity curve only a little. */
  strain_C?: number;
  /** A measured point at 10^4 Pa·s or thinner; with it three points settle the viscosity curve. */
  fluidPoint?: { temperature_C: number; logEta: number };
  /** Linear expansion of the melt, 1/K; three times the solid's where it is not known. */
  meltExpansion_perK?: number;
  /** Stress-optical constant C, 1/Pa; 2.7e-12 where it is not known. */
  stressOptical_perPa?: number;
  /** Mean absorption of heat radiation below 2.75 µm in the hot glass, 1/m: where it is told, thick glass conducts by radiation too. */
  absorption_perM?: number;
  /** Where it hazes: the middle of the range and its half width, by which the haze is weighted. */
  haze?: { middle_C: number; halfWidth_K: number };
  /** Seconds of haze at its worst that it bears, where that is another time than usual. */
  hazeBears_s?: number;
  /** log10 η, Pa·s, at which each state begins on the way up, where this glass departs from the convention. */
  thresholds?: Partial<StateThresholds>;
  /** Spectra and constants of relaxation; those of soda-lime glass where they are not known. */
  relaxation?: RelaxationConstants;
}

/** Melts of silicate glasses expand about three times as much as the solid. */
const MELT_OVER_SOLID = 3;
/** Of soda-lime glass, 1/Pa. */
const SODA_LIME_STRESS_OPTICAL = 2.7e-12;

export const meltExpansion = (glass: GlassConstants): number => glass.meltExpansion_perK ?? MELT_OVER_SOLID * glass.expansion_perK;

export const stressOptical = (glass: GlassConstants): number => glass.stressOptical_perPa ?? SODA_LIME_STRESS_OPTICAL;

/** Thermal diffusivity κ, m²/s. */
export const diffusivity = (glass: GlassConstants): number => glass.conductivity_W_mK / (glass.density_kg_m3 * glass.heatCapacity_J_kgK);

/**
 * Stress of a fully restrained temperature difference, Pa: EαΔT/(1−ν). A quick estimate, always named as such.
 */
export const restrainedStress = (glass: GlassConstants, difference_K: number): number =>
  (glass.youngs_Pa * glass.expansion_perK * difference_K) / (1 - glass.poisson);

/** The difference, K, whose fully restrained stress is stress_Pa. */
export const restrainedDifference = (glass: GlassConstants, stress_Pa: number): number =>
  (stress_Pa * (1 - glass.poisson)) / (glass.youngs_Pa * glass.expansion_perK);

/** Shear modulus G, Pa. */
export const shearModulus = (glass: GlassConstants): number => glass.youngs_Pa / (2 * (1 + glass.poisson));
