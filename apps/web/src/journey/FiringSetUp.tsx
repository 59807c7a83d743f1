/** The firing of a piece that is looked at: how it is set up, its schedule, and what can be done with both. */
import type { Footprint } from '@torvin/core/body';
import { hottestSegment } from '@torvin/core/heat';
import { type Shaping, shapingDown } from '@torvin/core/look';
import { type PlannedStep, laidLayers, putBlank, tellMeasured } from '@torvin/core/piece';
import type { Problem } from '@torvin/core/problem';
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
import { planHref, runHref } from '@/ui/hrefs';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { hatched } from '@/ui/hatched';
import { Words } from '@/ui/Words';
import { InForm } from '@/planner/InForm';
import { AnnealAgain } from '@/planner/AnnealAgain';
import { Stuck } from '@/planner/Stuck';
import { doneUntil } from './doneUntil';
import { StepMoves } from './StepMoves';
import type { Layup } from '@/layup/useLayup';
import { FIRING_SET_UP } from './words';
import { WORDS } from '@/ui/said';

export interface FiringSetUpProps {
  step: PlannedStep;
  layup: Layup;
  piece: Piece;
  shelves: Shelves;
  /** Its run sheet is at the side. */
  beside: boolean;
  /** Its schedule no longer answers to the piece, its set-up or its kiln. */
  isOutdated: boolean;
  /** A warning of the form that the page shows above already. */
  above: string | null;
  /** Whether it is drawn in its form above already. */
  isDrawn: boolean;
  problem: Problem | null;
  onOpen(id: string): void;
}

export function FiringSetUp({ step, layup, piece, shelves, beside, isOutdated, above, isDrawn, problem, onOpen }: FiringSetUpProps) {
  const { colours } = useTheme();
  const { temperatureUnit } = useStudio();
  const router = useRouter();
  const { data: schedule } = useSchedule(step.scheduleId);
  const mine = schedule?.stepId === step.id ? schedule : undefined;
  /** Not begun, the piece takes the outline; else it is cut before this firing. */
  const cut = (outline: Footprint, shaping: Shaping): void => {
    const { doc } = layup;
    const { form } = step.setup;
    const [lowest] = laidLayers(doc);
    layup.edit(
      putBlank(doc, { outline, shaping, ...(form ? { form } : {}), sheet: lowest, firing: null, from: doneUntil(doc.journey, piece.fired), cutId: uuid() }),
    );
  };
  const work = mine?.segments[hottestSegment(mine.segments)];
  const summary =
    mine && work
      ? FIRING_SET_UP.forInAll(
          text(formatTemperature(work.target_C, temperatureUnit)),
          text(formatDuration(work.hold_s)),
          text(formatDuration(mine.result.simulation.total_s)),
          mine.snapshot.kilnName,
        )
      : FIRING_SET_UP.reading;
  return (
    <View style={{ gap: space.small }}>
      {mine && (
        <Words size="label" tone="muted">
          {mine.origin !== 'edited'
            ? FIRING_SET_UP.scheduleAsCalculated
            : step.computedId === null
              ? FIRING_SET_UP.scheduleTypedIn
              : FIRING_SET_UP.scheduleCalculatedThen}
        </Words>
      )}
      {step.setup.form && (
        <InForm doc={layup.doc} step={step} shelves={shelves} isDrawn={isDrawn} onCut={cut} hottest_C={work?.target_C ?? null} above={above} />
      )}
      {!beside && mine && (
        <Link href={runHref(piece.id, step.id)} style={{ display: 'flex', textDecorationLine: 'none' }} testID="open-run">
          <View style={{ flex: 1, backgroundColor: colours.surface, padding: space.medium, minHeight: TARGET, ...hatched(colours, isOutdated) }}>
            <Words bold tone="touch">
              {FIRING_SET_UP.runSheet}
            </Words>
            <Words size="label" tone="muted">
              {summary}
            </Words>
          </View>
        </Link>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {step.scheduleId !== null && (
          <Action kind="second" title={WORDS.keyIn} testID="piece-key-in" onPress={() => router.push(runHref(piece.id, step.id, 'key-in'))} />
        )}
        <Action kind="second" title={FIRING_SET_UP.changeFiring} testID="change-step" onPress={() => router.push(planHref(piece.id, { step: step.id }))} />
        <StepMoves layup={layup} step={step} />
      </View>
      {piece.fired[step.id] !== undefined && <AnnealAgain layup={layup} pieceId={piece.id} step={step} shelves={shelves} onOpen={onOpen} />}
      {piece.fired[step.id] !== undefined && <Stuck layup={layup} pieceId={piece.id} step={step} shelves={shelves} onOpen={onOpen} />}
      <Measured key={step.measured?.down_m ?? WORDS.asPlanned} step={step} layup={layup} planned_m={shapingDown(mine?.snapshot.firing.setup.shaping)} />
      {problem && (
        <Notice tone="warn" testID="plan-problem">
          {problem.message}
        </Notice>
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
    const down = readFigure(typed, { of: LENGTH, name: FIRING_SET_UP.it, range: { least: 0, most: 1 } }, units);
    setError(down.ok ? undefined : down.problem.message);
    if (down.ok) layup.edit(tellMeasured(layup.doc, step.id, down.value));
  };
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: space.small }}>
      <View style={{ flex: 1 }}>
        <Field
          label={FIRING_SET_UP.cameDownWhere}
          hint={FIRING_SET_UP.plannedNextFiring(text(formatLength(planned_m, units.length)))}
          value={typed}
          onChange={setTyped}
          error={error}
          testID="measured"
        />
      </View>
      <Action kind="second" title={WORDS.keep} label={FIRING_SET_UP.keepHowFar} testID="keep-measured" onPress={keep} />
    </View>
  );
}
