/**
 * The state of an open run sheet: the schedule as saved, a draft while it is being changed, and the engine's word
 * on whichever is shown. A change is simulated at once and saved as a new version when it comes to rest.
 */
import type { PurposefulSegment } from '@torvin/core/kiln';
import { firingOf, withStep } from '@torvin/core/piece';
import type { Problem } from '@torvin/core/problem';
import type { Evaluation } from '@torvin/core/schedule';
import { ENGINE_VERSION, earlierEngine, toldBy } from '@torvin/core/version';
import type { Piece, Schedule } from '@torvin/schema';
import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { problemOfError } from '@/outside/client';
import { keys } from '@/outside/keys';
import { useUndoing } from '@/data/useUndoing';
import { compute } from '@/engine/client';
import { latestWins } from '@/engine/latest';
import { pieceQueue } from '@/outbox/kinds';
import { putPiece } from '@/outbox/shown';
import type { Outbox } from '@/outbox/outbox';
import { type QueueState, useOutbox, useShownQueue } from '@/outbox/useOutbox';
import { type Live, makeLive } from './live';
import { CHANGE } from './words';

export interface RunSheetState {
  /** What a bead that moves shows, ahead of what follows here once it rests. */
  live: Live;
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** The evaluation is of these very segments, not of those a moment ago. */
  current: boolean;
  /** The schedule differs from the computed one. */
  changed: boolean;
  /** What is to be saved of the piece, and what was refused. */
  queue: QueueState<Piece>;
  problem: Problem | null;
  /** Shows and simulates a change without saving it. */
  preview(segments: PurposefulSegment[]): void;
  /** Drops a change that was only shown. */
  cancel(): void;
  /** Saves what is shown, soon. */
  keep(segments: PurposefulSegment[]): void;
  backToComputed(): void;
  /** Takes another version into use. */
  use(scheduleId: string): void;
  undo: string | null;
  redo: string | null;
  goBack(): void;
  goForth(): void;
}

interface Judged {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
}

/** A stepper pressed several times makes one version, not several. */
const REST_MS = 700;
/** A finger that pauses for so long is followed by the whole page. */
const PAUSE_MS = 250;

/**
 * A schedule that has not arrived yet is shown with the word of the engine here, whichever page is open by then: it may be keyed in
 * before the server has judged it.
 */
async function judgeKept(client: QueryClient, outbox: Outbox, { id, segments, snapshot }: Schedule): Promise<void> {
  const outcome = await compute('evaluate', { firing: snapshot.firing, segments, series: true }).catch(() => null);
  if (!outcome?.ok || !outbox.entries().some((entry) => entry.id === id)) return;
  client.setQueryData<Schedule>(keys.schedule(id), (shown) => (shown?.segments === segments ? { ...shown, result: outcome.value } : shown));
}

/** What an earlier engine told of a schedule stays its word; only the curves, which are not kept, are drawn by this one. */
function asTold({ result, snapshot }: Schedule, now: Evaluation): Evaluation {
  if (earlierEngine(result, snapshot) === null) return now;
  return { ...result, engine: toldBy(result, snapshot), simulation: { ...result.simulation, series: now.simulation.series } };
}

