/** A balance solved by conjugate gradients, each step led by an incomplete factor of the cells' own order. The same input gives the same answer to the last digit. */
import type { Balance } from './lattice';

/** Left of the imbalance where nothing else is asked, as a share. */
const LEFT = 1e-10;
/** Rounding may leave a little more where cells are very flat. */
const LEFT_AT_MOST = 1e-7;

export interface Solved {
  theta_K: Float64Array;
  iterations: number;
}

/** Solves for one source after the other, W in each cell; from a first guess where there is one. Null where it does not settle, as where nothing leads to the kiln. */
export type Solver = (source: Float64Array, guess?: Float64Array, left?: number) => Solved | null;

/** Next cells up and down one axis, with what passes to each, W/K; a cell past the last stands for none. */
interface Beside {
  up: Int32Array;
  toUp: Float64Array;
  down: Int32Array;
  toDown: Float64Array;
}

function besideOn(neighbour: Int32Array, next: Float64Array): Beside {
  const count = neighbour.length;
  const up = neighbour.map((other) => (other < 0 ? count : other));
  const down = new Int32Array(count).fill(count);
  const toDown = new Float64Array(count);
  for (let i = 0; i < count; i += 1) {
    if (up[i] === count) continue;
    down[up[i]] = i;
    toDown[up[i]] = next[i];
  }
  return { up, toUp: next, down, toDown };
}

/** hold_W_K: what holds each cell to where it is, W/K, such as its heat capacity over a step in time. */
export function solverOf({ diagonal: conducts, next, neighbour, toKiln }: Balance, hold_W_K?: Float64Array): Solver {
  const count = conducts.length;
  if (!hold_W_K && !toKiln.some((to) => to > 0)) return () => null;
  const diagonal = hold_W_K ? conducts.map((own, i) => own + hold_W_K[i]) : conducts;
  const [x, y, z] = neighbour.map((of, axis) => besideOn(of, next[axis]));
  const { up: upX, toUp: toUpX, down: downX, toDown: toDownX } = x;
  const { up: upY, toUp: toUpY, down: downY, toDown: toDownY } = y;
  const { up: upZ, toUp: toUpZ, down: downZ, toDown: toDownZ } = z;
  // One place more than there are cells: what is not there holds nothing.
  const room = (): Float64Array => new Float64Array(count + 1);

  /** Into `into`, and how much of it lies along `of`. */
  function multiply(of: Float64Array, into: Float64Array): number {
    let along = 0;
    for (let i = 0; i < count; i += 1) {
      const value =
        diagonal[i] * of[i] -
        toUpX[i] * of[upX[i]] -
        toDownX[i] * of[downX[i]] -
        toUpY[i] * of[upY[i]] -
        toDownY[i] * of[downY[i]] -
        toUpZ[i] * of[upZ[i]] -
        toDownZ[i] * of[downZ[i]];
      into[i] = value;
      along += value * of[i];
    }
    return along;
  }

  // One over the diagonal of an incomplete factor: what a cell passes on is taken off those after it.
  const factor = Float64Array.from(diagonal);
  const inverse = new Float64Array(count);
  for (let i = 0; i < count; i += 1) {
    inverse[i] = 1 / factor[i];
    if (upX[i] < count) factor[upX[i]] -= toUpX[i] ** 2 * inverse[i];
    if (upY[i] < count) factor[upY[i]] -= toUpY[i] ** 2 * inverse[i];
    if (upZ[i] < count) factor[upZ[i]] -= toUpZ[i] ** 2 * inverse[i];
  }

  /** Into `into`, and how much of it lies along `of`. */
  function led(of: Float64Array, into: Float64Array): number {
    for (let i = 0; i < count; i += 1) {
      into[i] = inverse[i] * (of[i] + toDownX[i] * into[downX[i]] + toDownY[i] * into[downY[i]] + toDownZ[i] * into[downZ[i]]);
    }
    let along = 0;
    for (let i = count - 1; i >= 0; i -= 1) {
      const value = into[i] + inverse[i] * (toUpX[i] * into[upX[i]] + toUpY[i] * into[upY[i]] + toUpZ[i] * into[upZ[i]]);
      into[i] = value;
      along += value * of[i];
    }
    return along;
  }

  const [rest, lead, along, change] = [room(), room(), room(), room()];
  return (source, guess, left = LEFT) => {
    const theta = room();
    if (guess) theta.set(guess);
    multiply(theta, change);
    let wanted = 0;
    for (let i = 0; i < count; i += 1) {
      rest[i] = source[i] - change[i];
      wanted += source[i] * source[i];
    }
    let power = led(rest, lead);
    along.set(lead);
    const enough = left ** 2 * wanted;
    const remains = (): number => {
      let sum = 0;
      for (let i = 0; i < count; i += 1) sum += rest[i] * rest[i];
      return sum;
    };
    let over = remains();
    let iterations = 0;
    // Exact after as many steps as there are cells; it takes far fewer.
    for (; iterations < count && over > enough; iterations += 1) {
      const step = power / multiply(along, change);
      over = 0;
      for (let i = 0; i < count; i += 1) {
        theta[i] += step * along[i];
        const now = rest[i] - step * change[i];
        rest[i] = now;
        over += now * now;
      }
      const now = led(rest, lead);
      const share = now / power;
      power = now;
      for (let i = 0; i < count; i += 1) along[i] = lead[i] + share * along[i];
    }
    return over <= Math.max(left, LEFT_AT_MOST) ** 2 * wanted ? { theta_K: theta.subarray(0, count), iterations } : null;
  };
}
