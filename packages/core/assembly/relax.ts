/**
 * One step of stress in a plate of one glass, in AssemblyScript: structure, relaxation and balance of src/stress figure by figure
 * (structure.ts, maxwell.ts, plate.ts), which is where they are explained. scripts/compile.mjs makes src/stress/relax.wasm.ts of it; tests
 * hold that this was done, and that both give the same bits.
 *
 * Two neighbouring nodes go in the two lanes of one vector wherever the same becomes of both; where it does not, each goes by itself.
 *
 * One memory holds one plate of an even number of nodes. All is doubles: HEAD, the terms of both spectra, the table of
 * numerics/decay.ts, then rows of n, then one row of n times the terms of structure and two of n times those of stress. In
 * these stand the terms of two nodes: the first of both, then the second of both.
 */

/** e^(−x) beyond the table, as the rest of the engine has it. */
declare function exp(x: f64): f64;

// Head, in bytes.
const DT: usize = 0;
const FLUID_C: usize = 8;
const SOLID: usize = 16;
const STRUCTURAL: usize = 24;
const PER_ANNEALING: usize = 32;
const CURVE: usize = 40;
const T0_C_AT: usize = 48;
const GLASSY: usize = 56;
const OFFSET: usize = 64;
const FASTEST: usize = 72;
const TENSION: usize = 80;
const ALL_FLUID: usize = 88;
const CURVATURE: usize = 96;
// Of each term: its weight, and how much faster and how much slower than the mean time of stress it is.
const STRUCTURE_WEIGHT: usize = 128;
const STRUCTURE_PACE: usize = 224;
const STRUCTURE_TIME: usize = 320;
const STRESS_WEIGHT: usize = 416;
const STRESS_PACE: usize = 512;
const STRESS_TIME: usize = 608;
/** Numbers of the loops: one load is cheaper than to have them made each time. In the order of compiledPlate.ts. */
const ONE: usize = 704;
const HALF: usize = 712;
const SIXTH: usize = 720;
const OF_24: usize = 728;
const OF_120: usize = 736;
const UNITS: usize = 744;
const PER_UNITS: usize = 752;
const ROUNDS_AT: usize = 760;
const END: usize = 768;
const LITTLE: usize = 776;
const STILL: usize = 784;
const TABLE: usize = 792;
/** 40 times 64 and two more. */
const TABLE_SIZE: usize = 2562 << 3;
const ROWS: usize = TABLE + TABLE_SIZE;

const KELVIN_AT_0_C: f64 = 273.15;
const PER_UNIT: f64 = 64;
/** A double so great that its last digit is one: what is added to it is rounded to a whole number, which its low bits hold. */
const ROUNDS: f64 = 6755399441055744;
const DECAY_END: f64 = 40;
const SERIES_BELOW: f64 = 0.02;
const STANDS_STILL: f64 = 1e-7;
const TRACE: f64 = 1e-5;
/** Both lanes, where a test holds in each. */
const BOTH: i32 = 3;

function decayWithin(x: f64): f64 {
  const whole = x * PER_UNIT + ROUNDS;
  const n = i32(reinterpret<u64>(whole));
  const r = (whole - ROUNDS) / PER_UNIT - x;
  const r2 = r * r;
  return load<f64>(TABLE + ((n as usize) << 3)) * (1 + r + r2 * (1.0 / 2 + r * (1.0 / 6) + r2 * (1.0 / 24 + r * (1.0 / 120))));
}

// @ts-ignore: a decorator of the compiler
@inline
function splat(x: f64): v128 {
  return v128.splat<f64>(x);
}

// @ts-ignore: a decorator of the compiler
@inline
function always(at: usize): v128 {
  return v128.load64_splat(at);
}

