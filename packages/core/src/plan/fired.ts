/**
 * What a firing makes of how thick a body is from place to place.
 *
 * Relief levels ripple by ripple (Orchard 1962, see flow/relief), with the factor for steep edges that looks are calibrated by; within
 * the glass alone, each place as the mean of the glass about it, so that a rim does not bleed into the air. Then its rims travel, those
 * of gaps too: outwards where it lies deeper than it would rest, inwards where it is thinner, as far as the area at which it rests, or
 * as far as a rim creeps in that much heat work. What a rim leaves behind stands in a bead along it, what it takes comes from along it;
 * the bead stands as high as glass rests and dies away inwards. Its volume stays. It says where it will be thin and thick, not the
 * round of its rim, which is finer than the cells.
 */
import type { GlassConstants } from '../glass/constants';
import { naturalDepth } from '../body/body';
import { levellingRate } from '../flow/relief';
import { rimReach } from '../flow/spread';
import type { Grid } from './cover';
import { distances } from './distance';
import { damped, roundUp } from './ripples';

export interface FiredAs {
  glass: GlassConstants;
  /** Heat work at the glass's mean temperature, 1/Pa. */
  work_perPa: number;
  /** Whether its rim travels. */
  flows: boolean;
  /** Walls at the rim of its outline. */
  dammed: boolean;
}

export interface Field {
  grid: Grid;
  /** Depth of glass in each cell, as far as there is any, m. */
  depth_m: Float64Array;
  /** Share of each cell that has glass. */
  share: Float64Array;
}

/** From this share on a cell is glass. */
const GLASS_FROM = 0.5;
/** Glass of less than this is none, m. */
const FILM_M = 1e-5;
/** Cells along a side that are followed at most; a finer grid is taken so many cells together. */
const SIDE_AT_MOST = 256;
/** Empty round all of it, so that nothing bleeds into what lies across, m. */
const CLEAR_M = 0.02;
/** Round the glass there is room for a rim to run out into, m. */
const ROOM_M = 0.06;

/** Volume over each cell, m, on a grid with room all round, its sides powers of two. */
function roomy({ grid, depth_m, share }: Field, room_m: number): { grid: Grid; volume: Float64Array; glass: Float64Array } {
  const sides = (by: number): [number, number] => {
    const room = 2 * Math.ceil(room_m / (grid.cell_m * by));
    return [Math.ceil(grid.columns / by) + room, Math.ceil(grid.rows / by) + room];
  };
  let by = 1;
  while (Math.max(...sides(by)) > SIDE_AT_MOST) by += 1;
  const cell_m = grid.cell_m * by;
  const room = Math.ceil(room_m / cell_m);
  const [columns, rows] = sides(by).map(roundUp);
  const [volume, glass] = [new Float64Array(columns * rows), new Float64Array(columns * rows)];
  for (let row = 0; row < grid.rows; row += 1) {
    for (let column = 0; column < grid.columns; column += 1) {
      const from = row * grid.columns + column;
      const to = (Math.floor(row / by) + room) * columns + Math.floor(column / by) + room;
      const there = depth_m[from] > FILM_M ? share[from] : 0;
      volume[to] += (depth_m[from] * there) / by ** 2;
      glass[to] += there / by ** 2;
    }
  }
  return { grid: { cell_m, columns, rows, left_m: grid.left_m - room * cell_m, front_m: grid.front_m - room * cell_m }, volume, glass };
}

/** As far as its rim can creep. */
function roomFor({ depth_m, share }: Field, glass: GlassConstants, work_perPa: number): number {
  let [volume, area] = [0, 0];
  for (let i = 0; i < depth_m.length; i += 1) {
    if (depth_m[i] <= FILM_M) continue;
    volume += depth_m[i] * share[i];
    area += share[i];
  }
  const reach = area > 0 && volume / area > naturalDepth(glass) ? rimReach(glass, volume / area, work_perPa) : 0;
  return Math.min(1.2 * reach, ROOM_M) + CLEAR_M;
}

function sum(each: Float64Array): number {
  let all = 0;
  for (let i = 0; i < each.length; i += 1) all += each[i];
  return all;
}

