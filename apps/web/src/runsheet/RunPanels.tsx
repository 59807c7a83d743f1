/** Under the rows, each opened when wanted: beside the computed, versions, schools, set-ups, equal work, polariser view. */
import type { Series } from '@torvin/core/heat';
import { type Evaluation, type FiringCase, emptyFiringOf } from '@torvin/core/schedule';
import type { TemperatureUnit } from '@torvin/core/units';
import type { Piece, Schedule, Shelves, Step } from '@torvin/schema';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useFirings } from '@/data/firings';
import { useSchedule } from '@/data/pieces';
import { usePlanFiring } from '@/planner/usePlanFiring';
import { space } from '@/theme/theme';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { loadHref } from '@/ui/hrefs';
import { ComparedPanel } from './ComparedPanel';
import { EqualWorkPanel } from './EqualWorkPanel';
import { PolariserPanel } from './PolariserPanel';
import { SchoolPanel } from './SchoolPanel';
import { StandsPanel, isFlat } from './StandsPanel';
import { VersionsPanel } from './VersionsPanel';
import type { RunSheetState } from './useRunSheet';
import { RUN_PANELS } from './words';
import { WORDS } from '@/ui/said';

/** What of an open run sheet can be taken along, on paper or as a file. */
export interface OpenRunSheet {
  piece: Piece;
  schedule: Schedule;
  series: Series | undefined;
  unit: TemperatureUnit;
  start: Date;
  /** It is not saved as it is shown. */
  saving: boolean;
}

export interface RunPanelsProps {
  piece: Piece;
  step: Step;
  schedule: Schedule;
  shelves: Shelves;
  sheet: RunSheetState;
  unit: TemperatureUnit;
  start: Date;
  along(open: OpenRunSheet): ReactNode;
}

export function RunPanels({ piece, step, schedule, shelves, sheet, unit, start, along }: RunPanelsProps) {
  const { firing } = schedule.snapshot;
  const { segments, evaluation } = sheet;
  const { data: computed } = useSchedule(step.computedId);
  const planning = usePlanFiring(piece.id, shelves);
  const bare = emptyFiringOf(firing);
  const { problem } = planning;
  return (
    <View>
      {problem && <Notice tone="warn">{problem.message}</Notice>}
      {computed && computed.stepId === step.id && sheet.changed && (
        <Fold title={RUN_PANELS.comparedWithCalculated} about={RUN_PANELS.whatDiffersWhat} testID="compared">
          {() => <ComparedPanel computed={computed} schedule={schedule} segments={segments} evaluation={evaluation} />}
        </Fold>
      )}
      <Fold title={RUN_PANELS.versions} about={RUN_PANELS.earlierSchedules} testID="versions">
        {() => <VersionsPanel piece={piece} step={step} unit={unit} onUse={sheet.use} />}
      </Fold>
      {(bare === null || bare.recipe.toCone) && (
        <Fold title={RUN_PANELS.alternatives} about={bare === null ? RUN_PANELS.schoolsSetUps : RUN_PANELS.hotterOrCooler} testID="alternatives">
          {() => (
            <View style={{ marginHorizontal: -space.large }}>
              {(bare === null || bare.recipe.toCone) && (
                <Fold title={RUN_PANELS.schools} about={RUN_PANELS.hotterCoolerWhat(bare === null)} testID="schools">
                  {() => (
                    <SchoolPanel firing={firing} unit={unit} working={planning.working} onTake={(school) => void planning.plan({ ...step, school }, piece)} />
                  )}
                </Fold>
              )}
              {bare === null && isFlat(schedule.snapshot.setup.kind) && (
                <Fold title={RUN_PANELS.setUps} about={RUN_PANELS.raisedFloorBoard} testID="stands">
                  {() => (
                    <StandsPanel
                      firing={firing}
                      setup={schedule.snapshot.setup}
                      release={schedule.snapshot.madeFrom?.release}
                      unit={unit}
                      working={planning.working}
                      onTake={(kind) => void planning.plan({ ...step, setup: { ...step.setup, kind } }, piece)}
                    />
                  )}
                </Fold>
              )}
              {bare === null && (
                <Fold title={RUN_PANELS.sameWorkOther} about={RUN_PANELS.moveTemperatureHold} testID="equal">
                  {() => <EqualWorkPanel firing={firing} segments={segments} evaluation={evaluation} unit={unit} onTake={sheet.keep} />}
                </Fold>
              )}
              {bare === null && (
                <LinkRow href={loadHref([piece.id])} listed={false} testID="with-others">
                  <View style={{ flex: 1 }}>
                    <Words bold tone="touch">
                      {RUN_PANELS.together}
                    </Words>
                    <Words size="label" tone="muted">
                      {RUN_PANELS.oneSchedule}
                    </Words>
                  </View>
                </LinkRow>
              )}
            </View>
          )}
        </Fold>
      )}
      <Fold title={RUN_PANELS.printAndFiles} about="page, SVG, CSV, JSON" testID="along">
        {() => along({ piece, schedule, series: evaluation.simulation.series, unit, start, saving: sheet.queue.saving || segments !== schedule.segments })}
      </Fold>
      {bare === null && (
        <Fold title={WORDS.betweenCrossedPolarisers} about={RUN_PANELS.stressStays} testID="polariser">
          {() => <OwnPolariser pieceId={piece.id} firing={firing} evaluation={evaluation} />}
        </Fold>
      )}
    </View>
  );
}

/** With the pictures of this piece's own firings, newest first. */
function OwnPolariser({ pieceId, firing, evaluation }: { pieceId: string; firing: FiringCase; evaluation: Evaluation }) {
  const { data } = useFirings({ piece: pieceId });
  const photos = data?.pages.flatMap((page) => page.firings.flatMap((one) => one.photos)) ?? [];
  return <PolariserPanel firing={firing} evaluation={evaluation} photos={photos} />;
}
