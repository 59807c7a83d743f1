/** Medians of warm runs, and a yardstick that scales with the machine. */
const WARM_UP_ROUNDS = 20;

export const middle = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Median of rounds warm runs, ms. */
export function median(rounds: number, run: () => unknown): number {
  for (let i = 0; i < WARM_UP_ROUNDS; i += 1) run();
  return middle(
    Array.from({ length: rounds }, () => {
      const start = performance.now();
      run();
      return performance.now() - start;
    }),
  );
}

/** Least of rounds warm runs, ms. */
export function least(rounds: number, run: () => unknown): number {
  for (let i = 0; i < WARM_UP_ROUNDS; i += 1) run();
  let best = Infinity;
  for (let i = 0; i < rounds; i += 1) {
    const start = performance.now();
    run();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

/** Enough runs for the code to be as compiled as it gets; until then it allocates more. */
const COMPILED_AFTER_ROUNDS = 300;
const COUNTED_ROUNDS = 200;

/** Bytes that a run allocates for each of its steps, what it sets up included. Takes how many steps a run made. */
export function allocatedPerStep(run: () => number): number {
  for (let i = 0; i < COMPILED_AFTER_ROUNDS; i += 1) run();
  globalThis.gc?.();
  // The first runs after a collection fill what it left; from then on the heap grows by what is allocated.
  for (let i = 0; i < COUNTED_ROUNDS; i += 1) run();
  const before = process.memoryUsage().heapUsed;
  let steps = 0;
  for (let i = 0; i < COUNTED_ROUNDS; i += 1) steps += run();
  return (process.memoryUsage().heapUsed - before) / steps;
}

let sink = 0;

/** Time of a fixed amount of dependent arithmetic, ms: what the other times are divided by. */
export const yardstick = (): number =>
  median(10, () => {
    let x = 0.5;
    for (let i = 0; i < 1e7; i += 1) x = x * 0.999999 + 1e-7;
    sink += x;
  });

export function report(name: string, ms: number, more = ''): void {
  process.stdout.write(`${name}: ${ms.toFixed(2)} ms${more ? `  (${more})` : ''}\n`);
  if (Number.isNaN(sink)) throw new Error('The yardstick lost its count.');
}
