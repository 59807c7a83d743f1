/** Raised whenever the same input may give another answer. What an engine told stays as it was told, and says whose word it is. */
export const ENGINE_VERSION = '12';

/** Whose word a kept result is: its own mark, or where it is older than such marks, that of what it was made from. */
export const toldBy = (result: { engine?: string }, made: { engine: string }): string => result.engine ?? made.engine;

/** A sentence on a result that an earlier engine told, or null where this one did. */
export function earlierEngine(result: { engine?: string }, made: { engine: string }): string | null {
  const engine = toldBy(result, made);
  return engine === ENGINE_VERSION
    ? null
    : `These figures were calculated by an earlier Torvin (engine ${engine}, now ${ENGINE_VERSION}) and are kept as they were.`;
}
