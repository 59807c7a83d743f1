/** Records on the shelves, saved by the endpoint that their kind has. */
import { type AnyRecord, type Endpoint, type KindName, type RecordOf, type ShelfKind, recordApi } from '@torvin/schema';
import { call } from './client';

/** One of those that have a page of their own. */
export type ShelfRecord = RecordOf<ShelfKind>;

export const sendRecord = (kind: KindName, record: AnyRecord, key: string): Promise<AnyRecord> =>
  call(recordApi[kind].save as unknown as Endpoint, { id: record.id, key, body: record as never }) as Promise<AnyRecord>;
