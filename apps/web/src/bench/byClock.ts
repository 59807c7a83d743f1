/** Where a firing stands by the clock, from its simulation: pure arithmetic on joints and series. */
import type { Series } from '@torvin/core/heat';

export interface Standing {
  /** Index of the segment that runs now; null once it is over. */
  segment: number | null;
  holding: boolean;
  /** Seconds since the start at which this segment ends. */
  ends_s: number;
  /** By the model, now. */
  kiln_C: number;
  core_C: number;
  over: boolean;
}

/** The first sample at or after a time; the last one where all are earlier. */
function sampleAt({ t_s }: Series, seconds: number): number {
  let [low, high] = [0, t_s.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (t_s[middle] < seconds) low = middle + 1;
    else high = middle;
  }
  return low;
}

export function standingAt(series: Series, seconds: number): Standing {
  const last = series.t_s.length - 1;
  const at = sampleAt(series, Math.max(seconds, 0));
  const over = seconds >= series.t_s[last];
  const found = series.joints.findIndex(({ holdEnd }) => series.t_s[holdEnd] > seconds);
  const segment = over || found < 0 ? null : found;
  const joint = series.joints[segment ?? series.joints.length - 1];
  return {
    segment,
    holding: segment !== null && series.t_s[joint.rampEnd] <= seconds,
    ends_s: series.t_s[joint.holdEnd],
    kiln_C: series.kiln_C[at],
    core_C: series.core_C[at],
    over,
  };
}
