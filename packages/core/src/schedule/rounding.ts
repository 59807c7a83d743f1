/** Figures as people key them: round in the unit that the controller counts in, and to the careful side. */
import { type TemperatureUnit, celsiusFrom, differenceIn, kelvinFrom, temperatureIn } from '../units/convert';

export const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high);

/** Rounds up to whole minutes, above an hour to five. */
export function niceHold(seconds: number): number {
  const step = seconds > 3600 ? 300 : 60;
  return Math.ceil(seconds / step - 1e-9) * step;
}

/** Slower is no firing any more: 300 mm in a mould cool by 0.07. */
const LEAST_RATE = 0.02;

/** Rounds a rate down to what people key: the slower, the finer. °C/h in and out. */
export function niceRate(perHour: number, unit: TemperatureUnit = 'C'): number {
  const own = differenceIn(perHour, unit);
  const step = unit === 'F' && own >= 100 ? 10 : own >= 50 ? 5 : own >= 10 ? 1 : own >= 2 ? 0.5 : own >= 0.3 ? 0.1 : 0.01;
  return kelvinFrom(Math.max(Number((Math.floor(own / step + 1e-9) * step).toFixed(2)), LEAST_RATE), unit);
}

/** Degrees between round targets, and between round soaks, whose place matters more. */
const ROUND_DEGREES: Record<TemperatureUnit, { target: number; soak: number }> = { C: { target: 5, soak: 1 }, F: { target: 10, soak: 5 } };

/** To whole degrees of a unit, the nearest or the colder; °C in and out. */
export const wholeDegrees = (celsius: number, unit: TemperatureUnit, side: 'nearest' | 'colder' = 'nearest'): number =>
  celsiusFrom(side === 'nearest' ? Math.round(temperatureIn(celsius, unit)) : Math.floor(temperatureIn(celsius, unit) + 1e-9), unit);

export interface RoundTargets {
  near(celsius: number): number;
  up(celsius: number): number;
  down(celsius: number): number;
  /** A soak's target. */
  soak(celsius: number): number;
}

/** Rounds targets, °C in and out, to what is round in a unit. */
export function roundTargets(unit: TemperatureUnit): RoundTargets {
  const by =
    (rounded: (steps: number) => number, step: number) =>
    (celsius: number): number =>
      celsiusFrom(rounded(temperatureIn(celsius, unit) / step) * step, unit);
  const { target, soak } = ROUND_DEGREES[unit];
  return {
    near: by(Math.round, target),
    up: by((steps) => Math.ceil(steps - 1e-9), target),
    down: by((steps) => Math.floor(steps + 1e-9), target),
    soak: by(Math.round, soak),
  };
}
