import { EarlierEngine, FilesPanel, RunPage, RunPanels, RunSheetOnPaper, SegmentSheet } from '@/workbench';

export default function Page() {
  return <RunPage {...{ EarlierEngine, FilesPanel, RunPanels, RunSheetOnPaper, SegmentSheet }} />;
}
