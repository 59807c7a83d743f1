/** A schedule that was not computed for this firing - from paper, from another piece, for another kiln - judged for it, and kept as its own. */
import type { PurposefulSegment } from '@torvin/core/kiln';
import { changeStep, snapshotOf } from '@torvin/core/piece';
import type { Problem } from '@torvin/core/problem';
import { type Evaluation, impossibleFiring } from '@torvin/core/schedule';
import type { Piece, Shelves, Snapshot, Step } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { seenIn } from '@/data/bench';
import { useUnits } from '@/data/FormUnits';
import { compute } from '@/engine/client';
import { pieceQueue } from '@/outbox/kinds';
import { useOutbox } from '@/outbox/useOutbox';
import { problemOfError } from '@/outside/client';
import { putSchedule } from './putSchedule';

export interface Given {
  segments: readonly PurposefulSegment[];
  snapshot: Snapshot;
  evaluation: Evaluation;
}

/** step: as it is to be, which may differ from how it stands in the piece. */
export function useGivenSchedule(piece: Piece, step: Step, shelves: Shelves) {
  const client = useQueryClient();
  const outbox = useOutbox();
  const units = useUnits();
  const [working, setWorking] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);

  async function work<T>(act: () => Promise<T | null>): Promise<T | null> {
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
  const failed = (one: Problem): null => {
    setProblem(one);
    return null;
  };

  return {
    working,
    problem,
    /** Null where it cannot be judged, which its problem says. */
    judge: (segmentsOf: (snapshot: Snapshot) => readonly PurposefulSegment[] | Promise<readonly PurposefulSegment[]>): Promise<Given | null> =>
      work(async () => {
        const snapshot = snapshotOf(piece.doc, step, { ...shelves, seen: await seenIn(client, step) });
        if (!snapshot.ok) return failed(snapshot.problem);
        const impossible = impossibleFiring(snapshot.value.firing, units.length);
        if (impossible) return failed(impossible);
        const segments = await segmentsOf(snapshot.value);
        const outcome = await compute('evaluate', { firing: snapshot.value.firing, segments: [...segments] });
        return outcome.ok ? { segments, snapshot: snapshot.value, evaluation: outcome.value } : failed(outcome.problem);
      }),
    /** True once it is kept, or waits for a server that is silent. */
    keep: async ({ segments, snapshot, evaluation }: Given): Promise<boolean> =>
      (await work(async () => {
        if (outbox.isHeldBack(pieceQueue(piece.id))) return null;
        const changed = changeStep(piece.doc, step);
        if (!changed.ok) return failed(changed.problem);
        const { doc, what } = changed.value;
        putSchedule(client, outbox, { on: piece, doc, what, step, parentId: step.scheduleId, origin: 'edited', segments, snapshot, result: evaluation });
        return (await outbox.settled(pieceQueue(piece.id), { orSilent: true })) || null;
      })) !== null,
  };
}
