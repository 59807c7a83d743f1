/** The piece's firing: chosen here, computed in the worker, then opened as a run sheet. */
import { type Problem, formatDuration, formatTemperature, hottestSegment, text } from '@torvin/core';
import { type Piece, type Shelves, type Snapshot, type Step, snapshotOf } from '@torvin/schema';
import { Link, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useQueryClient } from '@tanstack/react-query';
import { problemOfError } from '@/data/client';
import { adoptPiece, useSavePiece, useSaveSchedule, useSchedule } from '@/data/pieces';
import { useStudio } from '@/data/studio';
import { compute } from '@/engine/client';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { StaleChoice } from './StaleChoice';
import { staleCurrent } from './useSaveOrChoose';

export interface FiringPlanProps {
  piece: Piece;
  shelves: Shelves;
  /** The run sheet is already open at the side. */
  beside: boolean;
}

export function FiringPlan({ piece, shelves, beside }: FiringPlanProps) {
  const step = piece.doc.steps[0];
  const planned = step?.scheduleId ?? null;
  return (
    <View style={{ gap: space.medium }}>
      <Words size="title" bold role="heading" aria-level={2}>
        Firing
      </Words>
      {planned === null ? (
        <PlanChooser piece={piece} shelves={shelves} step={step} />
      ) : (
        <Planned piece={piece} shelves={shelves} scheduleId={planned} beside={beside} />
      )}
    </View>
  );
}

function PlanChooser({ piece, shelves, step }: { piece: Piece; shelves: Shelves; step: Step | undefined }) {
  const { temperatureUnit } = useStudio();
  const [kilnId, setKilnId] = useState(step?.kilnId ?? shelves.kilns[0]?.id ?? '');
  const { plan, working, problem, stale } = usePlanFiring(piece, shelves);
  const reach = ({ top_C }: Shelves['kilns'][number]): string => `to ${text(formatTemperature(top_C, temperatureUnit))}`;
  return (
    <View style={{ gap: space.small }}>
      <Words>
        A full fuse on a bare shelf: edges round and level, one flat body. The shelf is primed and stands on low posts; it counts as one face cooling.
      </Words>
      {shelves.kilns.length > 1 ? (
        <Choice
          label="Kiln"
          value={kilnId}
          options={shelves.kilns.map((kiln) => ({ value: kiln.id, title: kiln.name, note: reach(kiln) }))}
          onChange={setKilnId}
          testID="kiln"
        />
      ) : (
        shelves.kilns.map((kiln) => (
          <Words key={kiln.id} size="label" tone="muted">
            {`In the ${kiln.name}, ${reach(kiln)}`}
          </Words>
        ))
      )}
      {stale}
      {problem && <Notice tone="warn">{problem.message}</Notice>}
      <Action title={working ? 'Computing …' : 'Compute a full fuse'} disabled={working || kilnId === ''} testID="compute" onPress={() => void plan(kilnId)} />
    </View>
  );
}

