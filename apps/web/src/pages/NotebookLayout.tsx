import { Slot, useGlobalSearchParams } from 'expo-router';
import { NotebookPane } from '@/notebook/NotebookPane';
import { WithPane } from '@/ui/WithPane';
import { isWide, useLayout } from '@/ui/useWidth';

const LIST_WIDTH = 400;

export function NotebookLayout() {
  const wide = isWide(useLayout());
  const { id } = useGlobalSearchParams<{ id?: string }>();
  return (
    <WithPane pane={wide ? <NotebookPane currentId={id} beside /> : null} width={LIST_WIDTH}>
      <Slot />
    </WithPane>
  );
}
