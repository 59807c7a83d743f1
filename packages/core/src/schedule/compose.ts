/**
 * Composes a schedule. Closed forms give the first guess of every rate, target and hold; then the simulation is
 * asked, and whatever breaks a limit is slowed or lengthened until nothing does. Closed-form rates are never
 * exceeded, even where the simulation would allow it: a shelf that helps is not to be relied on without proof.
 */
import { footprintSpan } from '../body/footprint';
import { efold, fullFuseWork, logViscosityFor, middleWork, rampsWorth } from '../flow/heatWork';
import { squeezeWork } from '../flow/squeeze';
import { restrainedDifference, shearModulus } from '../glass/constants';
import { fluidity, temperatureAt, viscosityOf } from '../glass/viscosity';
import { exchange } from '../heat/exchange';
import { equalisingTime, rateWithin, slabLag } from '../heat/quasiSteady';
import { regimesOf } from '../heat/regimes';
import { acrossLag, fullPowerHeating, naturalCooling } from '../kiln/kiln';
import { type Outcome, found, refused } from '../problem';
import { formatTemperature, text } from '../units/format';
import { type Evaluation, type Reading, brokenOf, evaluate, marginOf, naturalCooling_C_per_h } from './check';
import { type FiringCase, bodyDepth, thickestSheet } from './firingCase';
import { openingTemperature } from './opening';
import type { PurposefulSegment, Role } from './segment';

export interface Composed {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** Simulations spent. */
  evaluations: number;
  /** False when a limit is still broken after the allowed number of simulations. */
  converged: boolean;
}

const SQUEEZE_HOLD_S = 30 * 60;
const LEAST_SQUEEZE_S = 10 * 60;
/** The two schools of heat: hold at the working temperature. */
const WORK_HOLD_S = { cooler: 15 * 60, hotter: 8 * 60 };
const WORK_HOLD_RANGE_S = { least: 5 * 60, most: 40 * 60 };
/** How far inside its range the work must lie to count as met without its middle. */
const WORK_CLEARANCE = 1.15;
/** log10 η of the lower soak: relaxes in under an hour, and most of the cooling lies below. */
const LOWER_SOAK_LOG_ETA = 13.9;
const ANNEALING_LOG_ETA = 12;
const SECOND_COOL_BELOW_FIRST_K = 60;
/** The simulation sees more than the closed form, so it needs less reserve. */
const SIMULATED_RESERVE = 1.1;
/** A kiln at full power has nothing left to hold its rate with. */
const KILN_PACE_SHARE = 0.9;
/** A squeeze is a climb of its own, however late the glass is past brittle. */
const LEAST_SQUEEZE_CLIMB_K = 15;
/** A kiln that climbs slower than this at the working temperature will not hold it against a draught. */
const LEAST_CLIMB_C_PER_H = 20;
const MOST_EVALUATIONS = 14;
/** Difference left by the drop, K: start of the equalising estimate. */
const DROP_LEAVES_K = 25;

export function compose(firing: FiringCase): Outcome<Composed> {
  const guess = closedForm(firing);
  const { top_C } = firing.kiln;
  const tooHot = guess.find((segment) => segment.target_C > top_C);
  if (tooHot) {
    const wanted = text(formatTemperature(tooHot.target_C, 'C'));
    return refused(
      'above-kiln-top',
      'kiln.top_C',
      `This glass asks for ${wanted} and the kiln goes to ${text(formatTemperature(top_C, 'C'))}; choose a hotter kiln or a softer glass.`,
    );
  }
  const hottest_C = Math.max(...guess.map(({ target_C }) => target_C));
  const climb_C_per_h = 3600 * fullPowerHeating(firing.kiln, hottest_C);
  if (climb_C_per_h < LEAST_CLIMB_C_PER_H) {
    const wanted = text(formatTemperature(hottest_C, 'C'));
    return refused(
      'kiln-too-weak',
      'kiln.power_K_per_s',
      `At ${wanted} this kiln at full power climbs by ${climb_C_per_h.toFixed(0)} °C/h, under the ${LEAST_CLIMB_C_PER_H} it needs to get there; its power or its losses cannot be right.`,
    );
  }
  let segments = guess;
  let evaluation = evaluate(firing, segments);
  let evaluations = 1;
  for (; evaluations < MOST_EVALUATIONS; evaluations += 1) {
    const next = adjusted(firing, segments, evaluation);
    if (next === null) break;
    segments = next;
    evaluation = evaluate(firing, segments);
  }
  const converged = brokenOf(evaluation.readings).length === 0 && evaluation.simulation.stalled === null;
  return found({ segments, evaluation, evaluations, converged });
}

