/**
 * Elastic tension of a temperature profile in a plate that is free to bow: what is left of the profile once its
 * mean and its straight-line part are taken out (Timoshenko and Goodier, Theory of Elasticity, §147), in K.
 * Times Eα/(1−ν) it is the stress; tension is positive. Right while the glass is brittle and was free of stress.
 *
 * A thick slab bows by hundredths of a millimetre and its weight cannot hold it flat, so the free profile is what it bears; but
 * uneven contact and shaded rims hold part of it back. Of the straight part of the profile a share counts as held, HELD_SHARE.
 */
import { depthWeights } from '../numerics/depth';
import type { Mesh } from './stack';

/** What turns the temperatures between two nodes into mean and slope by one multiplication each. */
export interface TensionWeights {
  /** The temperatures themselves, index 0 at the lower node. */
  temperature: Float64Array;
  /** Share of the depth; the mean is the sum of share times temperature. */
  share: Float64Array;
  /** Height over the middle, m. */
  arm: Float64Array;
  /** The slope, K/m, is the sum of these times temperature. */
  armShare: Float64Array;
  /** The greatest tension found, K. */
  greatest_K: number;
  /** Half of what the straight part of the profile rises by through the depth, K. */
  straight_K: number;
}

/** Share of the straight part that is held, where nothing better is known: rates that practice fires follow from it, from 6 to 50 mm. */
export const HELD_SHARE = 0.3;

export function tensionWeights({ height_m }: Mesh, temperature: Float64Array, from: number, to: number): TensionWeights {
  const { weight, arm } = depthWeights(height_m.subarray(from, to + 1));
  const depth = height_m[to] - height_m[from];
  const share = weight.map((one) => one / depth);
  const second = share.reduce((sum, one, i) => sum + one * arm[i] ** 2, 0);
  return {
    temperature: temperature.subarray(from, to + 1),
    share,
    arm,
    armShare: share.map((one, i) => (one * arm[i]) / second),
    greatest_K: 0,
    straight_K: 0,
  };
}

/** Finds the greatest tension for the current temperatures. */
export function thermalTensionNow(weights: TensionWeights): void {
  const { temperature, share, arm, armShare } = weights;
  let mean = 0;
  let slope = 0;
  for (let i = 0; i < share.length; i += 1) {
    mean += share[i] * temperature[i];
    slope += armShare[i] * temperature[i];
  }
  let greatest = 0;
  for (let i = 0; i < arm.length; i += 1) {
    const pull = mean + slope * arm[i] - temperature[i];
    if (pull > greatest) greatest = pull;
  }
  weights.greatest_K = greatest;
  weights.straight_K = Math.abs(slope) * arm[arm.length - 1];
}
