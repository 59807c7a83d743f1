/**
 * Air in a stack, which heat crosses by conduction and by radiation, side by side: open under another shelf, and between loose sheets. These
 * touch at points and stand apart elsewhere until they have sagged together: as a squeeze closes a pocket, by the heat work that they have done.
 */
import { TYPICAL_POCKET, squeezeWork } from '../flow/squeeze';
import type { GlassConstants } from '../glass/constants';
import { fluidity, viscosityOf } from '../glass/viscosity';
import { KELVIN_AT_0_C, STEFAN_BOLTZMANN_W_m2K4 } from '../units/physical';
import { SEEN } from './exchange';
import type { Conducting } from './solver';
import type { Mesh } from './stack';

/** How far cut sheets stand apart on the mean, m; people find 0.1 to 0.3 mm. */
export const TYPICAL_GAP_M = 1e-4;

/** Conductivity of still air, W/(m·K): this at 0 °C, growing with this power of the absolute temperature; within 3 % up to 800 °C. */
const AIR = { at0C_W_mK: 0.0243, power: 0.8 } as const;
/** What is left to cross once they have wetted one another, W/(m²K): nothing that matters. */
const TOGETHER_W_m2K = 2e4;

/** Conductance of an open gap, W/(m²K). */
export function gapConductance(gap_m: number, temperature_C: number): number {
  const kelvin = temperature_C + KELVIN_AT_0_C;
  return (AIR.at0C_W_mK * (kelvin / KELVIN_AT_0_C) ** AIR.power) / gap_m + 4 * SEEN * STEFAN_BOLTZMANN_W_m2K4 * kelvin ** 3;
}

export interface AirGaps {
  /** Sets the conductances for the step that comes. */
  prepare(): void;
  /** Takes a step that was done: what sagged in it. */
  step(dt_s: number): void;
  /** Heat work done at each gap, 1/Pa: all that it remembers. */
  save(): Float64Array;
  restore(state: Float64Array): void;
}

/** Sets the solver's own conductances by its temperatures. */
export function airGaps(mesh: Mesh, glass: GlassConstants, gap_m: number, { temperature, conductance }: Conducting): AirGaps {
  const vft = viscosityOf(glass);
  const { gaps, air, sheets, height_m } = mesh;
  const work = new Float64Array(gaps.length);
  const closes = Float64Array.from(gaps, (_, i) => {
    const [first, last] = sheets[i + 1];
    return squeezeWork(glass, height_m[last] - height_m[first], { radius_m: TYPICAL_POCKET.radius_m, gap_m });
  });
  return {
    prepare() {
      for (let i = 0; i < air.length; i += 1) {
        const { at, wide_m } = air[i];
        conductance[at] = gapConductance(wide_m, (temperature[at] + temperature[at + 1]) / 2);
      }
      for (let i = 0; i < gaps.length; i += 1) {
        const open = Math.max(0, 1 - work[i] / closes[i]);
        if (open === 0) {
          conductance[gaps[i]] = TOGETHER_W_m2K;
          continue;
        }
        const between = (temperature[gaps[i]] + temperature[gaps[i] + 1]) / 2;
        conductance[gaps[i]] = 1 / (open / gapConductance(gap_m, between) + (1 - open) / TOGETHER_W_m2K);
      }
    },
    step(dt_s) {
      for (let i = 0; i < gaps.length; i += 1) if (work[i] < closes[i]) work[i] += dt_s * fluidity(vft, temperature[gaps[i] + 1]);
    },
    save: () => work.slice(),
    restore: (state) => work.set(state),
  };
}
