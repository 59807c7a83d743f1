/** What a store may refuse. The one error middleware turns each into its HTTP status. */
import type { Problem } from '@torvin/core/problem';

export class NotFound extends Error {
  readonly problem: Problem;
  constructor(what: string, id: string) {
    super(`There is no ${what} '${id}'.`);
    this.problem = { code: 'unknown-id', path: 'id', message: this.message };
  }
}

/** The save was based on an older state; current is the state as it stands. */
export class Stale extends Error {
  readonly problem: Problem;
  constructor(
    what: string,
    readonly current: { version: number },
    readonly based: number,
  ) {
    super(`This ${what} has changed elsewhere since you opened it (yours is version ${based}, it stands at ${current.version}).`);
    this.problem = { code: 'stale', path: 'version', message: this.message };
  }
}

/** It was deleted elsewhere; current is what stood when it was, under the version that it has once it is brought back. */
export class Deleted extends Error {
  readonly problem: Problem;
  constructor(
    what: string,
    readonly current: { version: number },
  ) {
    super(`This ${what} was deleted elsewhere since you opened it.`);
    this.problem = { code: 'deleted', path: 'id', message: this.message };
  }
}

/** What stands now does not bear it; current says what stands in the way. */
export class Conflict extends Error {
  readonly problem: Problem;
  constructor(
    code: string,
    path: string,
    message: string,
    readonly current: unknown = undefined,
  ) {
    super(message);
    this.problem = { code, path, message };
  }
}

/** An id that is already in use for something else. */
export class Taken extends Error {
  readonly problem: Problem;
  constructor(what: string, id: string) {
    super(`The id '${id}' already belongs to another ${what}.`);
    this.problem = { code: 'id-taken', path: 'id', message: this.message };
  }
}
