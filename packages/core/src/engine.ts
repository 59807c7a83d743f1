/**
 * The engine by name: the functions that a web worker and a server's worker thread offer alike. Each takes one
 * plain object and returns one, and fails only with a ProblemError.
 */
import { type BodyFigures, type BodyInput, bodyFigures } from './body/body';
import { type FitInput, type FitVerdict, fit } from './fit/fit';
import { viscosityOf } from './glass/viscosity';
import type { GlassConstants } from './glass/constants';
import { rememberingSimulator } from './heat/joints';
import { type SimulationInput, type SimulationResult, simulateFiring } from './heat/simulate';
import { type KilnFit, type KilnReading, fitKiln } from './kiln/fitKiln';
import { type SpreadFit, type SpreadReading, fitSpread } from './kiln/fitSpread';
import { type Learnt, type LookSeen, type Witness, learnCorrections } from './learn/corrections';
import { type Outcome, ProblemError } from './problem';
import { type Evaluation, evaluate } from './schedule/check';
import { type Composed, compose } from './schedule/compose';
import { type FiringCase, wantedWork } from './schedule/firingCase';
import type { Segment } from './schedule/segment';

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new ProblemError(outcome.problem);
  return outcome.value;
}

/** An engine of one's own, so that a run sheet under a finger simulates only from the joint that moved. */
export function createEngine() {
  const remembering = rememberingSimulator();
  return {
    body: (input: BodyInput): BodyFigures => bodyFigures(input),
    fit: (input: FitInput): FitVerdict => fit(input),
    simulate: (input: SimulationInput): SimulationResult => simulateFiring(input),
    compose: (firing: FiringCase): Composed => valueOf(compose(firing)),
    evaluate({ firing, segments, series }: { firing: FiringCase; segments: Segment[]; series?: boolean }): Evaluation {
      valueOf(wantedWork(firing));
      return evaluate(firing, segments, series, remembering);
    },
    kilnFit: ({ readings, ambient_C }: { readings: KilnReading[]; ambient_C: number }): KilnFit => valueOf(fitKiln(readings, ambient_C)),
    spreadFit: ({ readings, limit_K }: { readings: SpreadReading[]; limit_K: number }): SpreadFit => valueOf(fitSpread(readings, limit_K)),
    corrections: ({ glass, seen, witnesses }: { glass: GlassConstants; seen: LookSeen[]; witnesses?: Witness[] }): Learnt =>
      learnCorrections(viscosityOf(glass), seen, witnesses),
  };
}

export type Engine = ReturnType<typeof createEngine>;
export type EngineCall = keyof Engine;
