/** The open run sheet, should the browser be told to print it; what is being saved is printed as it is shown. */
import { useUnits } from '@/data/FormUnits';
import type { OpenRunSheet } from '@/runsheet/RunPanels';
import { OnPaper } from '@/paper/OnPaper';
import { runSheetSvg } from './runSheetSvg';

export interface RunSheetOnPaperProps extends OpenRunSheet {
  differences: readonly string[];
  standing: readonly string[];
}

export function RunSheetOnPaper({ piece, schedule, series, start, differences, standing }: RunSheetOnPaperProps) {
  const units = useUnits();
  return <OnPaper page={() => runSheetSvg({ piece, schedule, series, units, start, differences, standing })} />;
}
