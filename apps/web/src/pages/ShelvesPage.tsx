import type { ShelfKind } from '@torvin/schema';
import { useLocalSearchParams } from 'expo-router';
import { useShelves } from '@/data/pieces';
import { RecordScreen } from '@/shelves/RecordScreen';
import { ShelvesScreen } from '@/shelves/ShelvesScreen';
import { firstOn, shelfNamed } from '@/shelves/firstOn';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { isWide, useLayout } from '@/ui/useWidth';
import { ADDRESSES } from './words';
import { WORDS } from '@/ui/said';

export function ShelvesPage() {
  const { shelf, at } = useLocalSearchParams<{ shelf?: string; at?: string }>();
  const kind = shelfNamed(shelf);
  return isWide(useLayout()) ? <Beside kind={kind} at={at} /> : <ShelvesScreen kind={kind} />;
}

/** Beside its shelf. */
function Beside({ kind, at }: { kind: ShelfKind; at?: string }) {
  const shelves = useShelves();
  if (!shelves.data) return <Waiting query={shelves} title={WORDS.shelves} />;
  const record = firstOn(kind, shelves.data, at);
  return record ? (
    <RecordScreen key={record.id} kind={kind} record={record} shelves={shelves.data} />
  ) : (
    <Screen title={WORDS.shelves}>
      <Words tone="muted">{ADDRESSES.openedHere}</Words>
    </Screen>
  );
}