/** What is moved and not kept yet, judged as it moves: the page follows when it pauses. */
function useJudging(schedule: Schedule, setProblem: (problem: Problem) => void) {
  const { firing } = schedule.snapshot;
  const [draft, setDraft] = useState<PurposefulSegment[] | null>(null);
  const [judged, setJudged] = useState<Judged>({ segments: schedule.segments, evaluation: schedule.result });
  /** The draft as it was last shown, which React may not have drawn yet: an overtaken one is never asked for again. */
  const latest = useRef<PurposefulSegment[] | null>(null);
  const live = useMemo(makeLive, []);
  /** The engine's last word, which may be ahead of what is drawn. */
  const told = useRef(judged);
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const follow = (): void => {
    clearTimeout(pause.current);
    pause.current = undefined;
    setDraft(latest.current);
    setJudged(told.current);
  };
  useEffect(() => () => clearTimeout(pause.current), []);

  const engine = useMemo(
    () =>
      latestWins(
        (segments: PurposefulSegment[]) => compute('evaluate', { firing, segments, series: true }),
        (outcome, segments) => {
          if (!outcome.ok) return setProblem(outcome.problem);
          told.current = { segments, evaluation: segments === schedule.segments ? asTold(schedule, outcome.value) : outcome.value };
          const moving = live.now();
          if (moving) live.set({ ...moving, evaluation: outcome.value, current: moving.segments === segments });
          // While a bead moves the page follows when it pauses.
          if (!moving || pause.current === undefined) setJudged(told.current);
        },
        (error) => setProblem(problemOfError(error)),
      ),
    [firing, live, schedule, setProblem],
  );
  useEffect(() => () => engine.stop(), [engine]);

  // Asked before React draws, so that the engine works while it does; never twice for the same rows.
  const asked = useRef<{ engine: typeof engine; segments: PurposefulSegment[] } | null>(null);
  const ask = (segments: PurposefulSegment[]): void => {
    if (asked.current?.engine === engine && asked.current.segments === segments) return;
    asked.current = { engine, segments };
    engine.ask(segments);
  };
  const show = (segments: PurposefulSegment[]): void => {
    latest.current = segments;
    ask(segments);
    live.set({ segments, evaluation: told.current.evaluation, current: told.current.segments === segments });
    clearTimeout(pause.current);
    pause.current = setTimeout(follow, PAUSE_MS);
  };
  const drop = (): void => {
    latest.current = null;
    live.set(null);
    follow();
  };
  useEffect(() => ask(latest.current ?? schedule.segments));
  return { draft, judged, told, live, ask, show, drop };
}

/** piece and schedule: as they are shown, with what is not saved yet. */
export function useRunSheet(piece: Piece, schedule: Schedule): RunSheetState {
  const client = useQueryClient();
  const outbox = useOutbox();
  const queue = useShownQueue<Piece>(pieceQueue(piece.id));
  const [problem, setProblem] = useState<Problem | null>(null);
  const undoing = useUndoing(piece.id, setProblem);
  const { draft, judged, told, live, ask, show, drop } = useJudging(schedule, setProblem);
  const shown = draft ?? schedule.segments;

  const keep = (segments: PurposefulSegment[]): void => {
    ask(segments);
    const change = { pieceId: piece.id, id: uuid(), stepId: schedule.stepId, parentId: schedule.id, origin: 'edited', segments } as const;
    // One that joins an edit that still rests is that edit.
    const { id } = outbox.put('saveSchedule', change, {
      ...{ id: change.id, on: piece.version },
      rest: { key: `schedule ${schedule.stepId}`, for_ms: REST_MS },
    });
    const parentId = id === change.id ? schedule.id : schedule.parentId;
    const snapshot = { ...schedule.snapshot, engine: ENGINE_VERSION };
    const shownAs: Schedule = {
      ...schedule,
      snapshot,
      id,
      parentId,
      origin: 'edited',
      name: '',
      segments,
      result: told.current.evaluation,
      createdAt: Date.now(),
    };
    client.setQueryData(keys.schedule(id), shownAs);
    void judgeKept(client, outbox, shownAs);
    drop();
  };

  /** Points the step at one of its schedules. */
  function point(scheduleId: string | null | undefined, what: string): void {
    drop();
    const { id, name, doc, version } = piece;
    const step = firingOf(doc, schedule.stepId);
    if (!step || !scheduleId || step.scheduleId === scheduleId) return;
    putPiece(client, outbox, { id, name, doc: withStep(doc, { ...step, scheduleId }), what, before: { name, doc } }, { on: version });
  }

  return {
    live,
    segments: shown,
    evaluation: judged.evaluation,
    current: judged.segments === shown,
    changed: draft !== null || schedule.origin === 'edited',
    queue,
    problem,
    preview: show,
    cancel: drop,
    keep,
    backToComputed: () => point(firingOf(piece.doc, schedule.stepId)?.computedId, CHANGE.backToCalculated),
    use: (scheduleId) => point(scheduleId, CHANGE.anotherVersionTaken),
    undo: draft !== null ? CHANGE.scheduleChanged : piece.undo,
    redo: draft !== null ? null : piece.redo,
    ...undoing,
  };
}
