/**
 * Stress in a wide plate of glass through a firing: thermal and structural strain at every depth, stress relaxation,
 * and at every step the balance of force and, if it is free to bow, of moment. Biaxial stress, tension positive, Pa.
 *
 * Each step is exact for a strain and a temperature that go linearly in it, with the relaxation time frozen at its
 * value for the middle. Where the glass is too fluid to hold anything it carries no stress and Tf is T.
 *
 * What it cannot show: rims and corners (a band about one depth wide), unevenness across the piece, and the weight
 * that holds a thin wide plate flat against its bow; 'flat' is the bound for that.
 */
import type { GlassConstants } from '../glass/constants';
import { LOG_VISCOSITY, temperatureAt, viscosityOf } from '../glass/viscosity';
import { type RelaxationConstants, stressTime } from './relaxation';

export type Support = 'free' | 'flat';

export interface Residual {
  stress_Pa: Float64Array;
  /** Curvature that the plate has taken on, 1/m; positive where the top has grown longer than the underside. */
  curvature_perM: number;
}

export interface PlateStress {
  /** Takes the temperatures after a step of dt_s; nodes as given to plateStress. */
  step(dt_s: number): void;
  /** Stress at each node once all of it is at room_C, Pa. */
  residual(room_C: number): Residual;
  /** Stress at each node now, Pa. */
  readonly stress_Pa: Float64Array;
}

/** log10 η below which stress is gone within a hundredth of a second. */
const FLUID_LOG_ETA = 8.5;
/** Share of the elastic stiffness that glass too fluid to hold stress is given, so that the balance stays solvable. */
const TRACE = 1e-5;
/** Below this the series is exact to 1e-13 and saves the exponential; beyond the other, nothing is left. */
const SERIES_BELOW = 0.02;
const GONE_ABOVE = 40;

