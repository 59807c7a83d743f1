/** Records on the shelves, saved against the version they were based on. */
import { type ControllerRecord, type Family, type Glass, type Kiln, type ShelfKind, type Shelves, type StripTest, api } from '@torvin/schema';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { call } from './client';

export interface ShelfRecords {
  families: Family;
  glasses: Glass;
  kilns: Kiln;
  controllers: ControllerRecord;
}
export type ShelfRecord = ShelfRecords[ShelfKind];

const SHELVES = ['shelves'];

const save = (kind: ShelfKind, record: ShelfRecord): Promise<ShelfRecord> => {
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

export function useSaveRecord(kind: ShelfKind) {
  const client = useQueryClient();
  return useMutation({ mutationFn: (record: ShelfRecord) => save(kind, record), onSuccess: () => client.invalidateQueries({ queryKey: SHELVES }) });
}

export function usePutAway() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, away }: { id: string; away: boolean }) => call(api.putAway, { id, body: { away } }),
    onSuccess: (shelves: Shelves) => client.setQueryData(SHELVES, shelves),
  });
}

export function useAddStripTest() {
  const client = useQueryClient();
  return useMutation({ mutationFn: (body: StripTest) => call(api.addStripTest, { body }), onSuccess: () => client.invalidateQueries({ queryKey: SHELVES }) });
}
