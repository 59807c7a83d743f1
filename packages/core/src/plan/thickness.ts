/**
 * How thick a lay-up is, place by place: of each cell of a grid the glass that stands in it, from how much of it every part
 * covers. Gaps within rods and grains count as closed.
 */
import { type Footprint, footprintArea, grownArea } from '../body/footprint';
import { Covers, type Grid, gridRound } from './cover';
import { isWithin } from './clip';
import { distances } from './distance';
import { type PlacedPart, type Point, boxOf, footprintRings, laidAt, partArea, partCorners, partSides } from './parts';

export interface MappedLayer {
  /** Where it lies, its own gaps closed, m. */
  depth_m: number;
  /** Where its parts lie; it lies over the whole outline where they are left out. */
  placed?: readonly PlacedPart[];
  /** Of rods among its parts, m. */
  across_m?: number;
  /** Share of the outline that it covers, evenly, where nothing tells where. */
  cover?: number;
  /** How far it stands over the outline all round, m. */
  overhang_m?: number;
}

/** Of a place. */
export interface DeepAt {
  depth_m: number;
  x_m: number;
  y_m: number;
}

export interface ThicknessMap {
  grid: Grid;
  /** Depth of glass in each cell, as far as there is any: rows from the front, each from the left, m. */
  depth_m: Float64Array;
  /** Share of each cell that has glass, or would have. */
  share: Float64Array;
  volume_m3: number;
  deepest: DeepAt;
  thinnest: DeepAt;
  /** Where it changes most from one place to the next, and by how much, m. */
  steepest: DeepAt;
  /** From the inmost of its thick places to the nearest thin one, and the other way round, m; 0 of an even body. */
  reach: { thick_m: number; thin_m: number };
  /** How far thick and thin lie apart as heat counts it, see asFarApart, m; 0 of an even body. */
  apart_m: number;
}

export const MAP_CELL_M = 0.002;
/** Cells that a map has at most: larger pieces are mapped as much more coarsely. */
const CELLS_AT_MOST = 250_000;
/** From this share on a cell says how thick the glass in it is. */
const TOLD_FROM = 0.5;
/** Less than this is even, m. */
const EVEN_M = 1e-5;

/** Outlines grown all round by as much as a cap stands over, by scaling each ring to its area: what counts is how much there is. */
function grown(footprint: Footprint, rings: readonly (readonly Point[])[], by_m: number): Point[][] {
  const factor = Math.sqrt(grownArea(footprint, by_m) / footprintArea(footprint));
  return rings.map((ring) => ring.map(([x, y]): Point => [x * factor, y * factor]));
}

/** Volume of a layer by its own measures, m³: what the cells must sum to. */
export function layerVolume({ depth_m, placed, across_m, cover = 1, overhang_m = 0 }: MappedLayer, footprint: Footprint): number {
  if (placed) return placed.reduce((sum, part) => sum + depth_m * partArea(part, across_m), 0);
  return depth_m * cover * (overhang_m > 0 ? grownArea(footprint, overhang_m) : footprintArea(footprint));
}

