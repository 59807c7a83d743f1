import type { ComponentType } from 'react';
import type { FilesPanelProps } from '@/files/FilesPanel';
import type { RunSheetOnPaperProps } from '@/files/RunSheetOnPaper';
import { useStepPage } from '@/planner/useStepPage';
import { type RunParts, RunSheetScreen } from '@/runsheet/RunSheetScreen';
import { RUN_PAGE } from './words';

/** What of it is read a moment after its rows stand. */
export interface RunPageProps extends RunParts {
  FilesPanel: ComponentType<FilesPanelProps>;
  RunSheetOnPaper: ComponentType<RunSheetOnPaperProps>;
}

export function RunPage({ FilesPanel, RunSheetOnPaper, ...parts }: RunPageProps) {
  const page = useStepPage(RUN_PAGE.runSheet);
  return page.ready ? (
    <RunSheetScreen
      key={page.step.id}
      {...page}
      {...parts}
      along={(open) => <FilesPanel {...open} differences={page.outdated} standing={page.standing} />}
      paper={(open) => <RunSheetOnPaper {...open} differences={page.outdated} standing={page.standing} />}
    />
  ) : (
    page.shown
  );
}
