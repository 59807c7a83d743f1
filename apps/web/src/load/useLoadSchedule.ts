/** Makes the schedule of a load that of each of its pieces: a version of its own, judged by its own simulation. */
import type { Answered } from '@torvin/core/engine';
import { type HeldPlace, changeStep, snapshotOf } from '@torvin/core/piece';
import { type Problem, valueOf } from '@torvin/core/problem';
import type { Shelves, Step } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { pieceQueue } from '@/outbox/kinds';
import { useOutbox } from '@/outbox/useOutbox';
import { problemOfError } from '@/outside/client';
import { putSchedule } from '@/planner/putSchedule';
import { shelvesOf } from './useArranged';
import type { LoadCase } from './useLoadCases';
import { LOAD } from './words';

export function useLoadSchedule() {
  const client = useQueryClient();
  const outbox = useOutbox();
  const [saving, setSaving] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);

  /** True once all are kept, or wait for a server that is silent. */
  async function keep(
    cases: readonly LoadCase[],
    { segments, entries, load_J_K }: Answered<'load'>,
    places: Answered<'arrange'> | null,
    shelves: Shelves,
  ): Promise<boolean> {
    // What was refused before is decided first, on the page of its piece.
    const held = cases.find(({ piece }) => outbox.isHeldBack(pieceQueue(piece.id)));
    if (held) {
      setProblem({ code: 'held-back', path: '', message: `A change of ${held.piece.name} was refused and waits for your word on its own page.` });
      return false;
    }
    setSaving(true);
    setProblem(null);
    try {
      cases.forEach(({ piece, step: before, snapshot: inMiddle, seen }, i) => {
        const { evaluation } = entries[i];
        const step = putAt(before, places, i, load_J_K);
        const { doc } = valueOf(changeStep(piece.doc, step));
        const there = snapshotOf(doc, step, { ...shelves, seen });
        const version = { on: piece, doc, what: LOAD.placed, step, parentId: step.scheduleId, origin: 'edited' } as const;
        putSchedule(client, outbox, { ...version, segments, snapshot: there.ok ? there.value : inMiddle, result: evaluation });
      });
      const settled = await Promise.all(cases.map(({ piece }) => outbox.settled(pieceQueue(piece.id), { orSilent: true })));
      return settled.every(Boolean);
    } catch (error) {
      setProblem(problemOfError(error));
      return false;
    } finally {
      setSaving(false);
    }
  }
  return { keep, saving, problem };
}

/** Finer than what has to be free is measured. */
const PER_METRE = 1e6;

/** With its place, as the map shows it; what found none keeps none. */
function putAt({ place: _before, ...step }: Step, places: Answered<'arrange'> | null, item: number, load_J_K: number): Step {
  const own = places?.placed.find((one) => one.item === item);
  if (!places || !own) return step;
  const [x_m, y_m] = [own.x_m, own.y_m].map((metres) => Math.round(metres * PER_METRE) / PER_METRE);
  const place: HeldPlace = { kilnId: step.kilnId, x_m, y_m, shelf: own.shelf, shelves: shelvesOf(places.placed), turned: own.turned };
  if (load_J_K > 0) place.load_J_K = Math.round(load_J_K);
  return { ...step, place };
}
