/**
 * A field on a grid as ripples of every wave number, and back: the fast Fourier transform along rows and along columns. The grid is
 * taken to go on beyond its sides as on the other side of it: it needs as much empty room round what is in it as a ripple that is
 * looked at bleeds.
 */
import FFT from 'fft.js';

/** The next power of two, which the transform asks for. */
export const roundUp = (count: number): number => 2 ** Math.ceil(Math.log2(Math.max(count, 2)));

/**
 * Two fields at once, each ripple of both times a factor by its wave number, 1/m. columns and rows: powers of two. One transform does
 * for both, as the factor is the same for a ripple and for its mirror image.
 */
export function damped(
  fields: readonly [Float64Array, Float64Array],
  columns: number,
  rows: number,
  cell_m: number,
  factor: (k: number) => number,
): [Float64Array, Float64Array] {
  const [along, up] = [new FFT(columns), new FFT(rows)];
  const count = columns * rows;
  let field: Float64Array = new Float64Array(2 * count);
  for (let i = 0; i < count; i += 1) {
    field[2 * i] = fields[0][i];
    field[2 * i + 1] = fields[1][i];
  }
  /** Each line transformed, and the whole turned on its side. */
  const lines = (of: Float64Array, fft: FFT, size: number, others: number, back: boolean): Float64Array => {
    const out = new Float64Array(2 * count);
    const [line, done] = [fft.createComplexArray() as number[], fft.createComplexArray() as number[]];
    for (let at = 0; at < others; at += 1) {
      for (let i = 0; i < 2 * size; i += 1) line[i] = of[2 * at * size + i];
      if (back) fft.inverseTransform(done, line);
      else fft.transform(done, line);
      for (let i = 0; i < size; i += 1) {
        out[2 * (i * others + at)] = done[2 * i];
        out[2 * (i * others + at) + 1] = done[2 * i + 1];
      }
    }
    return out;
  };
  field = lines(lines(field, along, columns, rows, false), up, rows, columns, false);
  const waves = (i: number, size: number): number => (2 * Math.PI * Math.min(i, size - i)) / (size * cell_m);
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const by = factor(Math.hypot(waves(row, rows), waves(column, columns)));
      const at = 2 * (row * columns + column);
      field[at] *= by;
      field[at + 1] *= by;
    }
  }
  field = lines(lines(field, along, columns, rows, true), up, rows, columns, true);
  const [one, other] = [new Float64Array(count), new Float64Array(count)];
  for (let i = 0; i < count; i += 1) {
    one[i] = field[2 * i];
    other[i] = field[2 * i + 1];
  }
  return [one, other];
}
