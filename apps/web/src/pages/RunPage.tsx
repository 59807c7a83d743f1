import { useShelves } from '@/data/pieces';
import { useStepPage } from '@/piece/useStepPage';
import { RunSheetScreen } from '@/runsheet/RunSheetScreen';
import { Waiting } from '@/ui/Loading';

export function RunPage() {
  const page = useStepPage('Run sheet');
  const shelves = useShelves();
  if (!page.ready) return page.shown;
  if (!shelves.data) return <Waiting query={shelves} title="Run sheet" />;
  return <RunSheetScreen key={page.step.id} piece={page.piece} step={page.step} schedule={page.schedule} shelves={shelves.data} />;
}
