/**
 * Composes a schedule. Closed forms give the first guess of every rate, target and hold; then the simulation is
 * asked, and whatever breaks a limit is slowed or lengthened until nothing does. Composing, checking and searching judge
 * by one rule. A warm-up is made faster than its closed form where the simulation of this set-up keeps the reserve, but not
 * where a shelf helps that sees the elements from below: that is not relied on without proof.
 */
import { resolved } from './resolved';
import { simulationOf } from './simulationOf';
import type { ResolvedFiring } from './resolvedFiring';
import { type RememberingSimulator, rememberingSimulator } from '../heat/joints';
import type { SimulationInput, SimulationResult } from '../heat/simulation';
import { fullPowerHeating, settledCooling } from '../kiln/kiln';
import { type Outcome, found, refused } from '../problem';
import { METRIC, type TemperatureUnit, type Units } from '../units/convert';
import { formatRate, formatTemperature, text } from '../units/format';
import { adjusted } from './adjust';
import { evaluate } from './check';
import { type Evaluation, brokenOf } from './reading';
import type { FiringCase, School } from './firingCase';
import { NO_CORRECTIONS } from '../learn/corrections';
import { closedForm, keyedIn } from './firstGuess';
import { impossibleFiring } from './possible';
import type { PurposefulSegment, Role } from '../kiln/segment';
import { counted } from '../controller/counted';
import { wholeDegrees } from './rounding';
import { shortened } from './shorten';
import { stepped } from './stepped';
import { composeEmpty, followed, emptyFiringOf } from './emptyFiring';

export interface Composed {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** Simulations spent. */
  evaluations: number;
  /** False when a limit is still broken after the allowed number of simulations. */
  converged: boolean;
  /** The schools it was composed by: the ones asked for, unless haze or a coating forbade the cooler heat. */
  school: School;
  /** What was done otherwise than asked and why, as sentences. */
  remarks: string[];
}

/** A kiln that climbs slower than this at the working temperature will not hold it against a draught. */
const LEAST_CLIMB_C_PER_H = 20;
const MOST_EVALUATIONS = 14;
/** Intervals through the glass while a schedule is still being corrected. */
const COARSE_INTERVALS = 16;

/** units: of what is refused. */
export function compose(asked: FiringCase, units: Units = METRIC): Outcome<Composed> {
  const impossible = impossibleFiring(asked, units.length);
  if (impossible) return { ok: false, problem: impossible };
  if (emptyFiringOf(asked)) return composedEmpty(resolved(asked), units);
  const firing = resolved(asked);
  const first = composeAs(firing, units);
  if (!first.ok || asked.school.heat === 'hotter') return first;
  const forbidden = brokenOf(first.value.evaluation.readings).filter(({ limit }) => limit === 'haze' || limit === 'coating');
  if (forbidden.length === 0) return first;
  const hotter = composeAs({ ...firing, school: { ...asked.school, heat: 'hotter' } }, units);
  if (!hotter.ok || brokenOf(hotter.value.evaluation.readings).length >= brokenOf(first.value.evaluation.readings).length) return first;
  const reason = forbidden[0].limit === 'haze' ? 'it would devitrify' : 'the coating would lift';
  return found({
    ...hotter.value,
    evaluations: first.value.evaluations + hotter.value.evaluations,
    remarks: [`Hotter and shorter than asked, because cooler and longer ${reason}.`, ...hotter.value.remarks],
  });
}

/** About how hot a firing goes at its working hold, °C, as the controller shows it: by closed forms, before anything is simulated. Null where it cannot be, or has none. */
export function estimatedTop_C(asked: FiringCase): number | null {
  if (impossibleFiring(asked, METRIC.length)) return null;
  const empty = emptyFiringOf(asked);
  if (empty) return empty.recipe.plan(empty.item, asked.setup.wet !== undefined).top?.at_C ?? null;
  const { offset_K } = asked.corrections ?? NO_CORRECTIONS;
  // How it cools does not count for how hot it gets.
  const firing = { ...resolved({ ...asked, corrections: { ...(asked.corrections ?? NO_CORRECTIONS), offset_K: 0 } }), uneven: null };
  if (!firing.work_perPa.ok || neverCools(firing, METRIC.temperature)) return null;
  return Math.max(...closedForm(firing).map(({ target_C }) => target_C)) + offset_K;
}

