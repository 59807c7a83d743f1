/**
 * A controller counts in whole degrees an hour. What must go slower is keyed as steps: down (or up) a few degrees at the slowest rate
 * that it has, then a hold, so that on the whole it goes as slowly as it must. The more segments are free, the smaller the steps.
 */
import { keyIn } from '../controller/keyIn';
import type { Controller } from '../controller/profile';
import type { PurposefulSegment } from '../kiln/segment';
import { type Units, celsiusFrom, differenceIn, kelvinFrom, temperatureIn } from '../units/convert';
import { formatDifference, text } from '../units/format';

/** Slowest rate that can be keyed, degrees of the controller's unit an hour. */
const SLOWEST = 1;

/** The same segments where all can be keyed, or where no segment is free. */
export function stepped(
  segments: PurposefulSegment[],
  controller: Controller,
  unit: Units['temperature'],
): { segments: PurposefulSegment[]; remarks: string[] } {
  const slow = segments.filter(({ rate_C_per_h }) => tooSlow(rate_C_per_h, controller));
  const free = controller.mostSegments - keyIn(segments, controller).rows.length;
  if (slow.length === 0 || free < slow.length) return { segments, remarks: [] };
  const each = 1 + Math.floor(free / slow.length);
  const remarks: string[] = [];
  const next = segments.flatMap((segment, i) => {
    if (i === 0 || !tooSlow(segment.rate_C_per_h, controller)) return [segment];
    const steps = inSteps(segment, segments[i - 1].target_C, each, controller);
    const size = text(formatDifference(Math.abs(steps[0].target_C - segments[i - 1].target_C), unit));
    remarks.push(`Segment ${i + 1} is slower than this controller counts: keyed as ${steps.length} steps of about ${size} with holds between.`);
    return steps;
  });
  return { segments: next, remarks };
}

const tooSlow = (rate_C_per_h: number | null, { unit }: Controller): boolean =>
  rate_C_per_h !== null && differenceIn(rate_C_per_h, unit) < SLOWEST * (1 - 1e-6);

function inSteps(segment: PurposefulSegment, from_C: number, most: number, { unit }: Controller): PurposefulSegment[] {
  const [from, to] = [from_C, segment.target_C].map((at_C) => Math.round(temperatureIn(at_C, unit)));
  const count = Math.max(1, Math.min(most, Math.abs(to - from)));
  const asked = differenceIn(segment.rate_C_per_h ?? SLOWEST, unit);
  const targets = Array.from({ length: count }, (_, k) => Math.round(from + ((k + 1) * (to - from)) / count));
  return targets.map((target, k) => {
    const way = Math.abs(target - (targets[k - 1] ?? from));
    const waits_s = 60 * Math.ceil(60 * (way / asked - way / SLOWEST));
    const last = k === count - 1;
    return {
      ...segment,
      rate_C_per_h: kelvinFrom(SLOWEST, unit),
      target_C: last ? segment.target_C : celsiusFrom(target, unit),
      hold_s: waits_s + (last ? segment.hold_s : 0),
    };
  });
}
