import { FilesPanel } from '@/files/FilesPanel';
import { RunSheetOnPaper } from '@/files/RunSheetOnPaper';
import { useStepPage } from '@/planner/useStepPage';
import { RunSheetScreen } from '@/runsheet/RunSheetScreen';

export function RunPage() {
  const page = useStepPage('Run sheet');
  return page.ready ? (
    <RunSheetScreen
      key={page.step.id}
      {...page}
      along={(open) => <FilesPanel {...open} differences={page.outdated} standing={page.standing} />}
      paper={(open) => <RunSheetOnPaper {...open} differences={page.outdated} standing={page.standing} />}
    />
  ) : (
    page.shown
  );
}
