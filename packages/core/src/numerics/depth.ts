/** Sums over a depth whose nodes may lie unevenly. */

/** Trapezoid weights of the nodes, m, and their heights over the middle, m. A height given twice is a joint. */
export function depthWeights(height_m: Float64Array): { weight: Float64Array; arm: Float64Array } {
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