/** The first guess, from closed forms alone. */
export function closedForm(firing: FiringCase): PurposefulSegment[] {
  const { body, kiln, limits, school, setup } = firing;
  const { glass } = body;
  const vft = viscosityOf(glass);
  const regimes = regimesOf(vft);
  const depth = bodyDepth(body);
  const sheet = thickestSheet(body);
  const across = acrossLag(kiln, footprintSpan(body.footprint));
  const through = slabLag(glass, depth, 1);
  const pull_K = restrainedDifference(glass, limits.pull_Pa / limits.pullReserve);
  const perHour = (difference_K: number, lag: number): number => 3600 * rateWithin(difference_K, lag, across);
  const climb = (to_C: number): number => niceRate(Math.min(perHour(limits.climbing_K, through), KILN_PACE_SHARE * 3600 * fullPowerHeating(kiln, to_C)));

  const squeeze_C = roundTo(
    clamp(temperatureAt(vft, logViscosityFor(squeezeWork(glass, sheet, limits.pocket), SQUEEZE_HOLD_S)), regimes.squeezeFrom_C + 3, regimes.squeezeTo_C - 5),
    5,
  );
  const workHold = WORK_HOLD_S[school.heat];
  const work_C = workingTemperature(firing, (at_C) => climb(at_C) / 3600);
  const soak_C = Math.round(temperatureAt(vft, soaksLower(firing) ? LOWER_SOAK_LOG_ETA : ANNEALING_LOG_ETA));
  const first_C = roundDown(regimes.setsTo_C, 5);
  const second_C = first_C - SECOND_COOL_BELOW_FIRST_K;
  const last_C = roundDown(openingTemperature(firing), 5);
  const heat = heatPerArea(firing);
  const soakTau = evening(firing, soak_C);
  const relax = limits.relaxations / (shearModulus(glass) * fluidity(vft, soak_C));
  const cool = perHour(limits.setting_K / limits.settingReserve, through);
  const thenCool = perHour(pull_K / limits.settingReserve, through);
  const lastCool = perHour(pull_K, through);
  const warm = niceRate(
    Math.min(perHour(pull_K, body.joined ? through : slabLag(glass, sheet, 1)), KILN_PACE_SHARE * 3600 * fullPowerHeating(kiln, regimes.brittle_C)),
  );
  // The kiln must lead by the glass's lag for the glass itself to be past brittle.
  const lag = (warm / 3600) * (through + heat / Math.max(exchange(setup.faces.top, regimes.brittle_C, regimes.brittle_C), 1));
  const warm_C = Math.min(roundUp(regimes.brittle_C + lag, 5), squeeze_C - LEAST_SQUEEZE_CLIMB_K);

  const segment = (role: Role, rate_C_per_h: number | null, target_C: number, hold_s = 0): PurposefulSegment => ({
    role,
    rate_C_per_h,
    target_C,
    hold_s,
  });
  return [
    segment('warmUp', warm, warm_C),
    segment('squeeze', climb(squeeze_C), squeeze_C, SQUEEZE_HOLD_S),
    segment('work', climb(work_C), work_C, workHold),
    segment('drop', null, soak_C, niceHold(Math.max(limits.leastSoak_s, soakTau * Math.log(DROP_LEAVES_K / limits.even_K) + relax))),
    segment('firstCool', niceRate(cool), first_C),
    segment('secondCool', niceRate(thenCool), second_C),
    segment('lastCool', naturalCooling_C_per_h(firing, second_C) <= lastCool ? null : niceRate(lastCool), last_C),
  ];
}

/** Heat capacity of glass and what lies under it, J/(m²K). */
const heatPerArea = ({ body, setup }: FiringCase): number =>
  setup.below.reduce((sum, one) => sum + one.density_kg_m3 * one.heatCapacity_J_kgK * one.thickness_m, 0) +
  body.glass.density_kg_m3 * body.glass.heatCapacity_J_kgK * bodyDepth(body);

/** Estimate of the time constant with which the body evens out at a temperature: through the glass, and into the kiln by its top. */
const evening = (firing: FiringCase, at_C: number): number =>
  equalisingTime(firing.body.glass, bodyDepth(firing.body), 1) + heatPerArea(firing) / Math.max(exchange(firing.setup.faces.top, at_C, at_C), 1);

