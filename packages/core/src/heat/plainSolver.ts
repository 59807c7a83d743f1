/**
 * One step of transient conduction through a stack: finite volumes in depth, TR-BDF2 in time (Bank et al. 1985,
 * IEEE Trans. CAD 4, 436; in the form of Hosea and Shampine 1996, Appl. Numer. Math. 20, 21). Second order and
 * L-stable, so a sharp corner of the kiln curve does not ring. Both stages share one tridiagonal matrix, which
 * is factorised once a step.
 *
 * The exchange coefficient is frozen over the step at its predicted mid-step value: its error is odd about the
 * middle, so the step keeps its second order. The heat that crosses the faces is summed with the method's own
 * weights, so the energy balance closes to rounding.
 *
 * Each step tells its own error: the leading one is C·dt³·T‴ (Bank et al., eq. 30), T‴ told by the third divided
 * difference of the last four temperatures at both faces of the stack and in its middle. The difference of the stages'
 * own slopes would do for soft problems; here the stiff modes of thin cells swamp it.
 */
import type { Drive } from './drive';
import { exchange } from './exchange';
import { type Faces, type Gauge, type GaugeWeights, type HeatSolver, TOLD } from './solver';
import type { Mesh } from './stack';

const GAMMA = 2 - Math.SQRT2;
/** Implicit share of the step in either stage. */
const IMPLICIT = 1 - Math.SQRT1_2;
const FROM_MIDDLE = 1 / (GAMMA * (2 - GAMMA));
const FROM_START = ((1 - GAMMA) * (1 - GAMMA)) / (GAMMA * (2 - GAMMA));
/** Weight of the start and of the middle stage in the step's mean flux; the end has IMPLICIT. */
const EARLY_WEIGHT = Math.SQRT2 / 4;
/** The leading error over dt³ times the third divided difference, which is T‴/6. */
const ERROR_CONSTANT = Math.abs((-3 * (GAMMA * GAMMA) + 4 * GAMMA - 2) / (2 * (2 - GAMMA)));
/** Before it starts the body has been at rest for so long, s: enough to be seen by the differences. */
const AT_REST_S = 60;

/** Where the memory keeps the rates of the faces, K/s, the last two step lengths, s, and the watched temperatures around them. */
const BOTTOM_RATE = 0;
const TOP_RATE = 1;
const STEPS = 2;
const PAST = 4;
const WATCHED = 3;
const MEMORY_SIZE = PAST + 3 * WATCHED;

type Writable<T> = { -readonly [K in keyof T]: T[K] };

/** A memory that has seen nothing but rest. */
export function startMemory(memory: Float64Array, start_C: number): void {
  memory.fill(0);
  memory[STEPS] = AT_REST_S;
  memory[STEPS + 1] = AT_REST_S;
  memory.fill(start_C, PAST);
}

