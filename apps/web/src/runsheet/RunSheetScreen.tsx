/** The run sheet as a page: live figures, rows and curve, the sheet of the chosen segment, what to do next. */
import { hottestSegment } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Look, RECIPES } from '@torvin/core/look';
import { type Evaluation, type FiringCase, ROLE_NAMES, type Reading, bolderSentences, brokenSentence, verdictOf, emptyFiringOf } from '@torvin/core/schedule';
import { type ComponentType, startTransition, useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { told } from '@/outside/told';
import { useServerAnswers } from '@/outside/useServerAnswers';
import { firingName } from '@/layup/describe';
import { OutdatedChoice } from '@/planner/OutdatedChoice';
import type { StepPageParts } from '@/planner/useStepPage';
import { QueueNotice } from '@/pieces/QueueNotice';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Caution } from '@/ui/Caution';
import { Fold } from '@/ui/Fold';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { clockAfter, soon } from '@/ui/clock';
import { UndoBar } from '@/ui/UndoBar';
import { LookInSigns } from '@/planner/LookInSigns';
import { WORK_CAUTIONS } from '@/layup/cautions';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { isWide, useLayout } from '@/ui/useWidth';
import { BrokenBanner, worstFirst } from './BrokenBanner';
import { GlassInTime } from './GlassInTime';
import { LiveFigures } from './LiveFigures';
import { RunActions } from './RunActions';
import type { RunPanelsProps } from './RunPanels';
import type { SegmentSheetProps } from './SegmentSheet';
import type { EarlierEngineProps } from '@/planner/EarlierEngine';
import { TrueTimeChart } from './TrueTimeChart';
import { RunSheet } from './RunSheet';
import type { Timeline } from './timeline';
import { useRunSheet } from './useRunSheet';
import { RUN_SHEET_SCREEN } from './words';
import { WORDS } from '@/ui/said';

/** What of it is read a moment after its rows stand. */
export interface RunParts {
  EarlierEngine: ComponentType<EarlierEngineProps>;
  RunPanels: ComponentType<RunPanelsProps>;
  SegmentSheet: ComponentType<SegmentSheetProps>;
}

export interface RunSheetScreenProps extends StepPageParts, RunParts {
  along: RunPanelsProps['along'];
  /** What the page becomes on paper. */
  paper: RunPanelsProps['along'];
}

export function RunSheetScreen({
  piece,
  step,
  schedule,
  shelves,
  outdated,
  standing,
  along,
  paper,
  EarlierEngine,
  RunPanels,
  SegmentSheet,
}: RunSheetScreenProps) {
  const units = useUnits();
  const unit = units.temperature;
  const [start, setStart] = useState(() => soon(new Date()));
  const [selected, setSelected] = useState<number | null>(null);
  const sheet = useRunSheet(piece, schedule);
  const answers = useServerAnswers();
  const layout = useLayout();
  const wide = isWide(layout);
  const { segments, evaluation } = sheet;
  const { firing, kilnName } = schedule.snapshot;
  const opensAt = useCallback((of: Evaluation) => clockAfter(start, of.simulation.total_s), [start]);
  const { series } = evaluation.simulation;
  const [timeline] = useState((): Timeline => told<number | null>(null));
  const looksIn = useSyncExternalStore(timeline.subscribe, () => timeline.get() !== null);
  const broken = worstFirst(evaluation);
  const older = outdated.length > 0;

  // The beads keep these for good; they reach what is shown now through the ref.
  const shown = useRef(sheet);
  shown.current = sheet;
  const handlers = useMemo(() => {
    const withTarget = (index: number, target_C: number): PurposefulSegment[] =>
      shown.current.segments.map((segment, i) => (i === index ? { ...segment, target_C } : segment));
    return {
      onSelect: setSelected,
      onMove: (index: number, target_C: number) => shown.current.preview(withTarget(index, target_C)),
      onRelease(index: number, target_C: number) {
        shown.current.keep(withTarget(index, target_C));
        // Its sheet comes in small portions, so that the hand is not kept waiting.
        startTransition(() => setSelected(index));
      },
      onCancel: () => shown.current.cancel(),
    };
  }, []);
  const backToComputed = useCallback(() => shown.current.backToComputed(), []);

  useEffect(() => {
    if (selected === null) return;
    document.querySelector(`[data-testid="run-row-${selected}"]`)?.scrollIntoView({ block: 'nearest', behavior: 'auto' });
  }, [selected]);

  return (
    <Screen
      title={firingName(step)}
      of={piece.name}
      subtitle={
        <Words size="label" tone="muted">
          {kilnName} ·{' '}
          <Words size="label" tone="muted" testID="schedule-state">
            {/* No longer than what stands there before and after, so that nothing below it moves. */}
            {sheet.queue.saving && answers ? RUN_SHEET_SCREEN.saving : sheet.changed ? WORDS.changedByHand : RUN_SHEET_SCREEN.asCalculated}
          </Words>
        </Words>
      }
      back={{ title: piece.name, href: `/pieces/${piece.id}` }}
      padded={false}
      // Beside its lay-up that has it: both undo the same.
      actions={layout !== 'beside' && <UndoBar layup={sheet} />}
      footer={
        selected !== null && (
          <SegmentSheet
            index={selected}
            segments={segments}
            firing={firing}
            evaluation={evaluation}
            unit={unit}
            onRows={(next) => {
              sheet.keep(next);
              setSelected(Math.min(selected, next.length - 1));
            }}
            onClose={() => setSelected(null)}
          />
        )
      }
    >
      <RunActions pieceId={piece.id} stepId={step.id} start={start} onStart={setStart} />
      <View style={{ position: 'sticky' as never, top: 0, zIndex: 3 }}>
        {looksIn ? (
          <GlassInTime firing={firing} layers={schedule.snapshot.layers} evaluation={evaluation} unit={unit} start={start} timeline={timeline} />
        ) : (
          <LiveFigures firing={firing} evaluation={evaluation} unit={unit} opensAt={opensAt} live={sheet.live} older={older} />
        )}
        <BrokenBanner
          segments={segments}
          evaluation={evaluation}
          live={sheet.live}
          calm={older ? RUN_SHEET_SCREEN.outDateJudged : (bolderSentences(firing.limits)[0] ?? KEEPS)}
          standing={older ? [] : standing}
        />
      </View>
      <View style={{ paddingHorizontal: space.large }}>
        <QueueNotice queue={sheet.queue} mine={RUN_SHEET_SCREEN.scheduleYouSee} />
        {sheet.problem && <Notice tone="warn">{sheet.problem.message}</Notice>}
        <OutdatedChoice piece={piece} step={step} shelves={shelves} differences={outdated} />
        <EarlierEngine piece={piece} step={step} shelves={shelves} snapshot={schedule.snapshot} evaluation={evaluation} offered={!older} />
      </View>
      {/* There before its curves are, so that nothing below it moves. */}
      {!looksIn && !emptyFiringOf(firing) && (
        <View style={{ alignItems: 'flex-end', paddingHorizontal: space.medium }}>
          <Action
            kind="plain"
            title={RUN_SHEET_SCREEN.glassTime}
            disabled={!series}
            testID="open-in-time"
            onPress={() => series && timeline.set(series.t_s[series.joints[hottestSegment(segments)]?.rampEnd ?? 0])}
          />
        </View>
      )}
      <RunSheet
        segments={segments}
        firing={firing}
        evaluation={evaluation}
        unit={unit}
        start={start}
        current={sheet.current}
        selected={selected}
        onBack={sheet.changed ? backToComputed : undefined}
        handlers={handlers}
        live={sheet.live}
        timeline={timeline}
      />
      <RunVerdict segments={segments} firing={firing} evaluation={evaluation} broken={broken} look={step.look} older={older} standing={standing} />
      {wide && (
        // In the rows' own curve time is not to scale: there each joint has room for a finger.
        <Fold title={RUN_SHEET_SCREEN.byTheClock} about={RUN_SHEET_SCREEN.sameCurveTrue} testID="by-the-clock">
          {() => (
            <MeasuredWidth height={230}>
              {(width) => (
                <TrueTimeChart
                  firing={firing}
                  segments={segments}
                  series={evaluation.simulation.series}
                  total_s={evaluation.simulation.total_s}
                  unit={unit}
                  start={start}
                  width={width}
                />
              )}
            </MeasuredWidth>
          )}
        </Fold>
      )}
      {paper({ piece, schedule: { ...schedule, segments, result: evaluation }, series: evaluation.simulation.series, unit, start, saving: sheet.queue.saving })}
      <RunPanels piece={piece} step={step} schedule={schedule} shelves={shelves} sheet={sheet} unit={unit} start={start} along={along} />
    </Screen>
  );
}

