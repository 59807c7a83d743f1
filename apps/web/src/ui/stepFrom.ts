/** The next multiple of size in the direction, so that odd figures come onto the grid first. */
export function stepFrom(value: number, direction: 1 | -1, size: number): number {
  const steps = value / size;
  const next = direction > 0 ? Math.floor(steps + 1e-9) + 1 : Math.ceil(steps - 1e-9) - 1;
  return next * size;
}

/** The next of a few listed values in the direction; the end where there is none. values need not be sorted. */
export function nextOf(values: readonly number[], value: number, direction: 1 | -1): number {
  const sorted = [...values].sort((a, b) => a - b);
  const next = direction > 0 ? sorted.find((one) => one > value + 1e-9) : sorted.findLast((one) => one < value - 1e-9);
  return next ?? value;
}

export const clamp = (value: number, { least, most }: { least: number; most: number }): number => Math.min(Math.max(value, least), most);
