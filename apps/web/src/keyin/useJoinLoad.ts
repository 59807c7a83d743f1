/** Joining a load: its rows judged for this piece, kept as a version of this piece's, then put in with what is there. */
import { brokenOf, brokenSentence, type Evaluation, type Problem, type PurposefulSegment, snapshotOf } from '@torvin/core';
import { type LoadAhead, type Piece, type Schedule, type Shelves, type Step, api } from '@torvin/schema';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { call, problemOfError } from '@/outside/client';
import { useUnits } from '@/data/studio';
import { compute } from '@/engine/client';
import { useSave } from '@/outbox/useOutbox';

interface Judged {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** What breaks, in sentences. */
  broken: string[];
}

export function useJoinLoad(piece: Piece, step: Step, schedule: Schedule, shelves: Shelves) {
  const units = useUnits();
  const version = useSave('saveSchedule');
  const record = useSave('recordFiring');
  const [working, setWorking] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [judged, setJudged] = useState<Judged | null>(null);

  async function work<T>(act: () => Promise<T>): Promise<T | null> {
    setWorking(true);
    setProblem(null);
    try {
      return await act();
    } catch (error) {
      setProblem(problemOfError(error));
      return null;
    } finally {
      setWorking(false);
    }
  }

  const judge = (load: LoadAhead): Promise<void | null> =>
    work(async () => {
      const theirs = await call(api.schedule, { id: load.entries[0].scheduleId });
      const now = snapshotOf(piece.doc, step, shelves);
      if (!now.ok) return setProblem(now.problem);
      const outcome = await compute('evaluate', { firing: now.value.firing, segments: theirs.segments });
      if (!outcome.ok) return setProblem(outcome.problem);
      const { firing } = now.value;
      const broken = brokenOf(outcome.value.readings).map((reading) => brokenSentence(reading, units, firing.look));
      setJudged({ segments: theirs.segments, evaluation: outcome.value, broken });
    });

  /** Both go one after the other; done: once the piece is in the load. */
  function join(load: LoadAhead, done: () => void): void {
    if (!judged) return;
    const made = { pieceId: piece.id, id: uuid(), stepId: step.id, parentId: schedule.id, origin: 'edited', segments: judged.segments } as const;
    version.save(made, { id: made.id, on: piece.version });
    const entry = {
      ...{ id: uuid(), pieceId: piece.id, scheduleId: made.id, loadId: load.id },
      ...{ firedAt: load.at, planned: load.startedAt === null, zone: load.zone },
    };
    record.save(entry, { then: done });
  }

  return {
    judge,
    join,
    judged,
    working: working || version.saving || record.saving,
    held: record.held,
    problem: problem ?? version.refusal?.problem ?? record.refusal?.problem ?? null,
  };
}
