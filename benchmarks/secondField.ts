/**
 * Heat and stress of a body that is thick here and thin there, by another road than the engine's: it shares no code with it, only what is
 * asked. Round bodies by radius and height, strips by width and height, blocks in three dimensions, in cells of about one size; stepped forwards by Euler under the
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
  /** round: from the axis outwards; strip: mirrored at both sides; block: from its middle outwards, in three dimensions. */
  shape: 'round' | 'strip' | 'block';
  parts: readonly { width_m: number; depth_m: number }[];
  /** Of a block, the whole of its other side. */
  length_m?: number;
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

const deepestOf = (parts: Asked['parts']): number => Math.max(...parts.map(({ depth_m }) => depth_m));
const widthOf = (parts: Asked['parts']): number => parts.reduce((sum, { width_m }) => sum + width_m, 0);

const splitIn = (length_m: number, cell_m: number): number[] => {
  const count = Math.max(1, Math.round(length_m / cell_m));
  return Array.from({ length: count }, () => length_m / count);
};

interface Column {
  area_m2: number;
  /** Of the glass; null: what stands beside. */
  depth_m: number | null;
  /** At least as far from the rim as the body is deep. */
  isInner: boolean;
}

/** Where a column meets the next, or the kiln. */
interface Border {
  one: number;
  other: number | null;
  length_m: number;
  /** From the middle of each to the border, m. */
  halves_m: readonly [number, number];
}

interface GroundPlan {
  columns: Column[];
  borders: Border[];
}

interface Stretch {
  from_m: number;
  long_m: number;
  depth_m: number | null;
}

const stretches = ({ parts, beside, cell_m }: Asked): Stretch[] => {
  const along = [...parts, ...(beside ? [{ width_m: beside.thickness_m, depth_m: null }] : [])];
  const all = along.flatMap(({ width_m, depth_m }) => splitIn(width_m, cell_m).map((long_m) => ({ long_m, depth_m })));
  return all.map((one, i) => ({ ...one, from_m: all.slice(0, i).reduce((sum, { long_m }) => sum + long_m, 0) }));
};

/** Strips and rounds: one column beside the other. */
function inARow(asked: Asked): GroundPlan {
  const { shape, parts } = asked;
  const all = stretches(asked);
  const isRound = shape === 'round';
  const inner_m = isRound ? widthOf(parts) - deepestOf(parts) : Infinity;
  const borderAt = (out_m: number): number => (isRound ? 2 * Math.PI * out_m : 1);
  return {
    columns: all.map(({ from_m, long_m, depth_m }) => ({
      ...{ area_m2: isRound ? Math.PI * ((from_m + long_m) ** 2 - from_m ** 2) : long_m, depth_m },
      isInner: from_m + long_m / 2 < inner_m,
    })),
    borders: all.flatMap(({ from_m, long_m }, one): Border[] => {
      const next = one + 1 < all.length ? all[one + 1] : null;
      // A strip goes on as its mirror image.
      if (!next && !isRound) return [];
      return [{ one, other: next && one + 1, length_m: borderAt(from_m + long_m), halves_m: [long_m / 2, (next?.long_m ?? 0) / 2] }];
    }),
  };
}

/** A quarter of a block: the parts from the middle outwards, and as long as it is the other way. */
function inAQuarter(asked: Asked): GroundPlan {
  const { parts, beside, length_m = 0 } = asked;
  const half_m = length_m / 2;
  const xs = stretches(asked);
  const ys = stretches({ ...asked, parts: [{ width_m: half_m, depth_m: 0 }], beside });
  const [width_m, deepest_m] = [widthOf(parts), deepestOf(parts)];
  const middle = ({ from_m, long_m }: Stretch): number => from_m + long_m / 2;
  const borders: Border[] = [];
  ys.forEach((y, j) =>
    xs.forEach((x, i) => {
      const one = j * xs.length + i;
      const [nextX, nextY] = [xs.at(i + 1), ys.at(j + 1)];
      borders.push({ one, other: nextX ? one + 1 : null, length_m: y.long_m, halves_m: [x.long_m / 2, (nextX?.long_m ?? 0) / 2] });
      borders.push({ one, other: nextY ? one + xs.length : null, length_m: x.long_m, halves_m: [y.long_m / 2, (nextY?.long_m ?? 0) / 2] });
    }),
  );
  return {
    columns: ys.flatMap((y) =>
      xs.map((x) => ({
        ...{ area_m2: x.long_m * y.long_m, depth_m: y.depth_m === null ? null : x.depth_m },
        isInner: middle(x) < width_m - deepest_m && middle(y) < half_m - deepest_m,
      })),
    ),
    borders,
  };
}

