import { SHELF_KINDS } from '@torvin/schema';
import { useShelves } from '@/data/pieces';
import { ShelvesScreen } from '@/shelves/ShelvesScreen';
import { firstOn } from '@/shelves/firstOn';

/** The shelf beside a record. kind: of the record that is open; shelf, at: of the shelf where none was chosen yet. */
export function ShelfBeside({ kind, shelf, id, at }: { kind?: string; shelf?: string; id?: string; at?: string }) {
  const { data } = useShelves();
  const shown = SHELF_KINDS.find((one) => one === (kind ?? shelf)) ?? SHELF_KINDS[0];
  return <ShelvesScreen kind={shown} currentId={id ?? (data && firstOn(shown, data, at)?.id)} beside />;
}
