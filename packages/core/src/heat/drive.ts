/**
 * What passes between kiln path, conduction and watching in a step. It is handed over in the fields of one object, because
 * a number given as an argument, or returned, is allocated anew each time it crosses a function that is not inlined.
 */
export interface Drive {
  /** The step, s. */
  dt_s: number;
  /** Kiln temperature at its start and its end, °C. */
  from_C: number;
  to_C: number;
  /** Time at its end, s. */
  t_s: number;
  /** The longest it may be, the kiln's rate in it and its temperature after all of it. */
  longest_s: number;
  rate_K_per_s: number;
  end_C: number;
  /** What the kiln is asked for: a rate, K/s positive, towards a target; and the rate it can go at from at_C. */
  asked_K_per_s: number;
  target_C: number;
  at_C: number;
  kiln_K_per_s: number;
  /** Of a kiln's wall that stores heat, °C. */
  wall_C: number;
}

export const driveFrom = (kiln_C: number): Drive => ({
  dt_s: 0,
  from_C: kiln_C,
  to_C: kiln_C,
  t_s: 0,
  longest_s: 0,
  rate_K_per_s: 0,
  end_C: kiln_C,
  asked_K_per_s: 0,
  target_C: kiln_C,
  at_C: kiln_C,
  kiln_K_per_s: 0,
  wall_C: kiln_C,
});
