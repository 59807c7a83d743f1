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
import { type Face, exchange } from './exchange';
import type { Mesh } from './stack';

const GAMMA = 2 - Math.SQRT2;
/** Implicit share of the step in either stage. */
const IMPLICIT = 1 - Math.SQRT1_2;
const FROM_MIDDLE = 1 / (GAMMA * (2 - GAMMA));
const FROM_START = (1 - GAMMA) ** 2 / (GAMMA * (2 - GAMMA));
/** Weight of the start and of the middle stage in the step's mean flux; the end has IMPLICIT. */
const EARLY_WEIGHT = Math.SQRT2 / 4;
/** The leading error over dt³ times the third divided difference, which is T‴/6. */
const ERROR_CONSTANT = Math.abs((-3 * GAMMA ** 2 + 4 * GAMMA - 2) / (2 * (2 - GAMMA)));
/** Before it starts the body has been at rest for so long, s: enough to be seen by the differences. */
const AT_REST_S = 60;

export interface Conductor {
  /** Temperatures of the nodes, °C; changed in place by step. */
  readonly temperature: Float64Array;
  /** Heat that has crossed both faces inwards so far, J/m². */
  crossed_J_m2: number;
  /** Advances by dt_s while the kiln goes linearly from one temperature to another. */
  step(dt_s: number, kilnStart_C: number, kilnEnd_C: number): void;
  /** Estimate of the last step's own error, K. */
  error_K: number;
  /** Takes the last step back; once. */
  undo(): void;
  save(): ConductorState;
  restore(state: ConductorState): void;
}

/** All that a conductor remembers between two steps. */
export interface ConductorState {
  temperature: Float64Array;
  memory: Float64Array;
  crossed_J_m2: number;
}

/** Where the memory keeps the rates of the faces, K/s, the last two step lengths, s, and the watched temperatures around them. */
const BOTTOM_RATE = 0;
const TOP_RATE = 1;
const STEPS = 2;
const PAST = 4;
const WATCHED = 3;
const MEMORY_SIZE = PAST + 3 * WATCHED;

