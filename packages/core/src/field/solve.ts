/** A balance solved by conjugate gradients, each step led by an incomplete factor of the cells' own order. The same input gives the same answer to the last digit. */
import { compiledBalance } from './compiledBalance';
import type { Balance } from './lattice';
import { type Beside, type Prepared, plainBalance } from './plainBalance';

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

function besideOn(neighbour: Int32Array, next: Float64Array): Beside {
  const count = neighbour.length;
  const up = new Int32Array(count).fill(count);
  const down = new Int32Array(count).fill(count);
  const toDown = new Float64Array(count);
  for (let i = 0; i < count; i += 1) {
    const other = neighbour[i];
    if (other < 0) continue;
    up[i] = other;
    down[other] = i;
    toDown[other] = next[i];
  }
  return { up, toUp: next, down, toDown };
}

/** One over the diagonal of an incomplete factor: what a cell passes on is taken off those after it. */
function inverseOf(diagonal: Float64Array, [x, y, z]: Prepared['beside']): Float64Array {
  const count = diagonal.length;
  // One place more: what is passed to none is taken off there.
  const factor = new Float64Array(count + 1);
  factor.set(diagonal);
  const inverse = new Float64Array(count);
  for (let i = 0; i < count; i += 1) {
    const by = 1 / factor[i];
    inverse[i] = by;
    factor[x.up[i]] -= x.toUp[i] ** 2 * by;
    factor[y.up[i]] -= y.toUp[i] ** 2 * by;
    factor[z.up[i]] -= z.toUp[i] ** 2 * by;
  }
  return inverse;
}

/** hold_W_K: what holds each cell to where it is, W/K, such as its heat capacity over a step in time. */
export function solverOf({ diagonal: conducts, next, neighbour, toKiln }: Balance, hold_W_K?: Float64Array, gradients = compiledBalance): Solver {
  if (!hold_W_K && !toKiln.some((to) => to > 0)) return () => null;
  const diagonal = hold_W_K ? conducts.map((own, i) => own + hold_W_K[i]) : conducts;
  const [x, y, z] = neighbour.map((of, axis) => besideOn(of, next[axis]));
  const beside = [x, y, z] as const;
  const prepared: Prepared = { diagonal, beside, inverse: inverseOf(diagonal, beside) };
  return (source, guess, left = LEFT) => {
    const asked = { source, left, ...(guess ? { guess } : {}) };
    const { theta_K, iterations, over, wanted } = gradients(prepared, asked) ?? plainBalance(prepared, asked);
    return over <= Math.max(left, LEFT_AT_MOST) ** 2 * wanted ? { theta_K, iterations } : null;
  };
}
