/**
 * A firing's heat and residual stress by another road than the engine's, to hold it against: it shares no code with it, only what is
 * asked. Cells with their temperatures in the middle, stepped forwards by Euler under the limit of stability; radiation by the
 * fourth powers themselves; structure and stress, term by term, backwards by Euler. Slow, plain, first order, and its steps are
 * so short that this does not matter: halving them moves residuals by less than half a percent.
 *
 * Depths in m, temperatures in °C, times in s, stress in Pa with tension positive; index 0 at the underside.
 */
import type { SimulationInput } from '@torvin/core/heat';

/** What the engine fills in where a glass does not say, handed over so that both reckon from the same. */
export interface SpelledOut {
  /** log10 η = A + B/(T − T0). */
  curve: { A: number; B: number; T0: number };
  spectrum: readonly { weight: number; ratio: number }[];
  structureOverStress: number;
  nonLinearity: number;
  /** Activation of the glass whose structure stands still, K. */
  activation_K: number;
  meltExpansion_perK: number;
}

export interface SecondAnswer {
  /** Greatest difference between any two depths of the glass in each segment, K. */
  greatest_K: number[];
  /** At room temperature, one a cell. */
  residual_Pa: number[];
  /** 1/m; positive where the top has grown longer. */
  bow_perM: number;
}

export interface Fineness {
  cells: number;
  /** Heat steps as a share of the longest that is stable. */
  stable: number;
  /** Steps of stress, s. */
  stress_s: number;
}

const USUAL: Fineness = { cells: 30, stable: 0.45, stress_s: 5 };
const ZERO_C = 273.15;
const SIGMA = 5.670374419e-8;
const ROOM = 20;

type Face = SimulationInput['faces']['top'];

/** Heat flowing into the outermost cell, W/m², through half of it. */
export function inflow(face: Face, kiln: number, cell: number, halfResistance: number): number {
  if (face.kind === 'insulated') return 0;
  const { emissivity, convection_W_m2K: convection } = face;
  const k2 = (kiln + ZERO_C) * (kiln + ZERO_C);
  let skin = cell;
  // The skin's own temperature is where what comes from the kiln equals what goes on to the cell: two Newton steps are plenty.
  for (let i = 0; i < 2; i += 1) {
    const s = skin + ZERO_C;
    const left = emissivity * SIGMA * (k2 * k2 - s * s * s * s) + convection * (kiln - skin) - (skin - cell) / halfResistance;
    skin += left / (4 * emissivity * SIGMA * s * s * s + convection + 1 / halfResistance);
  }
  return (skin - cell) / halfResistance;
}

/** Of two faces of emissivity 0.9 across air that hardly moves, W/m²; beside_m2K_W: of the cells from their middles to those faces. */
function acrossAir(low: number, high: number, beside_m2K_W: number, wide_m: number): number {
  const [a, b] = [low + ZERO_C, high + ZERO_C];
  const still_W_m2K = (0.0243 * ((a + b) / 2 / ZERO_C) ** 0.8) / wide_m;
  const seen = (SIGMA * (a ** 4 - b ** 4)) / (2 / 0.9 - 1) / (low === high ? 1 : low - high);
  const exchange_W_m2K = low === high ? still_W_m2K : still_W_m2K + seen;
  return (low - high) / (beside_m2K_W + 1 / exchange_W_m2K);
}