export function thicknessMap(footprint: Footprint, layers: readonly MappedLayer[], cell_m = MAP_CELL_M): ThicknessMap {
  const rings = footprintRings(footprint);
  const corners = layers.map(({ placed, across_m }) => placed?.map((part) => partCorners(part, across_m)) ?? null);
  const outlines = layers.map(({ overhang_m = 0 }) => (overhang_m > 0 ? grown(footprint, rings, overhang_m) : rings));
  const box = boxOf([...outlines.flat(2), ...corners.flatMap((each) => each?.flat() ?? [])]);
  const area = (box.right - box.left) * (box.back - box.front);
  const grid = gridRound(box, Math.max(cell_m, Math.sqrt(area / CELLS_AT_MOST)));

  const glass = new Covers(grid);
  const base = new Covers(grid);
  const over = new Covers(grid);
  for (const ring of rings) base.add(ring);
  layers.forEach(({ depth_m, cover = 1, overhang_m = 0 }, i) => {
    const parts = corners[i];
    for (const ring of parts ?? outlines[i]) {
      glass.add(ring, depth_m * (parts === null ? cover : 1));
      if (parts !== null || overhang_m > 0) over.add(ring);
    }
  });

  const volumes = glass.shares();
  const within = base.shares();
  const parts = over.shares();
  const share = within.map((inside, i) => Math.max(Math.min(inside, 1), Math.min(parts[i], 1)));
  const depth = volumes.map((volume, i) => (share[i] > 1e-9 ? Math.max(volume, 0) / share[i] : 0));
  const volume_m3 = volumes.reduce((sum, one) => sum + one, 0) * grid.cell_m ** 2;

  const deepest = deepestOf(grid, depth, share, layers, corners, rings);
  return { grid, depth_m: depth, share, volume_m3, ...figuresOf({ grid, depth_m: depth, share: within }), deepest };
}

/** What a map tells in figures, by its cells alone. */
export function figuresOf({
  grid,
  depth_m,
  share,
}: Pick<ThicknessMap, 'grid' | 'depth_m' | 'share'>): Omit<ThicknessMap, 'grid' | 'depth_m' | 'share' | 'volume_m3'> {
  const reach = reachOf(grid, depth_m, share);
  return {
    deepest: extreme(grid, depth_m, share, 1),
    thinnest: extreme(grid, depth_m, share, -1),
    steepest: steepestOf(grid, depth_m, share),
    reach,
    apart_m: asFarApart(reach.thick_m, reach.thin_m),
  };
}

const placeOf = (grid: Grid, cell: number): { x_m: number; y_m: number } => ({
  x_m: grid.left_m + ((cell % grid.columns) + 0.5) * grid.cell_m,
  y_m: grid.front_m + (Math.floor(cell / grid.columns) + 0.5) * grid.cell_m,
});

function extreme(grid: Grid, depth: Float64Array, share: Float64Array, sign: 1 | -1): DeepAt {
  let best = -1;
  for (let i = 0; i < depth.length; i += 1) if (share[i] >= TOLD_FROM && (best < 0 || sign * depth[i] > sign * depth[best])) best = i;
  return best < 0 ? { depth_m: 0, x_m: 0, y_m: 0 } : { depth_m: depth[best], ...placeOf(grid, best) };
}

/** Of a part, a point in its middle: of a line, on it. */
function inMiddleOf(part: PlacedPart): Point {
  if (part.outline.shape !== 'rod' && part.outline.shape !== 'strip') return laidAt([0, 0], part);
  const { along_m } = part.outline;
  const half = Math.floor((along_m.length - 1) / 2);
  const [[x0, y0], [x1, y1]] = [along_m[half], along_m[half + 1]];
  return laidAt([(x0 + x1) / 2, (y0 + y1) / 2], part);
}

/** Cells that a part is wide at least for one of them to lie all within it, however it is turned. */
const TOLD_BY_CELLS = 3;

function isNarrow({ outline, ...part }: PlacedPart, across_m: number | undefined, cell_m: number): boolean {
  if (outline.shape === 'rod') return (across_m ?? 0) < TOLD_BY_CELLS * cell_m;
  if (outline.shape === 'strip') return outline.width_m < TOLD_BY_CELLS * cell_m;
  const { width_m, length_m } = partSides({ outline, ...part });
  return Math.min(width_m, length_m) < TOLD_BY_CELLS * cell_m;
}

