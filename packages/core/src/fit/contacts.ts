/** Which glasses of a lay-up touch: every layer the one under it, and through a layer that leaves gaps the one below that; what
 * lies side by side in one layer touches too. */
import type { BodyInput } from '../body/body';
import { closes, layerDepths, rowsOf } from '../body/layers';
import type { Contact } from './fit';

export function contactsOf({ glasses, layers, parts = [] }: BodyInput): Required<Contact>[] {
  const depths = layerDepths({ layers, glasses });
  const found = new Map<string, Required<Contact>>();
  const touch = (lower: number, lower_m: number, upper: number, upper_m: number): void => {
    const key = `${lower} ${upper}`;
    if (!found.has(key)) found.set(key, { lower, upper, lower_m, upper_m });
  };
  const rows = rowsOf(layers);
  /** With all in the row from and, where that leaves gaps, in the rows under it. */
  const over = (from: number, upper: number, upper_m: number): void => {
    for (let row = from; row >= 0; row -= 1) {
      for (const i of rows[row]) touch(layers[i].glass, depths[i], upper, upper_m);
      if (closes(layers, rows[row])) return;
    }
  };
  rows.forEach((row, at) =>
    row.forEach((i, place) => {
      const depth_m = depths[i];
      // Side by side they touch at their sides.
      for (const mate of row.slice(0, place)) touch(layers[mate].glass, depths[mate], layers[i].glass, depth_m);
      over(at - 1, layers[i].glass, depth_m);
    }),
  );
  for (const part of parts) over(rows.length - 1, part.glass, part.thickness_m);
  return [...found.values()];
}
