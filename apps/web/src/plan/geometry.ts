/** Where the plan puts what lies where, and which depth has which lightness: pure arithmetic from metres to pixels. */
import type { Footprint } from '@torvin/core/body';
import { type Box, type Point, boxOf, footprintRings } from '@torvin/core/plan';

export interface PlanGeometry {
  /** px to a metre. */
  scale: number;
  width: number;
  height: number;
  /** The box round the piece's outline, m. */
  within: Box;
  /** px of a place, from the middle of the piece: to the right, and to the back, which is up. */
  x(x_m: number): number;
  y(y_m: number): number;
  /** The place under a finger. */
  place(x: number, y: number): Point;
}

const MARGIN_PX = 24;
/** Under it stand the measure and its figure. */
const MEASURE_PX = 34;

/** most: the height that there is; parts: corners that must be in sight too, as far as they are not far out. */
export function planGeometry(footprint: Footprint, parts: readonly Point[], width: number, most: number): PlanGeometry {
  const within = boxOf(footprintRings(footprint).flat());
  const half = Math.max(within.right - within.left, within.back - within.front) / 2;
  const near = parts.filter(([x, y]) => Math.abs(x) < 2 * half && Math.abs(y) < 2 * half);
  const seen = boxOf([...footprintRings(footprint).flat(), ...near]);
  const [wide, long] = [seen.right - seen.left, seen.back - seen.front];
  const scale = Math.min((width - 2 * MARGIN_PX) / wide, (most - MARGIN_PX - MEASURE_PX) / long);
  const height = Math.ceil(long * scale + MARGIN_PX + MEASURE_PX);
  const left = (width - wide * scale) / 2 - seen.left * scale;
  const top = MARGIN_PX + seen.back * scale;
  const x = (x_m: number): number => left + x_m * scale;
  const y = (y_m: number): number => top - y_m * scale;
  return { scale, width, height, within, x, y, place: (px, py) => [(px - left) / scale, (top - py) / scale] };
}

const px = (value: number): string => value.toFixed(1);

/** Closed outlines as one path; holes stay open. */
export const ringsPath = (rings: readonly (readonly Point[])[], { x, y }: Pick<PlanGeometry, 'x' | 'y'>): string =>
  rings.map((ring) => `M${ring.map(([x_m, y_m]) => `${px(x(x_m))} ${px(y(y_m))}`).join('L')}Z`).join('');

export interface Cells {
  grid: { left_m: number; front_m: number; cell_m: number; columns: number; rows: number };
  depth_m: readonly number[];
  share: readonly number[];
}

/** Lightnesses that an eye tells apart side by side. */
export const TINTS = 9;
const SEEN_FROM = 0.5;

/** By which of the lightnesses a depth is drawn: the thinnest 0, the deepest the last; an even body in the middle. */
export function tintOf(depth_m: number, thin_m: number, deep_m: number): number {
  if (deep_m - thin_m < 1e-5) return Math.floor(TINTS / 2);
  return Math.min(Math.max(Math.round(((depth_m - thin_m) / (deep_m - thin_m)) * (TINTS - 1)), 0), TINTS - 1);
}

/** Of each lightness all cells that have it: strips along the rows, so that there are few of them. */
export function tintPaths({ grid, depth_m, share }: Cells, thin_m: number, deep_m: number, { x, y, scale }: PlanGeometry): string[] {
  const paths = Array.from({ length: TINTS }, () => '');
  const side = grid.cell_m * scale;
  for (let row = 0; row < grid.rows; row += 1) {
    const top = y(grid.front_m + (row + 1) * grid.cell_m);
    for (let column = 0; column < grid.columns;) {
      const cell = row * grid.columns + column;
      if (share[cell] < SEEN_FROM) {
        column += 1;
        continue;
      }
      const tint = tintOf(depth_m[cell], thin_m, deep_m);
      let end = column + 1;
      while (end < grid.columns && share[cell + end - column] >= SEEN_FROM && tintOf(depth_m[cell + end - column], thin_m, deep_m) === tint) end += 1;
      // A little over the next row, so that no line of the ground shines through between them.
      paths[tint] += `M${px(x(grid.left_m + column * grid.cell_m))} ${px(top)}h${px((end - column) * side)}v${px(side + 0.5)}h${px(-(end - column) * side)}Z`;
      column = end;
    }
  }
  return paths;
}

/** Depth of the glass at a place; null where there is none. */
export function depthAt({ grid, depth_m, share }: Cells, [x_m, y_m]: Point): number | null {
  const column = Math.floor((x_m - grid.left_m) / grid.cell_m);
  const row = Math.floor((y_m - grid.front_m) / grid.cell_m);
  if (column < 0 || row < 0 || column >= grid.columns || row >= grid.rows) return null;
  const cell = row * grid.columns + column;
  return share[cell] >= SEEN_FROM ? depth_m[cell] : null;
}