export function conductor(mesh: Mesh, faces: { top: Face; bottom: Face }, start_C: number): Conductor {
  const { capacity, conductance } = mesh;
  const n = capacity.length;
  const last = n - 1;
  const temperature = new Float64Array(n).fill(start_C);
  const middle = new Float64Array(n);
  // The factorised matrix: reciprocal pivots, and what each row takes from the row before and the row after it.
  const pivot = new Float64Array(n);
  const fromBefore = new Float64Array(n);
  const fromAfter = new Float64Array(n);
  const memory = new Float64Array(MEMORY_SIZE);
  const watched = [0, last >> 1, last];
  const undoTemperature = new Float64Array(n);
  const undoMemory = new Float64Array(MEMORY_SIZE);
  memory[STEPS] = AT_REST_S;
  memory[STEPS + 1] = AT_REST_S;
  memory.fill(start_C, PAST);
  const undoCrossed = new Float64Array(1);

  /** Factorises, assembles the first stage and eliminates it forwards, in one pass; then substitutes back. */
  function firstStage(implicit_s: number, hBottom: number, hTop: number, kilnStart_C: number, kilnMid_C: number): void {
    const T = temperature;
    let coupled = 0;
    let share = 0;
    let eliminated = 0;
    let here = T[0];
    let fromBelow = hBottom * (kilnStart_C - here + kilnMid_C);
    let exchanged = implicit_s * hBottom;
    for (let i = 0; i < last; i += 1) {
      const k = conductance[i];
      const above = implicit_s * k;
      const c = capacity[i];
      const p = 1 / (c + coupled + above + exchanged - coupled * share);
      const next = T[i + 1];
      const fromAbove = k * (next - here);
      eliminated = (c * here + implicit_s * (fromBelow + fromAbove) + coupled * eliminated) * p;
      middle[i] = eliminated;
      pivot[i] = p;
      fromBefore[i] = coupled * p;
      share = above * p;
      fromAfter[i] = share;
      coupled = above;
      exchanged = 0;
      fromBelow = -fromAbove;
      here = next;
    }
    const c = capacity[last];
    const p = 1 / (c + coupled + implicit_s * hTop + exchanged - coupled * share);
    pivot[last] = p;
    fromBefore[last] = coupled * p;
    let solved = (c * here + implicit_s * (fromBelow + hTop * (kilnStart_C - here + kilnMid_C)) + coupled * eliminated) * p;
    middle[last] = solved;
    for (let i = last - 1; i >= 0; i -= 1) {
      solved = middle[i] + fromAfter[i] * solved;
      middle[i] = solved;
    }
  }

  /** The same for the second stage, with the matrix as it stands; leaves the answer in temperature. */
  function secondStage(implicit_s: number, hBottom: number, hTop: number, kilnEnd_C: number): void {
    const T = temperature;
    let eliminated = 0;
    let exchanged = implicit_s * hBottom * kilnEnd_C;
    for (let i = 0; i < n; i += 1) {
      if (i === last) exchanged += implicit_s * hTop * kilnEnd_C;
      const right = capacity[i] * (FROM_MIDDLE * middle[i] - FROM_START * T[i]) + exchanged;
      eliminated = right * pivot[i] + fromBefore[i] * eliminated;
      T[i] = eliminated;
      exchanged = 0;
    }
    let solved = eliminated;
    for (let i = last - 1; i >= 0; i -= 1) {
      solved = T[i] + fromAfter[i] * solved;
      T[i] = solved;
    }
  }

  /** The leading error at the watched nodes, K; takes the step into the memory of the next. */
  function estimateError(dt_s: number): number {
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
      const error = (ERROR_CONSTANT * dt_s ** 3 * Math.abs(bend - bendBefore)) / (dt_s + before + earlier);
      if (error > greatest) greatest = error;
      memory[at] = last2;
      memory[at + 1] = last1;
      memory[at + 2] = now;
    }
    memory[STEPS] = before;
    memory[STEPS + 1] = dt_s;
    return greatest;
  }

  const self: Conductor = {
    temperature,
    crossed_J_m2: 0,
    error_K: 0,
    step(dt_s, kilnStart_C, kilnEnd_C) {
      const T = temperature;
      const implicit_s = IMPLICIT * dt_s;
      const kilnMid = kilnStart_C + GAMMA * (kilnEnd_C - kilnStart_C);
      const halfway = (kilnStart_C + kilnEnd_C) / 2;
      undoTemperature.set(T);
      undoMemory.set(memory);
      undoCrossed[0] = self.crossed_J_m2;
      const bottomStart = T[0];
      const topStart = T[last];
      const hBottom = exchange(faces.bottom, bottomStart + (memory[BOTTOM_RATE] * dt_s) / 2, halfway);
      const hTop = exchange(faces.top, topStart + (memory[TOP_RATE] * dt_s) / 2, halfway);
      const fluxStart = hBottom * (kilnStart_C - bottomStart) + hTop * (kilnStart_C - topStart);
      firstStage(implicit_s, hBottom, hTop, kilnStart_C, kilnMid);
      const fluxMiddle = hBottom * (kilnMid - middle[0]) + hTop * (kilnMid - middle[last]);
      secondStage(implicit_s, hBottom, hTop, kilnEnd_C);
      const fluxEnd = hBottom * (kilnEnd_C - T[0]) + hTop * (kilnEnd_C - T[last]);
      self.crossed_J_m2 += dt_s * (EARLY_WEIGHT * (fluxStart + fluxMiddle) + IMPLICIT * fluxEnd);
      memory[BOTTOM_RATE] = (T[0] - bottomStart) / dt_s;
      memory[TOP_RATE] = (T[last] - topStart) / dt_s;
      self.error_K = estimateError(dt_s);
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
  };
  return self;
}