/** As the engine's verdict begins where nothing is broken. */
const KEEPS = RUN_SHEET_SCREEN.keepsEveryLimit;

interface RunVerdictProps {
  segments: PurposefulSegment[];
  firing: FiringCase;
  evaluation: Evaluation;
  /** The worst first. */
  broken: Reading[];
  look: Look;
  older: boolean;
  standing: readonly string[];
}

const LINES = {
  glass: RUN_SHEET_SCREEN.thinLineSurface,
  empty: RUN_SHEET_SCREEN.thinLineOutside,
} as const;

/** What the whole of it comes to: warnings in full, the rest in rows that open. */
function RunVerdict({ segments, firing, evaluation, broken, look, older, standing }: RunVerdictProps) {
  const units = useUnits();
  const [first = KEEPS, ...further] = verdictOf(firing, evaluation, units, segments).filter((sentence) => sentence !== KEEPS);
  return (
    <View style={{ padding: space.large, gap: space.small }}>
      {older && <Words bold>{RUN_SHEET_SCREEN.linesBelowAbout}</Words>}
      {standing.map((sentence) => (
        <Notice key={sentence} tone="warn" testID="standing-warning">
          {sentence}
        </Notice>
      ))}
      {broken.map((reading) => (
        <Notice key={`${reading.limit}-${reading.segment}`} tone="warn">
          {`${ROLE_NAMES[segments[reading.segment].role]}: ${brokenSentence(reading, units, firing.look)}`}
        </Notice>
      ))}
      <Caution about={look}>{RECIPES[look].care}</Caution>
      {/* In full where a firing is started, and on its print. */}
      <Caution about="kiln" brief>
        {WORK_CAUTIONS.kiln}
      </Caution>
      <View style={{ marginHorizontal: -space.large, marginBottom: -space.large }}>
        <Fold title={WORDS.result} about={first} testID="verdict">
          {() => (
            <>
              {further.map((sentence) => (
                <Words key={sentence}>{sentence}</Words>
              ))}
              <Words size="label" tone="muted">
                {emptyFiringOf(firing) ? LINES.empty : LINES.glass}
              </Words>
            </>
          )}
        </Fold>
        <Fold title={RUN_SHEET_SCREEN.atTheCheck} about={RUN_SHEET_SCREEN.doneWhen(RECIPES[look].looksLike.right.split(/[,;:]/)[0])} testID="signs">
          {() => <LookInSigns look={look} />}
        </Fold>
      </View>
    </View>
  );
}
