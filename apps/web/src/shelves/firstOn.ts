import { SHELF_KINDS, type ShelfKind, type Shelves } from '@torvin/schema';
import type { ShelfRecord } from '@/outside/records';

/** As an address names it; the first shelf where it names none. */
export const shelfNamed = (name: string | undefined): ShelfKind => SHELF_KINDS.find((one) => one === name) ?? SHELF_KINDS[0];

/** What stands open beside a shelf until something of it is chosen: what was open before, else the first that is not archived. */
export function firstOn(kind: ShelfKind, shelves: Shelves, at?: string): ShelfRecord | undefined {
  const records: readonly ShelfRecord[] = shelves[kind];
  return records.find(({ id }) => id === at) ?? records.find(({ id }) => !shelves.archived.includes(id));
}
