/** Requests that have been damaged somewhere, the same in every run. */

/** A fixed sequence, so that the same run damages the same way. */
export function sequence(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return state / 2147483648;
  };
}

const NONSENSE = [null, -1, 0, 1, 1e308, 'x', [], {}, true, '', -0, 1e-300, 0.5, 100, 1e-6];

/** Replaces one leaf or branch somewhere in a JSON value. */
export function damaged(value: unknown, random: () => number): unknown {
  if (typeof value !== 'object' || value === null || random() < 0.15) return NONSENSE[Math.floor(random() * NONSENSE.length)];
  const keys = Object.keys(value);
  const key = keys[Math.floor(random() * keys.length)];
  const begun: Record<string, unknown> = {};
  const copy = Object.assign(Array.isArray(value) ? [] : begun, value) as typeof begun;
  if (random() < 0.1) delete copy[key];
  else copy[key] = damaged(copy[key], random);
  return copy;
}
