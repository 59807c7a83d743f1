/** How long a kiln takes from one temperature to another: at full power, or closed and switched off. */
import { type KilnConstants, fullPowerHeating, naturalCooling } from './kiln';

export interface KilnTimes {
  ambient_C: number;
  /** From the room to this temperature at full power. */
  climbs: readonly { to_C: number; seconds: number }[];
  /** Closed and switched off. */
  fall: { from_C: number; to_C: number; seconds: number };
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
}

/** The times that a kiln takes, in the order in which they are asked for, the fall last, s; NEVER_S where it does not get there. */
export function timesOf(kiln: KilnConstants, { ambient_C, climbs, fall }: Asked): number[] {
  return [
    ...climbs.map(({ to_C }) => secondsBetween(ambient_C, to_C, (T) => fullPowerHeating(kiln, T))),
    secondsBetween(fall.from_C, fall.to_C, (T) => naturalCooling(kiln, T)),
  ];
}
