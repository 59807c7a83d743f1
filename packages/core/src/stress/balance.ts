/** Balance of force over the depth of a plate and, where it is free to bow, of moment. */
import { depthWeights } from '../numerics/depth';

export type Support = 'free' | 'flat';

export interface Residual {
  /** At each node, Pa. */
  stress_Pa: Float64Array;
  /** Curvature that a plate has taken on, 1/m; positive where the top has grown longer than the underside. */
  curvature_perM: number;
}

/** Weights of the nodes, m, their heights over the middle, m, and the weights times those and their squares. */
export interface Levers {
  weight: Float64Array;
  arm: Float64Array;
  weightArm: Float64Array;
  weightArm2: Float64Array;
}

export function leversOf(height_m: Float64Array): Levers {
  const { weight, arm } = depthWeights(height_m);
  return { weight, arm, weightArm: weight.map((one, i) => one * arm[i]), weightArm2: weight.map((one, i) => one * arm[i] ** 2) };
}

const EVEN = new Float64Array(5);
const ODD = new Float64Array(5);

/** Sets the uniform strain, and what it bends by, 1/m, that balance what the nodes carry, Pa, against their stiffness, Pa; free: what each would strain by alone. */
export function balance(
  { weight, weightArm, weightArm2 }: Levers,
  support: Support,
  stiff: Float64Array,
  carry: Float64Array,
  free: Float64Array,
  into: { strain: number; bend: number },
): void {
  // Even and odd nodes are summed up apart, as in two lanes of a vector.
  EVEN.fill(0);
  ODD.fill(0);
  for (let i = 0; i < weight.length; i += 1) {
    const sums = i % 2 === 0 ? EVEN : ODD;
    const load = stiff[i] * free[i] - carry[i];
    sums[0] += weight[i] * stiff[i];
    sums[1] += weightArm[i] * stiff[i];
    sums[2] += weightArm2[i] * stiff[i];
    sums[3] += weight[i] * load;
    sums[4] += weightArm[i] * load;
  }
  const [a00, a01, a11, b0, b1] = [EVEN[0] + ODD[0], EVEN[1] + ODD[1], EVEN[2] + ODD[2], EVEN[3] + ODD[3], EVEN[4] + ODD[4]];
  if (support === 'flat') {
    into.strain = b0 / a00;
    into.bend = 0;
    return;
  }
  const determinant = a00 * a11 - a01 * a01;
  into.strain = (b0 * a11 - b1 * a01) / determinant;
  into.bend = (a00 * b1 - a01 * b0) / determinant;
}

/** Stress once each node has shrunk elastically by so much, and the curvature then. */
export function evenedOut(
  levers: Levers,
  support: Support,
  moduli: Float64Array,
  stress: Float64Array,
  shrinks: Float64Array,
  curvature_perM: number,
): Residual {
  const last = { strain: 0, bend: 0 };
  balance(levers, support, moduli, stress, shrinks, last);
  return {
    stress_Pa: Float64Array.from(stress, (now, i) => now + moduli[i] * (last.strain + last.bend * levers.arm[i] - shrinks[i])),
    curvature_perM: curvature_perM + last.bend,
  };
}
