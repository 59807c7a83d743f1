/** Joining a load: its rows judged for this piece, kept as a version of this piece's, then put in with what is there. */
import { type Evaluation, type Problem, type PurposefulSegment, brokenOf, brokenSentence } from '@torvin/core';
import { type LoadAhead, type Piece, type Schedule, type Shelves, type Step, api, snapshotOf } from '@torvin/schema';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { call, problemOfError } from '@/data/client';
import { useRecordFiring, useSaveSchedule } from '@/data/pieces';
import { useUnits } from '@/data/studio';
import { compute } from '@/engine/client';

interface Judged {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** What breaks, in sentences. */
  broken: string[];
}

export function useJoinLoad(piece: Piece, step: Step, schedule: Schedule, shelves: Shelves) {
  const units = useUnits();
  const saveSchedule = useSaveSchedule(piece.id);
  const record = useRecordFiring(piece.id);
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

  const join = async (load: LoadAhead): Promise<boolean> =>
    (await work(async () => {
      if (!judged) return false;
      const body = { id: uuid(), stepId: step.id, parentId: schedule.id, origin: 'edited', segments: judged.segments, pieceVersion: piece.version } as const;
      const saved = await saveSchedule.mutateAsync({ id: piece.id, body });
      await record.mutateAsync({
        id: uuid(),
        pieceId: piece.id,
        scheduleId: saved.schedule.id,
        loadId: load.id,
        firedAt: load.at,
        planned: load.startedAt === null,
        zone: load.zone,
      });
      return true;
    })) ?? false;

  return { judge, join, judged, working, problem };
}
