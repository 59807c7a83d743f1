/** Figures as people key them, rounded to the careful side. */

/** Rounds down to what people key: the slower the rate, the finer. */
export function niceRate(perHour: number): number {
  const step = perHour >= 50 ? 5 : perHour >= 10 ? 1 : perHour >= 2 ? 0.5 : 0.1;
  return Math.max(Number((Math.floor(perHour / step + 1e-9) * step).toFixed(1)), 0.1);
}

/** Rounds up to whole minutes, above an hour to five. */
export function niceHold(seconds: number): number {
  const step = seconds > 3600 ? 300 : 60;
  return Math.ceil(seconds / step - 1e-9) * step;
}

export const roundTo = (value: number, step: number): number => Math.round(value / step) * step;
export const roundUp = (value: number, step: number): number => Math.ceil(value / step - 1e-9) * step;
export const roundDown = (value: number, step: number): number => Math.floor(value / step + 1e-9) * step;
export const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high);