/** A part narrower than the cells is as deep as it is: what stands in the middle of each such counts with the cells. */
function deepestOf(
  grid: Grid,
  depth: Float64Array,
  share: Float64Array,
  layers: readonly MappedLayer[],
  corners: readonly (readonly Point[][] | null)[],
  rings: readonly Point[][],
): DeepAt {
  const middles = layers.flatMap(({ placed = [], across_m }) => placed.filter((part) => isNarrow(part, across_m, grid.cell_m)).map(inMiddleOf));
  const boxes = corners.map((parts) => parts?.map(boxOf) ?? null);
  const stackAt = ([x, y]: Point): number =>
    layers.reduce((sum, { depth_m, cover = 1 }, i) => {
      const parts = corners[i];
      if (parts === null) return sum + (isWithin([x, y], rings) ? depth_m * cover : 0);
      const isOver = (part: Point[], k: number): boolean => {
        const box = boxes[i]?.[k];
        return box !== undefined && x >= box.left && x <= box.right && y >= box.front && y <= box.back && isWithin([x, y], [part]);
      };
      return sum + depth_m * parts.filter(isOver).length;
    }, 0);
  return middles.reduce(
    (most, middle) => {
      const depth_m = stackAt(middle);
      return depth_m > most.depth_m + EVEN_M ? { depth_m, x_m: middle[0], y_m: middle[1] } : most;
    },
    extreme(grid, depth, share, 1),
  );
}

/** The greatest step between a cell and the next but one, right or to the back: a straight edge between them is told in full. */
function steepestOf(grid: Grid, depth: Float64Array, within: Float64Array): DeepAt {
  const { columns, rows } = grid;
  let best = { depth_m: 0, x_m: 0, y_m: 0 };
  const isTold = (cell: number): boolean => within[cell] >= TOLD_FROM;
  const look = (from: number, to: number): void => {
    const change = Math.abs(depth[from] - depth[to]);
    if (change <= best.depth_m + EVEN_M || !isTold(from) || !isTold(to)) return;
    const [a, b] = [placeOf(grid, from), placeOf(grid, to)];
    best = { depth_m: change, x_m: (a.x_m + b.x_m) / 2, y_m: (a.y_m + b.y_m) / 2 };
  };
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const cell = row * columns + column;
      if (column + 2 < columns) look(cell, cell + 2);
      if (row + 2 < rows) look(cell, cell + 2 * columns);
    }
  }
  return best;
}

/** On the careful side of what was computed in depth and width, as a share: see the tests of columns. */
const CAREFUL = 1.1;

/**
 * How far apart two columns of equal width would lie that differ as much as a thick place of radius a and a thin one of radius b do.
 * What one of them gives off and the other takes in evenly meets at their border: the means of both lie a·(a + b)/3κ times the
 * rate of the narrower one apart, those of equal columns w²/6κ. Where one is narrow the other hardly changes, so it is the
 * narrower one that counts.
 */
export const asFarApart = (a_m: number, b_m: number): number => CAREFUL * Math.sqrt(2 * Math.min(a_m, b_m) * (a_m + b_m));

/** From the inmost thick place to the nearest thin one, and the other way round, m; nothing of an even body. */
function reachOf(grid: Grid, depth: Float64Array, within: Float64Array): { thick_m: number; thin_m: number } {
  const { columns, rows, cell_m } = grid;
  const told = (cell: number): boolean => within[cell] >= TOLD_FROM;
  let [least, most] = [Infinity, 0];
  for (let i = 0; i < depth.length; i += 1) {
    if (!told(i)) continue;
    least = Math.min(least, depth[i]);
    most = Math.max(most, depth[i]);
  }
  if (most - least < EVEN_M) return { thick_m: 0, thin_m: 0 };
  const between = (least + most) / 2;
  const widest = (isThick: boolean): number => {
    // From the sides of the cells, not from their middles.
    const to = distances(columns, rows, (cell) => told(cell) && depth[cell] > between !== isThick);
    let radius = 0;
    for (let i = 0; i < depth.length; i += 1) if (told(i) && depth[i] > between === isThick && to[i] < Infinity) radius = Math.max(radius, to[i] - 0.5);
    return radius * cell_m;
  };
  return { thick_m: widest(true), thin_m: widest(false) };
}
