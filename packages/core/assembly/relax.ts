/**
 * One step of stress in a plate of one glass, in AssemblyScript: structure, relaxation and balance of src/stress figure by figure
 * (structure.ts, maxwell.ts, plate.ts), which is where they are explained. scripts/compile.mjs makes src/stress/relax.wasm.ts of it; tests
 * hold that this was done, and that both give the same bits.
 *
 * One memory holds one plate. All is doubles: HEAD, the terms of both spectra, the table of numerics/decay.ts, then rows of n, then one
 * row of n times the terms of structure and two of n times those of stress.
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
const STRUCTURE_WEIGHT: usize = 128;
const STRUCTURE_PACE: usize = 224;
const STRESS_WEIGHT: usize = 320;
const STRESS_PACE: usize = 416;
const TABLE: usize = 512;
/** 40 times 64 and two more. */
const TABLE_SIZE: usize = 2562 << 3;
const ROWS: usize = TABLE + TABLE_SIZE;

const KELVIN_AT_0_C: f64 = 273.15;
const PER_UNIT: f64 = 64;
const DECAY_END: f64 = 40;
const SERIES_BELOW: f64 = 0.02;
const STANDS_STILL: f64 = 1e-7;
const TRACE: f64 = 1e-5;

function decayWithin(x: f64): f64 {
  const n = i32(x * PER_UNIT + 0.5);
  const r = f64(n) / PER_UNIT - x;
  const r2 = r * r;
  return load<f64>(TABLE + ((n as usize) << 3)) * (1 + r + r2 * (1.0 / 2 + r * (1.0 / 6) + r2 * (1.0 / 24 + r * (1.0 / 120))));
}

/** What it has lost on the mean of a step, told by the last lostBy. */
let onMean: f64 = 0;

/** What it has lost at the end. One call for both: they share all but a division. */
function lostBy(x: f64): f64 {
  if (x < SERIES_BELOW) {
    onMean = x * (1.0 / 2 - x * (1.0 / 6 - x * (1.0 / 24 - x * (1.0 / 120))));
    return x - x * onMean;
  }
  const lost: f64 = x > DECAY_END ? 1 : 1 - decayWithin(x);
  onMean = 1 - lost / x;
  return lost;
}

/** Glass at one temperature is settled there. */
function settleStructure(row: usize, i: usize, fictive: usize, terms: i32, at_C: f64): void {
  store<f64>(ROWS + 2 * row + i, at_C);
  store<f64>(ROWS + 3 * row + i, 0);
  const from = fictive + i * (terms as usize);
  for (let k = 0; k < terms; k += 1) store<f64>(from + ((k as usize) << 3), at_C);
}

