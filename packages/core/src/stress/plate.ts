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
import { type GlassConstants, meltExpansion } from '../glass/constants';
import { LOG_VISCOSITY, temperatureAt, viscosityOf } from '../glass/viscosity';
import { relaxationOf, stressTime } from './relaxation';

export type Support = 'free' | 'flat';

export interface Residual {
  stress_Pa: Float64Array;
  /** Curvature that the plate has taken on, 1/m; positive where the top has grown longer than the underside. */
  curvature_perM: number;
}

/** All that a plate remembers between two steps. */
export interface PlateState {
  arrays: Float64Array[];
  curvature_perM: number;
}

export interface PlateStress {
  /** Takes the temperatures after a step of dt_s; nodes as given to plateStress. */
  step(dt_s: number): void;
  /** Stress at each node once all of it is at room_C, Pa; the plate itself goes on as it was. */
  residual(room_C: number): Residual;
  /** Stress at each node now, Pa. */
  readonly stress_Pa: Float64Array;
  save(): PlateState;
  restore(state: PlateState): void;
}

/** log10 η below which stress is gone within a hundredth of a second. */
const FLUID_LOG_ETA = 8.5;
/** Share of the elastic stiffness that glass too fluid to hold stress is given, so that the balance stays solvable. */
const TRACE = 1e-5;
/** Below this the series is exact to 1e-13 and saves the exponential; beyond the other, nothing is left. */
const SERIES_BELOW = 0.02;
const GONE_ABOVE = 40;
/** A step so short against the fastest term that nothing relaxes in it. */
const ELASTIC_BELOW = 1e-6;

/** What the step needs of one glass. */
interface Material {
  fluid_C: number;
  solid: number;
  structural: number;
  modulus: number;
  time: ReturnType<typeof stressTime>;
}

function materialOf(glass: GlassConstants): Material {
  return {
    fluid_C: temperatureAt(viscosityOf(glass), FLUID_LOG_ETA),
    solid: glass.expansion_perK,
    structural: meltExpansion(glass) - glass.expansion_perK,
    modulus: glass.youngs_Pa / (1 - glass.poisson),
    time: stressTime(glass, relaxationOf(glass)),
  };
}

/**
 * One glass, or one for every node; at a joint of two glasses give the height twice. The spectra are those of the
 * first. height_m and temperature: index 0 at the underside; temperature is read after every step.
 */
