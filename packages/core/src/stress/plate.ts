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
import { DECAY_END, decayWithin } from '../numerics/decay';
import { depthWeights } from '../numerics/depth';
import { lostBy, lostOnMean } from '../numerics/fade';
import { type Material, materialOf } from './material';
import { relaxationOf } from './relaxation';
import { KELVIN_AT_0_C } from '../units/physical';

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
  /** Takes the temperatures after a step of the clock's length; nodes as given to plateStress. */
  step(): void;
  /** Stress at each node once all of it is at room_C, Pa; the plate itself goes on as it was. */
  residual(room_C: number): Residual;
  /** Stress at each node now, Pa. */
  readonly stress_Pa: Float64Array;
  /** Greatest tension now, Pa. */
  tension_Pa: number;
  save(): PlateState;
  restore(state: PlateState): void;
}

/** Share of the elastic stiffness that glass too fluid to hold stress is given, so that the balance stays solvable. */
const TRACE = 1e-5;
/** A term of whose time less than this goes by in a step stands still: as it cools, all later steps together are no more than twenty of them. */
const STANDS_STILL = 1e-7;

/**
 * One glass, or one for every node; at a joint of two glasses give the height twice. The spectra are those of the
 * first. height_m and temperature: index 0 at the underside; temperature is read after every step.
 */
