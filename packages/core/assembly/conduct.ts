/**
 * The inner loops of the heat simulation, in AssemblyScript: src/heat/plainSolver.ts figure by figure, which is where they are
 * explained; the two halves of a stack, which are solved towards each other, go in the two lanes of one vector. `npm run compile` makes src/heat/conduct.wasm.ts of it; a test holds that this was done, and that both give the
 * same bits.
 *
 * One memory holds one stack. All is doubles; HEAD first, in the order of compiled.ts, then one row of n for each array.
 */

// Head, in bytes.
const DT: usize = 0;
const KILN_FROM: usize = 8;
const KILN_TO: usize = 16;
const CROSSED: usize = 24;
const ERROR: usize = 32;
const UNDO_CROSSED: usize = 40;
/** Of each face emissivity times σ, then convection. */
const BOTTOM: usize = 48;
const TOP: usize = 64;
const LOW: usize = 80;
const HIGH: usize = 88;
const MEAN: usize = 96;
const SLOPE: usize = 104;
const PULL: usize = 112;
const MEMORY: usize = 128;
const MEMORY_BYTES: usize = 13 << 3;
const UNDO_MEMORY: usize = 256;
const ROWS: usize = 384;

const GAMMA: f64 = 2 - Math.SQRT2;
const IMPLICIT: f64 = 1 - Math.SQRT1_2;
const FROM_MIDDLE: f64 = 1 / (GAMMA * (2 - GAMMA));
const FROM_START: f64 = ((1 - GAMMA) * (1 - GAMMA)) / (GAMMA * (2 - GAMMA));
const EARLY_WEIGHT: f64 = Math.SQRT2 / 4;
const ERROR_CONSTANT: f64 = Math.abs((-3 * (GAMMA * GAMMA) + 4 * GAMMA - 2) / (2 * (2 - GAMMA)));
const KELVIN_AT_0_C: f64 = 273.15;

function exchange(face: usize, face_C: f64, kiln_C: f64): f64 {
  const a = face_C + KELVIN_AT_0_C;
  const b = kiln_C + KELVIN_AT_0_C;
  return load<f64>(face) * (a * a + b * b) * (a + b) + load<f64>(face + 8);
}

/** Node i in the lower lane and j in the upper one. */
function both(row: usize, i: usize, j: usize): v128 {
  return v128.load64_lane(row + j, v128.load64_zero(row + i), 1);
}

