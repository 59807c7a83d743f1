/**
 * Heat and stress of a body that is thick here and thin there, by another road than the engine's: it shares no code with it, only what is
 * asked. Round bodies by radius and height, strips by width and height, in cells of about one size; stepped forwards by Euler under the
 * limit of stability, radiation by the fourth powers themselves; every cell of the glass relaxes for itself, and all of them bear one plane
 * of strain under which forces and moments vanish. Held to that plane a body shows more stress than it bears where its edges give way.
 *
 * Depths in m, temperatures in °C, times in s, stress in Pa with tension positive.
 */
import type { SimulationInput } from '@torvin/core/heat';
import { type SpelledOut, inflow } from './secondSolver';

interface Matter {
  conductivity_W_mK: number;
  density_kg_m3: number;
  heatCapacity_J_kgK: number;
}

export interface Asked {
  /** round: from the axis outwards; strip: mirrored at both sides. */
  shape: 'round' | 'strip';
  parts: readonly { width_m: number; depth_m: number }[];
  /** Where all are level: cast, or laid. */
  level: 'top' | 'bottom';
  glass: SimulationInput['glass'];
  under: readonly (Matter & { thickness_m: number })[];
  beside?: Matter & { thickness_m: number };
  faces: SimulationInput['faces'];
  /** With rates. */
  segments: readonly { rate_C_per_h: number; target_C: number; hold_s: number }[];
  /** It is even there, and remembers nothing. */
  start_C: number;
  /** Glass colder than this is brittle. */
  setsTo_C: number;
  cell_m: number;
  /** Steps of stress, s. */
  stress_s: number;
}

export interface SecondField {
  /** In each segment, hottest less coldest of the cells that lie at least as deep inside the rim as the body is deep, K. */
  inner_K: number[];
  /** Greatest tension while brittle, and what stays at room temperature. */
  pull_Pa: number;
  residual_Pa: number;
}

const ZERO_C = 273.15;
const ROOM_C = 20;
/** Of the longest heat step that is stable. */
const STABLE = 0.8;

const splitIn = (length_m: number, cell_m: number): number[] => {
  const count = Math.max(1, Math.round(length_m / cell_m));
  return Array.from({ length: count }, () => length_m / count);
};

