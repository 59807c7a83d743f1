/** Puts a firing on the piece, composes its schedule in the worker, saves both; where the server is silent they wait and are shown. */
import { addStep, changeStep, snapshotOf, firingOf } from '@torvin/core/piece';
import type { Outcome, Problem } from '@torvin/core/problem';
import { impossibleFiring } from '@torvin/core/schedule';
import type { Piece, PieceDoc, Shelves, Step } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { problemOfError } from '@/outside/client';
import { seenIn } from '@/data/bench';
import { useUnits } from '@/data/FormUnits';
import { computedQuery } from '@/engine/useComputed';
import { pieceQueue } from '@/outbox/kinds';
import { pieceNow } from '@/outbox/shown';
import { isSame } from '@/outbox/merge';
import { useOutbox } from '@/outbox/useOutbox';
import { putSchedule } from './putSchedule';

const TRIES = 4;
const CHANGING: Problem = { code: 'changing', path: '', message: 'The piece was changed while this was calculated. Calculate it again.' };

export interface PlanFiring {
  /** place: index in the journey where a new one comes; at its end where left out. Resolves with what was said about it; with null where nothing came of it, or the server refused it, which its page says. */
  plan(step: Step, on: Piece, place?: number): Promise<string[] | null>;
  working: boolean;
  problem: Problem | null;
}

export function usePlanFiring(pieceId: string, shelves: Shelves): PlanFiring {
  const client = useQueryClient();
  const outbox = useOutbox();
  const units = useUnits();
  const [working, setWorking] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);

  async function work(step: Step, on: Piece, place?: number): Promise<Outcome<string[]>> {
    const now = (): Piece => pieceNow(client, outbox, pieceId) ?? on;
    for (let tries = 0; tries < TRIES; tries += 1) {
      const { name, doc: before, version } = now();
      const edited = withFiring(before, step, place);
      if (!edited.ok) return edited;
      const { doc, what } = edited.value;
      const snapshot = snapshotOf(doc, step, { ...shelves, seen: await seenIn(client, step) });
      if (!snapshot.ok) return snapshot;
      const impossible = impossibleFiring(snapshot.value.firing, units.length);
      if (impossible) return { ok: false, problem: impossible };
      const composed = await client.fetchQuery(computedQuery('compose', { ...snapshot.value.firing, units }));
      if (!composed.ok) return composed;
      // What was laid otherwise while it was computed makes it another's schedule: it is computed once more.
      if (!isSame(now().doc, before)) continue;
      const { remarks, segments, ...result } = composed.value;
      const planned = { on: { id: pieceId, name, doc: before, version }, doc, what, step, parentId: null, origin: 'computed' } as const;
      putSchedule(client, outbox, { ...planned, segments, snapshot: snapshot.value, result });
      return { ok: true, value: remarks };
    }
    return { ok: false, problem: CHANGING };
  }

  return {
    working,
    problem,
    async plan(step, on, place) {
      setWorking(true);
      setProblem(null);
      try {
        // What was refused before is decided first.
        if (outbox.isHeldBack(pieceQueue(pieceId))) return null;
        const outcome = await work(step, on, place);
        if (outcome.ok) return (await outbox.settled(pieceQueue(pieceId), { orSilent: true })) ? outcome.value : null;
        setProblem(outcome.problem);
      } catch (error) {
        setProblem(problemOfError(error));
      } finally {
        setWorking(false);
      }
      return null;
    },
  };
}

/** The piece with this firing: changed, or put at its place. */
export const withFiring = (doc: PieceDoc, step: Step, place?: number) => (firingOf(doc, step.id) ? changeStep(doc, step) : addStep(doc, step, place));
