/**
 * One step of transient conduction through a stack: finite volumes in depth, TR-BDF2 in time (Bank et al. 1985,
 * IEEE Trans. CAD 4, 436; in the form of Hosea and Shampine 1996, Appl. Numer. Math. 20, 21). Second order and
 * L-stable, so a sharp corner of the kiln curve does not ring. Both stages share one tridiagonal matrix, which
 * is factorised once a step.
 *
 * The exchange coefficient is frozen over the step at its predicted mid-step value: its error is odd about the
 * middle, so the step keeps its second order. The heat that crosses the faces is summed with the method's own
 * weights, so the energy balance closes to rounding.
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

export interface Conductor {
  /** Temperatures of the nodes, °C; changed in place by step. */
  readonly temperature: Float64Array;
  /** Heat that has crossed both faces inwards so far, J/m². */
  crossed_J_m2: number;
  /** Advances by dt_s while the kiln goes linearly from one temperature to another. */
  step(dt_s: number, kilnStart_C: number, kilnEnd_C: number): void;
}

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
  let bottomRate = 0;
  let topRate = 0;

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

  const self: Conductor = {
    temperature,
    crossed_J_m2: 0,
    step(dt_s, kilnStart_C, kilnEnd_C) {
      const T = temperature;
      const implicit_s = IMPLICIT * dt_s;
      const kilnMid = kilnStart_C + GAMMA * (kilnEnd_C - kilnStart_C);
      const halfway = (kilnStart_C + kilnEnd_C) / 2;
      const bottomStart = T[0];
      const topStart = T[last];
      const hBottom = exchange(faces.bottom, bottomStart + (bottomRate * dt_s) / 2, halfway);
      const hTop = exchange(faces.top, topStart + (topRate * dt_s) / 2, halfway);
      const fluxStart = hBottom * (kilnStart_C - bottomStart) + hTop * (kilnStart_C - topStart);
      firstStage(implicit_s, hBottom, hTop, kilnStart_C, kilnMid);
      const fluxMiddle = hBottom * (kilnMid - middle[0]) + hTop * (kilnMid - middle[last]);
      secondStage(implicit_s, hBottom, hTop, kilnEnd_C);
      const fluxEnd = hBottom * (kilnEnd_C - T[0]) + hTop * (kilnEnd_C - T[last]);
      self.crossed_J_m2 += dt_s * (EARLY_WEIGHT * (fluxStart + fluxMiddle) + IMPLICIT * fluxEnd);
      bottomRate = (T[0] - bottomStart) / dt_s;
      topRate = (T[last] - topStart) / dt_s;
    },
  };
  return self;
}
