/**
 * Pyrometric cones tell what heat has done to clay, temperature and time together. Typical of large cones: where each bends when the
 * last hours climb at 60 °C/h. Another rate, or a hold, does as much at another temperature: work is ∫exp(−Θ/T)dt, T in kelvin,
 * with one Θ for all, by which the published figures for 15 and 150 °C/h come within 10 °C. The maker's own chart stands above it.
 */
import { KELVIN_AT_0_C } from '../units/physical';

const BENDS_C = { '010': 903, '09': 920, '08': 942, '07': 976, '06': 998, '05': 1031, '04': 1063, '03': 1086, '02': 1102, '01': 1119, '1': 1137 } as const;
export type Cone = keyof typeof BENDS_C;
/** From the coolest up. Keys that are whole numbers come first in an object: sorted by their heat instead. */
export const CONES = (Object.keys(BENDS_C) as Cone[]).sort((a, b) => BENDS_C[a] - BENDS_C[b]) as [Cone, ...Cone[]];

/** Where a cone bends at CONE_RATE_C_PER_H, °C. */
export const coneBends = (cone: Cone): number => BENDS_C[cone];
export const CONE_RATE_C_PER_H = 60;
/** Activation over the gas constant, K. */
const THETA_K = 120_000;

/** Natural logarithm of the work per second at a temperature. */
const logPace = (at_C: number, theta_K: number): number => -theta_K / (at_C + KELVIN_AT_0_C);

/** ln ∫exp(−Θ/T)dt of a steady climb from far below that ends at at_C, to the third order in T/Θ. */
export function logWorkOfClimb(at_C: number, rate_C_per_h: number, theta_K = THETA_K): number {
  const kelvin = at_C + KELVIN_AT_0_C;
  const share = kelvin / theta_K;
  return logPace(at_C, theta_K) + Math.log((3600 / rate_C_per_h) * kelvin * share * (1 - 2 * share + 6 * share ** 2));
}

/** Work of what went linearly from one temperature to the other in dt_s: its pace goes as an exponential between the two. */
function workBetween(from_C: number, to_C: number, dt_s: number, theta_K: number): number {
  const [first, last] = [logPace(from_C, theta_K), logPace(to_C, theta_K)];
  const [a, b] = [Math.exp(first), Math.exp(last)];
  return dt_s * (Math.abs(last - first) < 1e-6 ? (a + b) / 2 : (b - a) / (last - first));
}

const LEAST_C = 400;
const MOST_C = 1800;

/** What a course of temperatures has done, as the end of a climb at CONE_RATE_C_PER_H that does the same, °C; -Infinity where it is nothing. */
export function coneEquivalent(t_s: readonly number[], at_C: readonly number[], theta_K = THETA_K): number {
  let work = 0;
  for (let i = 1; i < t_s.length; i += 1) work += workBetween(at_C[i - 1], at_C[i], t_s[i] - t_s[i - 1], theta_K);
  return climbThatDoes(Math.log(work), CONE_RATE_C_PER_H, theta_K);
}

/** Where a climb at a rate ends that does this work, told by its logarithm, °C; -Infinity where that is nothing. */
function climbThatDoes(logWork: number, rate_C_per_h: number, theta_K = THETA_K): number {
  if (!(logWork > logWorkOfClimb(LEAST_C, rate_C_per_h, theta_K))) return -Infinity;
  let [low, high] = [LEAST_C, MOST_C];
  while (high - low > 0.01) {
    const middle = (low + high) / 2;
    if (logWorkOfClimb(middle, rate_C_per_h, theta_K) < logWork) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What a climb and a hold at its end have done, °C of coneEquivalent. */
export const coneAfter = (target_C: number, rate_C_per_h: number, hold_s: number): number =>
  climbThatDoes(Math.log(Math.exp(logWorkOfClimb(target_C, rate_C_per_h)) + hold_s * Math.exp(logPace(target_C, THETA_K))), CONE_RATE_C_PER_H);

/** Where a cone bends at another rate of the last hours, °C. */
export const coneBendsAt = (cone: Cone, rate_C_per_h: number): number => climbThatDoes(logWorkOfClimb(BENDS_C[cone], CONE_RATE_C_PER_H), rate_C_per_h);

/** What still counts as a cone: half-way to its neighbours, °C of coneEquivalent. */
export function coneBand(cone: Cone): { least_C: number; most_C: number } {
  const at = CONES.indexOf(cone);
  const here = BENDS_C[cone];
  const [under, over] = [CONES[at - 1], CONES[at + 1]].map((one) => (one === undefined ? null : BENDS_C[one]));
  return { least_C: (here + (under ?? 2 * here - (over ?? here))) / 2, most_C: (here + (over ?? 2 * here - (under ?? here))) / 2 };
}

/** The cone that a firing came to, the nearest. */
export const coneAt = (equivalent_C: number): Cone =>
  CONES.reduce((best, one) => (Math.abs(BENDS_C[one] - equivalent_C) < Math.abs(BENDS_C[best] - equivalent_C) ? one : best));