/** One step of a stack of n nodes; takes the gauge of count of them, the given one and those after it. */
export function conduct(n: i32, from: i32, count: i32): void {
  const row = (n as usize) << 3;
  const last = row - 8;
  const meet = ((n >> 1) as usize) << 3;
  const T = ROWS;
  const capacity = T + row;
  const conductance = capacity + row;
  // In pairs from here on: the node at i, in the lower half, beside its mirror image in the upper one.
  const pairs = conductance + row;
  const undo = (pairs + 8) & ~15;
  const half = meet << 1;
  const middle = undo + half + 16;
  const weighed = middle + half;
  const taken = weighed + half;
  const given = taken + half;

  const dt_s = load<f64>(DT);
  const from_C = load<f64>(KILN_FROM);
  const to_C = load<f64>(KILN_TO);
  const implicit_s = IMPLICIT * dt_s;
  const mid_C = from_C + GAMMA * (to_C - from_C);
  const halfway_C = (from_C + to_C) / 2;
  for (let k: usize = 0; k < MEMORY_BYTES; k += 8) store<f64>(UNDO_MEMORY + k, load<f64>(MEMORY + k));
  store<f64>(UNDO_CROSSED, load<f64>(CROSSED));
  const bottomStart = load<f64>(T);
  const topStart = load<f64>(T + last);
  const hBottom = exchange(BOTTOM, bottomStart + (load<f64>(MEMORY) * dt_s) / 2, halfway_C);
  const hTop = exchange(TOP, topStart + (load<f64>(MEMORY + 8) * dt_s) / 2, halfway_C);
  const fluxStart = hBottom * (from_C - bottomStart) + hTop * (from_C - topStart);

  const implicit = v128.splat<f64>(implicit_s);
  const one = v128.splat<f64>(1);
  let here = both(T, 0, last);
  let own = f64x2(implicit_s * hBottom, implicit_s * hTop);
  let right = f64x2.mul(own, f64x2.add(f64x2.sub(v128.splat<f64>(from_C), here), v128.splat<f64>(mid_C)));
  let towards = one;
  let slot: usize = 0;
  let i: usize = 0;
  let j = last;
  for (; j > meet; i += 8, j -= 8, slot += 16) {
    const before = towards;
    towards = f64x2.mul(implicit, both(conductance, i, j - 8));
    const c = both(capacity, i, j);
    const next = both(T, i + 8, j - 8);
    const flows = f64x2.mul(towards, f64x2.sub(next, here));
    const p = f64x2.div(one, f64x2.add(f64x2.add(c, towards), own));
    const solved = f64x2.mul(f64x2.add(f64x2.add(f64x2.mul(c, here), flows), right), p);
    v128.store(undo + slot, here);
    v128.store(middle + slot, solved);
    v128.store(weighed + slot, f64x2.mul(c, p));
    v128.store(taken + slot, f64x2.mul(before, p));
    v128.store(given + slot, f64x2.mul(towards, p));
    own = f64x2.mul(f64x2.mul(towards, f64x2.add(c, own)), p);
    right = f64x2.sub(f64x2.mul(towards, solved), flows);
    here = next;
  }
  let lowHere = f64x2.extract_lane(here, 0);
  let lowOwn = f64x2.extract_lane(own, 0);
  let lowRight = f64x2.extract_lane(right, 0);
  let lowTowards = f64x2.extract_lane(towards, 0);
  if (i < meet) {
    // The lower half has one more. Beside it stands what hands on in the upper lane whatever comes: nothing, and all of it.
    const before = lowTowards;
    lowTowards = implicit_s * load<f64>(conductance + i);
    const c = load<f64>(capacity + i);
    const next = load<f64>(T + i + 8);
    const flows = lowTowards * (next - lowHere);
    const p = 1 / (c + lowTowards + lowOwn);
    const solved = (c * lowHere + flows + lowRight) * p;
    v128.store(undo + slot, f64x2(lowHere, next));
    v128.store(middle + slot, f64x2(solved, 0));
    v128.store(weighed + slot, f64x2(c * p, 0));
    v128.store(taken + slot, f64x2(before * p, 1));
    v128.store(given + slot, f64x2(lowTowards * p, 1));
    lowOwn = lowTowards * (c + lowOwn) * p;
    lowRight = lowTowards * solved - flows;
    lowHere = next;
  }
  const cMeet = load<f64>(capacity + meet);
  const highOwn = f64x2.extract_lane(own, 1);
  const highRight = f64x2.extract_lane(right, 1);
  const pMeet = 1 / (cMeet + lowOwn + highOwn);
  const lowTaken = lowTowards * pMeet;
  const highTaken = f64x2.extract_lane(towards, 1) * pMeet;
  store<f64>(undo + half, lowHere);
  const middleMeet = (cMeet * lowHere + lowRight + highRight) * pMeet;
  let solved = v128.splat<f64>(middleMeet);
  for (let k = half; k > 0;) {
    k -= 16;
    solved = f64x2.add(v128.load(middle + k), f64x2.mul(v128.load(given + k), solved));
    v128.store(middle + k, solved);
  }
  const fluxMiddle = hBottom * (mid_C - f64x2.extract_lane(solved, 0)) + hTop * (mid_C - f64x2.extract_lane(solved, 1));

  const fromMiddle = v128.splat<f64>(FROM_MIDDLE);
  const fromStart = v128.splat<f64>(FROM_START);
  solved = f64x2(implicit_s * hBottom * to_C, implicit_s * hTop * to_C);
  for (let k: usize = 0; k < half; k += 16) {
    const own = f64x2.sub(f64x2.mul(fromMiddle, v128.load(middle + k)), f64x2.mul(fromStart, v128.load(undo + k)));
    solved = f64x2.add(f64x2.mul(own, v128.load(weighed + k)), f64x2.mul(v128.load(taken + k), solved));
    v128.store(middle + k, solved);
  }
  if ((n & 1) === 0) store<f64>(middle + half - 8, 0);
  const ownMeet = FROM_MIDDLE * middleMeet - FROM_START * lowHere;
  const endMeet = ownMeet * (cMeet * pMeet) + lowTaken * f64x2.extract_lane(solved, 0) + highTaken * f64x2.extract_lane(solved, 1);
  store<f64>(T + meet, endMeet);
  solved = v128.splat<f64>(endMeet);
  i = meet;
  j = last - meet;
  for (let k = half; k > 0;) {
    k -= 16;
    i -= 8;
    j += 8;
    solved = f64x2.add(v128.load(middle + k), f64x2.mul(v128.load(given + k), solved));
    v128.store64_lane(T + i, solved, 0);
    v128.store64_lane(T + j, solved, 1);
  }

  const bottomEnd = load<f64>(T);
  const topEnd = load<f64>(T + last);
  const fluxEnd = hBottom * (to_C - bottomEnd) + hTop * (to_C - topEnd);
  store<f64>(CROSSED, load<f64>(CROSSED) + dt_s * (EARLY_WEIGHT * (fluxStart + fluxMiddle) + IMPLICIT * fluxEnd));
  store<f64>(MEMORY, (bottomEnd - bottomStart) / dt_s);
  store<f64>(MEMORY + 8, (topEnd - topStart) / dt_s);

  const before = load<f64>(MEMORY + 24);
  const earlier = load<f64>(MEMORY + 16);
  let greatest: f64 = 0;
  for (let k: usize = 0; k < 3; k += 1) {
    const past = MEMORY + 32 + 24 * k;
    const now = k === 0 ? bottomEnd : k === 1 ? load<f64>(T + ((((n - 1) >> 1) as usize) << 3)) : topEnd;
    const last1 = load<f64>(past + 16);
    const last2 = load<f64>(past + 8);
    const slope = (now - last1) / dt_s;
    const slopeBefore = (last1 - last2) / before;
    const slopeEarlier = (last2 - load<f64>(past)) / earlier;
    const bend = (slope - slopeBefore) / (dt_s + before);
    const bendBefore = (slopeBefore - slopeEarlier) / (before + earlier);
    const error = (ERROR_CONSTANT * (dt_s * dt_s * dt_s) * Math.abs(bend - bendBefore)) / (dt_s + before + earlier);
    if (error > greatest) greatest = error;
    store<f64>(past, last2);
    store<f64>(past + 8, last1);
    store<f64>(past + 16, now);
  }
  store<f64>(MEMORY + 16, before);
  store<f64>(MEMORY + 24, dt_s);
  store<f64>(ERROR, greatest);
  if (count > 0) gauge(row, from, count);
}

