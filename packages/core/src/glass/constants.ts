/** What the engine needs to know of a glass. Every field is an input of the compute API. */
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
}

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
