/** The corners of an outline as they are typed: two lengths each, a semicolon between them, a unit at the end for all. */
import { type LengthUnit, METRES_PER_INCH, parseLength } from '@torvin/core/units';

export type Corners = readonly (readonly [x: number, y: number])[];

/** '0 0; 20 0; 0 12 cm', in m; null where it cannot be read, or is of fewer. */
export function readCorners(words: string, bare: LengthUnit, least = 3): [number, number][] | null {
  const unit = /([a-z"'″′]+)\s*$/i.exec(words)?.[1] ?? bare;
  const numbers = words
    .replace(/([a-z"'″′]+)\s*$/i, '')
    .split(';')
    .map((corner) => corner.trim().split(/\s+|\s*,\s*/))
    .filter((corner) => corner.join('') !== '');
  const read = numbers.map((corner) =>
    corner.map((one) => {
      const negative = /^[-−]/.test(one);
      const length = parseLength(`${one.replace(/^[-−]/, '')} ${unit}`, bare);
      return length.ok ? (negative ? -length.value : length.value) : Number.NaN;
    }),
  );
  return read.length >= least && read.every((corner) => corner.length === 2 && corner.every(Number.isFinite)) ? (read as [number, number][]) : null;
}

/** To the hundredth of a millimetre, or of an inch. */
export function writtenCorners(corners_m: Corners, unit: LengthUnit): string {
  const one = unit === 'in' ? METRES_PER_INCH : 1e-3;
  return `${corners_m.map((corner) => corner.map((metres) => Number((metres / one).toFixed(2))).join(' ')).join('; ')} ${unit}`;
}
