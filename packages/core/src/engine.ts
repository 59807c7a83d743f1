/**
 * The engine by name: the functions that a web worker and a server's worker thread offer alike. Each takes one
 * plain object and returns one, and fails only with a ProblemError.
 */
import { type BodyFigures, type BodyInput, bodyFigures } from './body/body';
import { type CoatingFinding, coatingFindings } from './fit/coating';
import { contactsOf } from './fit/contacts';
import { type Contact, type FitInput, type FitVerdict, fit } from './fit/fit';
import { viscosityOf } from './glass/viscosity';
import { evenSheets } from './body/layers';
import type { GlassConstants } from './glass/constants';
import { TYPICAL_FAMILIES } from './glass/families';
import { rememberingSimulator } from './heat/joints';
import { type SimulationInput, type SimulationResult, simulateFiring } from './heat/simulate';
import { type KilnFit, type KilnReading, fitKiln } from './kiln/fitKiln';
import { type KilnFromTimes, type KilnTimes, fitKilnTimes } from './kiln/fitTimes';
import { type SpreadFit, type SpreadReading, fitSpread } from './kiln/fitSpread';
import { type Learnt, type LookSeen, type Witness, learnCorrections } from './learn/corrections';
import { type Outcome, ProblemError } from './problem';
import { type Evaluation, evaluate } from './schedule/check';
import { type Composed, compose } from './schedule/compose';
import { DEFAULT_SCHOOL, type FiringCase, wantedWork } from './schedule/firingCase';
import { DEFAULT_LIMITS } from './schedule/limits';
import { BARE_SHELF } from './schedule/setups';
import { type EqualWork, equalWork } from './schedule/equalWork';
import type { PurposefulSegment, Segment } from './schedule/segment';
import type { TemperatureUnit, Units } from './units/convert';

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new ProblemError(outcome.problem);
  return outcome.value;
}

/** An engine of one's own, so that a run sheet under a finger simulates only from the joint that moved. */
export function createEngine() {
  const remembering = rememberingSimulator();
  return {
    body: (input: BodyInput): BodyFigures & { contacts: Required<Contact>[]; coatings: CoatingFinding[] } => ({
      ...bodyFigures(input),
      contacts: contactsOf(input),
      coatings: coatingFindings(input),
    }),
    fit: (input: FitInput): FitVerdict => fit(input),
    simulate: (input: SimulationInput): SimulationResult => simulateFiring(input),
    compose: ({ units, ...firing }: FiringCase & { units?: Units }): Composed => valueOf(compose(firing, units)),
    evaluate({ firing, segments, series }: { firing: FiringCase; segments: Segment[]; series?: boolean }): Evaluation {
      valueOf(wantedWork(firing));
      return evaluate(firing, segments, series, remembering);
    },
    equalWork: ({
      firing,
      segments,
      target_C,
      work_perPa,
    }: {
      firing: FiringCase;
      segments: PurposefulSegment[];
      target_C: number;
      work_perPa: number;
    }): EqualWork => {
      valueOf(wantedWork(firing));
      return equalWork(firing, segments, target_C, work_perPa, remembering);
    },
    kilnFit: ({ readings, ambient_C }: { readings: KilnReading[]; ambient_C: number }): KilnFit => valueOf(fitKiln(readings, ambient_C)),
    kilnTimes: ({ unit, ...told }: KilnTimes & { unit: TemperatureUnit }): KilnFromTimes => valueOf(fitKilnTimes(told, unit)),
    spreadFit: ({ readings, limit_K }: { readings: SpreadReading[]; limit_K: number }): SpreadFit => valueOf(fitSpread(readings, limit_K)),
    corrections: ({ glass, seen, witnesses }: { glass: GlassConstants; seen: LookSeen[]; witnesses?: Witness[] }): Learnt =>
      learnCorrections(viscosityOf(glass), seen, witnesses),
  };
}

/** How often the warm-up moves a bead: by then the code under a dragged one is compiled for speed. */
const WARMING_MOVES = 12;

/** A small firing of everything, so that the first real call finds the code compiled. */
export function warmUp(engine: Engine): void {
  const glass = TYPICAL_FAMILIES[0];
  const sheets = evenSheets([{ thickness_m: 0.003 }, { thickness_m: 0.003 }]);
  const body = { glasses: [glass], layers: sheets, footprint: { shape: 'disc', diameter_m: 0.18 } as const, joined: false };
  const kiln = { top_C: 900, power_K_per_s: 0.2, loss_per_s: 5e-5, radiantLoss_per_K3_s: 5.6e-14, ambient_C: 20, acrossLag_s_per_300mm: 72 };
  const firing: FiringCase = { body, setup: BARE_SHELF, kiln, look: 'fullFuse', school: DEFAULT_SCHOOL, limits: DEFAULT_LIMITS };
  const { segments } = engine.compose(firing);
  for (let i = 0; i < WARMING_MOVES; i += 1) {
    const moved = segments.map((segment, at) => (at === i % segments.length ? { ...segment, target_C: segment.target_C - 1 } : segment));
    engine.evaluate({ firing, segments: moved, series: true });
  }
}

export type Engine = ReturnType<typeof createEngine>;
export type EngineCall = keyof Engine;