export function plainSolver(mesh: Mesh, faces: Faces, start_C: number, drive: Drive): HeatSolver {
  const { capacity } = mesh;
  const conductance = mesh.conductance.slice();
  const n = capacity.length;
  const last = n - 1;
  const temperature = new Float64Array(n).fill(start_C);
  const middle = new Float64Array(n);
  // The factorised matrix: capacities over the pivots, and what each row takes from the row eliminated before it and gives it back.
  const weighed = new Float64Array(n);
  const taken = new Float64Array(n);
  const given = new Float64Array(n);
  /** The middle node; the lower half has as many rows as the upper one, or one more. */
  const meet = n >> 1;
  const takenAtMeet = new Float64Array(2);
  /** What both stages of a step share. */
  const stage = { implicit_s: 0, hBottom: 0, hTop: 0, mid_C: start_C };
  const memory = new Float64Array(MEMORY_SIZE);
  const watched = [0, last >> 1, last];
  const undoTemperature = new Float64Array(n);
  const undoMemory = new Float64Array(MEMORY_SIZE);
  startMemory(memory, start_C);
  const undoCrossed = new Float64Array(1);

  /**
   * Both stages are solved from both ends at once, to meet at the middle node (Parlett and Dhillon 1997, Linear Algebra
   * Appl. 267, 247): the two chains of divisions run side by side, which a processor does in the time of one.
   *
   * Factorises and eliminates the first stage in one pass, then substitutes back.
   */
  function firstStage(): void {
    const T = temperature;
    const { implicit_s, hBottom, hTop, mid_C } = stage;
    let low = T[0];
    let high = T[last];
    // What the row eliminated before leaves on this one: on its diagonal, and on its right side. The first has its face there.
    let lowOwn = implicit_s * hBottom;
    let lowRight = lowOwn * (drive.from_C - low + mid_C);
    let highOwn = implicit_s * hTop;
    let highRight = highOwn * (drive.from_C - high + mid_C);
    let lowTowards = 1;
    let highTowards = 1;
    for (let i = 0, j = last; i < meet; i += 1, j -= 1) {
      const towards = implicit_s * conductance[i];
      const c = capacity[i];
      const next = T[i + 1];
      const flows = towards * (next - low);
      const p = 1 / (c + towards + lowOwn);
      const solved = (c * low + flows + lowRight) * p;
      const gives = towards * p;
      undoTemperature[i] = low;
      middle[i] = solved;
      weighed[i] = c * p;
      taken[i] = lowTowards * p;
      given[i] = gives;
      lowOwn = towards * (c + lowOwn) * p;
      lowRight = towards * solved - flows;
      lowTowards = towards;
      low = next;
      if (j <= meet) continue;
      const towardsHigh = implicit_s * conductance[j - 1];
      const cHigh = capacity[j];
      const nextHigh = T[j - 1];
      const flowsHigh = towardsHigh * (nextHigh - high);
      const pHigh = 1 / (cHigh + towardsHigh + highOwn);
      const solvedHigh = (cHigh * high + flowsHigh + highRight) * pHigh;
      const givesHigh = towardsHigh * pHigh;
      undoTemperature[j] = high;
      middle[j] = solvedHigh;
      weighed[j] = cHigh * pHigh;
      taken[j] = highTowards * pHigh;
      given[j] = givesHigh;
      highOwn = towardsHigh * (cHigh + highOwn) * pHigh;
      highRight = towardsHigh * solvedHigh - flowsHigh;
      highTowards = towardsHigh;
      high = nextHigh;
    }
    const p = 1 / (capacity[meet] + lowOwn + highOwn);
    weighed[meet] = capacity[meet] * p;
    takenAtMeet[0] = lowTowards * p;
    takenAtMeet[1] = highTowards * p;
    undoTemperature[meet] = low;
    middle[meet] = (capacity[meet] * low + lowRight + highRight) * p;
    substitute(middle);
  }

  /** The same for the second stage, with the matrix as it stands; leaves the answer in temperature. */
  function secondStage(): void {
    const T = temperature;
    const { implicit_s, hBottom, hTop } = stage;
    // The first row on either side takes its share of what comes before it: the face.
    let lowSolved = implicit_s * hBottom * drive.to_C;
    let highSolved = implicit_s * hTop * drive.to_C;
    for (let i = 0, j = last; i < meet; i += 1, j -= 1) {
      lowSolved = (FROM_MIDDLE * middle[i] - FROM_START * T[i]) * weighed[i] + taken[i] * lowSolved;
      T[i] = lowSolved;
      if (j <= meet) continue;
      highSolved = (FROM_MIDDLE * middle[j] - FROM_START * T[j]) * weighed[j] + taken[j] * highSolved;
      T[j] = highSolved;
    }
    const own = FROM_MIDDLE * middle[meet] - FROM_START * T[meet];
    T[meet] = own * weighed[meet] + takenAtMeet[0] * lowSolved + takenAtMeet[1] * highSolved;
    substitute(T);
  }

  /** From the middle node outwards. */
  function substitute(solved: Float64Array): void {
    let low = solved[meet];
    let high = low;
    for (let i = meet - 1, j = meet + 1; i >= 0; i -= 1, j += 1) {
      low = solved[i] + given[i] * low;
      solved[i] = low;
      if (j > last) continue;
      high = solved[j] + given[j] * high;
      solved[j] = high;
    }
  }

  /** Sets the leading error at the watched nodes; takes the step into the memory of the next. */
  function estimateError(): void {
    const { dt_s } = drive;
    const before = memory[STEPS + 1];
    const earlier = memory[STEPS];
    let greatest = 0;
    for (let k = 0; k < WATCHED; k += 1) {
      const at = PAST + 3 * k;
      const now = temperature[watched[k]];
      const last1 = memory[at + 2];
      const last2 = memory[at + 1];
      const slope = (now - last1) / dt_s;
      const slopeBefore = (last1 - last2) / before;
      const slopeEarlier = (last2 - memory[at]) / earlier;
      const bend = (slope - slopeBefore) / (dt_s + before);
      const bendBefore = (slopeBefore - slopeEarlier) / (before + earlier);
      const error = (ERROR_CONSTANT * (dt_s * dt_s * dt_s) * Math.abs(bend - bendBefore)) / (dt_s + before + earlier);
      if (error > greatest) greatest = error;
      memory[at] = last2;
      memory[at + 1] = last1;
      memory[at + 2] = now;
    }
    memory[STEPS] = before;
    memory[STEPS + 1] = dt_s;
    self.error_K = greatest;
  }

  let gauge: ReturnType<typeof plainGauge> | null = null;

  const self: Writable<HeatSolver> = {
    temperature,
    conductance,
    crossed_J_m2: 0,
    error_K: 0,
    step() {
      const { dt_s, from_C: kilnStart_C, to_C: kilnEnd_C } = drive;
      const T = temperature;
      stage.implicit_s = IMPLICIT * dt_s;
      const kilnMid = kilnStart_C + GAMMA * (kilnEnd_C - kilnStart_C);
      const halfway = (kilnStart_C + kilnEnd_C) / 2;
      for (let i = 0; i < MEMORY_SIZE; i += 1) undoMemory[i] = memory[i];
      undoCrossed[0] = self.crossed_J_m2;
      const bottomStart = T[0];
      const topStart = T[last];
      stage.mid_C = kilnMid;
      const hBottom = exchange(faces.bottom, bottomStart + (memory[BOTTOM_RATE] * dt_s) / 2, halfway);
      const hTop = exchange(faces.top, topStart + (memory[TOP_RATE] * dt_s) / 2, halfway);
      stage.hBottom = hBottom;
      stage.hTop = hTop;
      const fluxStart = hBottom * (kilnStart_C - bottomStart) + hTop * (kilnStart_C - topStart);
      firstStage();
      const fluxMiddle = hBottom * (kilnMid - middle[0]) + hTop * (kilnMid - middle[last]);
      secondStage();
      const fluxEnd = hBottom * (kilnEnd_C - T[0]) + hTop * (kilnEnd_C - T[last]);
      self.crossed_J_m2 += dt_s * (EARLY_WEIGHT * (fluxStart + fluxMiddle) + IMPLICIT * fluxEnd);
      memory[BOTTOM_RATE] = (T[0] - bottomStart) / dt_s;
      memory[TOP_RATE] = (T[last] - topStart) / dt_s;
      estimateError();
      gauge?.take();
    },
    undo() {
      temperature.set(undoTemperature);
      memory.set(undoMemory);
      self.crossed_J_m2 = undoCrossed[0];
    },
    save: () => ({ temperature: temperature.slice(), memory: memory.slice(), crossed_J_m2: self.crossed_J_m2 }),
    restore(state) {
      temperature.set(state.temperature);
      memory.set(state.memory);
      self.crossed_J_m2 = state.crossed_J_m2;
    },
    gauge: (weights) => (gauge = plainGauge(temperature, weights)),
    release: () => undefined,
  };
  return self;
}