// @ts-ignore: a decorator of the compiler
@inline
function decaysWithin(x: v128): v128 {
  const whole = f64x2.add(f64x2.mul(x, always(UNITS)), always(ROUNDS_AT));
  const r = f64x2.sub(f64x2.mul(f64x2.sub(whole, always(ROUNDS_AT)), always(PER_UNITS)), x);
  const r2 = f64x2.mul(r, r);
  const first = v128.load64_zero(TABLE + ((i32x4.extract_lane(whole, 0) as usize) << 3));
  const near = v128.load64_lane(TABLE + ((i32x4.extract_lane(whole, 2) as usize) << 3), first, 1);
  const fourth = f64x2.add(always(OF_24), f64x2.mul(r, always(OF_120)));
  const second = f64x2.add(f64x2.add(always(HALF), f64x2.mul(r, always(SIXTH))), f64x2.mul(r2, fourth));
  return f64x2.mul(near, f64x2.add(f64x2.add(always(ONE), r), f64x2.mul(r2, second)));
}

/** e^(−x) for x of either sign. */
function decayOf(x: f64): f64 {
  if (x >= 0) return x > DECAY_END ? 0 : decayWithin(x);
  return x < -DECAY_END ? exp(-x) : 1 / decayWithin(-x);
}

/** What it has lost on the mean of a step, told by the last lostBy. */
let onMean: f64 = 0;

/** What it has lost at the end. One call for both: they share all but a division. perX: 1/x. */
function lostBy(x: f64, perX: f64): f64 {
  if (x < SERIES_BELOW) {
    onMean = x * (1.0 / 2 - x * (1.0 / 6 - x * (1.0 / 24 - x * (1.0 / 120))));
    return x - x * onMean;
  }
  const lost: f64 = x > DECAY_END ? 1 : 1 - decayWithin(x);
  onMean = 1 - lost * perX;
  return lost;
}

/** The same for two, told by the last lostByBoth. little: which lanes are under SERIES_BELOW; time: where the term's own stands. */
let onMeans: v128 = f64x2(0, 0);

// @ts-ignore: a decorator of the compiler
@inline
function lostByBoth(x: v128, little: i32, perWent: v128, time: usize): v128 {
  if (little === 0) {
    const perX = f64x2.mul(perWent, v128.load64_splat(time));
    const beyond = f64x2.gt(x, always(END));
    if (i64x2.bitmask(beyond) === BOTH) {
      onMeans = f64x2.sub(always(ONE), perX);
      return always(ONE);
    }
    const fades = f64x2.sub(always(ONE), decaysWithin(f64x2.pmin(always(END), x)));
    const lost = v128.bitselect(always(ONE), fades, beyond);
    onMeans = f64x2.sub(always(ONE), f64x2.mul(lost, perX));
    return lost;
  }
  if (little === BOTH) {
    const third = f64x2.sub(always(OF_24), f64x2.mul(x, always(OF_120)));
    const second = f64x2.sub(always(SIXTH), f64x2.mul(x, third));
    onMeans = f64x2.mul(x, f64x2.sub(always(HALF), f64x2.mul(x, second)));
    return f64x2.sub(x, f64x2.mul(x, onMeans));
  }
  const perX = f64x2.mul(perWent, v128.load64_splat(time));
  const first = lostBy(f64x2.extract_lane(x, 0), f64x2.extract_lane(perX, 0));
  const mean = onMean;
  const lost = f64x2(first, lostBy(f64x2.extract_lane(x, 1), f64x2.extract_lane(perX, 1)));
  onMeans = f64x2(mean, onMean);
  return lost;
}

/** Where the terms of a node begin in rows of terms; from one to the next are 16 bytes. */
// @ts-ignore: a decorator of the compiler
@inline
function termsAt(rows: usize, i: usize, terms: i32): usize {
  return rows + (i & ~15) * (terms as usize) + (i & 8);
}

/** Glass at one temperature is settled there. */
function settleStructure(row: usize, i: usize, fictive: usize, terms: i32, at_C: f64): void {
  store<f64>(ROWS + 2 * row + i, at_C);
  store<f64>(ROWS + 3 * row + i, 0);
  const from = termsAt(fictive, i, terms);
  for (let k = 0; k < terms; k += 1) store<f64>(from + ((k as usize) << 4), at_C);
}

