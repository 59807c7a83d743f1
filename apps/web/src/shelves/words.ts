/** What the records on the shelves are called, in this studio's units. */
import type { Units } from '@torvin/core';
import { type About, type Shelves, isKind } from '@torvin/schema';
import { format } from 'date-fns/format';
import type { ShelfRecord } from '@/outside/records';

export const aboutShelves = (shelves: Shelves, units: Units): About => ({
  units,
  nameOf(kind, id) {
    const record = isKind(kind) ? shelves[kind].find((one) => one.id === id) : undefined;
    return record && 'name' in record ? record.name : id;
  },
  day: (at) => format(at, 'd MMM yyyy'),
});

/** Where its figures are from; '' where that is not asked for. */
export const sourceOf = (record: ShelfRecord): string => ('source' in record ? record.source : '');
