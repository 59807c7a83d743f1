import { SHELF_KINDS, type ShelfKind } from '@torvin/schema';
import { Redirect, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useShelves } from '@/data/pieces';
import type { ShelfRecord } from '@/data/shelves';
import { RecordScreen } from '@/shelves/RecordScreen';
import { Waiting } from '@/ui/Loading';

export default function RecordPage() {
  const { kind, id } = useLocalSearchParams<{ kind: string; id: string }>();
  const shelves = useShelves();
  const [newId] = useState(() => uuid());
  const known = SHELF_KINDS.find((one) => one === kind);
  if (!known) return <Redirect href={'/shelves' as never} />;
  if (!shelves.data) return <Waiting query={shelves} title="Shelves" back={{ title: 'Shelves', href: '/shelves' }} />;
  const records: readonly ShelfRecord[] = shelves.data[known as ShelfKind];
  const record = id === 'new' ? asNew(records[0], newId) : records.find((one) => one.id === id);
  return record ? <RecordScreen key={record.id} kind={known} record={record} shelves={shelves.data} /> : <Redirect href={'/shelves' as never} />;
}

/** A new record starts with the figures of the first one of its kind, under a name and a source of its own. */
const asNew = (like: ShelfRecord | undefined, id: string): ShelfRecord | undefined => like && { ...like, id, name: '', source: '', version: 0 };
