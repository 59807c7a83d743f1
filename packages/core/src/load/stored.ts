/** What stands and lies in a kiln stores heat: glass with what it lies in, shelves above the first, posts. All J/K. */
import { bodyFigures } from '../body/body';
import { footprintArea } from '../body/footprint';
import { type Clearances, type Room, SHELF_DEEP_M, postsUnder, wallFree_m } from '../kiln/inside';
import { type FiringCase, glassOf } from '../schedule/firingCase';
import { besideShelf, shelfStores_J_m3K } from '../schedule/setups';
import type { Outline, Placed } from './outline';

/** Of a piece: its glass, and its mould, board or paper as large as it is; its shelf belongs to the kiln. */
export function storedBy({ body, setup }: Pick<FiringCase, 'body' | 'setup'>): number {
  const { mass_kg } = bodyFigures(body);
  const area_m2 = footprintArea(body.footprint);
  const beside = besideShelf(setup).reduce((sum, one) => sum + one.density_kg_m3 * one.heatCapacity_J_kgK * one.thickness_m, 0);
  return mass_kg * glassOf({ body, setup }).heatCapacity_J_kgK + area_m2 * beside;
}

/** Of the shelves over the lowest, as large as the kiln takes, and the posts under them, as high as what lies there asks. */
export function furnitureStores(room: Room, clear: Clearances, items: readonly Outline[], placed: readonly Pick<Placed, 'item' | 'shelf'>[]): number {
  const free_m = 2 * wallFree_m(room, clear);
  const area_m2 = (room.isRound ? Math.PI / 4 : 1) * Math.max(0, room.wide_m - free_m) * Math.max(0, room.long_m - free_m);
  const under = Math.max(0, ...placed.map(({ shelf }) => shelf));
  return Array.from({ length: under }, (_, shelf) => {
    const highest_m = Math.max(0, ...placed.filter((one) => one.shelf === shelf).map(({ item }) => items[item].high_m));
    const { count, side_m } = postsUnder(room);
    return shelfStores_J_m3K * (area_m2 * SHELF_DEEP_M + count * side_m ** 2 * (highest_m + clear.over_m));
  }).reduce((sum, one) => sum + one, 0);
}
