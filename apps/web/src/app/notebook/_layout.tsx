import { Slot, useGlobalSearchParams } from 'expo-router';
import { WithPane } from '@/ui/WithPane';
import { isWide, useLayout } from '@/ui/useWidth';
import { NotebookPane } from '@/workbench';

const LIST_WIDTH = 400;

export default function NotebookLayout() {
  const wide = isWide(useLayout());
  const { id } = useGlobalSearchParams<{ id?: string }>();
  return (
    <WithPane pane={wide ? <NotebookPane currentId={id} beside /> : null} width={LIST_WIDTH}>
      <Slot />
    </WithPane>
  );
}
