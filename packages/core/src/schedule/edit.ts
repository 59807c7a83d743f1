/** What a hand does to a schedule's rows: add, split, join, take away. Rows in, new rows out. */
import { type Outcome, found, refused } from '../problem';
import type { PurposefulSegment } from '../kiln/segment';

const ADDED_HOLD_S = 600;

const midway = (from_C: number, to_C: number): number => Math.round((from_C + to_C) / 2);

const missing = (index: number) => refused('unknown-segment', 'segments', `There is no segment ${index + 1}.`);

/** Puts a short stop on the way from a segment to the next one, or at the last target after the last. */
export function addSegment(segments: readonly PurposefulSegment[], after: number): Outcome<PurposefulSegment[]> {
  const here = segments[after];
  if (!here) return missing(after);
  const next = segments[after + 1] ?? here;
  const target_C = midway(here.target_C, next.target_C);
  return found(segments.toSpliced(after + 1, 0, { ...next, target_C, hold_s: ADDED_HOLD_S }));
}

/** Cuts a segment's way in two at its middle temperature; start_C is where the first one begins. */
export function splitSegment(segments: readonly PurposefulSegment[], index: number, start_C: number): Outcome<PurposefulSegment[]> {
  const whole = segments[index];
  if (!whole) return missing(index);
  const from_C = index === 0 ? start_C : segments[index - 1].target_C;
  const target_C = midway(from_C, whole.target_C);
  if (Math.abs(whole.target_C - from_C) < 2)
    return refused('no-way', 'segments', 'This segment goes nowhere, so there is nothing to split; lengthen its hold instead.');
  return found(segments.toSpliced(index, 0, { ...whole, target_C, hold_s: 0 }));
}

/** Makes one of a segment and the next: straight to the next one's target, at the slower rate, with its hold. */
export function joinSegments(segments: readonly PurposefulSegment[], index: number): Outcome<PurposefulSegment[]> {
  const [one, next] = [segments[index], segments[index + 1]];
  if (!one) return missing(index);
  if (!next) return refused('no-next', 'segments', 'The last segment has nothing after it to join with.');
  const rates = [one.rate_C_per_h, next.rate_C_per_h].filter((rate) => rate !== null);
  return found(segments.toSpliced(index, 2, { ...next, rate_C_per_h: rates.length > 0 ? Math.min(...rates) : null }));
}

export function removeSegment(segments: readonly PurposefulSegment[], index: number): Outcome<PurposefulSegment[]> {
  if (!segments[index]) return missing(index);
  if (segments.length === 1) return refused('too-few', 'segments', 'A schedule needs at least one segment.');
  return found(segments.toSpliced(index, 1));
}