/** Where the school's hold, with the ramps to it and from it, does the middle of the wanted work; to 5 °C. */
function workingTemperature({ body, kiln, limits, school }: FiringCase, climb_K_per_s: (at_C: number) => number): number {
  const vft = viscosityOf(body.glass);
  const work = middleWork(fullFuseWork(body.glass, thickestSheet(body), limits.fullFuse));
  let at_C = temperatureAt(vft, logViscosityFor(work, WORK_HOLD_S[school.heat]));
  for (let round = 0; round < 4; round += 1) {
    const worth = rampsWorth(vft, at_C, climb_K_per_s(at_C), naturalCooling(kiln, at_C));
    at_C = temperatureAt(vft, logViscosityFor(work, WORK_HOLD_S[school.heat] + worth));
  }
  return roundTo(at_C, 5);
}

/** Whether this firing soaks low: by choice, or because the body is thick. */
export const soaksLower = ({ body, school, limits }: FiringCase): boolean =>
  school.soak === 'lower' || (school.soak === 'auto' && bodyDepth(body) > limits.thick_m);

/** One round of corrections, or null when there is nothing left to correct. */
function adjusted(firing: FiringCase, segments: PurposefulSegment[], evaluation: Evaluation): PurposefulSegment[] | null {
  let changed = false;
  const next = segments.map((segment, index) => {
    const better = adjust(firing, segments, index, evaluation);
    if (better.rate_C_per_h !== segment.rate_C_per_h || better.target_C !== segment.target_C || better.hold_s !== segment.hold_s) changed = true;
    return better;
  });
  return changed ? next : null;
}

function adjust(firing: FiringCase, segments: PurposefulSegment[], index: number, evaluation: Evaluation): PurposefulSegment {
  const segment = segments[index];
  const readings = evaluation.readings.filter((reading) => reading.segment === index);
  const slowed = slowDown(firing, segment, segments[index - 1]?.target_C ?? firing.kiln.ambient_C, readings);
  if (segment.role === 'warmUp') return { ...slowed, target_C: warmTarget(firing, segments, index, evaluation) };
  if (segment.role === 'firstCool') return { ...slowed, target_C: firstCoolTarget(firing, segment, evaluation, index) };
  if (segment.role === 'squeeze') return { ...slowed, hold_s: squeezeHold(firing, segment, readings) };
  if (segment.role === 'work') return workHold(firing, slowed, evaluation);
  if (segment.role === 'drop') return { ...slowed, hold_s: soakHold(firing, segment, evaluation, index) };
  return slowed;
}

/** The reserve that each difference limit is composed with. */
const reserveFor = (limit: Reading['limit'], firing: FiringCase): number => (limit === 'pull' ? firing.limits.pullReserve : SIMULATED_RESERVE);

function slowDown(firing: FiringCase, segment: PurposefulSegment, from_C: number, readings: Reading[]): PurposefulSegment {
  let share = 1;
  for (const reading of readings) {
    const { limit, value, allowed } = reading;
    if (limit === 'kilnPace') share = Math.min(share, (KILN_PACE_SHARE * allowed) / value);
    if (limit === 'pull' || limit === 'climbing' || limit === 'setting') {
      share = Math.min(share, allowed / reserveFor(limit, firing) / value);
    }
  }
  if (share >= 1 - 1e-3) return segment;
  // A kiln left to itself cools fastest where it starts.
  const full = segment.rate_C_per_h ?? naturalCooling_C_per_h(firing, from_C);
  return { ...segment, rate_C_per_h: niceRate(full * share) };
}

/** Warm-up goes on until the coldest glass is past brittle. */
function warmTarget(firing: FiringCase, segments: PurposefulSegment[], index: number, { simulation }: Evaluation): number {
  const { target_C } = segments[index];
  const figures = simulation.segments[index];
  const next = segments[index + 1];
  if (!figures || !next) return target_C;
  const short = regimesOf(viscosityOf(firing.body.glass)).brittle_C - figures.glassColdestEnd_C;
  return short > 1 || short < -10 ? Math.min(roundUp(target_C + short, 5), next.target_C - LEAST_SQUEEZE_CLIMB_K) : target_C;
}

/** The first cool goes on until the glass itself, which lags, is past setting. */
function firstCoolTarget(firing: FiringCase, { target_C }: PurposefulSegment, { simulation }: Evaluation, index: number): number {
  const figures = simulation.segments[index];
  if (!figures) return target_C;
  const over = figures.glassEnd_C - regimesOf(viscosityOf(firing.body.glass)).setsTo_C;
  return over > 1 ? roundDown(target_C - over, 5) : target_C;
}

