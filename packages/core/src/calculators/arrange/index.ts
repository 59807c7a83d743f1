import type { Clearances, Room } from '../../kiln';
import { type Outline, type Placed, arranged } from '../../load';
import { calculator } from '../calculator';

/** Where outlines find room on the shelves of a kiln. */
export const arrange = calculator({
  compute({ items, room, shelves, clear, fixed }: { items: Outline[]; room: Room; shelves?: number; clear?: Clearances; fixed?: Placed[] }) {
    return arranged(items, room, shelves, clear, fixed);
  },
  contract: () => import('./contract'),
});