/** Puts the step on the piece, composes in the worker, saves the version and opens the run sheet. */
function usePlanFiring(piece: Piece, shelves: Shelves) {
  const router = useRouter();
  const client = useQueryClient();
  const savePiece = useSavePiece(piece.id);
  const saveSchedule = useSaveSchedule(piece.id);
  const [working, setWorking] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [current, setCurrent] = useState<Piece | null>(null);

  async function plan(kilnId: string, on: Piece = piece): Promise<void> {
    setWorking(true);
    setProblem(null);
    setCurrent(null);
    try {
      const before = on.doc.steps[0];
      const step: Step = {
        id: before?.id ?? uuid(),
        look: 'fullFuse',
        setup: 'bareShelf',
        kilnId,
        controllerId: before?.controllerId ?? shelves.controllers[0].id,
        school: before?.school ?? { soak: 'auto', heat: 'cooler' },
        scheduleId: before?.scheduleId ?? null,
        computedId: before?.computedId ?? null,
      };
      const snapshot = snapshotOf(on.doc, step, shelves);
      if (!snapshot.ok) return setProblem(snapshot.problem);
      const composed = await compute('compose', snapshot.value.firing);
      if (!composed.ok) return setProblem(composed.problem);
      const saved =
        JSON.stringify(before) === JSON.stringify(step)
          ? on
          : await savePiece.mutateAsync({ name: on.name, doc: { ...on.doc, steps: [step] }, version: on.version });
      await saveSchedule.mutateAsync({
        id: uuid(),
        stepId: step.id,
        parentId: null,
        origin: 'computed',
        segments: composed.value.segments,
        pieceVersion: saved.version,
      });
      router.navigate(`/pieces/${piece.id}/run`);
    } catch (error) {
      const elsewhere = staleCurrent(error);
      if (elsewhere) setCurrent(elsewhere);
      else setProblem(problemOfError(error));
    } finally {
      setWorking(false);
    }
  }

  const stale = current && (
    <StaleChoice
      current={current}
      mine="a schedule computed from what you see here"
      onTakeTheirs={() => {
        adoptPiece(client, current);
        setCurrent(null);
      }}
      onKeepMine={() => void plan(current.doc.steps[0]?.kilnId ?? shelves.kilns[0].id, { ...current, doc: { ...piece.doc, steps: current.doc.steps } })}
    />
  );
  return { plan, working, problem, stale };
}

function Planned({ piece, shelves, scheduleId, beside }: { piece: Piece; shelves: Shelves; scheduleId: string; beside: boolean }) {
  const { colours } = useTheme();
  const { temperatureUnit } = useStudio();
  const { data: schedule } = useSchedule(scheduleId);
  const { plan, working, problem, stale } = usePlanFiring(piece, shelves);
  const older = schedule !== undefined && isOlder(piece, shelves, schedule.snapshot);
  const work = schedule?.segments[hottestSegment(schedule.segments)];
  return (
    <View style={{ gap: space.small }}>
      {stale}
      {problem && <Notice tone="warn">{problem.message}</Notice>}
      {older && (
        <Notice
          tone="warn"
          testID="older-than-layup"
          actions={
            <Action
              title={working ? 'Computing …' : 'Compute again'}
              disabled={working}
              testID="compute-again"
              onPress={() => void plan(piece.doc.steps[0].kilnId)}
            />
          }
        >
          This schedule was computed for another lay-up or kiln than the one above.
        </Notice>
      )}
      {!beside && (
        <Link href={`/pieces/${piece.id}/run`} style={{ display: 'flex', textDecorationLine: 'none' }} testID="open-run">
          <View
            style={{
              flex: 1,
              backgroundColor: colours.surface,
              borderTopWidth: 4,
              borderColor: colours.touch,
              padding: space.medium,
              opacity: older ? 0.6 : 1,
            }}
          >
            <Words bold tone="touch">
              Full fuse ›
            </Words>
            <Words size="label" tone="muted">
              {schedule && work
                ? `${text(formatTemperature(work.target_C, temperatureUnit))} for ${text(formatDuration(work.hold_s))} · ${text(formatDuration(schedule.result.simulation.total_s))} in all · ${schedule.snapshot.kilnName}`
                : 'Reading …'}
            </Words>
          </View>
        </Link>
      )}
      {beside && schedule && (
        <Words tone="muted">
          {schedule.origin === 'computed' ? 'As computed' : 'Computed, then changed by hand'} for {schedule.snapshot.kilnName}, {schedule.snapshot.familyName}.
        </Words>
      )}
    </View>
  );
}

/** Whether a schedule was made from another lay-up or kiln than the piece has now. */
export function isOlder(piece: Piece, shelves: Shelves, made: Snapshot): boolean {
  const step = piece.doc.steps[0];
  const now = step ? snapshotOf(piece.doc, step, shelves) : null;
  return now !== null && now.ok && canonical(madeFor(now.value.firing)) !== canonical(madeFor(made.firing));
}

/** What a person can have changed; limits and set-up constants that a newer program ships do not make a schedule older. */
const madeFor = ({ body, kiln, school, look }: Snapshot['firing']) => ({ body, kiln, school, look });

/** Key order must not make a difference. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) =>
    part && typeof part === 'object' && !Array.isArray(part) ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1))) : part,
  );
