/**
 * Errors as data. A problem names its kind, where it is, and says in one sentence what came and what
 * would be right. It travels unchanged from the core through the server to the field on the screen.
 */
export interface Problem {
  /** Stable, machine-readable kind, such as 'out-of-range'. */
  code: string;
  /** Where: dotted path into the input, '' for the whole of it. */
  path: string;
  /** One sentence for a person. */
  message: string;
}

export type Outcome<T> = { ok: true; value: T } | { ok: false; problem: Problem };

export const found = <T>(value: T): Outcome<T> => ({ ok: true, value });

export const refused = (code: string, path: string, message: string): { ok: false; problem: Problem } => ({
  ok: false,
  problem: { code, path, message },
});

/** Thrown where a caller broke a documented precondition; carries the problem so that a server can answer it. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message);
    this.name = 'ProblemError';
  }
}

/** The value, or the problem thrown. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new ProblemError(outcome.problem);
  return outcome.value;
}
