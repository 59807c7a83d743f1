/** How long a kiln takes from one temperature to another: at full power, or closed and switched off. */
import { type KilnConstants, fullPowerHeating, naturalCooling, wallAfter } from './kiln';

export interface KilnTimes {
  ambient_C: number;
  /** From the room to this temperature at full power. */
  climbs: readonly { to_C: number; seconds: number }[];
  /** Closed and switched off. */
  fall: { from_C: number; to_C: number; seconds: number };
  /** And on further down, where a wall that stores heat shows. */
  tail?: { from_C: number; to_C: number; seconds: number };
  /** Between two places 300 mm apart, while it climbs at full power past this temperature. */
  apart?: { difference_K: number; at_C: number };
}

const SLICES = 60;
/** What a kiln that never gets there is said to take, s; finite, so that a search finds its way back. */
export const NEVER_S = 1e9;

/** Simpson's rule on 1/(dT/dt), s. */
function secondsBetween(from_C: number, to_C: number, rate: (temperature_C: number) => number): number {
  const h = (to_C - from_C) / SLICES;
  let sum = 0;
  for (let i = 0; i <= SLICES; i += 1) {
    const here = rate(from_C + i * h);
    if (here <= 0) return NEVER_S;
    sum += (i === 0 || i === SLICES ? 1 : i % 2 === 1 ? 4 : 2) / here;
  }
  return (sum * Math.abs(h)) / 3;
}

interface Asked {
  ambient_C: number;
  climbs: readonly { to_C: number }[];
  fall: { from_C: number; to_C: number };
  tail?: { from_C: number; to_C: number };
}

/** A kiln with a wall is run: step by step, s. */
const STEP_S = 60;
/** Told over twice as much, K. */
const PASSING_K = 5;
const LONGEST_RUN_S = 10 * 24 * 3600;

/**
 * When a kiln that has climbed from cold, wall and all, and was then closed and switched off passes each temperature, s from the
 * start. up_C must rise, down_C must not.
 */
function passes(kiln: KilnConstants, ambient_C: number, up_C: readonly number[], down_C: readonly number[]): { up: number[]; down: number[] } {
  const up = up_C.map(() => NEVER_S);
  const down = down_C.map(() => NEVER_S);
  let [T, wall_C, t_s, heats] = [ambient_C, ambient_C, 0, true];
  /** Goes on to a temperature, or until it gets no further; notes when it passed those that are asked for. */
  const run = (end_C: number, asked_C: readonly number[], times: number[]): boolean => {
    const direction = heats ? 1 : -1;
    const rate = (at_C: number): number => (heats ? fullPowerHeating(kiln, at_C, wall_C) : -naturalCooling(kiln, at_C, wall_C));
    for (let k = 0; direction * (end_C - T) > 0; t_s += STEP_S) {
      const next = T + STEP_S * rate(T + (STEP_S * rate(T)) / 2);
      if (direction * (next - T) <= 0 || t_s > LONGEST_RUN_S) return false;
      for (; k < asked_C.length && direction * (next - asked_C[k]) >= 0; k += 1) times[k] = t_s + (STEP_S * (asked_C[k] - T)) / (next - T);
      wall_C = wallAfter(kiln, wall_C, T, next, STEP_S);
      T = next;
    }
    return true;
  };
  if (run(Math.max(up_C[up_C.length - 1], down_C[0]), up_C, up)) {
    heats = false;
    run(down_C[down_C.length - 1], down_C, down);
  }
  return { up, down };
}

/** The times that a kiln takes, in the order in which they are asked for, the fall and its tail last, s; NEVER_S where it does not get there. */
export function timesOf(kiln: KilnConstants, { ambient_C, climbs, fall, tail }: Asked): number[] {
  const falls = tail ? [fall, tail] : [fall];
  if (kiln.wallExchange_per_s === undefined) {
    return [
      ...climbs.map(({ to_C }) => secondsBetween(ambient_C, to_C, (T) => fullPowerHeating(kiln, T))),
      ...falls.map(({ from_C, to_C }) => secondsBetween(from_C, to_C, (T) => naturalCooling(kiln, T))),
    ];
  }
  const { up, down } = passes(
    kiln,
    ambient_C,
    climbs.map(({ to_C }) => to_C),
    falls.flatMap(({ from_C, to_C }) => [from_C, to_C]),
  );
  return [...up, ...falls.map((_, i) => (down[2 * i + 1] >= NEVER_S ? NEVER_S : down[2 * i + 1] - down[2 * i]))];
}

/** How fast it climbs past a temperature at full power when it has come from cold, K/s; nothing where it does not get there. */
export function climbingPast(kiln: KilnConstants, at_C: number): number {
  const { ambient_C } = kiln;
  const [before, after] = timesOf(kiln, {
    ambient_C,
    climbs: [{ to_C: at_C - PASSING_K }, { to_C: at_C + PASSING_K }],
    fall: { from_C: at_C, to_C: at_C - PASSING_K },
  });
  return after >= NEVER_S ? 0 : (2 * PASSING_K) / (after - before);
}
