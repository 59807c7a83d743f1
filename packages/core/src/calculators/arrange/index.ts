import { type Clearances, type Outline, type Room, arranged } from '../../load';
import { calculator } from '../calculator';

/** Where outlines find room on the shelves of a kiln. */
export const arrange = calculator({
  compute({ items, room, shelves, clear }: { items: Outline[]; room: Room; shelves?: number; clear?: Clearances }) {
    return arranged(items, room, shelves, clear);
  },
  contract: () => import('./contract'),
});
