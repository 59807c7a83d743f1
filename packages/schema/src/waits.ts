/** What a piece waits for, from its firings so far: kept with the piece, so that a list of what waits need not look at all there ever was. */
import type { FiringResult, Step } from './documents';

/** choice: a firing to be planned; schedule: one to be computed; kiln: its turn; again: the last fell short; decision: it went past. */
export const WAITS = ['choice', 'schedule', 'kiln', 'again', 'decision'] as const;
export type Waits = (typeof WAITS)[number];

export interface Waiting {
  for: Waits;
  /** The firing that is next; null where none is planned yet. */
  stepId: string | null;
}

/** lastOf: the result of a step's last firing; null while that stands unopened, undefined where it was never fired. What stands in the kiln waits for nothing here. */
export function waitingOf(steps: readonly Pick<Step, 'id' | 'scheduleId'>[], lastOf: (stepId: string) => FiringResult | null | undefined): Waiting | null {
  if (steps.length === 0) return { for: 'choice', stepId: null };
  if (steps.some(({ id }) => lastOf(id) === null)) return null;
  const step = steps.find(({ id }) => lastOf(id) !== 'right');
  if (!step) return null;
  const last = lastOf(step.id);
  const waits = last === 'past' ? 'decision' : last === 'short' ? 'again' : step.scheduleId === null ? 'schedule' : 'kiln';
  return { for: waits, stepId: step.id };
}
