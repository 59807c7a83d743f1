/** How much of a piece's journey is done: from the step it gives on, nothing is yet. */
import type { JourneyStep } from '@torvin/core/piece';
import type { Piece } from '@torvin/schema';

export const doneUntil = (journey: readonly JourneyStep[], fired: Piece['fired']): number =>
  journey.findLastIndex((step) => (step.kind === 'fire' ? fired[step.id] !== undefined : step.kind !== 'lay' && step.doneAt !== undefined)) + 1;