export function secondField(asked: Asked, spelled: SpelledOut): SecondField {
  const { shape, parts, level, glass, under, beside, faces, segments, start_C, setsTo_C, cell_m, stress_s } = asked;
  const deepest = Math.max(...parts.map(({ depth_m }) => depth_m));
  const isRound = shape === 'round';
  // Columns: those of each part, then of what stands beside; rows: what lies under, then the glass, cut where a part begins or ends.
  const columns = [
    ...parts.flatMap(({ width_m, depth_m }) => splitIn(width_m, cell_m).map((dx) => ({ dx, depth_m }))),
    ...(beside ? splitIn(beside.thickness_m, cell_m).map((dx) => ({ dx, depth_m: null })) : []),
  ];
  const cuts = [...new Set([0, deepest, ...parts.map(({ depth_m }) => (level === 'bottom' ? depth_m : deepest - depth_m))])].sort((a, b) => a - b);
  const rows = [
    ...under.flatMap((layer) => splitIn(layer.thickness_m, cell_m).map((dz) => ({ dz, of: layer as Matter, from: null }))),
    ...cuts
      .slice(1)
      .flatMap((to, i) =>
        splitIn(to - cuts[i], cell_m).map((dz, j, all) => ({ dz, of: glass as Matter, from: cuts[i] + ((to - cuts[i]) * (j + 0.5)) / all.length })),
      ),
  ];
  const [nx, nz] = [columns.length, rows.length];
  const matter: (Matter | null)[] = [];
  for (const { of, from } of rows) {
    for (const { depth_m } of columns) {
      if (from === null) matter.push(of);
      else if (depth_m === null) matter.push(beside ?? null);
      else if (level === 'bottom') matter.push(from < depth_m ? glass : null);
      else matter.push(from > deepest - depth_m ? glass : (under.at(-1) ?? null));
    }
  }
  const left = columns.map((_, i) => columns.slice(0, i).reduce((sum, { dx }) => sum + dx, 0));
  const area = columns.map(({ dx }, i) => (isRound ? Math.PI * ((left[i] + dx) ** 2 - left[i] ** 2) : dx));
  const sideOf = (border: number): number => (isRound ? 2 * Math.PI * (border < nx ? left[border] : left[nx - 1] + columns[nx - 1].dx) : 1);

  interface Link {
    one: number;
    other: number;
    W_K: number;
  }
  const links: Link[] = [];
  const open: { cell: number; area: number; half: number; face: SimulationInput['faces']['top'] }[] = [];
  const heat = new Float64Array(nx * nz);
  for (let k = 0; k < nz; k += 1) {
    for (let i = 0; i < nx; i += 1) {
      const cell = k * nx + i;
      const own = matter[cell];
      if (!own) continue;
      const [dx, dz] = [columns[i].dx, rows[k].dz];
      heat[cell] = own.density_kg_m3 * own.heatCapacity_J_kgK * area[i] * dz;
      const right = i + 1 < nx ? matter[cell + 1] : null;
      const side = sideOf(i + 1) * dz;
      if (right) links.push({ one: cell, other: cell + 1, W_K: side / (dx / 2 / own.conductivity_W_mK + columns[i + 1].dx / 2 / right.conductivity_W_mK) });
      else if (i + 1 < nx || isRound) open.push({ cell, area: side, half: dx / 2 / own.conductivity_W_mK, face: faces.top });
      if (i > 0 && !matter[cell - 1]) open.push({ cell, area: sideOf(i) * dz, half: dx / 2 / own.conductivity_W_mK, face: faces.top });
      const above = k + 1 < nz ? matter[cell + nx] : null;
      if (above) links.push({ one: cell, other: cell + nx, W_K: area[i] / (dz / 2 / own.conductivity_W_mK + rows[k + 1].dz / 2 / above.conductivity_W_mK) });
      else open.push({ cell, area: area[i], half: dz / 2 / own.conductivity_W_mK, face: faces.top });
      if (k === 0) open.push({ cell, area: area[i], half: dz / 2 / own.conductivity_W_mK, face: faces.bottom });
    }
  }
  const takes = new Float64Array(nx * nz);
  for (const { one, other, W_K } of links) {
    takes[one] += W_K;
    takes[other] += W_K;
  }
  for (const { cell, area: of, half } of open) takes[cell] += of / half;
  const dt = STABLE * Math.min(...[...heat.keys()].filter((cell) => heat[cell] > 0).map((cell) => heat[cell] / takes[cell]));

  const cells = [...matter.keys()].filter((cell) => matter[cell] === glass);
  const m = cells.length;
  const weight = cells.map((cell) => area[cell % nx] * rows[Math.floor(cell / nx)].dz);
  const whole = weight.reduce((sum, one) => sum + one, 0);
  const mid = cells.map((cell) => rows[Math.floor(cell / nx)].from ?? 0);
  const meanHeight = mid.reduce((sum, z, j) => sum + (z * weight[j]) / whole, 0);
  const height = mid.map((z) => z - meanHeight);
  const width = parts.reduce((sum, { width_m }) => sum + width_m, 0);
  const isInner = (cell: number): boolean => !isRound || left[cell % nx] + columns[cell % nx].dx / 2 < width - deepest;
  const inner = cells.some(isInner) ? cells.filter(isInner) : cells;

  const { curve, spectrum, structureOverStress, nonLinearity, activation_K } = spelled;
  const shear = glass.youngs_Pa / 2 / (1 + glass.poisson);
  const biaxial = glass.youngs_Pa / (1 - glass.poisson);
  const terms = spectrum.length;
  const fictive = new Float64Array(m * terms).fill(start_C);
  const bears = new Float64Array(m * terms);
  const fades = new Float64Array(m * terms);
  const last = new Float64Array(m).fill(start_C);
  const stiff = new Float64Array(m);
  const carried = new Float64Array(m);
  const free = new Float64Array(m);
  const T = new Float64Array(nx * nz).fill(start_C);
  const gain = new Float64Array(nx * nz);

  function plane(): [strain: number, bend: number] {
    let [s0, s1, s2, f, g] = [0, 0, 0, 0, 0];
    for (let j = 0; j < m; j += 1) {
      const k = stiff[j] * weight[j];
      const force = (stiff[j] * free[j] - carried[j]) * weight[j];
      s0 += k;
      s1 += k * height[j];
      s2 += k * height[j] ** 2;
      f += force;
      g += force * height[j];
    }
    const bend = (s0 * g - s1 * f) / (s0 * s2 - s1 * s1);
    return [(f - s1 * bend) / s0, bend];
  }

  function stressStep(passed_s: number): number {
    let coldest = Infinity;
    for (let j = 0; j < m; j += 1) {
      const now = T[cells[j]];
      coldest = Math.min(coldest, now);
      let was = 0;
      for (let k = 0; k < terms; k += 1) was += spectrum[k].weight * fictive[j * terms + k];
      const time = (10 ** (curve.A + curve.B / (was - curve.T0)) * Math.exp(nonLinearity * activation_K * (1 / (now + ZERO_C) - 1 / (was + ZERO_C)))) / shear;
      stiff[j] = 0;
      carried[j] = 0;
      let is = 0;
      for (let k = 0, at = j * terms; k < terms; k += 1, at += 1) {
        const { weight: of, ratio } = spectrum[k];
        const share = passed_s / (time * ratio * structureOverStress);
        fictive[at] = (fictive[at] + share * now) / (1 + share);
        is += of * fictive[at];
        fades[at] = 1 / (1 + passed_s / (time * ratio));
        stiff[j] += biaxial * of * fades[at];
        carried[j] += bears[at] * fades[at];
      }
      free[j] = glass.expansion_perK * (now - last[j]) + (spelled.meltExpansion_perK - glass.expansion_perK) * (is - was);
      last[j] = now;
    }
    const [strain, bend] = plane();
    let pull = 0;
    for (let j = 0; j < m; j += 1) {
      const taken = biaxial * (strain + bend * height[j] - free[j]);
      let sum = 0;
      for (let k = 0, at = j * terms; k < terms; k += 1, at += 1) {
        bears[at] = (bears[at] + spectrum[k].weight * taken) * fades[at];
        sum += bears[at];
      }
      pull = Math.max(pull, sum);
    }
    return coldest < setsTo_C ? pull : 0;
  }

  const inner_K: number[] = [];
  let [kiln, since, pull_Pa] = [start_C, 0, 0];
  for (const { rate_C_per_h, target_C, hold_s } of segments) {
    const ramp_s = (Math.abs(target_C - kiln) / rate_C_per_h) * 3600;
    const began = kiln;
    let greatest = 0;
    for (let t = 0; t < ramp_s + hold_s;) {
      const step = Math.min(dt, ramp_s + hold_s - t);
      kiln = t >= ramp_s ? target_C : began + (target_C - began) * (t / ramp_s);
      gain.fill(0);
      for (const { one, other, W_K } of links) {
        const passes = W_K * (T[one] - T[other]);
        gain[one] -= passes;
        gain[other] += passes;
      }
      for (const { cell, area: of, half, face } of open) gain[cell] += of * inflow(face, kiln, T[cell], half);
      for (let cell = 0; cell < T.length; cell += 1) if (heat[cell] > 0) T[cell] += (gain[cell] * step) / heat[cell];
      t += step;
      since += step;
      if (since >= stress_s || t >= ramp_s + hold_s) {
        pull_Pa = Math.max(pull_Pa, stressStep(since));
        since = 0;
        let [low, high] = [Infinity, -Infinity];
        for (const cell of inner) {
          low = Math.min(low, T[cell]);
          high = Math.max(high, T[cell]);
        }
        greatest = Math.max(greatest, high - low);
      }
    }
    kiln = target_C;
    inner_K.push(greatest);
  }
  for (let j = 0; j < m; j += 1) {
    stiff[j] = biaxial;
    carried[j] = 0;
    for (let k = 0; k < terms; k += 1) carried[j] += bears[j * terms + k];
    free[j] = glass.expansion_perK * (ROOM_C - T[cells[j]]);
  }
  const [strain, bend] = plane();
  const residual_Pa = carried.reduce((most, stress, j) => Math.max(most, stress + biaxial * (strain + bend * height[j] - free[j])), 0);
  return { inner_K, pull_Pa, residual_Pa };
}