/** How far the structure of a node moves by its terms from byte k on, beside what the ones before have moved it. */
function moveFrom(k: usize, moved: f64, at: usize, end: usize, went: f64, dT: f64, from_C: f64): f64 {
  const perWent = 1 / went;
  for (; k < end; k += 8) {
    const x = went * load<f64>(STRUCTURE_PACE + k);
    if (x < STANDS_STILL) break;
    const lost = lostBy(x, perWent * load<f64>(STRUCTURE_TIME + k));
    const own = at + (k << 1);
    const was = load<f64>(own);
    const moves = dT * onMean - lost * (was - from_C);
    store<f64>(own, was + moves);
    moved += load<f64>(STRUCTURE_WEIGHT + k) * moves;
  }
  return moved;
}

/** Structure of one node; whether it is fluid. */
function structureOf(row: usize, i: usize, structureTerms: i32): i32 {
  const fictive = ROWS + 19 * row;
  const from_C = load<f64>(ROWS + row + i);
  const to_C = load<f64>(ROWS + i);
  const solid = load<f64>(SOLID);
  const structural = load<f64>(STRUCTURAL);
  const dt_s = load<f64>(DT);
  const dT = to_C - from_C;
  store<f64>(ROWS + row + i, to_C);
  if (to_C >= load<f64>(FLUID_C)) {
    store<f64>(ROWS + 4 * row + i, 1);
    store<f64>(ROWS + 5 * row + i, Infinity);
    store<f64>(ROWS + 6 * row + i, (solid + structural) * dT);
    return 1;
  }
  if (load<f64>(ROWS + 4 * row + i) === 1) {
    settleStructure(row, i, fictive, structureTerms, from_C);
    store<f64>(ROWS + 4 * row + i, 0);
  }
  const Tf = load<f64>(ROWS + 2 * row + i) + (load<f64>(ROWS + 3 * row + i) * dt_s) / 2;
  const over = Tf - load<f64>(T0_C_AT);
  const middle_K = (from_C + to_C) / 2 + KELVIN_AT_0_C;
  const fictive_K = Tf + KELVIN_AT_0_C;
  const slower =
    (load<f64>(CURVE) * middle_K * fictive_K + load<f64>(GLASSY) * (fictive_K - middle_K) * over) / (over * middle_K * fictive_K) - load<f64>(OFFSET);
  const went = over <= 0 ? 0 : dt_s * load<f64>(PER_ANNEALING) * decayOf(slower);
  if (went * load<f64>(FASTEST) < STANDS_STILL) {
    store<f64>(ROWS + 5 * row + i, 0);
    store<f64>(ROWS + 6 * row + i, solid * dT);
    store<f64>(ROWS + 3 * row + i, 0);
    return 0;
  }
  const moved = moveFrom(0, 0, termsAt(fictive, i, structureTerms), (structureTerms as usize) << 3, went, dT, from_C);
  store<f64>(ROWS + 2 * row + i, load<f64>(ROWS + 2 * row + i) + moved);
  store<f64>(ROWS + 3 * row + i, moved * (1 / dt_s));
  store<f64>(ROWS + 5 * row + i, went);
  store<f64>(ROWS + 6 * row + i, solid * dT + structural * moved);
  return 0;
}

/** What is left of a node's own, and how stiff it is, told by the last relaxFrom. */
let stiffLeft: f64 = 0;
let carriedOn: f64 = 0;

/** Relaxes a node's terms from byte k on. */
function relaxFrom(k: usize, parts: usize, grip: usize, end: usize, went: f64, put: f64): void {
  const perWent = 1 / went;
  for (; k < end; k += 8) {
    const x = went * load<f64>(STRESS_PACE + k);
    if (x < STANDS_STILL) break;
    const lost = lostBy(x, perWent * load<f64>(STRESS_TIME + k));
    const at = k << 1;
    const part = load<f64>(parts + at) + load<f64>(grip + at) * put;
    const fades = lost * part;
    store<f64>(parts + at, part - fades);
    store<f64>(grip + at, 1 - onMean);
    const w = load<f64>(STRESS_WEIGHT + k);
    stiffLeft -= w * onMean;
    carriedOn -= w * fades;
  }
  for (; k < end; k += 8) {
    const at = k << 1;
    store<f64>(parts + at, load<f64>(parts + at) + load<f64>(grip + at) * put);
    store<f64>(grip + at, 1);
  }
}

