/** A schedule in what a controller can count: rates and targets that it has. */
import type { Segment } from '../kiln/segment';
import { celsiusFrom, temperatureIn } from '../units/convert';
import { type Controller, type Profile, ROOM_IN, keyedRate, profileOf } from './profile';

/** Ways of each segment in degrees of the controller's unit. */
export function waysOf(segments: readonly Segment[], unit: Profile['unit']): number[] {
  return segments.map(({ target_C }, i) => temperatureIn(target_C, unit) - (i === 0 ? ROOM_IN(unit) : temperatureIn(segments[i - 1].target_C, unit)));
}

/** Whether a rate is slower than any that can be keyed for such a way. */
export const tooSlow = (profile: Profile, rate_C_per_h: number | null, way: number): boolean =>
  rate_C_per_h !== null && keyedRate(profile, rate_C_per_h, way).tooSlow;

/**
 * Each rate at the next slower one that the controller counts, each target at the nearest, the last at the colder. The same list where
 * all can be keyed as they are; what is slower than it counts stays so.
 */
export function counted<S extends Segment>(segments: S[], controller: Controller): S[] {
  const profile = profileOf(controller);
  const { unit, targetStep } = profile;
  const onStep = segments.map((segment, i): S => {
    const steps = temperatureIn(segment.target_C, unit) / targetStep;
    const round = i === segments.length - 1 ? Math.floor(steps + 1e-6) : Math.round(steps);
    // A degree is as fine as targets are chosen anyway.
    return targetStep === 1 || Math.abs(steps - round) < 1e-6 ? segment : { ...segment, target_C: celsiusFrom(targetStep * round, unit) };
  });
  const ways = waysOf(onStep, unit);
  const next = onStep.map((segment, i): S => {
    const { rate_C_per_h } = segment;
    if (rate_C_per_h === null || ways[i] === 0) return segment;
    const { meant_C_per_h, tooSlow: stays } = keyedRate(profile, rate_C_per_h, ways[i]);
    return stays || Math.abs(meant_C_per_h / rate_C_per_h - 1) < 1e-6 ? segment : { ...segment, rate_C_per_h: meant_C_per_h };
  });
  return next.some((segment, i) => segment !== segments[i]) ? next : segments;
}
