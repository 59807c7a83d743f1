import { useGlobalSearchParams } from 'expo-router';
import { NotebookPane, useSearched } from '@/notebook/NotebookPane';
import { queryFrom } from '@/notebook/useNotebookQuery';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { isWide, useLayout } from '@/ui/useWidth';
import { FiringPage } from '@/workbench';

export default function NotebookPage() {
  return isWide(useLayout()) ? <Latest /> : <NotebookPane />;
}

/** Beside the list stands the latest of it, until another one is chosen. */
function Latest() {
  const firings = useSearched(queryFrom(useGlobalSearchParams()));
  const [latest] = firings.data?.pages[0].firings ?? [];
  if (latest) return <FiringPage key={latest.id} id={latest.id} />;
  if (!firings.data) return <Waiting query={firings} title="Notebook" />;
  return (
    <Screen title="Notebook">
      <Words tone="muted">What is fired and recorded stands here.</Words>
    </Screen>
  );
}
