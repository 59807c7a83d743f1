/**
 * How the kiln's temperature goes: the asked rate where the kiln can follow it, its own best where it cannot.
 * The controller waits at each joint until the kiln is there, as controllers do, so a slow kiln lengthens the
 * firing. Without kiln constants the kiln is ideal and follows any rate that is not null.
 */
import { type KilnConstants, fullPowerHeating, naturalCooling } from '../kiln/kiln';

/** Steps of the kiln curve: short enough that exchange, viscosity and tension are smooth over one. */
export const LARGEST_STEP_S = 30;
export const LARGEST_STEP_K = 1;

/** Below this the kiln is not getting anywhere, K/s (0.1 K/h). */
export const STALLED_K_PER_S = 0.1 / 3600;

/** The rate, K/s positive, at which the kiln really goes towards target_C; never negative. */
export function kilnRate(kiln: KilnConstants | undefined, at_C: number, target_C: number, asked_K_per_s: number): number {
  if (!kiln) return asked_K_per_s;
  const best = target_C > at_C ? fullPowerHeating(kiln, at_C) : naturalCooling(kiln, at_C);
  return Math.max(0, Math.min(asked_K_per_s, best));
}
