/** What the stepping of stress needs of one glass, worked out once. */
import { type GlassConstants, meltExpansion } from '../glass/constants';
import { temperatureAt, viscosityOf } from '../glass/viscosity';
import { type StressTime, stressTimeOf } from './relaxation';

/** log10 η below which stress is gone within a hundredth of a second. */
const FLUID_LOG_ETA = 8.5;

export interface Material extends Omit<StressTime, 'atAnnealing_s'> {
  /** Above this it carries no stress, °C. */
  fluid_C: number;
  /** Expansion of the solid, and what the melt's has more, 1/K. */
  solid: number;
  structural: number;
  /** Biaxial, E/(1−ν), Pa. */
  modulus: number;
  /** Mean relaxation times in a second at the annealing point. */
  perAnnealing_Hz: number;
}

export function materialOf(glass: GlassConstants): Material {
  const { atAnnealing_s, ...time } = stressTimeOf(glass);
  return {
    fluid_C: temperatureAt(viscosityOf(glass), FLUID_LOG_ETA),
    solid: glass.expansion_perK,
    structural: meltExpansion(glass) - glass.expansion_perK,
    modulus: glass.youngs_Pa / (1 - glass.poisson),
    perAnnealing_Hz: 1 / atAnnealing_s,
    ...time,
  };
}
