/** The lay-up of an open piece: shown at once as it is edited, saved by the outbox. Several presses of one stepper are one change. */
import type { Edited } from '@torvin/core/piece';
import type { Outcome, Problem } from '@torvin/core/problem';
import type { Piece, PieceDoc } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useUndoing } from '@/data/useUndoing';
import { pieceQueue } from '@/outbox/kinds';
import { isSame } from '@/outbox/merge';
import { putPiece } from '@/outbox/shown';
import { type QueueState, useOutbox, useShownQueue } from '@/outbox/useOutbox';

export interface Layup {
  name: string;
  doc: PieceDoc;
  /** What is to be saved of the piece, and what was refused. */
  queue: QueueState<Piece>;
  /** Why the last edit or step back cannot be. */
  problem: Problem | null;
  undo: string | null;
  redo: string | null;
  /** Shows an edit and saves it; a refused one is said. key: further edits of the same key join it while it rests; name: a new one. */
  edit(outcome: Outcome<Edited>, key?: string, name?: string): void;
  goBack(): void;
  goForth(): void;
}

const REST_MS = 400;

/** piece: as it is shown, with what is not saved yet. */
export function useLayup(piece: Piece): Layup {
  const client = useQueryClient();
  const outbox = useOutbox();
  const queue = useShownQueue<Piece>(pieceQueue(piece.id));
  const [problem, setProblem] = useState<Problem | null>(null);
  const undoing = useUndoing(piece.id, setProblem);
  const { id, name, doc, version, undo, redo } = piece;
  return {
    name,
    doc,
    queue,
    problem,
    undo,
    redo,
    edit(outcome, key = uuid(), newName = name) {
      if (!outcome.ok) return setProblem(outcome.problem);
      setProblem(null);
      // A step that leads nowhere, as from a glass's only size to the next, is no edit to take back.
      if (newName === name && isSame(outcome.value.doc, doc)) return;
      const change = { id, name: newName, ...outcome.value, before: { name, doc } };
      putPiece(client, outbox, change, { on: version, rest: { key, for_ms: REST_MS } });
    },
    ...undoing,
  };
}
