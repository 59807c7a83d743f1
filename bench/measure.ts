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

/**
 * Bytes that one more step allocates: a run of many steps less one of few, so that what a run sets up cancels. Takes how
 * many steps a run made.
 */
export function allocatedPerStep(run: (many: boolean) => number): number {
  const bytesOf = (many: boolean): { bytes: number; steps: number } => {
    for (let i = 0; i < WARM_UP_ROUNDS; i += 1) run(many);
    globalThis.gc?.();
    const before = process.memoryUsage().heapUsed;
    const steps = run(many);
    return { bytes: process.memoryUsage().heapUsed - before, steps };
  };
  const few = bytesOf(false);
  const many = bytesOf(true);
  return (many.bytes - few.bytes) / (many.steps - few.steps);
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
