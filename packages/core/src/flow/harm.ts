/** Time that harms: haze grows in a range, a metal coating lifts while its glass is soft and not yet held. */
import type { GlassConstants } from '../glass/constants';
import { decay } from '../numerics/decay';
import { stateBegins } from '../glass/states';
import { temperatureAt, viscosityOf } from '../glass/viscosity';

/** Where haze grows fastest when the record does not say, log10 η, and how wide the bell is. */
const HAZE_LOG_ETA = 5.84;
const HAZE_HALF_WIDTH_K = 45;
/** A coating lifts from where stress relaxes to where its glass sticks. */
const COATING_FROM_LOG_ETA = 13.5;

export interface HazeBell {
  middle_C: number;
  halfWidth_K: number;
}

/** The range in which a glass hazes: its own where the record says. */
export const hazeBell = (glass: GlassConstants): HazeBell =>
  glass.haze ?? { middle_C: temperatureAt(viscosityOf(glass), HAZE_LOG_ETA), halfWidth_K: HAZE_HALF_WIDTH_K };

/** Weight of a second at a temperature in haze exposure: a bell of height 1. */
export const hazeWeight = ({ middle_C, halfWidth_K }: HazeBell, temperature_C: number): number => decay(0.5 * ((temperature_C - middle_C) / halfWidth_K) ** 2);

/** The range, °C, in which a coating can lift. */
export function coatingRange(glass: GlassConstants): { from_C: number; to_C: number } {
  return { from_C: temperatureAt(viscosityOf(glass), COATING_FROM_LOG_ETA), to_C: stateBegins(glass, 'sticks') };
}
