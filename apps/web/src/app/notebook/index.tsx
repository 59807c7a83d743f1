import { NotebookPane } from '@/notebook/NotebookPane';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { isWide, useLayout } from '@/ui/useWidth';

export default function NotebookPage() {
  if (!isWide(useLayout())) return <NotebookPane />;
  return (
    <Screen title="Notebook">
      <Words tone="muted">Choose a firing at the left.</Words>
    </Screen>
  );
}
