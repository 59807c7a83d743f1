/**
 * Typical glass families under generic names: a start for records that a studio edits. All are 'typical; check
 * your maker's sheet'. Young's modulus, Poisson's ratio, conductivity, heat capacity and surface tension are
 * soda-lime handbook values where a family has none of its own.
 */
import type { GlassConstants } from './constants';

export interface GlassFamily extends GlassConstants {
  id: string;
  name: string;
  source: string;
}

const SODA_LIME = {
  density_kg_m3: 2500,
  youngs_Pa: 70e9,
  poisson: 0.22,
  conductivity_W_mK: 1.2,
  heatCapacity_J_kgK: 1100,
  surfaceTension_N_m: 0.3,
  source: "typical; check your maker's sheet",
};

/** Glass made for casting is held for days where sheet would haze. */
const CASTING_BEARS_S = 4 * 24 * 3600;

export const TYPICAL_FAMILIES: readonly GlassFamily[] = [
  { ...SODA_LIME, id: 'soft-90', name: 'Soft sheet 90', expansion_perK: 9.0e-6, annealing_C: 515, softening_C: 680 },
  { ...SODA_LIME, id: 'soft-96', name: 'Soft sheet 96', expansion_perK: 9.6e-6, annealing_C: 508, softening_C: 665 },
  { ...SODA_LIME, id: 'soft-104', name: 'Soft rod 104', expansion_perK: 10.4e-6, annealing_C: 495, softening_C: 655 },
  { ...SODA_LIME, id: 'float', name: 'Window float', expansion_perK: 8.6e-6, annealing_C: 546, softening_C: 724 },
  {
    ...SODA_LIME,
    id: 'boro-33',
    name: 'Borosilicate 33',
    expansion_perK: 3.3e-6,
    annealing_C: 560,
    softening_C: 825,
    density_kg_m3: 2230,
    youngs_Pa: 64e9,
    poisson: 0.2,
    stressOptical_perPa: 4.0e-12,
  },
  {
    ...SODA_LIME,
    id: 'casting-crystal',
    name: 'Casting crystal, lead-free',
    expansion_perK: 10.0e-6,
    annealing_C: 485,
    softening_C: 655,
    density_kg_m3: 2520,
    hazeBears_s: CASTING_BEARS_S,
  },
  {
    ...SODA_LIME,
    id: 'lead-crystal',
    name: 'Lead crystal',
    expansion_perK: 9.2e-6,
    annealing_C: 440,
    softening_C: 630,
    density_kg_m3: 2950,
    youngs_Pa: 60e9,
    conductivity_W_mK: 0.9,
    heatCapacity_J_kgK: 880,
    surfaceTension_N_m: 0.23,
    hazeBears_s: CASTING_BEARS_S,
  },
];