function plainGauge(all: Float64Array, { from, share, arm, armShare }: GaugeWeights): Gauge & { take(): void } {
  const count = share.length;
  const temperature = all.subarray(from, from + count);
  const told = new Float64Array(Object.keys(TOLD).length);
  return {
    told,
    take() {
      let low = temperature[0];
      let high = low;
      // Even and odd nodes are summed apart, two at a time.
      let mean = 0;
      let slope = 0;
      let meanOdd = 0;
      let slopeOdd = 0;
      for (let i = 0; i < count; i += 2) {
        const here = temperature[i];
        if (here < low) low = here;
        if (here > high) high = here;
        mean += share[i] * here;
        slope += armShare[i] * here;
        if (i + 1 === count) break;
        const next = temperature[i + 1];
        if (next < low) low = next;
        if (next > high) high = next;
        meanOdd += share[i + 1] * next;
        slopeOdd += armShare[i + 1] * next;
      }
      told[TOLD.low] = low;
      told[TOLD.high] = high;
      told[TOLD.mean] = mean + meanOdd;
      told[TOLD.slope] = slope + slopeOdd;
    },
    findPull() {
      const mean = told[TOLD.mean];
      const slope = told[TOLD.slope];
      let greatest = 0;
      for (let i = 0; i < count; i += 1) {
        const under = mean + slope * arm[i] - temperature[i];
        if (under > greatest) greatest = under;
      }
      told[TOLD.pull] = greatest;
    },
  };
}
