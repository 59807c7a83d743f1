/**
 * The inner loops of a field's balance, in AssemblyScript: conjugate gradients as src/field/plainBalance.ts has them, step by step and sum by
 * sum, which is where they are explained. `npm run compile` makes src/field/balance.wasm.ts of it; a test holds that this was done, and that
 * both give the same bits.
 *
 * One memory holds one balance of n cells, of which each has its next along x beside it. HEAD first, then rows of n + 1 doubles in the order of src/field/compiledBalance.ts, then rows of
 * n + 1 places in bytes: where the next cell stands within a row, n · 8 where there is none.
 */

// Head, in bytes.
const OVER: usize = 0;
const WANTED: usize = 8;
const ROWS: usize = 16;

/** What stands at two places of a row. */
function two(x: usize, places: usize): v128 {
  return v128.load64_lane(x + load<u32>(places + 4), v128.load64_zero(x + load<u32>(places)), 1);
}

function sumOf(both: v128): f64 {
  return f64x2.extract_lane(both, 0) + f64x2.extract_lane(both, 1);
}

/** Into `into`, and how much of it lies along `x`: two cells in one vector, of which the last may be the one that is none. */
function multiply(size: usize, deep: bool, x: usize, into: usize): f64 {
  const row = size + 8;
  const upZ = ROWS + 14 * row;
  const half = row >> 1;
  let sums = v128.splat<f64>(0);
  let carried: f64 = 0;
  for (let i: usize = 0, k = upZ; i < size; i += 16, k += 8) {
    const here = ROWS + i;
    const own = v128.load(x + i);
    const after = v128.load(x + i + 8);
    const before = f64x2(carried, f64x2.extract_lane(own, 0));
    let value = f64x2.mul(v128.load(here), own);
    value = f64x2.sub(value, f64x2.mul(v128.load(here + row), after));
    value = f64x2.sub(value, f64x2.mul(v128.load(here + 2 * row), before));
    value = f64x2.sub(value, f64x2.mul(v128.load(here + 3 * row), two(x, k)));
    value = f64x2.sub(value, f64x2.mul(v128.load(here + 4 * row), two(x, k + half)));
    if (deep) {
      value = f64x2.sub(value, f64x2.mul(v128.load(here + 5 * row), two(x, k + 2 * half)));
      value = f64x2.sub(value, f64x2.mul(v128.load(here + 6 * row), two(x, k + 3 * half)));
    }
    v128.store(into + i, value);
    sums = f64x2.add(sums, f64x2.mul(value, own));
    carried = f64x2.extract_lane(own, 1);
  }
  return sumOf(sums);
}

/** Into `into`, and how much of it lies along `x`. */
function led(size: usize, deep: bool, x: usize, into: usize): f64 {
  const row = size + 8;
  const half = row >> 1;
  const upZ = ROWS + 14 * row;
  const inverse = ROWS + 7 * row;
  let last: f64 = 0;
  for (let i: usize = 0, k = upZ + half; i < size; i += 8, k += 4) {
    const here = ROWS + i;
    let gains = load<f64>(x + i) + load<f64>(here + 4 * row) * load<f64>(into + load<u32>(k));
    if (deep) gains += load<f64>(here + 6 * row) * load<f64>(into + load<u32>(k + 2 * half));
    const by = load<f64>(inverse + i);
    last = by * gains + by * load<f64>(here + 2 * row) * last;
    store<f64>(into + i, last);
  }
  let sum: f64 = 0;
  last = 0;
  for (let i = size, k = upZ + (size >> 1); i > 0;) {
    i -= 8;
    k -= 4;
    const here = ROWS + i;
    let gains = load<f64>(here + 3 * row) * load<f64>(into + load<u32>(k));
    if (deep) gains += load<f64>(here + 5 * row) * load<f64>(into + load<u32>(k + 2 * half));
    const by = load<f64>(inverse + i);
    last = load<f64>(into + i) + by * gains + by * load<f64>(here + row) * last;
    store<f64>(into + i, last);
    sum += last * load<f64>(x + i);
  }
  return sum;
}

/** Solves for what stands in the row of the source, from what stands in that of θ; how many steps it took. deep: anything passes along the third axis. */
export function solve(n: i32, deep: bool, left: f64): i32 {
  const size = (n as usize) << 3;
  const row = size + 8;
  const source = ROWS + 8 * row;
  const theta = source + row;
  const rest = theta + row;
  const lead = rest + row;
  const along = lead + row;
  const change = along + row;
  multiply(size, deep, theta, change);
  let wanted: f64 = 0;
  for (let i: usize = 0; i < size; i += 8) {
    const own = load<f64>(source + i);
    store<f64>(rest + i, own - load<f64>(change + i));
    wanted += own * own;
  }
  let power = led(size, deep, rest, lead);
  memory.copy(along, lead, row);
  const enough = left * left * wanted;
  let over: f64 = 0;
  for (let i: usize = 0; i < size; i += 8) over += load<f64>(rest + i) * load<f64>(rest + i);
  let iterations = 0;
  for (; iterations < n && over > enough; iterations += 1) {
    const step = power / multiply(size, deep, along, change);
    const steps = v128.splat<f64>(step);
    let overs = v128.splat<f64>(0);
    for (let i: usize = 0; i < size; i += 16) {
      v128.store(theta + i, f64x2.add(v128.load(theta + i), f64x2.mul(steps, v128.load(along + i))));
      const now = f64x2.sub(v128.load(rest + i), f64x2.mul(steps, v128.load(change + i)));
      v128.store(rest + i, now);
      overs = f64x2.add(overs, f64x2.mul(now, now));
    }
    over = sumOf(overs);
    const now = led(size, deep, rest, lead);
    const share = now / power;
    power = now;
    const shares = v128.splat<f64>(share);
    for (let i: usize = 0; i < size; i += 16) v128.store(along + i, f64x2.add(v128.load(lead + i), f64x2.mul(shares, v128.load(along + i))));
  }
  store<f64>(OVER, over);
  store<f64>(WANTED, wanted);
  return iterations;
}
