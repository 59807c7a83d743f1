/** The firing of a piece that is looked at: its set-up and schedule, or the choices for one that is planned now. */
import type { Footprint } from '@torvin/core/body';
import { hottestSegment } from '@torvin/core/heat';
import { type Shaping, shapingDown } from '@torvin/core/look';
import { laidLayers, putBlank, addStep, changeStep, firingsOf, tellMeasured } from '@torvin/core/piece';
import { LENGTH, formatDuration, formatLength, formatTemperature, readFigure, text } from '@torvin/core/units';
import type { Piece, Shelves, Step } from '@torvin/schema';
import { Link, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useSchedule } from '@/data/pieces';
import { useUnits } from '@/data/FormUnits';
import { useStudio } from '@/data/studio';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { hatched } from '@/ui/hatched';
import { Words } from '@/ui/Words';
import { InForm } from '@/planner/InForm';
import { AnnealAgain } from '@/planner/AnnealAgain';
import { Stuck } from '@/planner/Stuck';
import { doneUntil } from './doneUntil';
import { StepMoves } from './StepMoves';
import { StepPlanner } from '@/planner/StepPlanner';
import type { Layup } from '@/layup/useLayup';
import type { PlanFiring } from '@/planner/usePlanFiring';

export interface FiringSetUpProps {
  layup: Layup;
  piece: Piece;
  shelves: Shelves;
  /** Id of the step that is open, 'new' for one to come. */
  open: string | null;
  onOpen(id: string | null): void;
  /** The step whose run sheet stands at the side. */
  besideStep?: string;
  planning: PlanFiring;
  /** Computes its schedule and goes there; resolves with whether something came of it. */
  onCompute(step: Step): Promise<boolean>;
  /** Its schedule no longer answers to the piece, its set-up or its kiln. */
  isOutdated: boolean;
  /** A warning of the form that the page shows above already. */
  above: string | null;
  /** Whether the open firing is drawn in its form above already. */
  isDrawn: boolean;
  /** Index in the journey where a new firing comes; at its end where left out. */
  place?: number;
}

export const runHref = (pieceId: string, stepId: string, page: 'run' | 'key-in' | 'record' = 'run') => `/pieces/${pieceId}/${page}?step=${stepId}` as const;

export function FiringSetUp({ layup, piece, shelves, open, onOpen, besideStep, planning, onCompute, isOutdated, above, isDrawn, place }: FiringSetUpProps) {
  const router = useRouter();
  const steps = firingsOf(layup.doc);
  const chosen = open === 'new' ? null : (steps.find(({ id }) => id === open) ?? steps[0] ?? null);

  /** Planned, and not computed: its schedule is written down. */
  function give(step: Step): void {
    const known = steps.some(({ id }) => id === step.id);
    layup.edit(known ? changeStep(layup.doc, step) : addStep(layup.doc, step, place));
    onOpen(step.id);
    router.navigate(`/pieces/${piece.id}/given?step=${step.id}`);
  }

  /** Not begun, the piece takes the outline; else it is cut before this firing. */
  function cut(step: Step, outline: Footprint, shaping: Shaping): void {
    const { doc } = layup;
    const { form } = step.setup;
    const [lowest] = laidLayers(doc);
    const from = doneUntil(doc.journey, piece.fired);
    layup.edit(putBlank(doc, { outline, shaping, ...(form ? { form } : {}), sheet: lowest, firing: null, from, cutId: uuid() }));
  }

  return (
    <View style={{ gap: space.medium }}>
      {chosen?.scheduleId != null ? (
        <Planned
          key={chosen.id}
          step={chosen}
          layup={layup}
          piece={piece}
          shelves={shelves}
          beside={besideStep === chosen.id}
          isOutdated={isOutdated}
          above={above}
          isDrawn={isDrawn}
          planning={planning}
          onCompute={onCompute}
          onGiven={give}
          onCut={cut}
          onOpen={onOpen}
        />
      ) : (
        <StepPlanner
          key={chosen?.id ?? 'new'}
          pieceId={piece.id}
          fired={piece.fired}
          doc={chosen || place === undefined ? layup.doc : { ...layup.doc, journey: layup.doc.journey.slice(0, place) }}
          step={chosen}
          shelves={shelves}
          planning={planning}
          onCompute={(step) => void onCompute(step)}
          onGiven={give}
          onCut={cut}
          onCancel={open === 'new' && steps.length > 0 ? () => onOpen(null) : undefined}
        />
      )}
      {chosen && chosen.scheduleId === null && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          <StepMoves layup={layup} step={chosen} />
        </View>
      )}
    </View>
  );
}

