import { useStepPage } from '@/planner/useStepPage';
import { RunSheetScreen } from '@/runsheet/RunSheetScreen';
import { FilesPanel, RunSheetOnPaper } from '@/workbench';
import { RUN_PAGE } from './words';

export function RunPage() {
  const page = useStepPage(RUN_PAGE.runSheet);
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
