import { useShelves } from '@/data/pieces';
import { ShelvesScreen } from '@/shelves/ShelvesScreen';
import { firstOn, shelfNamed } from '@/shelves/firstOn';

/** The shelf beside a record. kind: of the record that is open; shelf, at: of the shelf where none was chosen yet. */
export function ShelfBeside({ kind, shelf, id, at }: { kind?: string; shelf?: string; id?: string; at?: string }) {
  const { data } = useShelves();
  const shown = shelfNamed(kind ?? shelf);
  return <ShelvesScreen kind={shown} currentId={id ?? (data && firstOn(shown, data, at)?.id)} beside />;
}