export function plateStress(
  glass: GlassConstants | readonly GlassConstants[],
  height_m: Float64Array,
  temperature: Float64Array,
  support: Support,
  clock: { dt_s: number },
): PlateStress {
  const n = height_m.length;
  const glasses: readonly GlassConstants[] = 'length' in glass ? glass : [glass];
  const known = new Map(glasses.map((one) => [one, materialOf(one)]));
  const materials = Array.from({ length: n }, (_, i) => known.get(glasses[Math.min(i, glasses.length - 1)]) as Material);
  const { stress: stressTerms, structure: structureTerms, structureOverStress } = relaxationOf(glasses[0]);
  const nStress = stressTerms.length;
  const nStructure = structureTerms.length;
  // The fastest term first: where one stands still in a step, so do all after it.
  const stressOrder = [...stressTerms].sort((one, other) => one.ratio - other.ratio);
  const structureOrder = [...structureTerms].sort((one, other) => one.ratio - other.ratio);
  const stressWeight = Float64Array.from(stressOrder, (term) => term.weight);
  const structureWeight = Float64Array.from(structureOrder, (term) => term.weight);
  /** How much faster than the mean each term is. */
  const stressPace = Float64Array.from(stressOrder, ({ ratio }) => 1 / ratio);
  const structurePace = Float64Array.from(structureOrder, ({ ratio }) => 1 / (ratio * structureOverStress));

  const fastest = Math.max(stressPace[0], structurePace[0]);

  const before = Float64Array.from(temperature);
  const fictive = new Float64Array(n * nStructure);
  const fictiveMean = new Float64Array(n);
  /** How fast the structure moved in the last step, K/s: where it will be in the middle of the next. */
  const fictiveRate = new Float64Array(n);
  // Each term's stress is that of parts plus grip times taken: what the last step put in is added when the next one begins.
  const parts = new Float64Array(n * nStress);
  const grip = new Float64Array(n * nStress);
  const taken = new Float64Array(n);
  // Of a node that only stretches: what it has taken since, and that it does.
  const held = new Float64Array(n);
  const isElastic = new Float64Array(n);
  const stress = new Float64Array(n);
  const isFluid = new Float64Array(n);
  const stiffness = new Float64Array(n);
  const carried = new Float64Array(n);
  const freeStrain = new Float64Array(n);
  const moduli = Float64Array.from(materials, ({ modulus }) => modulus);
  const { weight, arm } = depthWeights(height_m);
  const weightArm = weight.map((one, i) => one * arm[i]);
  const weightArm2 = weight.map((one, i) => one * arm[i] ** 2);
  /** What the step's balance gives, uniform and per height, and the curvature taken on so far. */
  const bow = { strain: 0, bend: 0, curvature: 0 };

  for (let i = 0; i < n; i += 1)
    forget(i, Math.max(temperature[i], temperatureAt(viscosityOf(glasses[Math.min(i, glasses.length - 1)]), LOG_VISCOSITY.strain)));

  /** Equilibrium glass at a temperature, without stress. */
  function forget(i: number, at_C: number): void {
    fictiveMean[i] = at_C;
    fictiveRate[i] = 0;
    taken[i] = 0;
    held[i] = 0;
    isElastic[i] = 0;
    fictive.fill(at_C, i * nStructure, (i + 1) * nStructure);
    parts.fill(0, i * nStress, (i + 1) * nStress);
  }

  /** The node has grown so cold that it only stretches: all terms alike, so what it takes from now on is kept once for all. */
  function settle(i: number): void {
    for (let k = i * nStress; k < (i + 1) * nStress; k += 1) {
      parts[k] += grip[k] * taken[i];
      grip[k] = 1;
    }
    held[i] = 0;
    isElastic[i] = 1;
  }

  /** It relaxes again: every term gets its own of what was kept. */
  function release(i: number): void {
    for (let k = i * nStress; k < (i + 1) * nStress; k += 1) parts[k] += held[i];
    isElastic[i] = 0;
  }

  /** Sums over the nodes: stiffness, its first and second moment, load and its moment. */
  const sums = new Float64Array(5);

  /** Sets the uniform strain and the curvature that balance what the nodes carry against their stiffness. */
  function balance(): void {
    const a00 = sums[0];
    const a01 = sums[1];
    const a11 = sums[2];
    const b0 = sums[3];
    const b1 = sums[4];
    if (support === 'flat') {
      bow.strain = b0 / a00;
      bow.bend = 0;
      return;
    }
    const determinant = a00 * a11 - a01 * a01;
    bow.strain = (b0 * a11 - b1 * a01) / determinant;
    bow.bend = (a00 * b1 - a01 * b0) / determinant;
  }

  /** Sums up what the nodes carry and how stiff they are. */
  function sumUp(): void {
    let a00 = 0;
    let a01 = 0;
    let a11 = 0;
    let b0 = 0;
    let b1 = 0;
    for (let i = 0; i < n; i += 1) {
      const stiff = stiffness[i];
      const load = stiff * freeStrain[i] - carried[i];
      a00 += weight[i] * stiff;
      a01 += weightArm[i] * stiff;
      a11 += weightArm2[i] * stiff;
      b0 += weight[i] * load;
      b1 += weightArm[i] * load;
    }
    sums[0] = a00;
    sums[1] = a01;
    sums[2] = a11;
    sums[3] = b0;
    sums[4] = b1;
  }

  /**
   * Relaxes every node over the step: what it carries, how stiff it is and what it would like to strain. A term whose time
   * goes by x times in the step loses x·φ of itself, and 1 − φ on the step's mean, φ = (1 − e^(−x))/x.
   */
  function relax(): void {
    const { dt_s } = clock;
    let known = materials[0];
    let { fluid_C, modulus, solid, structural, perAnnealing_Hz, byT_K, byTf_K, offset } = known;
    for (let i = 0; i < n; i += 1) {
      if (materials[i] !== known) {
        known = materials[i];
        ({ fluid_C, modulus, solid, structural, perAnnealing_Hz, byT_K, byTf_K, offset } = known);
      }
      const T0 = before[i];
      const T1 = temperature[i];
      before[i] = T1;
      if (T1 >= fluid_C) {
        // So soft that it follows its neighbours: a trace of stiffness keeps the balance solvable.
        isFluid[i] = 1;
        stiffness[i] = modulus * TRACE;
        carried[i] = 0;
        freeStrain[i] = 0;
        continue;
      }
      if (isFluid[i] === 1) {
        forget(i, T0);
        isFluid[i] = 0;
      }
      const dT = T1 - T0;
      const slower = byT_K / ((T0 + T1) / 2 + KELVIN_AT_0_C) + byTf_K / (fictiveMean[i] + (fictiveRate[i] * dt_s) / 2 + KELVIN_AT_0_C) - offset;
      const passed = slower > DECAY_END ? 0 : dt_s * perAnnealing_Hz * (slower >= 0 ? decayWithin(slower) : Math.exp(-slower));
      if (passed * fastest < STANDS_STILL) {
        freeStrain[i] = solid * dT;
        stiffness[i] = modulus;
        carried[i] = stress[i];
        fictiveRate[i] = 0;
        if (isElastic[i] === 1) held[i] += taken[i];
        else settle(i);
        continue;
      }
      if (isElastic[i] === 1) release(i);

      let moved = 0;
      for (let k = 0, at = i * nStructure; k < nStructure; k += 1, at += 1) {
        const x = passed * structurePace[k];
        if (x < STANDS_STILL) break;
        const lost = lostBy(x);
        const onMean = lostOnMean(x, lost);
        const was = fictive[at];
        const moves = dT * onMean - lost * (was - T0);
        fictive[at] = was + moves;
        moved += structureWeight[k] * moves;
      }
      fictiveMean[i] += moved;
      fictiveRate[i] = moved / dt_s;
      freeStrain[i] = solid * dT + structural * moved;

      const put = taken[i];
      let stiff = 1;
      let carry = stress[i];
      let k = 0;
      let at = i * nStress;
      for (; k < nStress; k += 1, at += 1) {
        const x = passed * stressPace[k];
        if (x < STANDS_STILL) break;
        const lost = lostBy(x);
        const onMean = lostOnMean(x, lost);
        const part = parts[at] + grip[at] * put;
        const fades = lost * part;
        parts[at] = part - fades;
        grip[at] = 1 - onMean;
        stiff -= stressWeight[k] * onMean;
        carry -= stressWeight[k] * fades;
      }
      for (; k < nStress; k += 1, at += 1) {
        parts[at] += grip[at] * put;
        grip[at] = 1;
      }
      stiffness[i] = modulus * Math.max(stiff, TRACE);
      carried[i] = carry;
    }
  }

  /** Gives every node the strain that the balance leaves it. */
  function takeStrain(): void {
    const { strain, bend } = bow;
    let greatest = 0;
    for (let i = 0; i < n; i += 1) {
      if (isFluid[i] === 1) {
        stress[i] = 0;
        taken[i] = 0;
        continue;
      }
      const strained = strain + bend * arm[i] - freeStrain[i];
      const now = carried[i] + stiffness[i] * strained;
      if (now > greatest) greatest = now;
      stress[i] = now;
      taken[i] = moduli[i] * strained;
    }
    self.tension_Pa = greatest;
  }

  const fluidFrom = Float64Array.from(materials, ({ fluid_C }) => fluid_C);

  /** A step that only heats the plate from fluid to fluid has nothing to balance. */
  function allFluid(): boolean {
    for (let i = 0; i < n; i += 1) if (temperature[i] < fluidFrom[i]) return false;
    return true;
  }

  const self: PlateStress = {
    stress_Pa: stress,
    tension_Pa: 0,
    step() {
      if (allFluid()) {
        for (let i = 0; i < n; i += 1) {
          before[i] = temperature[i];
          isFluid[i] = 1;
          stress[i] = 0;
        }
        self.tension_Pa = 0;
        return;
      }
      relax();
      sumUp();
      balance();
      bow.curvature += bow.bend;
      takeStrain();
    },
    residual(room_C) {
      for (let i = 0; i < n; i += 1) {
        stiffness[i] = materials[i].modulus;
        carried[i] = stress[i];
        freeStrain[i] = materials[i].solid * (room_C - temperature[i]);
      }
      sumUp();
      balance();
      return {
        stress_Pa: Float64Array.from(stress, (now, i) => now + stiffness[i] * (bow.strain + bow.bend * arm[i] - freeStrain[i])),
        curvature_perM: bow.curvature + bow.bend,
      };
    },
    save: () => ({
      arrays: [before, fictive, fictiveMean, fictiveRate, parts, grip, taken, held, isElastic, stress, isFluid].map((one) => one.slice()),
      curvature_perM: bow.curvature,
    }),
    restore(state) {
      [before, fictive, fictiveMean, fictiveRate, parts, grip, taken, held, isElastic, stress, isFluid].forEach((one, k) => one.set(state.arrays[k]));
      bow.curvature = state.curvature_perM;
    },
  };
  return self;
}
