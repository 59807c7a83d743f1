/**
 * Latest wins: while one call runs, only the newest of those that come in waits; the ones between are dropped.
 * So a dragging finger is answered as fast as the engine can and never by a queue.
 */
export function latestWins<I, O>(
  run: (input: I) => Promise<O>,
  deliver: (output: O, input: I) => void,
  fail: (error: unknown) => void,
): { ask(input: I): void; stop(): void } {
  let busy = false;
  let stopped = false;
  let waiting: { input: I } | null = null;

  async function work(input: I): Promise<void> {
    busy = true;
    try {
      const output = await run(input);
      if (!stopped) deliver(output, input);
    } catch (error) {
      if (!stopped) fail(error);
    }
    busy = false;
    const next = waiting;
    waiting = null;
    if (next && !stopped) void work(next.input);
  }

  return {
    ask(input) {
      if (busy) waiting = { input };
      else void work(input);
    },
    stop() {
      stopped = true;
      waiting = null;
    },
  };
}
