/**
 * The engine by name: the functions that a web worker and a server's worker thread offer alike. Each takes one
 * plain object and returns one, and fails only with a ProblemError.
 */
import { type BodyFigures, type BodyInput, bodyFigures } from './body/body';
import { type SimulationInput, type SimulationResult, simulateFiring } from './heat/simulate';
import { ProblemError } from './problem';
import { type Evaluation, evaluate } from './schedule/check';
import { type Composed, compose } from './schedule/compose';
import type { FiringCase } from './schedule/firingCase';
import type { Segment } from './schedule/segment';

/** Raised whenever the same input may give another answer. */
export const ENGINE_VERSION = '1';

export const engine = {
  body: (input: BodyInput): BodyFigures => bodyFigures(input),
  simulate: (input: SimulationInput): SimulationResult => simulateFiring(input),
  compose(firing: FiringCase): Composed {
    const outcome = compose(firing);
    if (!outcome.ok) throw new ProblemError(outcome.problem);
    return outcome.value;
  },
  evaluate: ({ firing, segments, series }: { firing: FiringCase; segments: Segment[]; series?: boolean }): Evaluation => evaluate(firing, segments, series),
};

export type Engine = typeof engine;
export type EngineCall = keyof Engine;
