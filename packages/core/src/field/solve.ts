/** A balance solved by conjugate gradients, each step led by an incomplete factor of the cells' own order. The same input gives the same answer to the last digit. */
import type { Balance } from './lattice';

/** Left of the imbalance, as a share. */
const LEFT = 1e-10;

export interface Solved {
  theta_K: Float64Array;
  iterations: number;
}

/** source: W in each cell. Null where it does not settle, as where nothing leads to the kiln. */
export function solveBalance({ diagonal, next, neighbour, toKiln }: Balance, source: Float64Array): Solved | null {
  const count = diagonal.length;
  if (!toKiln.some((to) => to > 0)) return null;
  const multiply = (of: Float64Array, into: Float64Array): void => {
    for (let i = 0; i < count; i += 1) into[i] = diagonal[i] * of[i];
    for (let axis = 0; axis < 3; axis += 1) {
      const [to, beside] = [next[axis], neighbour[axis]];
      for (let i = 0; i < count; i += 1) {
        const other = beside[i];
        if (other < 0) continue;
        into[i] -= to[i] * of[other];
        into[other] -= to[i] * of[i];
      }
    }
  };
  // The diagonal of an incomplete factor: what a cell passes on is taken off those after it.
  const factor = Float64Array.from(diagonal);
  for (let i = 0; i < count; i += 1) {
    for (let axis = 0; axis < 3; axis += 1) {
      const other = neighbour[axis][i];
      if (other >= 0) factor[other] -= next[axis][i] ** 2 / factor[i];
    }
  }
  const led = (of: Float64Array, into: Float64Array): void => {
    into.set(of);
    for (let i = 0; i < count; i += 1) {
      for (let axis = 0; axis < 3; axis += 1) {
        const other = neighbour[axis][i];
        if (other >= 0) into[other] += (next[axis][i] * into[i]) / factor[i];
      }
    }
    for (let i = count - 1; i >= 0; i -= 1) {
      let sum = into[i];
      for (let axis = 0; axis < 3; axis += 1) {
        const other = neighbour[axis][i];
        if (other >= 0) sum += next[axis][i] * into[other];
      }
      into[i] = sum / factor[i];
    }
  };
  const dot = (one: Float64Array, other: Float64Array): number => {
    let sum = 0;
    for (let i = 0; i < count; i += 1) sum += one[i] * other[i];
    return sum;
  };
  const theta_K = new Float64Array(count);
  const rest = Float64Array.from(source);
  const lead = new Float64Array(count);
  const along = new Float64Array(count);
  const change = new Float64Array(count);
  led(rest, lead);
  along.set(lead);
  let power = dot(rest, lead);
  const enough = LEFT ** 2 * dot(source, source);
  // Exact after as many steps as there are cells; it takes far fewer.
  for (let iterations = 0; iterations <= count; iterations += 1) {
    if (dot(rest, rest) <= enough) return { theta_K, iterations };
    multiply(along, change);
    const step = power / dot(along, change);
    for (let i = 0; i < count; i += 1) {
      theta_K[i] += step * along[i];
      rest[i] -= step * change[i];
    }
    led(rest, lead);
    const now = dot(rest, lead);
    const share = now / power;
    power = now;
    for (let i = 0; i < count; i += 1) along[i] = lead[i] + share * along[i];
  }
  return null;
}