export function plateStress(
  glass: GlassConstants | readonly GlassConstants[],
  height_m: Float64Array,
  temperature: Float64Array,
  support: Support,
): PlateStress {
  const n = height_m.length;
  const glasses: readonly GlassConstants[] = 'length' in glass ? glass : [glass];
  const known = new Map(glasses.map((one) => [one, materialOf(one)]));
  const materials = Array.from({ length: n }, (_, i) => known.get(glasses[Math.min(i, glasses.length - 1)]) as Material);
  const { stress: stressTerms, structure: structureTerms, structureOverStress } = relaxationOf(glasses[0]);
  const nStress = stressTerms.length;
  const nStructure = structureTerms.length;
  const stressWeight = Float64Array.from(stressTerms, ({ weight }) => weight);
  const stressRatio = Float64Array.from(stressTerms, ({ ratio }) => ratio);
  const structureWeight = Float64Array.from(structureTerms, ({ weight }) => weight);
  const structureRatio = Float64Array.from(structureTerms, ({ ratio }) => ratio * structureOverStress);
  const fastest = Math.min(...stressRatio, ...structureRatio);

  const before = Float64Array.from(temperature);
  const fictive = new Float64Array(n * nStructure);
  const fictiveMean = new Float64Array(n);
  const parts = new Float64Array(n * nStress);
  const stress = new Float64Array(n);
  const isFluid = new Float64Array(n);
  const stiffness = new Float64Array(n);
  const carried = new Float64Array(n);
  const grip = new Float64Array(n * nStress);
  const freeStrain = new Float64Array(n);
  const { weight, arm } = depthWeights(height_m);
  let curvature = 0;
  let strain = 0;
  let bend = 0;

  for (let i = 0; i < n; i += 1)
    forget(i, Math.max(temperature[i], temperatureAt(viscosityOf(glasses[Math.min(i, glasses.length - 1)]), LOG_VISCOSITY.strain)));

  /** Equilibrium glass at a temperature, without stress. */
  function forget(i: number, at_C: number): void {
    fictiveMean[i] = at_C;
    fictive.fill(at_C, i * nStructure, (i + 1) * nStructure);
    parts.fill(0, i * nStress, (i + 1) * nStress);
  }

  /** Sets the uniform strain and the curvature that balance what the nodes carry against their stiffness. */
  function balance(): void {
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
    if (support === 'flat') {
      strain = b0 / a00;
      bend = 0;
      return;
    }
    const determinant = a00 * a11 - a01 * a01;
    strain = (b0 * a11 - b1 * a01) / determinant;
    bend = (a00 * b1 - a01 * b0) / determinant;
  }

  /** Relaxes node i over the step and tells what it carries, how stiff it is and what it would like to strain. */
  function relax(i: number, dt_s: number, T0: number, T1: number): void {
    const { time, modulus, solid, structural } = materials[i];
    const passed = dt_s / time((T0 + T1) / 2, fictiveMean[i]);
    if (passed < ELASTIC_BELOW * fastest) {
      freeStrain[i] = solid * (T1 - T0);
      stiffness[i] = modulus;
      carried[i] = stress[i];
      grip.fill(modulus, i * nStress, (i + 1) * nStress);
      return;
    }
    let mean = 0;
    for (let k = 0; k < nStructure; k += 1) {
      const x = passed / structureRatio[k];
      const phi = meanLeft(x);
      const next = T1 - (T1 - T0) * phi + (fictive[i * nStructure + k] - T0) * (1 - x * phi);
      fictive[i * nStructure + k] = next;
      mean += structureWeight[k] * next;
    }
    freeStrain[i] = solid * (T1 - T0) + structural * (mean - fictiveMean[i]);
    fictiveMean[i] = mean;
    let stiff = 0;
    let carry = 0;
    for (let k = 0; k < nStress; k += 1) {
      const x = passed / stressRatio[k];
      const phi = meanLeft(x);
      const kept = parts[i * nStress + k] * (1 - x * phi);
      parts[i * nStress + k] = kept;
      grip[i * nStress + k] = modulus * phi;
      stiff += stressWeight[k] * modulus * phi;
      carry += stressWeight[k] * kept;
    }
    stiffness[i] = Math.max(stiff, modulus * TRACE);
    carried[i] = carry;
  }

  /** A step that only heats the plate from fluid to fluid has nothing to balance. */
  function allFluid(): boolean {
    for (let i = 0; i < n; i += 1) if (temperature[i] < materials[i].fluid_C) return false;
    return true;
  }

  const self: PlateStress = {
    stress_Pa: stress,
    step(dt_s) {
      if (allFluid()) {
        for (let i = 0; i < n; i += 1) {
          before[i] = temperature[i];
          isFluid[i] = 1;
          stress[i] = 0;
        }
        return;
      }
      for (let i = 0; i < n; i += 1) {
        const T0 = before[i];
        const T1 = temperature[i];
        before[i] = T1;
        if (T1 >= materials[i].fluid_C) {
          // So soft that it follows its neighbours: a trace of stiffness keeps the balance solvable.
          isFluid[i] = 1;
          stiffness[i] = materials[i].modulus * TRACE;
          carried[i] = 0;
          freeStrain[i] = 0;
          continue;
        }
        if (isFluid[i] === 1) {
          forget(i, T0);
          isFluid[i] = 0;
        }
        relax(i, dt_s, T0, T1);
      }
      balance();
      curvature += bend;
      for (let i = 0; i < n; i += 1) {
        if (isFluid[i] === 1) {
          stress[i] = 0;
          continue;
        }
        const taken = strain + bend * arm[i] - freeStrain[i];
        for (let k = i * nStress; k < (i + 1) * nStress; k += 1) parts[k] += grip[k] * taken;
        stress[i] = carried[i] + stiffness[i] * taken;
      }
    },
    residual(room_C) {
      for (let i = 0; i < n; i += 1) {
        stiffness[i] = materials[i].modulus;
        carried[i] = stress[i];
        freeStrain[i] = materials[i].solid * (room_C - temperature[i]);
      }
      balance();
      return {
        stress_Pa: Float64Array.from(stress, (now, i) => now + stiffness[i] * (strain + bend * arm[i] - freeStrain[i])),
        curvature_perM: curvature + bend,
      };
    },
    save: () => ({ arrays: [before, fictive, fictiveMean, parts, stress, isFluid].map((one) => one.slice()), curvature_perM: curvature }),
    restore(state) {
      [before, fictive, fictiveMean, parts, stress, isFluid].forEach((one, k) => one.set(state.arrays[k]));
      curvature = state.curvature_perM;
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
