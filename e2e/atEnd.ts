/** Ends what once.ts has started. */
export default (): Promise<void> => (globalThis as { torvinEnd?: () => Promise<void> }).torvinEnd?.() ?? Promise.resolve();
