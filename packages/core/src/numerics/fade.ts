/** How an exponential fades over a step of x times its time constant. */
import { DECAY_END, decayWithin } from './decay';

/** Below this the series is exact to 1e-11 and saves the exponential. */
export const SERIES_BELOW = 0.02;

const lostOnMeanOfLittle = (x: number): number => x * (1 / 2 - x * (1 / 6 - x * (1 / 24 - x * (1 / 120))));

/** What it has lost at the end, 1 − e^(−x). */
export function lostBy(x: number): number {
  if (x < SERIES_BELOW) return x - x * lostOnMeanOfLittle(x);
  return x > DECAY_END ? 1 : 1 - decayWithin(x);
}

/** What it has lost on the mean of the step, 1 − (1 − e^(−x))/x, given what it has lost at the end. perX: 1/x, which whoever has many of them gets without a division. */
export const lostOnMean = (x: number, lost: number, perX: number): number => (x < SERIES_BELOW ? lostOnMeanOfLittle(x) : 1 - lost * perX);
