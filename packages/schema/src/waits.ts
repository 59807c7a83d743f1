/** What a piece waits for, from its firings so far: kept with the piece, so that a list of what waits need not look at all there ever was. */
import type { JourneyStep } from '@torvin/core/piece';
import type { FiringResult } from './result';

/** choice: a firing to be planned; schedule: one to be computed; kiln: its turn; again: the last fell short; decision: it went past; hand: a step at the bench. */
export const WAITS = ['choice', 'schedule', 'kiln', 'again', 'decision', 'hand'] as const;
export type Waits = (typeof WAITS)[number];

export interface Waiting {
  for: Waits;
  /** The step that is next; null where no firing is planned yet. */
  stepId: string | null;
}

/** The result of a firing's last turn; null while that stands unopened, undefined where it was never fired. */
type LastOf = (stepId: string) => FiringResult | null | undefined;

/** A firing that was not right is done with once the piece has gone on: it was fired or worked on since, or the same is planned once more. */
function isGoneOnFrom(journey: readonly JourneyStep[], index: number, lastOf: LastOf): boolean {
  const step = journey[index];
  if (step.kind !== 'fire' || lastOf(step.id) == null) return false;
  return journey
    .slice(index + 1)
    .some((later) => (later.kind === 'fire' ? lastOf(later.id) !== undefined || later.look === step.look : later.doneAt !== undefined));
}

/** A step of the hands is done when that was told, when a later one is, and where it only lays up what no firing has met yet. */
function isDone(journey: readonly JourneyStep[], index: number, lastOf: LastOf): boolean {
  const step = journey[index];
  if (step.kind === 'fire') return lastOf(step.id) === 'right' || isGoneOnFrom(journey, index, lastOf);
  if (step.doneAt !== undefined) return true;
  if (step.kind === 'lay' && journey.slice(0, index).every(({ kind }) => kind === 'lay')) return true;
  return journey.slice(index + 1).some((later) => (later.kind === 'fire' ? lastOf(later.id) !== undefined : later.doneAt !== undefined));
}

/** The step that is next: a firing that is not right yet, or a step of the hands that is not done; null at the end of the journey. */
export const nextStep = (journey: readonly JourneyStep[], lastOf: LastOf): JourneyStep | null =>
  journey.find((_, index) => !isDone(journey, index, lastOf)) ?? null;

/** What stands in the kiln waits for nothing here. */
export function waitingOf(journey: readonly JourneyStep[], lastOf: LastOf): Waiting | null {
  if (!journey.some(({ kind }) => kind === 'fire')) return { for: 'choice', stepId: null };
  if (journey.some(({ kind, id }) => kind === 'fire' && lastOf(id) === null)) return null;
  const step = nextStep(journey, lastOf);
  if (!step) return null;
  if (step.kind !== 'fire') return { for: 'hand', stepId: step.id };
  const last = lastOf(step.id);
  const waits = last === 'past' ? 'decision' : last === 'short' ? 'again' : step.scheduleId === null ? 'schedule' : 'kiln';
  return { for: waits, stepId: step.id };
}
