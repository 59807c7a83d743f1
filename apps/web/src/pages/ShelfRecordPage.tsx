import { type Coated, SHELF_KINDS, type ShelfKind, type Shelves, beginRecord, isKind, kindOf } from '@torvin/schema';
import type { Units } from '@torvin/core/units';
import { Redirect, useLocalSearchParams } from 'expo-router';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { useShelves } from '@/data/pieces';
import type { ShelfRecord } from '@/outside/records';
import { wayOf } from '@/shelves/FormMakings';
import { RecordScreen } from '@/shelves/RecordScreen';
import { Waiting } from '@/ui/Loading';
import { WORDS } from '@/ui/said';

export function ShelfRecordPage() {
  const { kind, id, on, of, zone, then } = useLocalSearchParams<{ kind: string; id: string; on?: string; of?: string; zone?: string; then?: string }>();
  const units = useUnits();
  const shelves = useShelves();
  const [newId] = useState(() => uuid());
  const last = useRef<ShelfRecord | undefined>(undefined);
  const known = SHELF_KINDS.find((one) => one === kind);
  if (!known) return <Redirect href="/shelves" />;
  if (!shelves.data) return <Waiting query={shelves} title={WORDS.shelves} back={{ title: WORDS.shelves, href: '/shelves' }} />;
  const records: readonly ShelfRecord[] = shelves.data[known];
  const present =
    id === 'new' && kindOf(known).from === undefined
      ? begun(known, newId, shelves.data, { ...(on ? { formId: on } : {}), ...(of ? { releaseId: of } : {}), ...(zone ? { zone } : {}) }, units)
      : records.find((one) => one.id === id);
  if (present) last.current = present;
  // One that is being deleted is gone from its shelf at once, and its page is left when the server has said so.
  const record = present ?? (last.current?.id === id ? last.current : undefined);
  return record ? (
    <RecordScreen key={record.id} kind={known} record={record} shelves={shelves.data} toBeMade={known === 'forms' && then === 'making'} />
  ) : (
    <Redirect href="/shelves" />
  );
}

/** A new record begins with what is usual of its kind; what it names is chosen, where there is a choice. told: of a coat or a mould in the making, what the address says. */
function begun(kind: ShelfKind, id: string, shelves: Shelves, told: Partial<Coated>, units: Units): ShelfRecord {
  const only = (other: string): string => {
    const present = isKind(other) ? shelves[other].filter((one) => !shelves.archived.includes(one.id)) : [];
    return present.length === 1 ? present[0].id : '';
  };
  const record = beginRecord(kind, id, only, Date.now(), units);
  if (kind === 'makings') {
    const form = shelves.forms.find(({ id: one }) => one === told.formId);
    return { ...record, ...(form ? { formId: form.id, way: wayOf(form) } : {}) };
  }
  return kind === 'coated' ? { ...record, ...told } : record;
}