/** A node that was fluid holds nothing; one that relaxes again gives every term its own of what was kept. */
function begin(row: usize, i: usize, parts: usize, end: usize, relaxes: bool): void {
  if (load<f64>(ROWS + 11 * row + i) === 1) {
    store<f64>(ROWS + 8 * row + i, 0);
    store<f64>(ROWS + 9 * row + i, 0);
    store<f64>(ROWS + 10 * row + i, 0);
    for (let k: usize = 0; k < end; k += 8) store<f64>(parts + (k << 1), 0);
    store<f64>(ROWS + 11 * row + i, 0);
  }
  if (relaxes && load<f64>(ROWS + 10 * row + i) === 1) {
    const kept = load<f64>(ROWS + 9 * row + i);
    for (let k: usize = 0; k < end; k += 8) store<f64>(parts + (k << 1), load<f64>(parts + (k << 1)) + kept);
    store<f64>(ROWS + 10 * row + i, 0);
  }
}

/** Relaxation of one node. */
function relax(row: usize, i: usize, parts: usize, grip: usize, end: usize): void {
  const went = load<f64>(ROWS + 5 * row + i);
  const stiff_Pa = load<f64>(ROWS + 14 * row + i);
  if (went === Infinity) {
    store<f64>(ROWS + 11 * row + i, 1);
    store<f64>(ROWS + 12 * row + i, stiff_Pa * TRACE);
    store<f64>(ROWS + 13 * row + i, 0);
    return;
  }
  begin(row, i, parts, end, went !== 0);
  const put = load<f64>(ROWS + 8 * row + i);
  carriedOn = load<f64>(ROWS + 7 * row + i);
  stiffLeft = 1;
  if (went !== 0) {
    relaxFrom(0, parts, grip, end, went, put);
    stiffLeft = Math.max(stiffLeft, TRACE);
  } else if (load<f64>(ROWS + 10 * row + i) === 1) store<f64>(ROWS + 9 * row + i, load<f64>(ROWS + 9 * row + i) + put);
  else {
    for (let k: usize = 0; k < end; k += 8) {
      const at = k << 1;
      store<f64>(parts + at, load<f64>(parts + at) + load<f64>(grip + at) * put);
      store<f64>(grip + at, 1);
    }
    store<f64>(ROWS + 9 * row + i, 0);
    store<f64>(ROWS + 10 * row + i, 1);
  }
  store<f64>(ROWS + 12 * row + i, stiff_Pa * stiffLeft);
  store<f64>(ROWS + 13 * row + i, carriedOn);
}

