/**
 * The state of an open run sheet: the schedule as saved, a draft while it is being changed, and the engine's word
 * on whichever is shown. A change is simulated at once and saved as a new version when it comes to rest.
 */
import { type Evaluation, type Problem, type PurposefulSegment } from '@torvin/core';
import { type Piece, type Schedule, type Step, api } from '@torvin/schema';
import { onlineManager, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { call, problemOfError, versionStanding } from '@/data/client';
import { UNDO_NEEDS_SERVER } from '@/data/connection';
import { adoptPiece, expectPiece, keys, unexpectPiece } from '@/data/keys';
import { useSavePiece, useSaveSchedule, useUndo } from '@/data/pieces';
import { addRefused } from '@/data/refused';
import { compute } from '@/engine/client';
import { latestWins } from '@/engine/latest';
import { STALE, staleCurrent } from '@/piece/stale';

export interface RunSheetState {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** The evaluation is of these very segments, not of those a moment ago. */
  current: boolean;
  /** The schedule differs from the computed one. */
  changed: boolean;
  saving: boolean;
  problem: Problem | null;
  /** The piece as someone else saved it meanwhile. */
  elsewhere: Piece | null;
  /** Shows and simulates a change without saving it. */
  preview(segments: PurposefulSegment[]): void;
  /** Drops a change that was only shown. */
  cancel(): void;
  /** Saves what is shown, soon. */
  keep(segments: PurposefulSegment[]): void;
  backToComputed(): void;
  takeTheirs(): void;
  keepMine(): void;
  /** Tries the save again that did not go through. */
  retry(): void;
  /** Takes another version into use. */
  use(scheduleId: string): void;
  /** Resolves with the piece once every change has been saved; with null where one could not be. */
  settled(): Promise<Piece | null>;
  undo: string | null;
  redo: string | null;
  goBack(): void;
  goForth(): void;
}

interface Judged {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
}

/** On what a schedule changed by hand is saved. */
const asEdited = ({ version, parentId }: { version: number; parentId: string }) => ({ parentId, origin: 'edited', pieceVersion: version }) as const;

/** A stepper pressed several times makes one version, not several. */
const REST_BEFORE_SAVING_MS = 700;

export function useRunSheet(piece: Piece, schedule: Schedule): RunSheetState {
  const client = useQueryClient();
  const saveSchedule = useSaveSchedule(piece.id);
  const savePiece = useSavePiece(piece.id);
  const travel = useUndo(piece.id);
  const [draft, setDraft] = useState<PurposefulSegment[] | null>(null);
  const [judged, setJudged] = useState<Judged>({ segments: schedule.segments, evaluation: schedule.result });
  const [problem, setProblem] = useState<Problem | null>(null);
  const [elsewhere, setElsewhere] = useState<Piece | null>(null);
  const [saving, setSaving] = useState(false);
  const { firing } = schedule.snapshot;

  const engine = useMemo(
    () =>
      latestWins(
        (segments: PurposefulSegment[]) => compute('evaluate', { firing, segments, series: true }),
        (outcome, segments) => {
          if (outcome.ok) setJudged({ segments, evaluation: outcome.value });
          else setProblem(outcome.problem);
        },
        (error) => setProblem(problemOfError(error)),
      ),
    [firing],
  );
  useEffect(() => () => engine.stop(), [engine]);

  // Asked before React draws, so that the engine works while it does; never twice for the same rows.
  const asked = useRef<{ engine: typeof engine; segments: PurposefulSegment[] } | null>(null);
  const ask = (segments: PurposefulSegment[]): void => {
    if (asked.current?.engine === engine && asked.current.segments === segments) return;
    asked.current = { engine, segments };
    engine.ask(segments);
  };
  /** The draft as it was last shown, which React may not have drawn yet: an overtaken one is never asked for again. */
  const latest = useRef<PurposefulSegment[] | null>(null);
  const show = (segments: PurposefulSegment[]): void => {
    latest.current = segments;
    ask(segments);
    setDraft(segments);
  };
  const drop = (): void => {
    latest.current = null;
    setDraft(null);
  };
  useEffect(() => ask(latest.current ?? schedule.segments));
  const shown = draft ?? schedule.segments;
  const shownNow = useRef(judged);
  shownNow.current = judged;

  // What a save is based on: the version this tab showed when the change began, then its own saves. Each save raises the
  // piece's version by one and is the parent of the next, so that one can be sent before the answer to the last is there.
  const base = useRef({ version: piece.version, parentId: schedule.id });
  const sent = useRef<{ id: string }[]>([]);
  useEffect(() => {
    if (draft === null && sent.current.length === 0) base.current = { version: piece.version, parentId: schedule.id };
  }, [draft, piece.version, schedule.id]);

  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  /** What is to be saved, with the id it keeps through every try, so that a try that did arrive counts once. */
  const pending = useRef<{ id: string; segments: PurposefulSegment[] } | null>(null);
  const inFlight = useRef<Promise<unknown>>(Promise.resolve());

  function refused(error: unknown): void {
    const current = staleCurrent(error);
    if (current) setElsewhere(current);
    else setProblem(problemOfError(error));
  }

  /** The page has been left: nothing on it can say any more that a save was refused. */
  const gone = useRef(false);
  const keepRefused = useRef((_wanted: { id: string; segments: PurposefulSegment[] }, _problem: Problem, _version: number | null) => undefined as void);
  keepRefused.current = (wanted, why, currentVersion) => {
    const body = { id: wanted.id, segments: wanted.segments, stepId: schedule.stepId, ...asEdited(base.current) };
    addRefused({ name: 'saveSchedule', variables: { id: piece.id, body }, problem: why, currentVersion });
  };

  const { mutateAsync: sendSchedule } = saveSchedule;
  const flush = useCallback((): void => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    const wanted = pending.current;
    if (!wanted || sent.current.includes(wanted)) return;
    const expected = client.getQueryData<Piece>(keys.piece(piece.id))?.version;
    const version = sent.current.length === 0 || expected === undefined ? base.current.version + sent.current.length : expected;
    const parentId = sent.current.at(-1)?.id ?? base.current.parentId;
    sent.current = [...sent.current, wanted];
    setSaving(true);
    // Shown as it will be, with the word of this page's engine until the server's is there.
    const { segments, evaluation } = shownNow.current;
    const result = segments === wanted.segments ? evaluation : schedule.result;
    client.setQueryData<Schedule>(keys.schedule(wanted.id), { ...schedule, id: wanted.id, parentId, origin: 'edited', segments: wanted.segments, result });
    expectPiece(client, piece.id, (now) => ({
      ...now,
      version: version + 1,
      undo: 'schedule changed',
      redo: null,
      doc: { ...now.doc, steps: now.doc.steps.map((step) => (step.id === schedule.stepId ? { ...step, scheduleId: wanted.id } : step)) },
    }));
    const arrival = sendSchedule({
      id: piece.id,
      body: { id: wanted.id, segments: wanted.segments, stepId: schedule.stepId, ...asEdited({ version, parentId }) },
    })
      .then(
        (saved) => {
          base.current = { version: saved.piece.version, parentId: saved.schedule.id };
          if (pending.current === wanted) pending.current = null;
          if (latest.current === wanted.segments) drop();
          setProblem(null);
        },
        // The newest is the one that counts: those before it were on the way to it.
        (error: unknown) => {
          if (pending.current !== wanted) return;
          unexpectPiece(client, piece.id, staleCurrent(error));
          refused(error);
          if (gone.current) keepRefused.current(wanted, problemOfError(error), versionStanding(error));
        },
      )
      .finally(() => {
        sent.current = sent.current.filter((one) => one !== wanted);
        setSaving(sent.current.length > 0);
      });
    inFlight.current = Promise.all([inFlight.current, arrival]);
  }, [client, sendSchedule, piece.id, schedule]);

  // Neither leaving the page nor closing the tab loses a change that is still resting. A tab that closes has no time to
  // wait for the one that is on its way; while the server is silent the change is kept instead.
  const leave = useRef((_closing: boolean) => undefined as void);
  leave.current = (closing) => {
    const wanted = pending.current;
    const [first] = sent.current;
    if (!wanted) return;
    if (!timer.current) {
      // Refused and not decided on: kept where the person finds it again.
      if (sent.current.length === 0) keepRefused.current(wanted, problem ?? STALE, elsewhere?.version ?? null);
      return;
    }
    if (!closing || !first || !onlineManager.isOnline()) return flush();
    clearTimeout(timer.current);
    timer.current = null;
    const on = asEdited({ version: base.current.version + 1, parentId: first.id });
    call(api.saveSchedule, { id: piece.id, body: { id: wanted.id, segments: wanted.segments, stepId: schedule.stepId, ...on } }).catch(() => undefined);
  };
  useEffect(() => {
    gone.current = false;
    const onHide = (): void => leave.current(true);
    window.addEventListener('pagehide', onHide);
    return () => {
      window.removeEventListener('pagehide', onHide);
      leave.current(false);
      gone.current = true;
    };
  }, []);

  const keep = (segments: PurposefulSegment[]): void => {
    show(segments);
    pending.current = { id: uuid(), segments };
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(flush, REST_BEFORE_SAVING_MS);
  };

  const forget = (): void => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    pending.current = null;
    drop();
    setProblem(null);
    setElsewhere(null);
  };

  async function settled(): Promise<Piece | null> {
    if (timer.current) flush();
    await inFlight.current;
    return pending.current ? null : (client.getQueryData<Piece>(keys.piece(piece.id)) ?? piece);
  }

  /** Points the step at one of its schedules, after a save that may still be under way. */
  async function point(choose: (step: Step) => string | null, what: string): Promise<void> {
    await inFlight.current;
    const now = client.getQueryData<Piece>(keys.piece(piece.id)) ?? piece;
    const step = now.doc.steps.find(({ id }) => id === schedule.stepId);
    const scheduleId = step ? choose(step) : null;
    if (!step || !scheduleId || step.scheduleId === scheduleId) return;
    const steps = now.doc.steps.map((one) => (one.id === step.id ? { ...one, scheduleId } : one));
    try {
      await savePiece.mutateAsync({ id: piece.id, body: { name: now.name, doc: { ...now.doc, steps }, version: now.version, what } });
    } catch (error) {
      refused(error);
    }
  }

  async function go(way: 'undo' | 'redo'): Promise<void> {
    if (!onlineManager.isOnline()) return setProblem(UNDO_NEEDS_SERVER);
    const now = await settled();
    if (!now) return;
    try {
      await travel.mutateAsync({ way, version: now.version });
      forget();
    } catch (error) {
      refused(error);
    }
  }

  return {
    segments: shown,
    evaluation: judged.evaluation,
    current: judged.segments === shown,
    changed: draft !== null || schedule.origin === 'edited',
    saving,
    problem,
    elsewhere,
    preview: show,
    cancel: () => (pending.current ? show(pending.current.segments) : drop()),
    keep,
    backToComputed() {
      forget();
      void point(({ computedId }) => computedId, 'back to computed');
    },
    use(scheduleId) {
      forget();
      void point(() => scheduleId, 'another version taken');
    },
    settled,
    undo: draft !== null ? 'schedule changed' : piece.undo,
    redo: draft !== null ? null : piece.redo,
    goBack: () => void go('undo'),
    goForth: () => void go('redo'),
    takeTheirs() {
      if (elsewhere) adoptPiece(client, elsewhere);
      forget();
    },
    keepMine() {
      if (!elsewhere) return;
      base.current = { ...base.current, version: elsewhere.version };
      setElsewhere(null);
      pending.current ??= { id: uuid(), segments: shown };
      flush();
    },
    retry() {
      setProblem(null);
      if (pending.current) flush();
    },
  };
}
