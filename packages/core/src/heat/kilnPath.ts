/**
 * How the kiln's temperature goes: the asked rate where the kiln can follow it, its own best where it cannot.
 * The controller waits at each joint until the kiln is there, as controllers do, so a slow kiln lengthens the
 * firing. Without kiln constants the kiln is ideal and follows any rate that is not null.
 */
import { type KilnConstants, fullPowerHeating, naturalCooling } from '../kiln/kiln';
import type { Drive } from './drive';

/** The longest step and the most that the kiln may change in it, s and K. */
export interface StepCaps {
  step_s: number;
  step_K: number;
}

/** The reference: so short that exchange, viscosity and tension are smooth over a step, whatever happens. */
export const FIXED_STEPS: StepCaps = { step_s: 30, step_K: 1 };
/** Under error control: as long as the integrals of fluidity and stress still resolve the ramp. */
export const CONTROLLED_STEPS: StepCaps = { step_s: 240, step_K: 2.5 };
/** Deep glass changes slowly: from some 40 mm on its steps may be as long as this share of L²/κ. */
const STEP_OF_DIFFUSION = 1 / 16;

/** The caps of controlled steps for glass of a depth, m, and a diffusivity, m²/s. */
export const controlledSteps = (depth_m: number, diffusivity_m2_s: number): StepCaps => ({
  ...CONTROLLED_STEPS,
  step_s: Math.max(CONTROLLED_STEPS.step_s, (STEP_OF_DIFFUSION * depth_m ** 2) / diffusivity_m2_s),
});
/** A controlled step's own error, K; the figures then differ from the reference's by less than half a percent. */
export const STEP_TOLERANCE_K = 0.02;
export const SHORTEST_STEP_S = 1;

/** Below this the kiln is not getting anywhere, K/s (0.01 K/h): slower than any rate that can be asked for. */
export const STALLED_K_PER_S = 0.01 / 3600;

/** Sets the rate at which the kiln really goes from where the drive asks towards its target, K/s positive; never negative. */
export function findKilnRate(kiln: KilnConstants | undefined, drive: Drive): void {
  if (!kiln) {
    drive.kiln_K_per_s = drive.asked_K_per_s;
    return;
  }
  const best = drive.target_C > drive.at_C ? fullPowerHeating(kiln, drive.at_C, drive.wall_C) : naturalCooling(kiln, drive.at_C, drive.wall_C);
  drive.kiln_K_per_s = Math.max(0, Math.min(drive.asked_K_per_s, best));
}
