/** What each piece waits for, from its firings so far. */
import { PURPOSES } from '@torvin/core';
import type { Bench, Piece, Step } from '@torvin/schema';

export interface Waits {
  piece: Piece;
  /** The firing that is next; null where none is planned yet. */
  step: Step | null;
  for: string;
}

/** Pieces with something to come, the most lately changed first. What stands in the kiln waits for nothing here. */
export function waitingPieces(pieces: readonly Piece[], fired: Bench['fired']): Waits[] {
  return pieces.flatMap((piece): Waits[] => {
    const { steps } = piece.doc;
    if (steps.length === 0) return [{ piece, step: null, for: 'a firing to be chosen' }];
    const last = (step: Step) => fired.find(({ stepId }) => stepId === step.id);
    if (steps.some((step) => last(step)?.result === null)) return [];
    const step = steps.find((one) => last(one)?.result !== 'right');
    if (!step) return [];
    const name = PURPOSES[step.look].name.toLowerCase();
    const before = last(step);
    if (before?.result === 'past') return [{ piece, step, for: `a decision: its ${name} went past` }];
    if (before?.result === 'short') return [{ piece, step, for: `another ${name}: the last fell short` }];
    return [{ piece, step, for: step.scheduleId === null ? `the schedule of its ${name}` : `the kiln, for its ${name}` }];
  });
}
