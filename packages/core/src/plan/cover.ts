/**
 * How much of each cell of a grid polygons cover, exactly: Green's theorem cell by cell. A side that rises by dy in a cell, its
 * middle at a share f of the cell's width, closes off dy·(1 − f) of that cell and dy of every cell to its right; adding
 * dy·(1 − f) here and dy·f next to it, and summing each row once from the left, gives the covered share. It is linear: any number
 * of polygons, each with a weight, is summed at once, as outlines of letters are filled on screens. Exact for straight sides, to
 * rounding.
 */
import type { Point } from './parts';

export interface Grid {
  /** Its front left corner, m. */
  left_m: number;
  front_m: number;
  /** Side of a cell, m. */
  cell_m: number;
  columns: number;
  rows: number;
}

/** A grid round a box, with its middle on the middle of it. */
export function gridRound({ left, right, front, back }: { left: number; right: number; front: number; back: number }, cell_m: number): Grid {
  const columns = Math.max(Math.ceil((right - left) / cell_m - 1e-9), 1);
  const rows = Math.max(Math.ceil((back - front) / cell_m - 1e-9), 1);
  return { left_m: (left + right - columns * cell_m) / 2, front_m: (front + back - rows * cell_m) / 2, cell_m, columns, rows };
}

/** Sums of covers, by row from the front; each row has one cell more than the grid, for what lies right of it. */
export class Covers {
  private readonly sums: Float64Array;

  constructor(readonly grid: Grid) {
    this.sums = new Float64Array((grid.columns + 1) * grid.rows);
  }

  /** Adds a polygon, times a weight. Corners against the clock count positive. */
  add(corners: readonly Point[], weight = 1): void {
    const { left_m, front_m, cell_m } = this.grid;
    let [x0, y0] = corners[corners.length - 1];
    x0 = (x0 - left_m) / cell_m;
    y0 = (y0 - front_m) / cell_m;
    for (const [x, y] of corners) {
      const x1 = (x - left_m) / cell_m;
      const y1 = (y - front_m) / cell_m;
      // A side that goes up has the inside on its left where corners run against the clock: what it closes off counts against.
      if (y0 < y1) this.rise(x0, y0, x1, y1, -weight);
      else if (y0 > y1) this.rise(x1, y1, x0, y0, weight);
      x0 = x1;
      y0 = y1;
    }
  }

  /** A side upwards, in cells. */
  private rise(x0: number, y0: number, x1: number, y1: number, weight: number): void {
    const { rows } = this.grid;
    const slope = (x1 - x0) / (y1 - y0);
    const from = Math.max(y0, 0);
    const to = Math.min(y1, rows);
    for (let row = Math.floor(from), y = from; y < to; row += 1) {
      const next = Math.min(row + 1, to);
      this.cross(row, x0 + (y - y0) * slope, x0 + (next - y0) * slope, (next - y) * weight);
      y = next;
    }
  }

  /** A side within one row, from x to x, that rises by dy in all. */
  private cross(row: number, xa: number, xb: number, dy: number): void {
    const { columns } = this.grid;
    const start = row * (columns + 1);
    let [x0, x1] = xa < xb ? [xa, xb] : [xb, xa];
    const whole = x1 - x0;
    if (x0 >= columns) return;
    // Left of the grid it closes off all of the row.
    if (x0 < 0) {
      const outside = whole > 0 ? Math.min((0 - x0) / whole, 1) : 1;
      this.sums[start] += outside * dy;
      if (outside >= 1) return;
      dy *= 1 - outside;
      x0 = 0;
    }
    const rise = x1 > x0 ? dy / (x1 - x0) : 0;
    x1 = Math.min(x1, columns);
    let column = Math.floor(x0);
    if (x1 <= column + 1) {
      const part = rise > 0 || rise < 0 ? rise * (x1 - x0) : dy;
      const middle = (x0 + x1) / 2 - column;
      this.sums[start + column] += part * (1 - middle);
      this.sums[start + column + 1] += part * middle;
      return;
    }
    for (let x = x0; x < x1; column += 1) {
      const next = Math.min(column + 1, x1);
      const part = rise * (next - x);
      const middle = (x + next) / 2 - column;
      this.sums[start + column] += part * (1 - middle);
      this.sums[start + column + 1] += part * middle;
      x = next;
    }
  }

  /** Of each cell, times the weights, in rows from the front, each from the left. */
  shares(): Float64Array {
    const { columns, rows } = this.grid;
    const each = new Float64Array(columns * rows);
    for (let row = 0; row < rows; row += 1) {
      let sum = 0;
      for (let column = 0; column < columns; column += 1) {
        sum += this.sums[row * (columns + 1) + column];
        each[row * columns + column] = sum;
      }
    }
    return each;
  }
}
