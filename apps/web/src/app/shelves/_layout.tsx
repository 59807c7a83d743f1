import { Slot, useGlobalSearchParams } from 'expo-router';
import { WithPane } from '@/ui/WithPane';
import { isWide, useLayout } from '@/ui/useWidth';
import { ShelfBeside } from '@/workbench';

const LIST_WIDTH = 360;

/** Wide: the shelf beside the record that is open. */
export default function ShelvesLayout() {
  const wide = isWide(useLayout());
  const params = useGlobalSearchParams<{ kind?: string; shelf?: string; id?: string; at?: string }>();
  return (
    <WithPane pane={wide ? <ShelfBeside {...params} /> : null} width={LIST_WIDTH}>
      <Slot />
    </WithPane>
  );
}
