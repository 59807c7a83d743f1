/**
 * The engine in a web worker: at first what a run sheet asks, the other calculators from a file of their own. Errors come back as data,
 * because classes do not survive the crossing.
 */
import { type Outcome, ProblemError, found } from '@torvin/core/problem';
import type { Answered, Asked, EngineCall } from '@torvin/core/engine';
import { FIRST } from '@torvin/core/engine/first';
import { type Calculators, engineOf, warmUp } from '@torvin/core/engine/of';
import { expose } from 'comlink';
import { NOT_READ } from './notRead';

export interface EngineWorker {
  call<C extends EngineCall>(name: C, input: Asked<C>): Outcome<Answered<C>> | Promise<Outcome<Answered<C>>>;
  warmUp(): void;
  readAhead(): Promise<void>;
}

const known: Calculators = { ...FIRST };
const engine = engineOf(known);

async function readOthers(): Promise<void> {
  const { LATER } = await import('@torvin/core/engine/later');
  Object.assign(known, LATER);
}

/** A browser does not ask again for what it could not read: another worker has to. */
const notRead = (): Outcome<never> => ({
  ok: false,
  problem: { code: NOT_READ, path: '', message: 'This calculation could not be read: the server does not answer. It comes by itself when the server is back.' },
});

function answered<C extends EngineCall>(name: C, input: Asked<C>): Outcome<Answered<C>> {
  try {
    return found(engine.call(name, input));
  } catch (error) {
    if (error instanceof ProblemError) return { ok: false, problem: error.problem };
    const message = error instanceof Error ? error.message : String(error);
    return { ok: false, problem: { code: 'engine', path: '', message: `The calculation failed: ${message}` } };
  }
}

const worker: EngineWorker = {
  call: (name, input) => (name in known ? answered(name, input) : readOthers().then(() => answered(name, input), notRead)),
  warmUp: () => warmUp(engine),
  readAhead: readOthers,
};

expose(worker);