/** Behind three rows of n, and five of n in pairs with what rounding to whole pairs takes. */
function gaugeRows(row: usize): usize {
  return ROWS + 8 * row + 48;
}

/** Takes the last step of a stack of n nodes back. */
export function takeBack(n: i32): void {
  const row = (n as usize) << 3;
  const meet = ((n >> 1) as usize) << 3;
  const undo = (ROWS + 3 * row + 8) & ~15;
  let j = row - 8;
  for (let i: usize = 0; i < meet; i += 8, j -= 8) {
    const was = v128.load(undo + (i << 1));
    v128.store64_lane(ROWS + i, was, 0);
    v128.store64_lane(ROWS + j, was, 1);
  }
  store<f64>(ROWS + meet, load<f64>(undo + (meet << 1)));
  for (let k: usize = 0; k < MEMORY_BYTES; k += 8) store<f64>(MEMORY + k, load<f64>(UNDO_MEMORY + k));
  store<f64>(CROSSED, load<f64>(UNDO_CROSSED));
}

/** Coldest, hottest, mean and slope; the rows of shares follow those of conduct. Even and odd nodes go side by side, in two lanes. */
function gauge(row: usize, from: i32, count: i32): void {
  const T = ROWS + ((from as usize) << 3);
  const share = gaugeRows(row);
  const armShare = share + row;
  const pairs = ((count & ~1) as usize) << 3;
  let low = v128.splat<f64>(load<f64>(T));
  let high = low;
  let mean = v128.splat<f64>(0);
  let slope = v128.splat<f64>(0);
  for (let i: usize = 0; i < pairs; i += 16) {
    const here = v128.load(T + i);
    low = f64x2.pmin(low, here);
    high = f64x2.pmax(high, here);
    mean = f64x2.add(mean, f64x2.mul(v128.load(share + i), here));
    slope = f64x2.add(slope, f64x2.mul(v128.load(armShare + i), here));
  }
  let meanEven = f64x2.extract_lane(mean, 0);
  let slopeEven = f64x2.extract_lane(slope, 0);
  let lowest = Math.min(f64x2.extract_lane(low, 0), f64x2.extract_lane(low, 1));
  let highest = Math.max(f64x2.extract_lane(high, 0), f64x2.extract_lane(high, 1));
  if (count & 1) {
    const here = load<f64>(T + pairs);
    lowest = Math.min(lowest, here);
    highest = Math.max(highest, here);
    meanEven += load<f64>(share + pairs) * here;
    slopeEven += load<f64>(armShare + pairs) * here;
  }
  store<f64>(LOW, lowest);
  store<f64>(HIGH, highest);
  store<f64>(MEAN, meanEven + f64x2.extract_lane(mean, 1));
  store<f64>(SLOPE, slopeEven + f64x2.extract_lane(slope, 1));
}

/** By how much a node lies under the straight line of mean and slope, at most. */
export function pull(n: i32, from: i32, count: i32): void {
  const row = (n as usize) << 3;
  const T = ROWS + ((from as usize) << 3);
  const arm = gaugeRows(row) + 2 * row;
  const end = (count as usize) << 3;
  const mean = load<f64>(MEAN);
  const slope = load<f64>(SLOPE);
  const pairs = end & ~15;
  let greatest = v128.splat<f64>(0);
  for (let i: usize = 0; i < pairs; i += 16) {
    const line = f64x2.add(v128.splat<f64>(mean), f64x2.mul(v128.splat<f64>(slope), v128.load(arm + i)));
    greatest = f64x2.pmax(greatest, f64x2.sub(line, v128.load(T + i)));
  }
  let most = Math.max(f64x2.extract_lane(greatest, 0), f64x2.extract_lane(greatest, 1));
  if (pairs < end) most = Math.max(most, mean + slope * load<f64>(arm + pairs) - load<f64>(T + pairs));
  store<f64>(PULL, most);
}
