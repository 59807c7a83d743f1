/** Steps of the hands that a firing takes to be done although nobody said so. */
import type { BenchStep, JourneyStep } from './document';
import { stepName } from './stepWords';

/** What lies there was laid: that needs no telling. */
const needsTelling = (step: JourneyStep): step is BenchStep => step.kind !== 'fire' && step.kind !== 'lay' && step.doneAt === undefined;

/** Before a firing, since the last one before it that was fired; in their order. */
export function untoldBefore(journey: readonly JourneyStep[], stepId: string, wasFired: (stepId: string) => boolean): BenchStep[] {
  const at = journey.findIndex(({ id }) => id === stepId);
  if (at < 0) return [];
  const from = journey.slice(0, at).findLastIndex(({ kind, id }) => kind === 'fire' && wasFired(id));
  return journey.slice(from + 1, at).filter(needsTelling);
}

/** 'Not told as done: 2 Grind, 3 Turn over.'; nothing where none is. */
export const untoldWords = (journey: readonly JourneyStep[], steps: readonly BenchStep[]): string =>
  steps.length === 0 ? '' : `Not told as done: ${steps.map((step) => `${journey.indexOf(step) + 1} ${stepName(step)}`).join(', ')}.`;
