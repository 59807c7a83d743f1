/**
 * Structure of glass at each node through a firing: its fictive temperature by Tool, Narayanaswamy and Moynihan, how many
 * relaxation times of stress went by in a step, and what the node would strain by if it were alone.
 *
 * Each step is exact for a temperature that goes linearly in it, with the relaxation time frozen at its value for the middle.
 * Where the glass is too fluid to hold anything Tf is T.
 */
import type { GlassConstants } from '../glass/constants';
import { LOG_VISCOSITY, temperatureAt, viscosityOf } from '../glass/viscosity';
import { DECAY_END, decayWithin } from '../numerics/decay';
import { lostBy, lostOnMean } from '../numerics/fade';
import { KELVIN_AT_0_C } from '../units/physical';
import { type Material, materialOf } from './material';
import { relaxationOf } from './relaxation';

/** A term of whose time less than this goes by in a step stands still: as it cools, all later steps together are no more than twenty of them. */
export const STANDS_STILL = 1e-7;
/** What has passed where the glass is fluid. */
export const FLUID = Infinity;

/** e^(−x) for x of either sign; beyond the table nothing. */
function decayOf(x: number): number {
  if (x >= 0) return x > DECAY_END ? 0 : decayWithin(x);
  return x < -DECAY_END ? Math.exp(-x) : 1 / decayWithin(-x);
}

export interface Structure {
  readonly materials: readonly Material[];
  /** Mean stress relaxation times that passed in the step; FLUID where it holds nothing, 0 where all terms stand still. */
  readonly passed: Float64Array;
  /** What each node would have strained by in the step. */
  readonly strain: Float64Array;
  /** Takes the temperatures after a step of the clock's length. */
  step(): void;
  /** Whether the last step left every node fluid. */
  allFluid: boolean;
  save(): Float64Array[];
  restore(state: readonly Float64Array[]): void;
}

/** glasses: one for all nodes, or one for each; the spectra are those of the first. temperature, °C, is read after every step. */
export function structureOf(glasses: readonly GlassConstants[], temperature: Float64Array, clock: { dt_s: number }): Structure {
  const n = temperature.length;
  const known = new Map(glasses.map((one) => [one, materialOf(one)]));
  const glassAt = (i: number): GlassConstants => glasses[Math.min(i, glasses.length - 1)];
  const materials = Array.from({ length: n }, (_, i) => known.get(glassAt(i)) as Material);
  const { stress, structure, structureOverStress } = relaxationOf(glasses[0]);
  // The fastest term first: where one stands still in a step, so do all after it.
  const terms = [...structure].sort((one, other) => one.ratio - other.ratio);
  const count = terms.length;
  const weight = Float64Array.from(terms, (term) => term.weight);
  /** How much faster than the mean time of stress each term is. */
  const pace = Float64Array.from(terms, ({ ratio }) => 1 / (ratio * structureOverStress));
  const time = Float64Array.from(terms, ({ ratio }) => ratio * structureOverStress);
  const fastest = Math.max(pace[0], 1 / Math.min(...stress.map(({ ratio }) => ratio)));

  const before = Float64Array.from(temperature);
  const fictive = new Float64Array(n * count);
  const fictiveMean = new Float64Array(n);
  /** How fast the structure moved in the last step, K/s: where it will be in the middle of the next. */
  const fictiveRate = new Float64Array(n);
  const isFluid = new Float64Array(n);
  const passed = new Float64Array(n);
  const strain = new Float64Array(n);

  /** Equilibrium glass at a temperature. */
  function settle(i: number, at_C: number): void {
    fictiveMean[i] = at_C;
    fictiveRate[i] = 0;
    fictive.fill(at_C, i * count, (i + 1) * count);
  }
  for (let i = 0; i < n; i += 1) settle(i, Math.max(temperature[i], temperatureAt(viscosityOf(glassAt(i)), LOG_VISCOSITY.strain)));

  const self: Structure = {
    materials,
    passed,
    strain,
    allFluid: false,
    step() {
      const { dt_s } = clock;
      const perSecond = 1 / dt_s;
      let of = materials[0];
      let { fluid_C, solid, structural, perAnnealing_Hz, curve_K, T0_C, glassy_K, offset } = of;
      let fluid = 0;
      for (let i = 0; i < n; i += 1) {
        if (materials[i] !== of) {
          of = materials[i];
          ({ fluid_C, solid, structural, perAnnealing_Hz, curve_K, T0_C, glassy_K, offset } = of);
        }
        const T0 = before[i];
        const T1 = temperature[i];
        const dT = T1 - T0;
        before[i] = T1;
        if (T1 >= fluid_C) {
          fluid += 1;
          isFluid[i] = 1;
          passed[i] = FLUID;
          strain[i] = (solid + structural) * dT;
          continue;
        }
        if (isFluid[i] === 1) {
          settle(i, T0);
          isFluid[i] = 0;
        }
        const Tf = fictiveMean[i] + (fictiveRate[i] * dt_s) / 2;
        // One division for all three quotients.
        const over = Tf - T0_C;
        const middle_K = (T0 + T1) / 2 + KELVIN_AT_0_C;
        const fictive_K = Tf + KELVIN_AT_0_C;
        const slower = (curve_K * middle_K * fictive_K + glassy_K * (fictive_K - middle_K) * over) / (over * middle_K * fictive_K) - offset;
        const went = over <= 0 ? 0 : dt_s * perAnnealing_Hz * decayOf(slower);
        if (went * fastest < STANDS_STILL) {
          passed[i] = 0;
          strain[i] = solid * dT;
          fictiveRate[i] = 0;
          continue;
        }
        const perWent = 1 / went;
        let moved = 0;
        for (let k = 0, at = i * count; k < count; k += 1, at += 1) {
          const x = went * pace[k];
          if (x < STANDS_STILL) break;
          const lost = lostBy(x);
          const was = fictive[at];
          const moves = dT * lostOnMean(x, lost, perWent * time[k]) - lost * (was - T0);
          fictive[at] = was + moves;
          moved += weight[k] * moves;
        }
        fictiveMean[i] += moved;
        fictiveRate[i] = moved * perSecond;
        passed[i] = went;
        strain[i] = solid * dT + structural * moved;
      }
      self.allFluid = fluid === n;
    },
    save: () => [before, fictive, fictiveMean, fictiveRate, isFluid].map((one) => one.slice()),
    restore: (state) => [before, fictive, fictiveMean, fictiveRate, isFluid].forEach((one, k) => one.set(state[k])),
  };
  return self;
}