export function secondField(asked: Asked, spelled: SpelledOut): SecondField {
  const { shape, parts, level, glass, under, beside, faces, segments, start_C, setsTo_C, cell_m, stress_s } = asked;
  const deepest = deepestOf(parts);
  const { columns, borders } = shape === 'block' ? inAQuarter(asked) : inARow(asked);
  // Rows: what lies under, then the glass, cut where a part begins or ends.
  const cuts = [...new Set([0, deepest, ...parts.map(({ depth_m }) => (level === 'bottom' ? depth_m : deepest - depth_m))])].sort((a, b) => a - b);
  const rows = [
    ...under.flatMap((layer) => splitIn(layer.thickness_m, cell_m).map((dz) => ({ dz, of: layer as Matter, from: null }))),
    ...cuts
      .slice(1)
      .flatMap((to, i) =>
        splitIn(to - cuts[i], cell_m).map((dz, j, all) => ({ dz, of: glass as Matter, from: cuts[i] + ((to - cuts[i]) * (j + 0.5)) / all.length })),
      ),
  ];
  const [n, nz] = [columns.length, rows.length];
  const matter: (Matter | null)[] = [];
  for (const { of, from } of rows) {
    for (const { depth_m } of columns) {
      if (from === null) matter.push(of);
      else if (depth_m === null) matter.push(beside ?? null);
      else if (level === 'bottom') matter.push(from < depth_m ? glass : null);
      else matter.push(from > deepest - depth_m ? glass : (under.at(-1) ?? null));
    }
  }

  interface Link {
    one: number;
    other: number;
    W_K: number;
  }
  const links: Link[] = [];
  const open: { cell: number; area: number; half: number; face: SimulationInput['faces']['top'] }[] = [];
  const heat = new Float64Array(n * nz);
  rows.forEach(({ dz }, k) => {
    columns.forEach(({ area_m2: area }, i) => {
      const cell = k * n + i;
      const own = matter[cell];
      if (!own) return;
      heat[cell] = own.density_kg_m3 * own.heatCapacity_J_kgK * area * dz;
      const half = dz / 2 / own.conductivity_W_mK;
      const above = k + 1 < nz ? matter[cell + n] : null;
      if (above) links.push({ one: cell, other: cell + n, W_K: area / (half + rows[k + 1].dz / 2 / above.conductivity_W_mK) });
      else open.push({ cell, area, half, face: faces.top });
      if (k === 0) open.push({ cell, area, half, face: faces.bottom });
    });
    for (const { one, other, length_m, halves_m } of borders) {
      const area = length_m * dz;
      const met = [one, other].flatMap((column, at) => {
        const cell = column === null ? -1 : k * n + column;
        const of = matter[cell] ?? null;
        return of ? [{ cell, half: halves_m[at] / of.conductivity_W_mK }] : [];
      });
      if (met.length === 2) links.push({ one: met[0].cell, other: met[1].cell, W_K: area / (met[0].half + met[1].half) });
      else open.push(...met.map((side) => ({ ...side, area, face: faces.top })));
    }
  });
  const takes = new Float64Array(n * nz);
  for (const { one, other, W_K } of links) {
    takes[one] += W_K;
    takes[other] += W_K;
  }
  for (const { cell, area: of, half } of open) takes[cell] += of / half;
  const dt = STABLE * Math.min(...[...heat.keys()].filter((cell) => heat[cell] > 0).map((cell) => heat[cell] / takes[cell]));

  const cells = [...matter.keys()].filter((cell) => matter[cell] === glass);
  const m = cells.length;
  const weight = cells.map((cell) => columns[cell % n].area_m2 * rows[Math.floor(cell / n)].dz);
  const whole = weight.reduce((sum, one) => sum + one, 0);
  const mid = cells.map((cell) => rows[Math.floor(cell / n)].from ?? 0);
  const meanHeight = mid.reduce((sum, z, j) => sum + (z * weight[j]) / whole, 0);
  const height = mid.map((z) => z - meanHeight);
  const inside = cells.filter((cell) => columns[cell % n].isInner);
  const inner = inside.length > 0 ? inside : cells;

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
  const T = new Float64Array(n * nz).fill(start_C);
  const gain = new Float64Array(n * nz);

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
