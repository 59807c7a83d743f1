/**
 * What must go slower than a controller counts is keyed as steps: down (or up) a few degrees at the slowest rate that it has, then a
 * hold, so that on the whole it goes as slowly as it must; one that is keyed by minutes goes its way in parts, each as long as it
 * counts. The more segments are free, the smaller the steps.
 */
import { tooSlow, waysOf } from '../controller/counted';
import { keyIn } from '../controller/keyIn';
import { type Controller, type Profile, profileOf, rateFigure, slowestKeyed } from '../controller/profile';
import type { PurposefulSegment } from '../kiln/segment';
import { type Units, celsiusFrom, differenceIn, temperatureIn } from '../units/convert';
import { formatDifference, text } from '../units/format';

/** The same segments where all can be keyed, or where no segment is free. */
export function stepped(
  segments: PurposefulSegment[],
  controller: Controller,
  unit: Units['temperature'],
): { segments: PurposefulSegment[]; remarks: string[] } {
  const profile = profileOf(controller);
  const ways = waysOf(segments, profile.unit);
  const isSlow = ({ rate_C_per_h }: PurposefulSegment, i: number): boolean => i > 0 && tooSlow(profile, rate_C_per_h, ways[i]);
  const slow = segments.filter(isSlow).length;
  const free = profile.mostSegments - keyIn(segments, controller).rows.length;
  if (slow === 0 || free < slow) return { segments, remarks: [] };
  const each = 1 + Math.floor(free / slow);
  const remarks: string[] = [];
  const next = segments.flatMap((segment, i) => {
    if (!isSlow(segment, i)) return [segment];
    const steps = inSteps(profile, segment, segments[i - 1].target_C, ways[i], each);
    if (steps.length > each) return [segment];
    const size = text(formatDifference(Math.abs(steps[0].target_C - segments[i - 1].target_C), unit));
    remarks.push(`Segment ${i + 1} is slower than this controller counts: keyed as ${steps.length} steps of about ${size}${HELD[profile.rateAs]}.`);
    return steps;
  });
  return { segments: next, remarks };
}

const HELD: Record<Profile['rateAs'], string> = { perHour: ' with holds between', perMinute: ' with holds between', minutes: ', one after the other' };

function inSteps(profile: Profile, segment: PurposefulSegment, from_C: number, whole: number, most: number): PurposefulSegment[] {
  const { unit, targetStep, rateAs, mostRate } = profile;
  const [from, to] = [from_C, segment.target_C].map((at_C) => Math.round(temperatureIn(at_C, unit) / targetStep));
  const asked_C_per_h = segment.rate_C_per_h ?? slowestKeyed(profile, whole);
  const parts = rateAs === 'minutes' ? Math.ceil(rateFigure(profile, asked_C_per_h, whole) / mostRate) : Math.min(most, Math.abs(to - from));
  const count = Math.max(1, parts);
  const targets = Array.from({ length: count }, (_, k) => targetStep * Math.round(from + ((k + 1) * (to - from)) / count));
  return targets.map((target, k) => {
    const way = Math.abs(target - (targets[k - 1] ?? targetStep * from));
    const slowest_C_per_h = rateAs === 'minutes' ? asked_C_per_h : slowestKeyed(profile, way);
    const [asked, slowest] = [asked_C_per_h, slowest_C_per_h].map((rate) => differenceIn(rate, unit));
    const waits_s = 60 * Math.ceil(60 * (way / asked - way / slowest) - 1e-6);
    const last = k === count - 1;
    return {
      ...segment,
      rate_C_per_h: slowest_C_per_h,
      target_C: last ? segment.target_C : celsiusFrom(target, unit),
      hold_s: waits_s + (last ? segment.hold_s : 0),
    };
  });
}
