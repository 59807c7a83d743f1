/** Makes the schedule of a load that of each of its pieces: a version of its own, judged by its own simulation. */
import type { Answered } from '@torvin/core/engine';
import type { Problem } from '@torvin/core/problem';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { pieceQueue } from '@/outbox/kinds';
import { useOutbox } from '@/outbox/useOutbox';
import { problemOfError } from '@/outside/client';
import { putSchedule } from '@/planner/putSchedule';
import type { LoadCase } from './useLoadCases';

export function useLoadSchedule() {
  const client = useQueryClient();
  const outbox = useOutbox();
  const [saving, setSaving] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);

  /** True once all are kept, or wait for a server that is silent. */
  async function keep(cases: readonly LoadCase[], { segments, entries }: Answered<'load'>): Promise<boolean> {
    // What was refused before is decided first, on the page of its piece.
    const held = cases.find(({ piece }) => outbox.isHeldBack(pieceQueue(piece.id)));
    if (held) {
      setProblem({ code: 'held-back', path: '', message: `A change of ${held.piece.name} was refused and waits for your word on its own page.` });
      return false;
    }
    setSaving(true);
    setProblem(null);
    try {
      cases.forEach(({ piece, step, snapshot }, i) => {
        const { evaluation } = entries[i];
        const version = { on: piece, doc: piece.doc, what: '', step, parentId: step.scheduleId, origin: 'edited' } as const;
        putSchedule(client, outbox, { ...version, segments, snapshot, result: evaluation });
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
