/** Records on the shelves, saved by the endpoint that their kind has. */
import { type AnyRecord, type KindName, type RecordOf, type ShelfKind, asksOfKind } from '@torvin/schema';
import { call } from './client';

/** One of those that have a page of their own. */
export type ShelfRecord = RecordOf<ShelfKind>;

export const sendRecord = (kind: KindName, record: AnyRecord, key: string): Promise<AnyRecord> =>
  call(asksOfKind(kind).save, { id: record.id, key, body: record });
