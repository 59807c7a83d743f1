/**
 * Composes a schedule. Closed forms give the first guess of every rate, target and hold; then the simulation is
 * asked, and whatever breaks a limit is slowed or lengthened until nothing does. Closed-form rates are never
 * exceeded, even where the simulation would allow it: a shelf that helps is not to be relied on without proof.
 */
import { resolved, type ResolvedFiring } from './resolved';
import { rememberingSimulator } from '../heat/joints';
import { fullPowerHeating } from '../kiln/kiln';
import { type Outcome, found, refused } from '../problem';
import { METRIC, type TemperatureUnit, type Units } from '../units/convert';
import { formatRate, formatTemperature, text } from '../units/format';
import { adjusted } from './adjust';
import { type Evaluation, type Reading, brokenOf, evaluate, marginOf } from './check';
import type { FiringCase, School } from './firingCase';
import { NO_CORRECTIONS } from '../learn/corrections';
import { closedForm, keyedIn } from './firstGuess';
import { impossibleFiring } from './possible';
import type { PurposefulSegment } from '../kiln/segment';
import { wholeDegrees } from './rounding';
import { shortened } from './shorten';

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

/** units: of what is refused. */
export function compose(asked: FiringCase, units: Units = METRIC): Outcome<Composed> {
  const impossible = impossibleFiring(asked, units.length);
  if (impossible) return { ok: false, problem: impossible };
  const firing = resolved(asked);
  const first = composeAs(firing, units);
  if (!first.ok || asked.school.heat === 'hotter') return first;
  const forbidden = brokenOf(first.value.evaluation.readings).filter(({ limit }) => limit === 'haze' || limit === 'coating');
  if (forbidden.length === 0) return first;
  const hotter = composeAs({ ...firing, school: { ...asked.school, heat: 'hotter' } }, units);
  if (!hotter.ok || brokenOf(hotter.value.evaluation.readings).length >= brokenOf(first.value.evaluation.readings).length) return first;
  const reason = forbidden[0].limit === 'haze' ? 'it would haze' : 'the coating would lift';
  return found({
    ...hotter.value,
    evaluations: first.value.evaluations + hotter.value.evaluations,
    remarks: [`Hotter and shorter than asked, because cooler and longer ${reason}.`, ...hotter.value.remarks],
  });
}

function composeAs(asked: ResolvedFiring, { temperature }: Units): Outcome<Composed> {
  const corrections = asked.corrections ?? NO_CORRECTIONS;
  // Composed by what the glass feels; the targets are moved to what the controller reads at the end.
  const firing: ResolvedFiring = { ...asked, corrections: { ...corrections, offset_K: 0 } };
  if (!firing.work_perPa.ok) return firing.work_perPa;
  const guess = closedForm(firing);
  const impossible = kilnCannot(firing, guess, corrections.offset_K, temperature);
  if (impossible) return impossible;
  const simulate = rememberingSimulator();
  let segments = guess;
  let evaluation = evaluate(firing, segments, false, simulate);
  let evaluations = 1;
  for (; evaluations < MOST_EVALUATIONS; evaluations += 1) {
    const next = adjusted(firing, segments, evaluation);
    if (next === null) break;
    segments = next;
    evaluation = evaluate(firing, segments, false, simulate);
  }
  const { segments: kept, remarks } = asked.controller ? shortened(segments, asked.controller) : { segments, remarks: [] };
  if (kept !== segments) {
    evaluation = evaluate(firing, kept, false, simulate);
    evaluations += 1;
  }
  const converged = brokenOf(evaluation.readings).length === 0 && evaluation.simulation.stalled === null;
  if (corrections.offset_K === 0) return found({ segments: kept, evaluation, evaluations, converged, school: asked.school, remarks });
  // What the controller reads is keyed in its own whole degrees.
  const keyed = kept.map((segment) => ({ ...segment, target_C: wholeDegrees(segment.target_C + corrections.offset_K, keyedIn(asked)) }));
  return found({
    segments: keyed,
    evaluation: evaluate(asked, keyed, false, simulate),
    evaluations: evaluations + 1,
    converged,
    school: asked.school,
    remarks,
  });
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

/** The reading that leaves a segment the least room: what limits it. */
export function tightest(readings: readonly Reading[], segment: number): Reading | null {
  const own = readings.filter((reading) => reading.segment === segment);
  return own.length === 0 ? null : own.reduce((best, reading) => (marginOf(reading) < marginOf(best) ? reading : best));
}
