/** The schedule out of Torvin: to a printer, as a drawing, as open files. */
import { momentsOf, openingTemperature } from '@torvin/core/schedule';
import { fileName, formatTemperature, text } from '@torvin/core/units';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useStudio } from '@/data/studio';
import { WORK_CAUTIONS } from '@/layup/cautions';
import { firingName } from '@/layup/describe';
import type { OpenRunSheet } from '@/runsheet/RunPanels';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { download } from '@/ui/download';
import { runSheetSvg } from './runSheetSvg';
import { scheduleCsv, scheduleJson } from './scheduleFiles';
import { FILES_PANEL } from './words';
import { WORDS } from '@/ui/said';

export interface FilesPanelProps extends OpenRunSheet {
  differences: readonly string[];
  standing: readonly string[];
}

/** While it is being saved the files would be of the version before. */
export function FilesPanel({ piece, schedule, series, unit, start, saving, differences, standing }: FilesPanelProps) {
  const router = useRouter();
  const units = useUnits();
  const { csv } = useStudio();
  const name = (ending: string): string => fileName(`${piece.name} ${firingName(schedule.snapshot.firing)}`, ending);
  const { firing, kilnName } = schedule.snapshot;
  const takeCalendar = async (): Promise<void> => {
    // Read when it is wanted: few ever do.
    const { calendarOf } = await import('./calendar');
    const calendar = calendarOf({
      ...{ id: schedule.stepId, what: `${piece.name}, ${firingName(firing).toLowerCase()}`, kilnName, startsAt: start.getTime() },
      moments: momentsOf(schedule.segments, schedule.result.simulation),
      opensBelow: text(formatTemperature(openingTemperature(firing), unit)),
      caution: WORK_CAUTIONS.kiln,
    });
    download(name('ics'), new Blob([calendar], { type: 'text/calendar' }));
  };
  return (
    <View style={{ gap: space.small }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action
          title={WORDS.print}
          label={FILES_PANEL.printRunSheet}
          disabled={saving}
          testID="open-print"
          onPress={() => router.push(`/pieces/${piece.id}/print?step=${schedule.stepId}&started=${start.getTime()}`)}
        />
        <Action
          kind="second"
          title={FILES_PANEL.svg}
          label={FILES_PANEL.svgPageDrawing}
          disabled={saving}
          testID="take-svg"
          onPress={() =>
            download(name('svg'), new Blob([runSheetSvg({ piece, schedule, series, units, start, differences, standing })], { type: 'image/svg+xml' }))
          }
        />
        <Action
          kind="second"
          title={FILES_PANEL.csv}
          label={FILES_PANEL.csvSegmentsTable}
          disabled={saving}
          testID="take-csv"
          onPress={() => download(name('csv'), new Blob([scheduleCsv(schedule, unit, csv)], { type: 'text/csv' }))}
        />
        <Action
          kind="second"
          title={FILES_PANEL.json}
          label={FILES_PANEL.jsonScheduleData}
          disabled={saving}
          testID="take-json"
          onPress={() => download(name('json'), new Blob([scheduleJson(piece, schedule)], { type: 'application/json' }))}
        />
        <Action
          kind="second"
          title={FILES_PANEL.calendar}
          label={FILES_PANEL.calendarCheckEnd}
          disabled={saving}
          testID="take-calendar"
          onPress={() => void takeCalendar()}
        />
      </View>
      <Words size="label" tone="muted">
        {FILES_PANEL.csvCountsShown(unit)}
      </Words>
    </View>
  );
}
