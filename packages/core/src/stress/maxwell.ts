/**
 * One component of stress at each node, relaxing by a generalised Maxwell model: what a step leaves of it, how stiff the node is
 * against what the step brings, and what it then takes on. Exact for a strain that goes linearly in the step.
 */
import type { GlassConstants } from '../glass/constants';
import { lostBy, lostOnMean } from '../numerics/fade';
import { relaxationOf } from './relaxation';
import { FLUID, STANDS_STILL, type Structure } from './structure';

/** Share of the elastic stiffness that glass too fluid to hold stress is given, so that a balance stays solvable. */
const TRACE = 1e-5;

export interface Maxwell {
  /** Stress now, Pa; tension positive. */
  readonly stress: Float64Array;
  /** Of the coming strain, Pa, and what is left of the stress so far, Pa; both set by relax. */
  readonly stiffness: Float64Array;
  readonly carried: Float64Array;
  /** Relaxes over a step that the structure has taken. */
  relax(): void;
  /** Every node has grown fluid and holds nothing. */
  melt(): void;
  /** What the balance leaves a node to strain by, its own free strain taken off. */
  take(i: number, strained: number): void;
  save(): Float64Array[];
  restore(state: readonly Float64Array[]): void;
}

/** modulus: of each node, Pa, by which strain of this component becomes stress. */
export function maxwellOf(glass: GlassConstants, structure: Structure, modulus: Float64Array): Maxwell {
  const n = modulus.length;
  const { passed } = structure;
  const terms = [...relaxationOf(glass).stress].sort((one, other) => one.ratio - other.ratio);
  const count = terms.length;
  const weight = Float64Array.from(terms, (term) => term.weight);
  const pace = Float64Array.from(terms, ({ ratio }) => 1 / ratio);
  const time = Float64Array.from(terms, ({ ratio }) => ratio);

  // Each term's stress is that of parts plus grip times taken: what the last step put in is added when the next one begins.
  const parts = new Float64Array(n * count);
  const grip = new Float64Array(n * count);
  const taken = new Float64Array(n);
  // Of a node that only stretches: what it has taken since, and that it does.
  const held = new Float64Array(n);
  const isElastic = new Float64Array(n);
  const wasFluid = new Float64Array(n);
  const stress = new Float64Array(n);
  const stiffness = new Float64Array(n);
  const carried = new Float64Array(n);

  function forget(i: number): void {
    taken[i] = 0;
    held[i] = 0;
    isElastic[i] = 0;
    parts.fill(0, i * count, (i + 1) * count);
  }

  /** The node has grown so cold that it only stretches: all terms alike, so what it takes from now on is kept once for all. */
  function settle(i: number): void {
    for (let k = i * count; k < (i + 1) * count; k += 1) {
      parts[k] += grip[k] * taken[i];
      grip[k] = 1;
    }
    held[i] = 0;
    isElastic[i] = 1;
  }

  /** It relaxes again: every term gets its own of what was kept. */
  function release(i: number): void {
    for (let k = i * count; k < (i + 1) * count; k += 1) parts[k] += held[i];
    isElastic[i] = 0;
  }

  const saved = [parts, grip, taken, held, isElastic, wasFluid, stress];
  return {
    stress,
    stiffness,
    carried,
    relax() {
      for (let i = 0; i < n; i += 1) {
        const went = passed[i];
        if (went === FLUID) {
          // So soft that it follows its neighbours.
          wasFluid[i] = 1;
          stiffness[i] = modulus[i] * TRACE;
          carried[i] = 0;
          continue;
        }
        if (wasFluid[i] === 1) {
          forget(i);
          wasFluid[i] = 0;
        }
        if (went === 0) {
          stiffness[i] = modulus[i];
          carried[i] = stress[i];
          if (isElastic[i] === 1) held[i] += taken[i];
          else settle(i);
          continue;
        }
        if (isElastic[i] === 1) release(i);
        const put = taken[i];
        const perWent = 1 / went;
        let stiff = 1;
        let carry = stress[i];
        let k = 0;
        let at = i * count;
        for (; k < count; k += 1, at += 1) {
          const x = went * pace[k];
          if (x < STANDS_STILL) break;
          const lost = lostBy(x);
          const onMean = lostOnMean(x, lost, perWent * time[k]);
          const part = parts[at] + grip[at] * put;
          const fades = lost * part;
          parts[at] = part - fades;
          grip[at] = 1 - onMean;
          stiff -= weight[k] * onMean;
          carry -= weight[k] * fades;
        }
        for (; k < count; k += 1, at += 1) {
          parts[at] += grip[at] * put;
          grip[at] = 1;
        }
        stiffness[i] = modulus[i] * Math.max(stiff, TRACE);
        carried[i] = carry;
      }
    },
    melt() {
      wasFluid.fill(1);
      stress.fill(0);
      taken.fill(0);
    },
    take(i, strained) {
      if (wasFluid[i] === 1) {
        stress[i] = 0;
        taken[i] = 0;
        return;
      }
      stress[i] = carried[i] + stiffness[i] * strained;
      taken[i] = modulus[i] * strained;
    },
    save: () => saved.map((one) => one.slice()),
    restore: (state) => saved.forEach((one, k) => one.set(state[k])),
  };
}
