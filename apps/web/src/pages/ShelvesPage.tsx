import { SHELF_KINDS } from '@torvin/schema';
import { useLocalSearchParams } from 'expo-router';
import { useShelves } from '@/data/pieces';
import { RecordScreen } from '@/shelves/RecordScreen';
import { ShelvesScreen } from '@/shelves/ShelvesScreen';
import { firstOn } from '@/shelves/firstOn';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';
import { isWide, useLayout } from '@/ui/useWidth';
import { WORDS } from '@/ui/said';

export function ShelvesPage() {
  const { shelf, at } = useLocalSearchParams<{ shelf?: string; at?: string }>();
  const kind = SHELF_KINDS.find((one) => one === shelf) ?? SHELF_KINDS[0];
  return isWide(useLayout()) ? <Beside kind={kind} at={at} /> : <ShelvesScreen kind={kind} />;
}

/** Beside its shelf. */
function Beside({ kind, at }: { kind: (typeof SHELF_KINDS)[number]; at?: string }) {
  const shelves = useShelves();
  if (!shelves.data) return <Waiting query={shelves} title={WORDS.shelves} />;
  const record = firstOn(kind, shelves.data, at);
  return record ? <RecordScreen key={record.id} kind={kind} record={record} shelves={shelves.data} /> : <Screen title={WORDS.shelves}>{null}</Screen>;
}
