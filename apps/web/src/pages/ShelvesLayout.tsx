import { SHELF_KINDS } from '@torvin/schema';
import { Slot, useGlobalSearchParams } from 'expo-router';
import { ShelvesScreen } from '@/shelves/ShelvesScreen';
import { firstOn } from '@/shelves/firstOn';
import { useShelves } from '@/data/pieces';
import { WithPane } from '@/ui/WithPane';
import { isWide, useLayout } from '@/ui/useWidth';

const LIST_WIDTH = 360;

/** Wide: the shelf beside the record that is open. */
export function ShelvesLayout() {
  const wide = isWide(useLayout());
  const { kind, shelf, id, at } = useGlobalSearchParams<{ kind?: string; shelf?: string; id?: string; at?: string }>();
  const { data } = useShelves();
  const shown = SHELF_KINDS.find((one) => one === (kind ?? shelf)) ?? SHELF_KINDS[0];
  const current = id ?? (data && firstOn(shown, data, at)?.id);
  return (
    <WithPane pane={wide ? <ShelvesScreen kind={shown} currentId={current} beside /> : null} width={LIST_WIDTH}>
      <Slot />
    </WithPane>
  );
}