function squeezeHold(firing: FiringCase, segment: PurposefulSegment, readings: Reading[]): number {
  const reading = readings.find(({ limit }) => limit === 'squeeze');
  if (!reading) return segment.hold_s;
  const short = reading.allowed - reading.value;
  if (short <= 0 && marginOf(reading) < 0.15) return segment.hold_s;
  const seconds = short / fluidity(viscosityOf(firing.body.glass), segment.target_C);
  return niceHold(Math.max(LEAST_SQUEEZE_S, segment.hold_s + seconds));
}

function workHold(firing: FiringCase, segment: PurposefulSegment, { work }: Evaluation): PurposefulSegment {
  const { body, limits, kiln } = firing;
  const vft = viscosityOf(body.glass);
  const wanted = fullFuseWork(body.glass, thickestSheet(body), limits.fullFuse);
  const short = middleWork(wanted) - work.mean;
  const perSecond = fluidity(vft, segment.target_C);
  // A minute is what controllers count in: closer than half of one cannot be keyed.
  if (Math.abs(short) < 0.55 * 60 * perSecond && work.least >= wanted.least && work.most <= wanted.most) return segment;
  const hold_s = Math.round((segment.hold_s + short / perSecond) / 60) * 60;
  const keyed_s = clamp(hold_s, WORK_HOLD_RANGE_S.least, WORK_HOLD_RANGE_S.most);
  if (keyed_s === hold_s) return { ...segment, hold_s };
  // Outside the usual holds: the nearest usual one, if it still does enough and not too much; else another temperature.
  const wouldDoAt = work.mean + (keyed_s - segment.hold_s) * perSecond;
  if (wouldDoAt > wanted.least * WORK_CLEARANCE && wouldDoAt < wanted.most / WORK_CLEARANCE) return { ...segment, hold_s: keyed_s };
  const usual_s = WORK_HOLD_S[firing.school.heat];
  const wouldDo = work.mean + (usual_s - segment.hold_s) * perSecond;
  const shift = efold(vft, segment.target_C) * Math.log(middleWork(wanted) / wouldDo);
  const target_C = Math.min(segment.target_C + Math.sign(shift) * roundUp(Math.abs(shift), 5), roundDown(kiln.top_C, 5));
  return { ...segment, target_C, hold_s: usual_s };
}

function soakHold(firing: FiringCase, segment: PurposefulSegment, evaluation: Evaluation, index: number): number {
  const { body, limits } = firing;
  const { glass } = body;
  const figures = evaluation.simulation.segments[index];
  if (!figures) return segment.hold_s;
  const perRelaxation_s = 1 / (shearModulus(glass) * fluidity(viscosityOf(glass), segment.target_C));
  if (figures.spread_end > limits.even_K) {
    const tau = evening(firing, segment.target_C);
    return niceHold(segment.hold_s + tau * Math.log(figures.spread_end / limits.even_K) + limits.relaxations * perRelaxation_s);
  }
  const surplus_s = (figures.relaxations - limits.relaxations) * perRelaxation_s;
  if (surplus_s >= 0 && surplus_s < Math.max(300, 0.05 * segment.hold_s)) return segment.hold_s;
  return niceHold(Math.max(limits.leastSoak_s, segment.hold_s - surplus_s));
}

/** The reading that leaves a segment the least room: what limits it. */
export function tightest(readings: readonly Reading[], segment: number): Reading | null {
  const own = readings.filter((reading) => reading.segment === segment);
  return own.length === 0 ? null : own.reduce((best, reading) => (marginOf(reading) < marginOf(best) ? reading : best));
}

/** Rounds down to what people key: the slower the rate, the finer. */
export function niceRate(perHour: number): number {
  const step = perHour >= 50 ? 5 : perHour >= 10 ? 1 : perHour >= 2 ? 0.5 : 0.1;
  return Math.max(Number((Math.floor(perHour / step + 1e-9) * step).toFixed(1)), 0.1);
}

/** Rounds up to whole minutes, above an hour to five. */
export function niceHold(seconds: number): number {
  const step = seconds > 3600 ? 300 : 60;
  return Math.ceil(seconds / step - 1e-9) * step;
}

const roundTo = (value: number, step: number): number => Math.round(value / step) * step;
const roundUp = (value: number, step: number): number => Math.ceil(value / step - 1e-9) * step;
const roundDown = (value: number, step: number): number => Math.floor(value / step + 1e-9) * step;
const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high);
