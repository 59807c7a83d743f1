/** Puts a firing on the piece, composes its schedule in the worker, saves the version. */
import { type Outcome, type Problem, addStep, changeStep, impossibleFiring } from '@torvin/core';
import { type Piece, type PieceDoc, type Shelves, type Step, snapshotOf } from '@torvin/schema';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { problemOfError } from '@/data/client';
import { useSavePiece, useSaveSchedule } from '@/data/pieces';
import { useUnits } from '@/data/studio';
import { compute } from '@/engine/client';
import { staleCurrent } from './stale';

export interface PlanFiring {
  /** Resolves with what was said about it, or null where nothing came of it. */
  plan(step: Step, on: Piece): Promise<string[] | null>;
  working: boolean;
  problem: Problem | null;
  /** The piece as someone else saved it meanwhile. */
  elsewhere: Piece | null;
  forget(): void;
}

export function usePlanFiring(pieceId: string, shelves: Shelves): PlanFiring {
  const units = useUnits();
  const savePiece = useSavePiece(pieceId);
  const saveSchedule = useSaveSchedule(pieceId);
  const [working, setWorking] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [elsewhere, setElsewhere] = useState<Piece | null>(null);

  async function work(step: Step, on: Piece): Promise<Outcome<string[]>> {
    const edited = withStep(on.doc, step);
    if (!edited.ok) return edited;
    const { doc, what } = edited.value;
    const snapshot = snapshotOf(doc, step, shelves);
    if (!snapshot.ok) return snapshot;
    const impossible = impossibleFiring(snapshot.value.firing, units.length);
    if (impossible) return { ok: false, problem: impossible };
    const composed = await compute('compose', { ...snapshot.value.firing, units });
    if (!composed.ok) return composed;
    const known = on.doc.steps.find(({ id }) => id === step.id);
    const saved =
      JSON.stringify(known) === JSON.stringify(step)
        ? on
        : await savePiece.mutateAsync({ id: pieceId, body: { name: on.name, doc, what, version: on.version } });
    const { segments, remarks } = composed.value;
    await saveSchedule.mutateAsync({
      id: pieceId,
      body: { id: uuid(), stepId: step.id, parentId: null, origin: 'computed', segments, pieceVersion: saved.version },
    });
    return { ok: true, value: remarks };
  }

  return {
    working,
    problem,
    elsewhere,
    forget() {
      setProblem(null);
      setElsewhere(null);
    },
    async plan(step, on) {
      setWorking(true);
      setProblem(null);
      setElsewhere(null);
      try {
        const outcome = await work(step, on);
        if (outcome.ok) return outcome.value;
        setProblem(outcome.problem);
      } catch (error) {
        const current = staleCurrent(error);
        if (current) setElsewhere(current);
        else setProblem(problemOfError(error));
      } finally {
        setWorking(false);
      }
      return null;
    },
  };
}

const withStep = (doc: PieceDoc, step: Step) => (doc.steps.some(({ id }) => id === step.id) ? changeStep(doc, step) : addStep(doc, step));