export function firedField(field: Field, { glass, work_perPa, flows, dammed }: FiredAs): Field {
  const rest = naturalDepth(glass);
  const { grid, volume, glass: there } = roomy(field, flows && !dammed ? roomFor(field, glass, work_perPa) : CLEAR_M);
  const { columns, rows, cell_m } = grid;
  const isGlass = there.map((share) => (share >= GLASS_FROM ? 1 : 0));
  const total = sum(volume);
  const area = sum(there);
  if (total <= 0 || area <= 0 || work_perPa <= 0) return { grid, depth_m: volume.map((one, i) => (there[i] > 0 ? one / there[i] : 0)), share: there };

  // Ripples die away within the glass: of each place the glass about it, over how much of it there is.
  const mean = total / area;
  const deepest = volume.reduce((most, one, i) => (there[i] >= GLASS_FROM ? Math.max(most, one / there[i]) : most), mean);
  const dies = (k: number): number => (k === 0 ? 1 : Math.exp(-work_perPa * levellingRate(glass, Math.PI / k, deepest)));
  const [spread, about] = damped([volume, there], columns, rows, cell_m, dies);
  const levelled = spread.map((one, i) => (isGlass[i] ? Math.max(about[i] > 0.05 ? one / about[i] : mean, FILM_M) : 0));
  if (!flows || dammed)
    return {
      grid,
      ...told(
        levelled,
        there.map((share, i) => share * isGlass[i]),
        total,
      ),
    };
  const moved = travelled(levelled, isGlass, { glass, work_perPa, rest, total, cell_m, columns, rows });
  return { grid, ...told(moved.depth, moved.share, total) };
}

/** As much glass as there was. */
function told(depth: Float64Array, share: Float64Array, total: number): Omit<Field, 'grid'> {
  let volume = 0;
  for (let i = 0; i < depth.length; i += 1) volume += depth[i] * share[i];
  return { depth_m: depth.map((one, i) => (share[i] > 0 ? (one * total) / volume : 0)), share };
}

interface Travel {
  glass: GlassConstants;
  work_perPa: number;
  rest: number;
  /** Volume over the area of a cell, m. */
  total: number;
  cell_m: number;
  columns: number;
  rows: number;
}

/** Halvings by which a distance is found to a hundredth of a cell. */
const HALVINGS = 24;

function found(low: number, high: number, isEnough: (value: number) => boolean): number {
  let [from, to] = [low, high];
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (from + to) / 2;
    if (isEnough(middle)) to = middle;
    else from = middle;
  }
  return to;
}

/** Share of a cell on this side of a line that runs through it. */
const beyond = (within: number, from_m: number, cell_m: number): number => Math.min(Math.max((within - from_m) / cell_m + 0.5, 0), 1);

function travelled(
  depth: Float64Array,
  isGlass: Float64Array,
  { glass, work_perPa, rest, total, cell_m, columns, rows }: Travel,
): { depth: Float64Array; share: Float64Array } {
  const toAir = distances(columns, rows, (cell) => isGlass[cell] === 0);
  const toGlass = distances(columns, rows, (cell) => isGlass[cell] === 1);
  /** How far within the glass, m; outside it, negative. */
  const within = toAir.map((air, i) => (isGlass[i] ? air - 0.5 : 0.5 - toGlass[i]) * cell_m);
  const widest = within.reduce((most, one) => Math.max(most, one), 0);
  const mean = total / sum(isGlass);
  const areaWithin = (from_m: number): number => {
    let area = 0;
    for (let i = 0; i < within.length; i += 1) area += beyond(within[i], from_m, cell_m);
    return area;
  };
  const drawsIn = mean < rest;
  const most = Math.min(rimReach(glass, mean, work_perPa), drawsIn ? widest : ROOM_M);
  const restsAt = total / rest;
  const by = found(0, most, (at) => (drawsIn ? areaWithin(at) <= restsAt : areaWithin(-at) >= restsAt));
  const rim_m = drawsIn ? by : -by;
  const share = within.map((one) => beyond(one, rim_m, cell_m));
  // What a rim that draws in leaves behind, or what one that runs out asks for; along it each place is brought towards the depth of rest.
  let moved = 0;
  for (let i = 0; i < depth.length; i += 1) moved += drawsIn ? depth[i] * (1 - share[i]) : (share[i] - isGlass[i] * share[i]) * rest;
  const from_m = drawsIn ? by : 0;
  const towards = (i: number, wide_m: number): number => {
    const room = isGlass[i] === 0 ? 0 : drawsIn ? Math.max(rest - depth[i], 0) : Math.max(depth[i] - rest, 0);
    return room === 0 ? 0 : room * Math.max(1 - Math.max(within[i] - from_m, 0) / wide_m, 0) ** 2;
  };
  const given = (wide_m: number): number => {
    let all = 0;
    for (let i = 0; i < depth.length; i += 1) if (share[i] > 0) all += share[i] * towards(i, wide_m);
    return all;
  };
  const wide_m = found(cell_m, FARTHEST * widest, (wide) => given(wide) >= moved);
  return { depth: depth.map((one, i) => (isGlass[i] ? one + (drawsIn ? towards(i, wide_m) : -towards(i, wide_m)) : rest)), share };
}

/** Times as wide as its glass is, where a bead is level glass. */
const FARTHEST = 50;
