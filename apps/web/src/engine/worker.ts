/** The engine in a web worker. Errors come back as data, because classes do not survive the crossing. */
import { type Outcome, ProblemError, found } from '@torvin/core/problem';
import { type Answered, type Asked, type EngineCall, createEngine, warmUp } from '@torvin/core/engine';
import { expose } from 'comlink';

export interface EngineWorker {
  call<C extends EngineCall>(name: C, input: Asked<C>): Outcome<Answered<C>>;
  warmUp(): void;
}

const engine = createEngine();

const worker: EngineWorker = {
  call(name, input) {
    try {
      return found(engine.call(name, input));
    } catch (error) {
      if (error instanceof ProblemError) return { ok: false, problem: error.problem };
      const message = error instanceof Error ? error.message : String(error);
      return { ok: false, problem: { code: 'engine', path: '', message: `The calculation failed: ${message}` } };
    }
  },
  warmUp: () => warmUp(engine),
};

expose(worker);
