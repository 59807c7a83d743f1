/**
 * Two thermocouples at the glass: their difference over the anneal range is ΔT = a(1 − e^(−t/τ)) + b·dT/dt. A large a is a
 * set-up that is lopsided and grows so with waiting: mend it. A large b is thickness or speed: slow down to limit/b.
 */
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { type Outcome, found, refused } from '../problem';

export interface SpreadReading {
  t_s: number;
  first_C: number;
  second_C: number;
}

export interface SpreadFit {
  /** Steady difference, first less second, K. */
  lopsided_K: number;
  settles_s: number;
  /** Difference per rate, s: what acrossLag or the through lag really is between these two places. */
  lag_s: number;
  misfit_K: number;
  /** Fastest rate that keeps the moving part under the limit, °C/h; null where the lag is not told from nothing. */
  rateWithin_C_per_h: number | null;
  advice: 'mend-the-set-up' | 'slow-down' | 'even';
}

const LEAST_READINGS = 8;

export function fitSpread(readings: readonly SpreadReading[], limit_K: number): Outcome<SpreadFit> {
  if (readings.length < LEAST_READINGS) return refused('too-few', 'readings', `At least ${LEAST_READINGS} readings are needed; got ${readings.length}.`);
  const start = readings[0].t_s;
  const length = readings[readings.length - 1].t_s - start;
  const rate = readings.map((_, i) => {
    const [before, after] = [readings[Math.max(0, i - 1)], readings[Math.min(readings.length - 1, i + 1)]];
    return (after.first_C + after.second_C - before.first_C - before.second_C) / 2 / (after.t_s - before.t_s);
  });
  const difference = readings.map(({ first_C, second_C }) => first_C - second_C);
  const scale_s = length / 4;
  const model =
    ([a, tau, b]: number[]) =>
    (i: number): number =>
      a * (1 - Math.exp(-(readings[i].t_s - start) / (tau * scale_s))) + b * 3600 * rate[i];
  const { parameterValues } = levenbergMarquardt({ x: readings.map((_, i) => i), y: difference }, model, {
    initialValues: [difference[difference.length - 1], 0.5, 0.01],
    minValues: [-200, 0.02, -5],
    maxValues: [200, 20, 5],
    gradientDifference: 1e-4,
    centralDifference: true,
    maxIterations: 300,
  });
  const [a, tau, b] = parameterValues;
  const misfit_K = Math.sqrt(difference.reduce((sum, one, i) => sum + (model(parameterValues)(i) - one) ** 2, 0) / difference.length);
  if (![a, tau, b].every(Number.isFinite))
    return refused('no-fit', 'readings', 'The differences follow no such law; check that both thermocouples sat at the glass.');
  const moving = Math.max(...rate.map((one) => Math.abs(b * 3600 * one)));
  return found({
    lopsided_K: a,
    settles_s: tau * scale_s,
    lag_s: b * 3600,
    misfit_K,
    rateWithin_C_per_h: Math.abs(b) > 1e-6 ? limit_K / Math.abs(b) : null,
    advice: Math.abs(a) > limit_K && Math.abs(a) >= moving ? 'mend-the-set-up' : moving > limit_K ? 'slow-down' : 'even',
  });
}
