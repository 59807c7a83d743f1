/** Which layers of a lay-up touch. */
import { closes, rowsOf } from '../body/layers';
import type { BodyNow } from './bodyNow';
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

/**
 * Contacts in words, each pair of glasses once, from the shelf up: 'Clear on the shelf', 'Straw on Clear', 'Straw beside Clear'.
 * Seams within what is one solid already are none any more; a casting is all of one.
 */
export function touchingWords({ layers, solid, casting }: Pick<BodyNow, 'layers' | 'solid' | 'casting'>, nameOf: (glassId: string) => string): string[] {
  if (casting) return [];
  const name = (index: number): string => nameOf(layers[index].glassId);
  const isSolid = (index: number): boolean => index >= solid.from && index < solid.to;
  const [onShelf = []] = rowsOf(layers);
  const contacts = touchingLayers(layers).filter(([lower, upper]) => !(isSolid(lower) && isSolid(upper)));
  const words = contacts.map(([lower, upper]) => `${name(upper)} ${sideBySide(layers, lower, upper) ? 'beside' : 'on'} ${name(lower)}`);
  return [...new Set([...onShelf.map((index) => `${name(index)} on the shelf`), ...words])];
}
