/** Records on the shelves, saved against the version they were based on. */
import { type ControllerRecord, type Family, type Glass, type Kiln, type ShelfKind, type Shelves, api } from '@torvin/schema';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { call } from './client';
import { keys } from './keys';

export interface ShelfRecords {
  families: Family;
  glasses: Glass;
  kilns: Kiln;
  controllers: ControllerRecord;
}
export type ShelfRecord = ShelfRecords[ShelfKind];

/** Saves one record of its kind. */
export const sendRecord = (kind: ShelfKind, record: ShelfRecord): Promise<ShelfRecord> => {
  const { id } = record;
  switch (kind) {
    case 'families':
      return call(api.saveFamily, { id, body: record as Family });
    case 'glasses':
      return call(api.saveGlass, { id, body: record as Glass });
    case 'kilns':
      return call(api.saveKiln, { id, body: record as Kiln });
    case 'controllers':
      return call(api.saveController, { id, body: record as ControllerRecord });
  }
};

export function usePutAway() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, away }: { id: string; away: boolean }) => call(api.putAway, { id, body: { away } }),
    onSuccess: (shelves: Shelves) => client.setQueryData(keys.shelves, shelves),
  });
}
