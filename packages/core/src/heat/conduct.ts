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
  const pivot = new Float64Array(n);
  const factor = new Float64Array(n);
  let bottomRate = 0;
  let topRate = 0;

  function factorise(implicit_s: number, hBottom: number, hTop: number): void {
    let below = 0;
    for (let i = 0; i < n; i += 1) {
      const above = i < last ? implicit_s * conductance[i] : 0;
      let diagonal = capacity[i] + below + above;
      if (i === 0) diagonal += implicit_s * hBottom;
      if (i === last) diagonal += implicit_s * hTop;
      if (i > 0) diagonal -= below * factor[i - 1];
      pivot[i] = 1 / diagonal;
      factor[i] = above * pivot[i];
      below = above;
    }
  }

  /** Solves in place; right is both the right-hand side and the answer. */
  function solve(right: Float64Array, implicit_s: number): void {
    right[0] = right[0] * pivot[0];
    for (let i = 1; i < n; i += 1) {
      right[i] = (right[i] + implicit_s * conductance[i - 1] * right[i - 1]) * pivot[i];
    }
    for (let i = last - 1; i >= 0; i -= 1) right[i] = right[i] + factor[i] * right[i + 1];
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
      factorise(implicit_s, hBottom, hTop);

      const fluxStart = hBottom * (kilnStart_C - bottomStart) + hTop * (kilnStart_C - topStart);
      let fromBelow = hBottom * (kilnStart_C - bottomStart);
      for (let i = 0; i < n; i += 1) {
        const fromAbove = i < last ? conductance[i] * (T[i + 1] - T[i]) : hTop * (kilnStart_C - topStart);
        middle[i] = capacity[i] * T[i] + implicit_s * (fromBelow + fromAbove);
        fromBelow = -fromAbove;
      }
      middle[0] = middle[0] + implicit_s * hBottom * kilnMid;
      middle[last] = middle[last] + implicit_s * hTop * kilnMid;
      solve(middle, implicit_s);
      const fluxMiddle = hBottom * (kilnMid - middle[0]) + hTop * (kilnMid - middle[last]);

      for (let i = 0; i < n; i += 1) T[i] = capacity[i] * (FROM_MIDDLE * middle[i] - FROM_START * T[i]);
      T[0] = T[0] + implicit_s * hBottom * kilnEnd_C;
      T[last] = T[last] + implicit_s * hTop * kilnEnd_C;
      solve(T, implicit_s);
      const fluxEnd = hBottom * (kilnEnd_C - T[0]) + hTop * (kilnEnd_C - T[last]);

      self.crossed_J_m2 += dt_s * (EARLY_WEIGHT * (fluxStart + fluxMiddle) + IMPLICIT * fluxEnd);
      bottomRate = (T[0] - bottomStart) / dt_s;
      topRate = (T[last] - topStart) / dt_s;
    },
  };
  return self;
}