/** terms: of structure and of stress; flat: held so, and not free to bow. */
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
  const held = ROWS + 9 * row;
  const isElastic = ROWS + 10 * row;
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

  const dt_s = load<f64>(DT);
  const fluid_C = load<f64>(FLUID_C);
  const solid = load<f64>(SOLID);
  const structural = load<f64>(STRUCTURAL);
  const perAnnealing_Hz = load<f64>(PER_ANNEALING);
  const curve_K = load<f64>(CURVE);
  const T0_C = load<f64>(T0_C_AT);
  const glassy_K = load<f64>(GLASSY);
  const offset = load<f64>(OFFSET);
  const fastest = load<f64>(FASTEST);

  let fluid = 0;
  for (let i: usize = 0; i < row; i += 8) {
    const from_C = load<f64>(before + i);
    const to_C = load<f64>(T + i);
    const dT = to_C - from_C;
    store<f64>(before + i, to_C);
    if (to_C >= fluid_C) {
      fluid += 1;
      store<f64>(isFluid + i, 1);
      store<f64>(passed + i, Infinity);
      store<f64>(own + i, (solid + structural) * dT);
      continue;
    }
    if (load<f64>(isFluid + i) === 1) {
      settleStructure(row, i, fictive, structureTerms, from_C);
      store<f64>(isFluid + i, 0);
    }
    const Tf = load<f64>(fictiveMean + i) + (load<f64>(fictiveRate + i) * dt_s) / 2;
    const over = Tf - T0_C;
    const middle_K = (from_C + to_C) / 2 + KELVIN_AT_0_C;
    const fictive_K = Tf + KELVIN_AT_0_C;
    const slower = (curve_K * middle_K * fictive_K + glassy_K * (fictive_K - middle_K) * over) / (over * middle_K * fictive_K) - offset;
    const went = over <= 0 || slower > DECAY_END ? 0 : dt_s * perAnnealing_Hz * (slower >= 0 ? decayWithin(slower) : exp(-slower));
    if (went * fastest < STANDS_STILL) {
      store<f64>(passed + i, 0);
      store<f64>(own + i, solid * dT);
      store<f64>(fictiveRate + i, 0);
      continue;
    }
    let moved: f64 = 0;
    let at = fictive + i * (structureTerms as usize);
    for (let k: usize = 0, end = (structureTerms as usize) << 3; k < end; k += 8, at += 8) {
      const x = went * load<f64>(STRUCTURE_PACE + k);
      if (x < STANDS_STILL) break;
      const lost = lostBy(x);
      const was = load<f64>(at);
      const moves = dT * onMean - lost * (was - from_C);
      store<f64>(at, was + moves);
      moved += load<f64>(STRUCTURE_WEIGHT + k) * moves;
    }
    store<f64>(fictiveMean + i, load<f64>(fictiveMean + i) + moved);
    store<f64>(fictiveRate + i, moved / dt_s);
    store<f64>(passed + i, went);
    store<f64>(own + i, solid * dT + structural * moved);
  }
  store<f64>(TENSION, 0);
  if (fluid === n) {
    store<f64>(ALL_FLUID, 1);
    for (let i: usize = 0; i < row; i += 8) {
      store<f64>(wasFluid + i, 1);
      store<f64>(stress + i, 0);
      store<f64>(taken + i, 0);
    }
    return;
  }
  store<f64>(ALL_FLUID, 0);

  const stressEnd = (stressTerms as usize) << 3;
  let a00: f64 = 0;
  let a01: f64 = 0;
  let a11: f64 = 0;
  let b0: f64 = 0;
  let b1: f64 = 0;
  for (let i: usize = 0; i < row; i += 8) {
    const went = load<f64>(passed + i);
    const stiff_Pa = load<f64>(modulus + i);
    const ofNode = i * (stressTerms as usize);
    let s: f64;
    let carry: f64;
    if (went === Infinity) {
      store<f64>(wasFluid + i, 1);
      s = stiff_Pa * TRACE;
      carry = 0;
    } else {
      if (load<f64>(wasFluid + i) === 1) {
        store<f64>(taken + i, 0);
        store<f64>(held + i, 0);
        store<f64>(isElastic + i, 0);
        for (let k: usize = 0; k < stressEnd; k += 8) store<f64>(parts + ofNode + k, 0);
        store<f64>(wasFluid + i, 0);
      }
      const put = load<f64>(taken + i);
      if (went === 0) {
        s = stiff_Pa;
        carry = load<f64>(stress + i);
        if (load<f64>(isElastic + i) === 1) store<f64>(held + i, load<f64>(held + i) + put);
        else {
          for (let k: usize = ofNode; k < ofNode + stressEnd; k += 8) {
            store<f64>(parts + k, load<f64>(parts + k) + load<f64>(grip + k) * put);
            store<f64>(grip + k, 1);
          }
          store<f64>(held + i, 0);
          store<f64>(isElastic + i, 1);
        }
      } else {
        if (load<f64>(isElastic + i) === 1) {
          const kept = load<f64>(held + i);
          for (let k: usize = ofNode; k < ofNode + stressEnd; k += 8) store<f64>(parts + k, load<f64>(parts + k) + kept);
          store<f64>(isElastic + i, 0);
        }
        let stiff: f64 = 1;
        carry = load<f64>(stress + i);
        let k: usize = 0;
        let at = ofNode;
        for (; k < stressEnd; k += 8, at += 8) {
          const x = went * load<f64>(STRESS_PACE + k);
          if (x < STANDS_STILL) break;
          const lost = lostBy(x);
          const onTheMean = onMean;
          const part = load<f64>(parts + at) + load<f64>(grip + at) * put;
          const fades = lost * part;
          store<f64>(parts + at, part - fades);
          store<f64>(grip + at, 1 - onTheMean);
          const w = load<f64>(STRESS_WEIGHT + k);
          stiff -= w * onTheMean;
          carry -= w * fades;
        }
        for (; k < stressEnd; k += 8, at += 8) {
          store<f64>(parts + at, load<f64>(parts + at) + load<f64>(grip + at) * put);
          store<f64>(grip + at, 1);
        }
        s = stiff_Pa * Math.max(stiff, TRACE);
      }
    }
    store<f64>(stiffness + i, s);
    store<f64>(carried + i, carry);
    const load_Pa = s * load<f64>(own + i) - carry;
    const w = load<f64>(weight + i);
    const wArm = load<f64>(weightArm + i);
    a00 += w * s;
    a01 += wArm * s;
    a11 += load<f64>(weightArm2 + i) * s;
    b0 += w * load_Pa;
    b1 += wArm * load_Pa;
  }
  let strain: f64;
  let bend: f64 = 0;
  if (flat) strain = b0 / a00;
  else {
    const determinant = a00 * a11 - a01 * a01;
    strain = (b0 * a11 - b1 * a01) / determinant;
    bend = (a00 * b1 - a01 * b0) / determinant;
  }
  store<f64>(CURVATURE, load<f64>(CURVATURE) + bend);
  let greatest: f64 = 0;
  for (let i: usize = 0; i < row; i += 8) {
    if (load<f64>(wasFluid + i) === 1) {
      store<f64>(stress + i, 0);
      store<f64>(taken + i, 0);
      continue;
    }
    const strained = strain + bend * load<f64>(arm + i) - load<f64>(own + i);
    const now = load<f64>(carried + i) + load<f64>(stiffness + i) * strained;
    store<f64>(stress + i, now);
    store<f64>(taken + i, load<f64>(modulus + i) * strained);
    if (now > greatest) greatest = now;
  }
  store<f64>(TENSION, greatest);
}
