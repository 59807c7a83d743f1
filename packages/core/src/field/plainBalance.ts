/**
 * The steps of a field's solver (./solve) in plain code, for where they cannot be compiled. Changed here, they are changed in assembly/balance.ts
 * too. Along y last: of most bodies nothing passes that way.
 */

/** Next cells up and down one axis, with what passes to each, W/K; a cell past the last stands for none. */
export interface Beside {
  up: Int32Array;
  toUp: Float64Array;
  down: Int32Array;
  toDown: Float64Array;
}

export interface Prepared {
  diagonal: Float64Array;
  /** Along x, y and z. */
  beside: readonly [Beside, Beside, Beside];
  /** One over the diagonal of the factor that leads. */
  inverse: Float64Array;
}

export interface AskedBalance {
  source: Float64Array;
  guess?: Float64Array;
  /** What may be left of the imbalance, as a share. */
  left: number;
}

export interface Stepped {
  theta_K: Float64Array;
  iterations: number;
  /** Squares of what is left and of what was wanted, summed up. */
  over: number;
  wanted: number;
}

export function plainBalance({ diagonal, beside, inverse }: Prepared, { source, guess, left }: AskedBalance): Stepped {
  const count = diagonal.length;
  const [x, y, z] = beside;
  // Cells stand in the order of x: the next along it is the next, or passes nothing.
  const { toUp: toUpX, toDown: toDownX } = x;
  const { up: upY, toUp: toUpY, down: downY, toDown: toDownY } = y;
  const { up: upZ, toUp: toUpZ, down: downZ, toDown: toDownZ } = z;
  // One place more than there are cells: what is not there holds nothing.
  const room = (): Float64Array => new Float64Array(count + 1);

  // Sums of cells that do not wait for one another are taken of the even and the odd ones apart, as the compiled steps take two at a time.
  const sums = new Float64Array(2);

  /** Into `into`, and how much of it lies along `of`. */
  function multiply(of: Float64Array, into: Float64Array): number {
    sums.fill(0);
    let before = 0;
    for (let i = 0; i < count; i += 1) {
      const value =
        diagonal[i] * of[i] -
        toUpX[i] * of[i + 1] -
        toDownX[i] * before -
        toUpZ[i] * of[upZ[i]] -
        toDownZ[i] * of[downZ[i]] -
        toUpY[i] * of[upY[i]] -
        toDownY[i] * of[downY[i]];
      into[i] = value;
      sums[i & 1] += value * of[i];
      before = of[i];
    }
    return sums[0] + sums[1];
  }

  /** Into `into`, and how much of it lies along `of`. What goes on from cell to cell waits for one product and one sum only. */
  function led(of: Float64Array, into: Float64Array): number {
    let last = 0;
    for (let i = 0; i < count; i += 1) {
      const gains = of[i] + toDownZ[i] * into[downZ[i]] + toDownY[i] * into[downY[i]];
      last = inverse[i] * gains + inverse[i] * toDownX[i] * last;
      into[i] = last;
    }
    let sum = 0;
    last = 0;
    for (let i = count - 1; i >= 0; i -= 1) {
      const gains = toUpZ[i] * into[upZ[i]] + toUpY[i] * into[upY[i]];
      last = into[i] + inverse[i] * gains + inverse[i] * toUpX[i] * last;
      into[i] = last;
      sum += last * of[i];
    }
    return sum;
  }

  const [theta, rest, lead, along, change] = [room(), room(), room(), room(), room()];
  if (guess) theta.set(guess);
  multiply(theta, change);
  let wanted = 0;
  for (let i = 0; i < count; i += 1) {
    rest[i] = source[i] - change[i];
    wanted += source[i] * source[i];
  }
  let power = led(rest, lead);
  along.set(lead);
  const enough = left * left * wanted;
  let over = 0;
  for (let i = 0; i < count; i += 1) over += rest[i] * rest[i];
  let iterations = 0;
  // Exact after as many steps as there are cells; it takes far fewer.
  for (; iterations < count && over > enough; iterations += 1) {
    const step = power / multiply(along, change);
    sums.fill(0);
    for (let i = 0; i < count; i += 1) {
      theta[i] += step * along[i];
      const now = rest[i] - step * change[i];
      rest[i] = now;
      sums[i & 1] += now * now;
    }
    over = sums[0] + sums[1];
    const now = led(rest, lead);
    const share = now / power;
    power = now;
    for (let i = 0; i < count; i += 1) along[i] = lead[i] + share * along[i];
  }
  return { theta_K: theta.subarray(0, count), iterations, over, wanted };
}
