/**
 * A calculator: one question that can be asked of the core by itself. It is a folder: index.ts holds its function, contract.ts what may
 * be asked and what is answered, with whole requests as cases. From its place in all.ts follow its endpoint with OpenAPI and
 * examples, the test with damaged requests, the call to either worker, and the sheet that asks and shows it.
 */
import type { z } from 'zod';
import type { RememberingSimulator } from '../heat/joints';

/** What crosses the border. It is read where strangers ask, so that a worker carries the function alone. */
export interface Contract<In, Told> {
  /** One line for a list. */
  summary: string;
  request: z.ZodType<In>;
  answer: z.ZodType<unknown, Told>;
  /** Whole requests, each under what it is a case of: examples to people, and what tests damage. */
  cases: Readonly<Record<string, object>>;
}

export interface Calculator<In, Out, Told> {
  /** Fails with a ProblemError alone. */
  compute(input: In, simulate: RememberingSimulator): Out;
  contract(): Promise<Contract<In, Told>>;
  /** Takes microseconds: a server answers it at once, while others wait for the engine. */
  light?: true;
}

/** Infers the types, and holds what is computed to what is said of it. */
export const calculator = <In, Out extends Told, Told>(told: Calculator<In, Out, Told>): Calculator<In, Out, Told> => told;
