import { NotebookPane, useSearched } from '@/notebook/NotebookPane';
import { NOTEBOOK_ADDRESS } from '@/notebook/useNotebookQuery';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { useAsked } from '@/ui/useListAddress';
import { isWide, useLayout } from '@/ui/useWidth';
import { FiringPage } from './FiringPage';
import { ADDRESSES } from './words';
import { WORDS } from '@/ui/said';

export function NotebookPage() {
  return isWide(useLayout()) ? <Latest /> : <NotebookPane />;
}

/** Beside the list stands the latest of it, until another one is chosen. */
function Latest() {
  const firings = useSearched(useAsked(NOTEBOOK_ADDRESS));
  const [latest] = firings.data?.pages[0].firings ?? [];
  if (latest) return <FiringPage key={latest.id} id={latest.id} />;
  if (!firings.data) return <Waiting query={firings} title={WORDS.notebook} />;
  return (
    <Screen title={WORDS.notebook}>
      <Words tone="muted">{ADDRESSES.noFirings}</Words>
    </Screen>
  );
}