/** n: even. terms: of structure and of stress; flat: held so, and not free to bow. */
export function step(n: i32, structureTerms: i32, stressTerms: i32, flat: i32): void {
  const row = (n as usize) << 3;
  const T = ROWS;
  const before = ROWS + row;
  const fictiveMean = ROWS + 2 * row;
  const fictiveRate = ROWS + 3 * row;
  const isFluid = ROWS + 4 * row;
  const passed = ROWS + 5 * row;
  const own = ROWS + 6 * row;
  const stress = ROWS + 7 * row;
  const taken = ROWS + 8 * row;
  const isElastic = ROWS + 10 * row;
  const held = ROWS + 9 * row;
  const wasFluid = ROWS + 11 * row;
  const stiffness = ROWS + 12 * row;
  const carried = ROWS + 13 * row;
  const modulus = ROWS + 14 * row;
  const weight = ROWS + 15 * row;
  const weightArm = ROWS + 16 * row;
  const weightArm2 = ROWS + 17 * row;
  const arm = ROWS + 18 * row;
  const fictive = ROWS + 19 * row;
  const parts = fictive + row * (structureTerms as usize);
  const grip = parts + row * (stressTerms as usize);

  const none = splat(0);
  const one = always(ONE);
  const dt_s = load<f64>(DT);
  const fluid_C = splat(load<f64>(FLUID_C));
  const perSecond = splat(1 / dt_s);
  const solid = splat(load<f64>(SOLID));
  const structural = splat(load<f64>(STRUCTURAL));
  const atAnnealing = splat(dt_s * load<f64>(PER_ANNEALING));
  const curve_K = splat(load<f64>(CURVE));
  const T0_C = splat(load<f64>(T0_C_AT));
  const glassy_K = splat(load<f64>(GLASSY));
  const offset = splat(load<f64>(OFFSET));
  const fastest = splat(load<f64>(FASTEST));
  const standsStill = always(STILL);
  const littleOnes = always(LITTLE);
  const structureEnd = (structureTerms as usize) << 3;

  let fluid = 0;
  for (let i: usize = 0; i < row; i += 16) {
    const from_C = v128.load(before + i);
    const to_C = v128.load(T + i);
    const dT = f64x2.sub(to_C, from_C);
    const melts = i64x2.bitmask(f64x2.ge(to_C, fluid_C));
    if (melts === BOTH) {
      fluid += 2;
      v128.store(before + i, to_C);
      v128.store(isFluid + i, one);
      v128.store(passed + i, splat(Infinity));
      v128.store(own + i, f64x2.mul(f64x2.add(solid, structural), dT));
      continue;
    }
    let alike = melts === 0 && !v128.any_true(f64x2.eq(v128.load(isFluid + i), one));
    let went = none;
    let still = 0;
    if (alike) {
      const Tf = f64x2.add(v128.load(fictiveMean + i), f64x2.mul(f64x2.mul(v128.load(fictiveRate + i), splat(dt_s)), always(HALF)));
      const over = f64x2.sub(Tf, T0_C);
      const middle_K = f64x2.add(f64x2.mul(f64x2.add(from_C, to_C), always(HALF)), splat(KELVIN_AT_0_C));
      const fictive_K = f64x2.add(Tf, splat(KELVIN_AT_0_C));
      const curve = f64x2.mul(f64x2.mul(curve_K, middle_K), fictive_K);
      const glassy = f64x2.mul(f64x2.mul(glassy_K, f64x2.sub(fictive_K, middle_K)), over);
      const slower = f64x2.sub(f64x2.div(f64x2.add(curve, glassy), f64x2.mul(f64x2.mul(over, middle_K), fictive_K)), offset);
      const far = f64x2.abs(slower);
      const within = f64x2.le(far, always(END));
      // Colder than the table nothing goes by; hotter, and at the end of the curve, each by itself.
      if (i64x2.bitmask(v128.and(f64x2.gt(over, none), v128.or(within, f64x2.gt(slower, none)))) === BOTH) {
        let decays = v128.and(decaysWithin(f64x2.pmin(always(END), far)), within);
        const faster = f64x2.lt(slower, none);
        if (v128.any_true(faster)) decays = v128.bitselect(f64x2.div(one, decays), decays, faster);
        went = f64x2.mul(atAnnealing, decays);
        still = i64x2.bitmask(f64x2.lt(f64x2.mul(went, fastest), standsStill));
        alike = still === 0 || still === BOTH;
      } else alike = false;
    }
    if (!alike) {
      fluid += structureOf(row, i, structureTerms) + structureOf(row, i + 8, structureTerms);
      continue;
    }
    v128.store(before + i, to_C);
    if (still === BOTH) {
      v128.store(passed + i, none);
      v128.store(own + i, f64x2.mul(solid, dT));
      v128.store(fictiveRate + i, none);
      continue;
    }
    const perWent = f64x2.div(one, went);
    const base = fictive + i * (structureTerms as usize);
    let moved = none;
    let k: usize = 0;
    // Of which node the terms from k on stand still.
    let ends = BOTH;
    for (; k < structureEnd; k += 8) {
      const x = f64x2.mul(went, v128.load64_splat(STRUCTURE_PACE + k));
      const little = i64x2.bitmask(f64x2.lt(x, littleOnes));
      if (little !== 0) {
        ends = i64x2.bitmask(f64x2.lt(x, standsStill));
        if (ends !== 0) break;
        ends = BOTH;
      }
      const lost = lostByBoth(x, little, perWent, STRUCTURE_TIME + k);
      const was = v128.load(base + (k << 1));
      const moves = f64x2.sub(f64x2.mul(dT, onMeans), f64x2.mul(lost, f64x2.sub(was, from_C)));
      v128.store(base + (k << 1), f64x2.add(was, moves));
      moved = f64x2.add(moved, f64x2.mul(v128.load64_splat(STRUCTURE_WEIGHT + k), moves));
    }
    if (ends !== BOTH) {
      moved = f64x2(
        moveFrom(k, f64x2.extract_lane(moved, 0), base, structureEnd, f64x2.extract_lane(went, 0), f64x2.extract_lane(dT, 0), f64x2.extract_lane(from_C, 0)),
        moveFrom(
          k,
          f64x2.extract_lane(moved, 1),
          base + 8,
          structureEnd,
          f64x2.extract_lane(went, 1),
          f64x2.extract_lane(dT, 1),
          f64x2.extract_lane(from_C, 1),
        ),
      );
    }
    v128.store(fictiveMean + i, f64x2.add(v128.load(fictiveMean + i), moved));
    v128.store(fictiveRate + i, f64x2.mul(moved, perSecond));
    v128.store(passed + i, went);
    v128.store(own + i, f64x2.add(f64x2.mul(solid, dT), f64x2.mul(structural, moved)));
  }
  store<f64>(TENSION, 0);
  if (fluid === n) {
    store<f64>(ALL_FLUID, 1);
    for (let i: usize = 0; i < row; i += 16) {
      v128.store(wasFluid + i, one);
      v128.store(stress + i, none);
      v128.store(taken + i, none);
    }
    return;
  }
  store<f64>(ALL_FLUID, 0);

  const stressEnd = (stressTerms as usize) << 3;
  let a00 = none;
  let a01 = none;
  let a11 = none;
  let b0 = none;
  let b1 = none;
  for (let i: usize = 0; i < row; i += 16) {
    const went = v128.load(passed + i);
    const ofParts = parts + i * (stressTerms as usize);
    const ofGrip = grip + i * (stressTerms as usize);
    const resting = i64x2.bitmask(f64x2.eq(went, none));
    const isFree = i64x2.bitmask(f64x2.eq(went, splat(Infinity)));
    if (resting === BOTH && i64x2.bitmask(f64x2.eq(v128.load(isElastic + i), one)) === BOTH && !v128.any_true(f64x2.eq(v128.load(wasFluid + i), one))) {
      v128.store(held + i, f64x2.add(v128.load(held + i), v128.load(taken + i)));
      v128.store(stiffness + i, v128.load(modulus + i));
      v128.store(carried + i, v128.load(stress + i));
    } else if (isFree === BOTH) {
      v128.store(wasFluid + i, one);
      v128.store(stiffness + i, f64x2.mul(v128.load(modulus + i), splat(TRACE)));
      v128.store(carried + i, none);
    } else if ((resting | isFree) !== 0) {
      relax(row, i, ofParts, ofGrip, stressEnd);
      relax(row, i + 8, ofParts + 8, ofGrip + 8, stressEnd);
    } else {
      if (v128.any_true(f64x2.ne(v128.or(v128.load(wasFluid + i), v128.load(isElastic + i)), none))) {
        begin(row, i, ofParts, stressEnd, true);
        begin(row, i + 8, ofParts + 8, stressEnd, true);
      }
      const put = v128.load(taken + i);
      const perWent = f64x2.div(one, went);
      let stiff = one;
      let carry = v128.load(stress + i);
      let k: usize = 0;
      let ends = BOTH;
      for (; k < stressEnd; k += 8) {
        const x = f64x2.mul(went, v128.load64_splat(STRESS_PACE + k));
        const little = i64x2.bitmask(f64x2.lt(x, littleOnes));
        if (little !== 0) {
          ends = i64x2.bitmask(f64x2.lt(x, standsStill));
          if (ends !== 0) break;
          ends = BOTH;
        }
        const lost = lostByBoth(x, little, perWent, STRESS_TIME + k);
        const at = k << 1;
        const part = f64x2.add(v128.load(ofParts + at), f64x2.mul(v128.load(ofGrip + at), put));
        const fades = f64x2.mul(lost, part);
        v128.store(ofParts + at, f64x2.sub(part, fades));
        v128.store(ofGrip + at, f64x2.sub(one, onMeans));
        const w = v128.load64_splat(STRESS_WEIGHT + k);
        stiff = f64x2.sub(stiff, f64x2.mul(w, onMeans));
        carry = f64x2.sub(carry, f64x2.mul(w, fades));
      }
      if (ends === BOTH) {
        for (; k < stressEnd; k += 8) {
          const at = k << 1;
          v128.store(ofParts + at, f64x2.add(v128.load(ofParts + at), f64x2.mul(v128.load(ofGrip + at), put)));
          v128.store(ofGrip + at, one);
        }
      } else {
        stiffLeft = f64x2.extract_lane(stiff, 0);
        carriedOn = f64x2.extract_lane(carry, 0);
        relaxFrom(k, ofParts, ofGrip, stressEnd, f64x2.extract_lane(went, 0), f64x2.extract_lane(put, 0));
        const firstStiff = stiffLeft;
        const firstCarried = carriedOn;
        stiffLeft = f64x2.extract_lane(stiff, 1);
        carriedOn = f64x2.extract_lane(carry, 1);
        relaxFrom(k, ofParts + 8, ofGrip + 8, stressEnd, f64x2.extract_lane(went, 1), f64x2.extract_lane(put, 1));
        stiff = f64x2(firstStiff, stiffLeft);
        carry = f64x2(firstCarried, carriedOn);
      }
      v128.store(stiffness + i, f64x2.mul(v128.load(modulus + i), f64x2.max(stiff, splat(TRACE))));
      v128.store(carried + i, carry);
    }
    const s = v128.load(stiffness + i);
    const load_Pa = f64x2.sub(f64x2.mul(s, v128.load(own + i)), v128.load(carried + i));
    const w = v128.load(weight + i);
    const wArm = v128.load(weightArm + i);
    a00 = f64x2.add(a00, f64x2.mul(w, s));
    a01 = f64x2.add(a01, f64x2.mul(wArm, s));
    a11 = f64x2.add(a11, f64x2.mul(v128.load(weightArm2 + i), s));
    b0 = f64x2.add(b0, f64x2.mul(w, load_Pa));
    b1 = f64x2.add(b1, f64x2.mul(wArm, load_Pa));
  }
  const w0 = f64x2.extract_lane(a00, 0) + f64x2.extract_lane(a00, 1);
  const c0 = f64x2.extract_lane(b0, 0) + f64x2.extract_lane(b0, 1);
  let strain: f64;
  let bend: f64 = 0;
  if (flat) strain = c0 / w0;
  else {
    const w1 = f64x2.extract_lane(a01, 0) + f64x2.extract_lane(a01, 1);
    const w2 = f64x2.extract_lane(a11, 0) + f64x2.extract_lane(a11, 1);
    const c1 = f64x2.extract_lane(b1, 0) + f64x2.extract_lane(b1, 1);
    const determinant = w0 * w2 - w1 * w1;
    strain = (c0 * w2 - c1 * w1) / determinant;
    bend = (w0 * c1 - w1 * c0) / determinant;
  }
  store<f64>(CURVATURE, load<f64>(CURVATURE) + bend);
  let greatest = none;
  for (let i: usize = 0; i < row; i += 16) {
    const holds = f64x2.ne(v128.load(wasFluid + i), one);
    const strained = f64x2.sub(f64x2.add(splat(strain), f64x2.mul(splat(bend), v128.load(arm + i))), v128.load(own + i));
    const now = v128.and(f64x2.add(v128.load(carried + i), f64x2.mul(v128.load(stiffness + i), strained)), holds);
    v128.store(stress + i, now);
    v128.store(taken + i, v128.and(f64x2.mul(v128.load(modulus + i), strained), holds));
    greatest = f64x2.pmax(greatest, now);
  }
  store<f64>(TENSION, Math.max(f64x2.extract_lane(greatest, 0), f64x2.extract_lane(greatest, 1)));
}