function composeAs(asked: ResolvedFiring, units: Units): Outcome<Composed> {
  const corrections = asked.corrections ?? NO_CORRECTIONS;
  const uncounted = composeUncounted({ ...asked, corrections: { ...corrections, offset_K: 0 } }, corrections.offset_K, units.temperature);
  if (!uncounted.ok) return uncounted;
  const { firing, simulate, ...composed } = uncounted.value;
  const remarks: string[] = [];
  const keyed = asKeyed(asked, firing, composed, simulate, units, remarks);
  return found({ ...keyed, converged: keepsAll(keyed.evaluation), school: asked.school, remarks });
}

/** As the glass feels it, before a controller counts it. */
export interface Uncounted extends Found {
  /** What it was composed by. */
  firing: ResolvedFiring;
  simulate: RememberingSimulator;
}

/** Composes by what the glass feels; the targets are moved by offset_K, to what the controller reads, afterwards. */
export function composeUncounted(firing: ResolvedFiring, offset_K: number, unit: TemperatureUnit): Outcome<Uncounted> {
  if (!firing.work_perPa.ok) return firing.work_perPa;
  const coolless = neverCools(firing, unit);
  if (coolless) return coolless;
  const guess = closedForm(firing);
  const impossible = kilnCannot(firing, guess, offset_K, unit);
  if (impossible) return impossible;
  const simulate = rememberingSimulator();
  const composed = settled(guess, {
    evaluate: (segments, fully) => evaluate(firing, segments, false, fully ? simulate : roughly(simulate)),
    adjusted: (segments, evaluation) => adjusted(firing, segments, evaluation),
    keepsAll,
  });
  return found({ ...composed, firing, simulate });
}

/** On a coarse mesh and without stress: for rounds that move figures by far more than that errs. */
const roughly =
  (simulate: (input: SimulationInput) => SimulationResult) =>
  ({ stress: _stress, ...input }: SimulationInput): SimulationResult =>
    simulate({ ...input, resolution: { glassIntervals: COARSE_INTERVALS } });

/** What is asked of each round; E: what a schedule was judged to be. */
interface Rounds<E> {
  evaluate(segments: PurposefulSegment[], fully: boolean): E;
  /** The next schedule to try, or null when there is nothing left to correct. */
  adjusted(segments: PurposefulSegment[], evaluation: E): PurposefulSegment[] | null;
  keepsAll(evaluation: E): boolean;
}

/** Corrects a guess until nothing is left to correct: roughly first, what stays in full. isNear: in full from the beginning. */
export function settled<E>(
  guess: PurposefulSegment[],
  rounds: Rounds<E>,
  isNear = false,
): { segments: PurposefulSegment[]; evaluation: E; evaluations: number } {
  const tried = new Set<string>();
  let segments = guess;
  let evaluations = 0;
  let evaluation: E;
  /** The last that kept every limit in full: rounds that go in a circle end in it and not where they happen to stand. */
  let kept: { segments: PurposefulSegment[]; evaluation: E } | null = null;
  // The early rounds need no stress: what stays is judged, and the last word said, in full.
  for (let fully = isNear; ;) {
    evaluation = rounds.evaluate(segments, fully);
    evaluations += 1;
    if (fully && rounds.keepsAll(evaluation)) kept = { segments, evaluation };
    const next = evaluations < MOST_EVALUATIONS ? rounds.adjusted(segments, evaluation) : null;
    const again = next !== null && tried.has(JSON.stringify(next));
    if (next !== null && !again) {
      tried.add(JSON.stringify(next));
      segments = next;
      continue;
    }
    if (fully) break;
    fully = true;
    tried.clear();
  }
  if (kept !== null && !rounds.keepsAll(evaluation)) ({ segments, evaluation } = kept);
  return { segments, evaluation, evaluations };
}

export const keepsAll = (judged: Evaluation): boolean => brokenOf(judged.readings).length === 0 && judged.simulation.stalled === null;

type Found = Pick<Composed, 'segments' | 'evaluation' | 'evaluations'>;

