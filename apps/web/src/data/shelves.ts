/** Records on the shelves, saved against the version they were based on. */
import { type ControllerRecord, type Family, type Glass, type Kiln, type ShelfKind, api } from '@torvin/schema';
import { call } from './client';

export interface ShelfRecords {
  families: Family;
  glasses: Glass;
  kilns: Kiln;
  controllers: ControllerRecord;
}
export type ShelfRecord = ShelfRecords[ShelfKind];

/** Saves one record of its kind. */
export const sendRecord = (kind: ShelfKind, record: ShelfRecord, key: string): Promise<ShelfRecord> => {
  const { id } = record;
  switch (kind) {
    case 'families':
      return call(api.saveFamily, { id, key, body: record as Family });
    case 'glasses':
      return call(api.saveGlass, { id, key, body: record as Glass });
    case 'kilns':
      return call(api.saveKiln, { id, key, body: record as Kiln });
    case 'controllers':
      return call(api.saveController, { id, key, body: record as ControllerRecord });
  }
};
