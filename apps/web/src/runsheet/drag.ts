/**
 * A bead under a finger: it moves relative to where it was taken, in steps of 5 °C, and of 1 °C when the finger
 * is slow. Slow movement also counts for less, so that a degree can be hit on a small screen.
 */
export interface Drag {
  /** Unrounded value so far, °C. */
  exact_C: number;
  /** What is shown and simulated, °C. */
  value_C: number;
  x: number;
  t_ms: number;
}

export const COARSE_STEP_C = 5;
export const FINE_STEP_C = 1;
const SLOW_PX_PER_S = 45;
const SLOW_GAIN = 0.3;

export const dragFrom = (value_C: number, x: number, t_ms: number): Drag => ({ exact_C: value_C, value_C, x, t_ms });

/** perPixel is the axis's °C per px at a temperature; the value stays within least and most. */
export function dragTo(before: Drag, x: number, t_ms: number, perPixel: (celsius: number) => number, least_C: number, most_C: number): Drag {
  const elapsed_s = Math.max(t_ms - before.t_ms, 1) / 1000;
  const slow = Math.abs(x - before.x) / elapsed_s < SLOW_PX_PER_S;
  const moved = (x - before.x) * perPixel(before.exact_C) * (slow ? SLOW_GAIN : 1);
  const exact_C = Math.min(Math.max(before.exact_C + moved, least_C), most_C);
  const step = slow ? FINE_STEP_C : COARSE_STEP_C;
  const value_C = Math.min(Math.max(Math.round(exact_C / step) * step, Math.ceil(least_C)), Math.floor(most_C));
  return { exact_C, value_C: moved === 0 ? before.value_C : value_C, x, t_ms };
}
