/** What the engine and the second solver are both asked: a body of every family, soaked at its annealing point and lower. */
import { TYPICAL_FAMILIES, meltExpansion, temperatureAt, viscosityOf } from '@torvin/core/glass';
import { type SimulationInput, simulateFiring } from '@torvin/core/heat';
import { BARE_SHELF } from '@torvin/core/schedule';
import { glassySlope, relaxationOf } from '@torvin/core/stress';
import { type SpelledOut, secondSolver } from './secondSolver';

const LOWER_SOAK_LOG_ETA = 13.9;
const SOAK_S = 2 * 3600;

type Glass = SimulationInput['glass'];

export function spelledOut(glass: Glass): SpelledOut {
  const { stress, structureOverStress, nonLinearity } = relaxationOf(glass);
  return {
    curve: viscosityOf(glass),
    spectrum: stress,
    structureOverStress,
    nonLinearity,
    activation_K: glassySlope(glass) / nonLinearity,
    meltExpansion_perK: meltExpansion(glass),
  };
}

/** A body on its shelf, 25 mm deep, that comes down even from its work, soaks and cools. */
export const cooled = (glass: Glass, soak_C: number, hold_s = SOAK_S): SimulationInput => ({
  glass,
  stack: [...BARE_SHELF.below, { of: 'glass', thickness_m: 0.025 }],
  faces: BARE_SHELF.faces,
  start_C: glass.annealing_C + 70,
  segments: [
    { rate_C_per_h: 250, target_C: soak_C, hold_s },
    { rate_C_per_h: 30, target_C: glass.annealing_C - 130, hold_s: 0 },
    { rate_C_per_h: 90, target_C: 40, hold_s: 0 },
  ],
  stress: { support: 'free' },
});

export const lowerSoak = (glass: Glass): number => temperatureAt(viscosityOf(glass), LOWER_SOAK_LOG_ETA);
export const greatest = (stress_Pa: readonly number[]): number => Math.max(...stress_Pa);
export const tension = (input: SimulationInput): number => greatest((simulateFiring(input).residual ?? []).map(({ stress_Pa }) => stress_Pa));
export const apart = (one: number, other: number): number => Math.abs(one / other - 1);

/** Prints how far the two are apart, at their worst. */
export function secondOpinion(): void {
  const shares = TYPICAL_FAMILIES.flatMap((glass) =>
    [glass.annealing_C, lowerSoak(glass)].map((soak_C) => {
      const input = cooled(glass, soak_C);
      return apart(tension(input), greatest(secondSolver(input, spelledOut(glass)).residual_Pa));
    }),
  );
  process.stdout.write(
    `stress that stays, of ${TYPICAL_FAMILIES.length} families at two soaks, against a second solver: ${(100 * Math.max(...shares)).toFixed(2)} % apart at most
`,
  );
}
