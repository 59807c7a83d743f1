/** Where parts of which only the number and the share they cover is known are drawn: evenly over the outline, until somebody places them. */
import { type Footprint, footprintArea } from '../body/footprint';
import { type PartOutline, type PlacedPart, boxOf, footprintRings } from './parts';

/** So many in as many rows as make the cells of a box about square, each row as deep as it has cells. */
function cells(count: number, width_m: number, length_m: number): { x_m: number; y_m: number; width_m: number; length_m: number }[] {
  const rows = Math.min(Math.max(Math.round(Math.sqrt((count * length_m) / width_m)), 1), count);
  const inRow = (row: number): number => Math.floor(((row + 1) * count) / rows) - Math.floor((row * count) / rows);
  let front = -length_m / 2;
  return Array.from({ length: rows }, (_, row) => {
    const own = inRow(row);
    const deep = (length_m * own) / count;
    const y_m = front + deep / 2;
    front += deep;
    return Array.from({ length: own }, (__, i) => ({ x_m: ((i + 0.5) / own - 0.5) * width_m, y_m, width_m: width_m / own, length_m: deep }));
  }).flat();
}

/** Of an outline of any form: in the box of its own proportions that has its area, so that what is drawn comes to what it covers. */
export function spreadPieces(footprint: Footprint, count: number, cover: number): PlacedPart[] {
  const { left, right, front, back } = boxOf(footprintRings(footprint).flat());
  const within = footprint.shape === 'rectangle' ? 1 : Math.sqrt(footprintArea(footprint) / ((right - left) * (back - front)));
  const side = Math.sqrt(cover);
  return cells(count, (right - left) * within, (back - front) * within).map(({ x_m, y_m, width_m, length_m }, i) => ({
    ...{ id: String(i), x_m, y_m, turned_deg: 0 },
    outline: { shape: 'rectangle', width_m: width_m * side, length_m: length_m * side },
  }));
}

/** A row of rods from the front to the back, as many as cover the share; at most so many are drawn. */
export function spreadRods(footprint: Footprint, across_m: number, cover: number, most: number): PlacedPart[] {
  const { left, right, front, back } = boxOf(footprintRings(footprint).flat());
  const within = footprint.shape === 'rectangle' ? 1 : Math.sqrt(footprintArea(footprint) / ((right - left) * (back - front)));
  const [wide, long] = [(right - left) * within, (back - front) * within];
  const count = Math.min(Math.max(Math.round((cover * wide) / across_m), 1), most);
  const outline: PartOutline = {
    shape: 'rod',
    along_m: [
      [0, -long / 2],
      [0, long / 2],
    ],
  };
  return Array.from({ length: count }, (_, i) => ({ id: String(i), outline, x_m: ((i + 0.5) / count - 0.5) * wide, y_m: 0, turned_deg: 0 }));
}
