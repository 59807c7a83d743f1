/**
 * Elastic tension of a temperature profile in a plate that is free to bow: what is left of the profile once its
 * mean and its straight-line part are taken out (Timoshenko and Goodier, Theory of Elasticity, §147), in K.
 * Times Eα/(1−ν) it is the stress; tension is positive. Right while the glass is brittle and was free of stress;
 * a body held flat bears more.
 */
import type { Mesh } from './stack';

/** Returns a function giving the greatest tension, K, between two nodes for the current temperatures. */
export function pullGauge({ height_m }: Mesh, temperature: Float64Array, from: number, to: number): () => number {
  const weights = new Float64Array(to - from + 1);
  const arms = new Float64Array(to - from + 1);
  const middle = (height_m[from] + height_m[to]) / 2;
  let second = 0;
  for (let i = from; i <= to; i += 1) {
    const below = i > from ? height_m[i] - height_m[i - 1] : 0;
    const above = i < to ? height_m[i + 1] - height_m[i] : 0;
    weights[i - from] = (below + above) / 2;
    arms[i - from] = height_m[i] - middle;
    second += weights[i - from] * arms[i - from] ** 2;
  }
  const depth = height_m[to] - height_m[from];
  return () => {
    let force = 0;
    let moment = 0;
    for (let i = 0; i < weights.length; i += 1) {
      const part = weights[i] * temperature[from + i];
      force += part;
      moment += part * arms[i];
    }
    const mean = force / depth;
    const slope = moment / second;
    let greatest = 0;
    for (let i = 0; i < weights.length; i += 1) {
      const pull = mean + slope * arms[i] - temperature[from + i];
      if (pull > greatest) greatest = pull;
    }
    return greatest;
  };
}
