/**
 * From every cell of a grid to the nearest of some others, exactly: the lower envelope of parabolas, first along columns, then
 * along rows (Felzenszwalb and Huttenlocher 2012, Theory of Computing 8, 415). Work grows with the number of cells alone.
 */

const FAR = 1e20;

function alongLine(squared: Float64Array, start: number, step: number, count: number, hull: Int32Array, from: Float64Array, line: Float64Array): void {
  for (let i = 0; i < count; i += 1) line[i] = squared[start + i * step];
  let k = 0;
  hull[0] = 0;
  from[0] = -Infinity;
  from[1] = Infinity;
  for (let q = 1; q < count; q += 1) {
    const height = line[q] + q * q;
    let at = (height - line[hull[k]] - hull[k] * hull[k]) / (2 * (q - hull[k]));
    while (at <= from[k]) {
      k -= 1;
      at = (height - line[hull[k]] - hull[k] * hull[k]) / (2 * (q - hull[k]));
    }
    k += 1;
    hull[k] = q;
    from[k] = at;
    from[k + 1] = Infinity;
  }
  k = 0;
  for (let q = 0; q < count; q += 1) {
    while (from[k + 1] < q) k += 1;
    squared[start + q * step] = (q - hull[k]) ** 2 + line[hull[k]];
  }
}

/** In sides of a cell; Infinity where there is none. isOne: of each cell, in rows. */
export function distances(columns: number, rows: number, isOne: (cell: number) => boolean): Float64Array {
  const squared = new Float64Array(columns * rows);
  for (let i = 0; i < squared.length; i += 1) squared[i] = isOne(i) ? 0 : FAR;
  const long = Math.max(columns, rows);
  const [hull, from, line] = [new Int32Array(long), new Float64Array(long + 1), new Float64Array(long)];
  for (let column = 0; column < columns; column += 1) alongLine(squared, column, columns, rows, hull, from, line);
  for (let row = 0; row < rows; row += 1) alongLine(squared, row * columns, 1, columns, hull, from, line);
  for (let i = 0; i < squared.length; i += 1) squared[i] = squared[i] >= FAR ? Infinity : Math.sqrt(squared[i]);
  return squared;
}