/** What was found good, as the controller counts it: whole rates, steps for what is slower, no more segments than it holds, its own degrees. */
function asKeyed(
  asked: ResolvedFiring,
  firing: ResolvedFiring,
  composed: Found,
  simulate: (input: SimulationInput) => SimulationResult,
  units: Units,
  remarks: string[],
): Found {
  let { segments, evaluation, evaluations } = composed;
  const { offset_K } = asked.corrections ?? NO_CORRECTIONS;
  const countable = asked.controller ? counted(segments, asked.controller) : segments;
  if (countable !== segments) {
    segments = countable;
    evaluation = evaluate(firing, segments, false, simulate);
    evaluations += 1;
  }
  // Steps are taken where they keep the limits; a cool that is only asked for too slowly stays, and is said to be.
  const steps = asked.controller ? stepped(segments, asked.controller, units.temperature) : { segments, remarks: [] };
  const inSteps = steps.segments === segments ? null : evaluate(firing, steps.segments, false, simulate);
  const takesSteps = inSteps !== null && brokenOf(inSteps.readings).length <= brokenOf(evaluation.readings).length;
  if (takesSteps) {
    [segments, evaluation] = [steps.segments, inSteps];
    remarks.push(...steps.remarks);
  }
  evaluations += Number(inSteps !== null);
  if (asked.controller) {
    const judge = (tried: PurposefulSegment[]): Evaluation => evaluate(firing, tried, false, simulate);
    const shorter = shortened(firing, { segments, evaluation }, asked.controller, judge, units);
    remarks.push(...shorter.remarks);
    ({ segments, evaluation } = shorter);
    evaluations += shorter.evaluations;
  }
  if (offset_K === 0) return { segments, evaluation, evaluations };
  // What the controller reads is keyed in its own whole degrees; a cool ends no hotter than it was found good.
  segments = segments.map((segment) => ({
    ...segment,
    target_C: wholeDegrees(segment.target_C + offset_K, keyedIn(asked), COOLS[segment.role] ? 'colder' : 'nearest'),
  }));
  return { segments, evaluation: evaluate(asked, segments, false, simulate), evaluations: evaluations + 1 };
}

/** Of what has no glass in it. */
function composedEmpty(asked: ResolvedFiring, units: Units): Outcome<Composed> {
  const fired = emptyFiringOf(asked);
  const corrections = asked.corrections ?? NO_CORRECTIONS;
  const firing: ResolvedFiring = { ...asked, corrections: { ...corrections, offset_K: 0 } };
  const simulate = rememberingSimulator();
  if (fired === null) return refused('no-ware', 'setup.shaping', 'Name what is fired.');
  const written = (at_C: number): string => text(formatTemperature(at_C, units.temperature));
  const composed = composeEmpty(firing, fired, (segments) => simulate(followed(simulationOf(firing, segments, true))), corrections.offset_K, written);
  if (!composed.ok) return composed;
  const { segments, evaluations } = composed.value;
  const remarks: string[] = [];
  const keyed = asKeyed(asked, firing, { segments, evaluation: evaluate(firing, segments, false, simulate), evaluations }, simulate, units, remarks);
  return found({ ...keyed, converged: keepsAll(keyed.evaluation), school: asked.school, remarks });
}

/** A cool ends no hotter than it was found good. */
export const COOLS: Partial<Record<Role, true>> = { firstCool: true, secondCool: true, lastCool: true };

/** A kiln that loses less than this where its glass is annealed would not come down within a week. */
const LEAST_COOLING_C_PER_H = 5;

function neverCools({ kiln, glass }: ResolvedFiring, unit: TemperatureUnit): ReturnType<typeof refused> | null {
  const cools_C_per_h = 3600 * settledCooling(kiln, glass.annealing_C);
  if (cools_C_per_h >= LEAST_COOLING_C_PER_H) return null;
  return refused(
    'kiln-never-cools',
    'kiln.loss_per_s',
    `Switched off at ${text(formatTemperature(glass.annealing_C, unit))} this kiln would cool by ${text(formatRate(cools_C_per_h, unit))}, under the ${formatRate(LEAST_COOLING_C_PER_H, unit).figure} that any kiln does; its losses cannot be right.`,
  );
}

function kilnCannot(firing: FiringCase, guess: readonly PurposefulSegment[], offset_K: number, unit: TemperatureUnit): ReturnType<typeof refused> | null {
  const { top_C } = firing.kiln;
  const hottest_C = Math.max(...guess.map(({ target_C }) => target_C));
  const wanted = text(formatTemperature(hottest_C, unit));
  if (hottest_C + offset_K > top_C) {
    return refused(
      'above-kiln-top',
      'kiln.top_C',
      `This glass asks for ${wanted} and the kiln goes to ${text(formatTemperature(top_C - offset_K, unit))}; choose a hotter kiln or a softer glass.`,
    );
  }
  const climb_C_per_h = 3600 * fullPowerHeating(firing.kiln, hottest_C);
  if (climb_C_per_h >= LEAST_CLIMB_C_PER_H) return null;
  return refused(
    'kiln-too-weak',
    'kiln.power_K_per_s',
    `At ${wanted} this kiln at full power climbs by ${text(formatRate(climb_C_per_h, unit))}, under the ${formatRate(LEAST_CLIMB_C_PER_H, unit).figure} it needs to get there; its power or its losses cannot be right.`,
  );
}