/** height_m and temperature: index 0 at the underside; temperature is read after every step. */
export function plateStress(
  glass: GlassConstants,
  relaxation: RelaxationConstants,
  height_m: Float64Array,
  temperature: Float64Array,
  support: Support,
): PlateStress {
  const vft = viscosityOf(glass);
  const fluid_C = temperatureAt(vft, FLUID_LOG_ETA);
  const frozen_C = temperatureAt(vft, LOG_VISCOSITY.strain);
  const time = stressTime(glass, relaxation);
  const { stress: stressTerms, structure: structureTerms, structureOverStress, meltExpansion_perK } = relaxation;
  const solid = glass.expansion_perK;
  const structural = meltExpansion_perK - solid;
  const modulus = glass.youngs_Pa / (1 - glass.poisson);
  const n = height_m.length;
  const nStress = stressTerms.length;
  const nStructure = structureTerms.length;

  const before = Float64Array.from(temperature);
  const fictive = new Float64Array(n * nStructure);
  const fictiveMean = new Float64Array(n);
  const parts = new Float64Array(n * nStress);
  const stress = new Float64Array(n);
  const stiffness = new Float64Array(n);
  const carried = new Float64Array(n);
  const grip = new Float64Array(n * nStress);
  const freeStrain = new Float64Array(n);
  const { weight, arm } = depthWeights(height_m);
  let curvature = 0;

  for (let i = 0; i < n; i += 1) {
    const start = Math.max(temperature[i], frozen_C);
    fictiveMean[i] = start;
    fictive.fill(start, i * nStructure, (i + 1) * nStructure);
  }

  /** Uniform strain and curvature that balance what the nodes carry against their stiffness. */
  function balance(): { strain: number; bend: number } {
    let a00 = 0;
    let a01 = 0;
    let a11 = 0;
    let b0 = 0;
    let b1 = 0;
    for (let i = 0; i < n; i += 1) {
      const stiff = weight[i] * stiffness[i];
      const load = weight[i] * (stiffness[i] * freeStrain[i] - carried[i]);
      a00 += stiff;
      a01 += stiff * arm[i];
      a11 += stiff * arm[i] * arm[i];
      b0 += load;
      b1 += load * arm[i];
    }
    if (!(a00 > 0)) return { strain: 0, bend: 0 };
    if (support === 'flat') return { strain: b0 / a00, bend: 0 };
    const determinant = a00 * a11 - a01 * a01;
    return { strain: (b0 * a11 - b1 * a01) / determinant, bend: (a00 * b1 - a01 * b0) / determinant };
  }

  const self: PlateStress = {
    stress_Pa: stress,
    step(dt_s) {
      for (let i = 0; i < n; i += 1) {
        const T0 = before[i];
        const T1 = temperature[i];
        before[i] = T1;
        if (T1 >= fluid_C) {
          fictiveMean[i] = T1;
          fictive.fill(T1, i * nStructure, (i + 1) * nStructure);
          parts.fill(0, i * nStress, (i + 1) * nStress);
          // So soft that it follows its neighbours: a trace of stiffness keeps the balance solvable.
          stiffness[i] = modulus * TRACE;
          carried[i] = 0;
          freeStrain[i] = 0;
          continue;
        }
        const tau = time((T0 + T1) / 2, fictiveMean[i]);
        const passed = dt_s / tau;
        let mean = 0;
        for (let k = 0; k < nStructure; k += 1) {
          const x = passed / (structureTerms[k].ratio * structureOverStress);
          const phi = meanLeft(x);
          const decay = 1 - x * phi;
          const next = T1 - (T1 - T0) * phi + (fictive[i * nStructure + k] - T0) * decay;
          fictive[i * nStructure + k] = next;
          mean += structureTerms[k].weight * next;
        }
        freeStrain[i] = solid * (T1 - T0) + structural * (mean - fictiveMean[i]);
        fictiveMean[i] = mean;
        let stiff = 0;
        let carry = 0;
        for (let k = 0; k < nStress; k += 1) {
          const x = passed / stressTerms[k].ratio;
          const phi = meanLeft(x);
          const decay = 1 - x * phi;
          const kept = parts[i * nStress + k] * decay;
          parts[i * nStress + k] = kept;
          grip[i * nStress + k] = modulus * phi;
          stiff += stressTerms[k].weight * modulus * phi;
          carry += stressTerms[k].weight * kept;
        }
        stiffness[i] = Math.max(stiff, modulus * TRACE);
        carried[i] = carry;
      }
      const { strain, bend } = balance();
      curvature += bend;
      for (let i = 0; i < n; i += 1) {
        if (temperature[i] >= fluid_C) {
          stress[i] = 0;
          continue;
        }
        const taken = strain + bend * arm[i] - freeStrain[i];
        for (let k = 0; k < nStress; k += 1) parts[i * nStress + k] += grip[i * nStress + k] * taken;
        stress[i] = carried[i] + stiffness[i] * taken;
      }
    },
    residual(room_C) {
      for (let i = 0; i < n; i += 1) {
        stiffness[i] = modulus;
        carried[i] = stress[i];
        freeStrain[i] = solid * (room_C - temperature[i]);
      }
      const { strain, bend } = balance();
      return {
        stress_Pa: Float64Array.from(stress, (now, i) => now + modulus * (strain + bend * arm[i] - freeStrain[i])),
        curvature_perM: curvature + bend,
      };
    },
  };
  return self;
}

/**
 * Mean over a step of what is left of a strain, (1 − e^(−x))/x, x the step in relaxation times. What is left at the
 * step's end is 1 − x times it.
 */
function meanLeft(x: number): number {
  if (x < SERIES_BELOW) return 1 - (x / 2) * (1 - (x / 3) * (1 - (x / 4) * (1 - (x / 5) * (1 - x / 6))));
  return x > GONE_ABOVE ? 1 / x : (1 - Math.exp(-x)) / x;
}

/** Trapezoid weights over the depth and arms about its middle, m. */
function depthWeights(height_m: Float64Array): { weight: Float64Array; arm: Float64Array } {
  const n = height_m.length;
  const weight = new Float64Array(n);
  const arm = new Float64Array(n);
  const middle = (height_m[0] + height_m[n - 1]) / 2;
  for (let i = 0; i < n; i += 1) {
    const below = i > 0 ? height_m[i] - height_m[i - 1] : 0;
    const above = i < n - 1 ? height_m[i + 1] - height_m[i] : 0;
    weight[i] = (below + above) / 2;
    arm[i] = height_m[i] - middle;
  }
  return { weight, arm };
}
