/** Which layers of a lay-up touch. */
import { closes, rowsOf } from '../body/layers';
import { standingFrom } from './bodyOf';
import type { LaidLayer } from './document';

/** Whether two layers lie side by side, at one height. */
export const sideBySide = (layers: readonly LaidLayer[], a: number, b: number): boolean => rowsOf(layers).some((row) => row.includes(a) && row.includes(b));

/** Which layers touch, by index, lower one first: each those under it, through gaps the ones below that, and those beside it. */
export function touchingLayers(layers: readonly LaidLayer[]): [lower: number, upper: number][] {
  const from = standingFrom(layers);
  const lying = from > 0 ? layers.slice(0, from) : layers;
  const rows = rowsOf(lying);
  const under = (row: number, upper: number): [number, number][] =>
    row < 0 ? [] : [...rows[row].map((lower): [number, number] => [lower, upper]), ...(closes(lying, rows[row]) ? [] : under(row - 1, upper))];
  return [
    ...rows.flatMap((row, at) =>
      row.flatMap((index, place) => [...row.slice(0, place).map((mate): [number, number] => [mate, index]), ...under(at - 1, index)]),
    ),
    ...layers.slice(lying.length).flatMap((_, i) => under(rows.length - 1, lying.length + i)),
  ];
}