interface PlannedProps {
  step: Step;
  layup: Layup;
  piece: Piece;
  shelves: Shelves;
  beside: boolean;
  isOutdated: boolean;
  above: string | null;
  isDrawn: boolean;
  planning: PlanFiring;
  onCompute(step: Step): Promise<boolean>;
  onGiven(step: Step): void;
  onCut(step: Step, outline: Footprint, shaping: Shaping): void;
  onOpen(id: string): void;
}

function Planned({ step, layup, piece, shelves, beside, isOutdated, above, isDrawn, planning, onCompute, onGiven, onCut, onOpen }: PlannedProps) {
  const { colours } = useTheme();
  const { temperatureUnit } = useStudio();
  const router = useRouter();
  const { data: schedule } = useSchedule(step.scheduleId);
  const [changing, setChanging] = useState(false);
  const mine = schedule?.stepId === step.id ? schedule : undefined;
  const work = mine?.segments[hottestSegment(mine.segments)];
  const summary =
    mine && work
      ? `${text(formatTemperature(work.target_C, temperatureUnit))} for ${text(formatDuration(work.hold_s))} · ${text(formatDuration(mine.result.simulation.total_s))} in all · ${mine.snapshot.kilnName}`
      : 'Reading …';
  return (
    <View style={{ gap: space.small }}>
      <Words size="label" tone="muted">
        {mine && mine.origin === 'edited'
          ? step.computedId === null
            ? 'Schedule typed in'
            : 'Schedule computed, then changed by hand'
          : 'Schedule as computed'}
      </Words>
      {step.setup.form && !changing && (
        <InForm
          doc={layup.doc}
          step={step}
          shelves={shelves}
          isDrawn={isDrawn}
          onCut={(outline, shaping) => onCut(step, outline, shaping)}
          hottest_C={work?.target_C ?? null}
          above={above}
        />
      )}
      {!beside && (
        <Link href={runHref(piece.id, step.id)} style={{ display: 'flex', textDecorationLine: 'none' }} testID="open-run">
          <View style={{ flex: 1, backgroundColor: colours.surface, padding: space.medium, minHeight: TARGET, ...hatched(colours, isOutdated) }}>
            <Words bold tone="touch">
              Run sheet ›
            </Words>
            <Words size="label" tone="muted">
              {summary}
            </Words>
          </View>
        </Link>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action kind="second" title="Key in" testID="piece-key-in" onPress={() => router.push(runHref(piece.id, step.id, 'key-in'))} />
        <Action kind="second" title={changing ? 'Leave as it is' : 'Change firing'} testID="change-step" onPress={() => setChanging(!changing)} />
        <StepMoves layup={layup} step={step} />
      </View>
      {piece.fired[step.id] !== undefined && <AnnealAgain layup={layup} step={step} shelves={shelves} onOpen={onOpen} />}
      {piece.fired[step.id] !== undefined && <Stuck layup={layup} step={step} shelves={shelves} onOpen={onOpen} />}
      <Measured key={step.measured?.down_m ?? 'as planned'} step={step} layup={layup} planned_m={shapingDown(mine?.snapshot.firing.setup.shaping)} />
      {!changing && planning.problem && (
        <Notice tone="warn" testID="plan-problem">
          {planning.problem.message}
        </Notice>
      )}
      {changing && (
        <StepPlanner
          pieceId={piece.id}
          fired={piece.fired}
          doc={layup.doc}
          step={step}
          shelves={shelves}
          planning={planning}
          onCompute={(next) => void onCompute(next).then((came) => came && setChanging(false))}
          onGiven={onGiven}
          onCut={onCut}
        />
      )}
    </View>
  );
}

/** planned_m: of its schedule; null where nothing is bent. How far a shape has really come down, where it did not come out as planned: the next firing goes on from there. */
function Measured({ step, layup, planned_m }: { step: Step; layup: Layup; planned_m: number | null }) {
  const units = useUnits();
  const [typed, setTyped] = useState(step.measured ? text(formatLength(step.measured.down_m, units.length)) : '');
  const [error, setError] = useState<string | undefined>();
  if (planned_m === null) return null;
  const keep = (): void => {
    if (typed.trim() === '') return layup.edit(tellMeasured(layup.doc, step.id, null));
    const down = readFigure(typed, { of: LENGTH, name: 'It', range: { least: 0, most: 1 } }, units);
    setError(down.ok ? undefined : down.problem.message);
    if (down.ok) layup.edit(tellMeasured(layup.doc, step.id, down.value));
  };
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: space.small }}>
      <View style={{ flex: 1 }}>
        <Field
          label="Came down by, where it fell short"
          hint={`planned: ${text(formatLength(planned_m, units.length))}; the next firing goes on from there`}
          value={typed}
          onChange={setTyped}
          error={error}
          testID="measured"
        />
      </View>
      <Action kind="second" title="Keep" label="Keep how far it came down" testID="keep-measured" onPress={keep} />
    </View>
  );
}
