/** Long work in the server's own thread lets others through, so that nobody waits for somebody else's large file. */

const SLICE_MS = 12;

/** To be awaited between steps: it rests whenever it has worked for so long. */
export function inSlices(clock: () => number = () => performance.now()): () => Promise<void> {
  let began = clock();
  return async () => {
    if (clock() - began < SLICE_MS) return;
    await new Promise((resolve) => setImmediate(resolve));
    began = clock();
  };
}