/** For a plate of one glass along segments with rates; stress is followed throughout, free to bow, from glass in equilibrium at its start. */
export function secondSolver(
  { glass, stack, faces, segments, start_C = ROOM, placeLag_s = 0 }: SimulationInput,
  spelled: SpelledOut,
  { cells, stable, stress_s }: Fineness = USUAL,
): SecondAnswer {
  const total = stack.reduce((sum, layer) => sum + (layer.of === 'glass' ? layer.thickness_m : 0), 0);
  const width: number[] = [];
  const heatOf: number[] = [];
  const conducts: number[] = [];
  const isGlass: boolean[] = [];
  /** Above how many cells there is open air, and how wide, m. */
  const openAfter = new Map<number, number>();
  for (const layer of stack) {
    if (layer.of === 'air') {
      openAfter.set(width.length, layer.thickness_m);
      continue;
    }
    const matter = layer.of === 'glass' ? glass : layer;
    const count = Math.max(4, Math.round((cells * layer.thickness_m) / total));
    for (let i = 0; i < count; i += 1) {
      width.push(layer.thickness_m / count);
      heatOf.push((matter.density_kg_m3 * matter.heatCapacity_J_kgK * layer.thickness_m) / count);
      conducts.push(matter.conductivity_W_mK);
      isGlass.push(layer.of === 'glass');
    }
  }
  const n = width.length;
  const resists = Float64Array.from(width, (dx, i) => dx / 2 / conducts[i]);
  const heats = Float64Array.from(heatOf);
  const dt = stable * Math.min(...width.map((dx, i) => (dx * heatOf[i]) / (2 * conducts[i])));
  const T = new Float64Array(n).fill(start_C);
  const flow = new Float64Array(n + 1);
  const from = isGlass.indexOf(true);
  const m = isGlass.filter(Boolean).length;

  const { curve, spectrum, structureOverStress, nonLinearity, activation_K } = spelled;
  const shear = glass.youngs_Pa / 2 / (1 + glass.poisson);
  const biaxial = glass.youngs_Pa / (1 - glass.poisson);
  const terms = spectrum.length;
  const height = Float64Array.from({ length: m }, (_, i) => ((i + 0.5) * total) / m - total / 2);
  /** Of cell i and term k at i·terms + k. */
  const fictive = new Float64Array(m * terms).fill(start_C);
  const parts = new Float64Array(m * terms);
  const fades = new Float64Array(m * terms);
  const last = new Float64Array(m).fill(start_C);
  const stiff = new Float64Array(m);
  const carried = new Float64Array(m);
  const free = new Float64Array(m);
  let bow = 0;

  function meanFictive(i: number): number {
    let mean = 0;
    for (let k = 0; k < terms; k += 1) mean += spectrum[k].weight * fictive[i * terms + k];
    return mean;
  }

  /** The strain and curvature under which forces and moments vanish. */
  function balanced(): [number, number] {
    let s0 = 0;
    let s1 = 0;
    let s2 = 0;
    let f = 0;
    let g = 0;
    for (let i = 0; i < m; i += 1) {
      s0 += stiff[i];
      s1 += stiff[i] * height[i];
      s2 += stiff[i] * height[i] ** 2;
      f += stiff[i] * free[i] - carried[i];
      g += (stiff[i] * free[i] - carried[i]) * height[i];
    }
    const bend = (s0 * g - s1 * f) / (s0 * s2 - s1 * s1);
    return [(f - s1 * bend) / s0, bend];
  }

  function stressStep(passed_s: number): void {
    for (let i = 0; i < m; i += 1) {
      const now = T[from + i];
      const was = meanFictive(i);
      const viscosity = 10 ** (curve.A + curve.B / (was - curve.T0)) * Math.exp(nonLinearity * activation_K * (1 / (now + ZERO_C) - 1 / (was + ZERO_C)));
      const time = viscosity / shear;
      stiff[i] = 0;
      carried[i] = 0;
      for (let k = 0, at = i * terms; k < terms; k += 1, at += 1) {
        const { weight, ratio } = spectrum[k];
        const share = passed_s / (time * ratio * structureOverStress);
        fictive[at] = (fictive[at] + share * now) / (1 + share);
        fades[at] = 1 / (1 + passed_s / (time * ratio));
        stiff[i] += biaxial * weight * fades[at];
        carried[i] += parts[at] * fades[at];
      }
      free[i] = glass.expansion_perK * (now - last[i]) + (spelled.meltExpansion_perK - glass.expansion_perK) * (meanFictive(i) - was);
      last[i] = now;
    }
    const [strain, bend] = balanced();
    bow += bend;
    for (let i = 0; i < m; i += 1) {
      const taken = biaxial * (strain + bend * height[i] - free[i]);
      for (let k = 0, at = i * terms; k < terms; k += 1, at += 1) parts[at] = (parts[at] + spectrum[k].weight * taken) * fades[at];
    }
  }

  /** Between any two depths of the glass; both skins stand half a cell further out than its cells. */
  function difference(): number {
    let low = T[from] - (T[from + 1] - T[from]) / 2;
    let high = T[from + m - 1] + (T[from + m - 1] - T[from + m - 2]) / 2;
    if (low > high) [low, high] = [high, low];
    for (let i = from; i < from + m; i += 1) {
      if (T[i] < low) low = T[i];
      if (T[i] > high) high = T[i];
    }
    return high - low;
  }

  const greatest_K: number[] = [];
  let kiln = start_C;
  /** Where the body stands. */
  let felt = start_C;
  let sinceStress = 0;
  for (const { rate_C_per_h, target_C, hold_s } of segments) {
    if (rate_C_per_h === null) throw new Error('The second solver follows rates alone.');
    const ramp_s = (Math.abs(target_C - kiln) / rate_C_per_h) * 3600;
    const began = kiln;
    const ends = ramp_s + hold_s;
    let greatest = difference();
    for (let t = 0; t < ends;) {
      const step = Math.min(dt, ends - t);
      kiln = t >= ramp_s ? target_C : began + (target_C - began) * (t / ramp_s);
      felt = placeLag_s > 0 ? felt + ((kiln - felt) * step) / (placeLag_s + step) : kiln;
      flow[0] = inflow(faces.bottom, felt, T[0], resists[0]);
      flow[n] = -inflow(faces.top, felt, T[n - 1], resists[n - 1]);
      for (let i = 1; i < n; i += 1) flow[i] = (T[i - 1] - T[i]) / (resists[i - 1] + resists[i]);
      for (const [i, wide] of openAfter) flow[i] = acrossAir(T[i - 1], T[i], resists[i - 1] + resists[i], wide);
      for (let i = 0; i < n; i += 1) T[i] += ((flow[i] - flow[i + 1]) * step) / heats[i];
      t += step;
      sinceStress += step;
      if (sinceStress >= stress_s || t >= ends) {
        stressStep(sinceStress);
        sinceStress = 0;
        greatest = Math.max(greatest, difference());
      }
    }
    kiln = target_C;
    greatest_K.push(greatest);
  }
  for (let i = 0; i < m; i += 1) {
    stiff[i] = biaxial;
    carried[i] = 0;
    for (let k = 0; k < terms; k += 1) carried[i] += parts[i * terms + k];
    free[i] = glass.expansion_perK * (ROOM - T[from + i]);
  }
  const [strain, bend] = balanced();
  return {
    greatest_K,
    residual_Pa: Array.from(carried, (stress, i) => stress + biaxial * (strain + bend * height[i] - free[i])),
    bow_perM: bow + bend,
  };
}
