/**
 * What firings teach: how much the controller reads over the glass, and how much more or less heat work this studio's looks
 * need. Each look that came out short, right or past is evidence on both at once. Looks at one temperature cannot tell them
 * apart: a kiln that reads 10 °C high looks just like glass that needs more work. A second temperature can, because ten
 * degrees are a factor of 1.7 in work at 650 °C and of 1.3 at 800; so can a witness at the glass.
 *
 * Looks have factors of their own: each departs from the studio's by a fifth or so, so that a tack that takes more says much of the
 * next tack and something of the next slump.
 *
 * Joint posterior on a grid. The prior: offset 0 ± 10 °C, factor 1 within a third, a look's within a fifth of that. Likelihood of an ordered outcome: the
 * log of the work done, less that of the work needed, plus a normal error, against both ends of the look's range. One in twenty
 * is taken to tell nothing, whatever it says: a lid that was lifted, a wrong piece looked at; so one odd result cannot carry the day.
 */
import { efold } from '../flow/heatWork';
import type { Look } from '../look/names';
import type { Vft } from '../glass/viscosity';

/** What firings have taught of this kiln and studio. */
export interface Corrections {
  /** The controller reads this much more than the glass has, K: targets are keyed so much higher. */
  offset_K: number;
  /** The work that looks need here over what they need on the reference body. */
  workFactor: number;
  /** The same of single looks, of which more is known. */
  lookFactors?: LookFactors;
}

export type LookFactors = Partial<Record<Look, number>>;

/** What a look takes here, times the usual: its own factor, or that of all looks. */
export const factorOf = ({ workFactor, lookFactors }: Corrections, look: Look): number => lookFactors?.[look] ?? workFactor;

/** What of it a studio has taken over for one of its kilns; nothing is as usual. */
export type TakenOver = Partial<Corrections>;

/** Corrections to plan by; undefined where all is as usual. */
export function correctionsOf({ offset_K = 0, workFactor = 1, lookFactors = {} }: TakenOver): Corrections | undefined {
  const looks = Object.values(lookFactors).length > 0 ? { lookFactors } : {};
  return offset_K === 0 && workFactor === 1 && !('lookFactors' in looks) ? undefined : { offset_K, workFactor, ...looks };
}

/** Heat work of a firing that was simulated with an offset taken off, as it is by what the controller read, 1/Pa. */
export const workAsRead = (vft: Vft, work_perPa: number, work_C: number, { offset_K = 0 }: TakenOver): number =>
  work_perPa * Math.exp(offset_K / efold(vft, work_C));

export const NO_CORRECTIONS: Corrections = { offset_K: 0, workFactor: 1 };

export interface LookSeen {
  /** What it was to be; without it, it speaks of all looks alike. */
  look?: Look;
  /** Work that the firing did by its uncorrected simulation, and the range its look needs on that body, 1/Pa. */
  work_perPa: number;
  least_perPa: number;
  most_perPa: number;
  /** Its working temperature as keyed, °C: what an offset moves. */
  work_C: number;
  outcome: 'short' | 'right' | 'past';
  /** By how much it fell short or went past; not said where left out. */
  by?: HowFar;
  /** What is reckoned for what it was measured to have become, 1/Pa: that says more than how it looked. */
  reached_perPa?: number;
  /** How many firings of this kiln came after it, those of one load alike: what it says of the offset is so much older. None where left out. */
  age?: number;
}

export const HOW_FAR = ['little', 'far'] as const;
export type HowFar = (typeof HOW_FAR)[number];

/** A reading at the glass beside the controller's: controller less glass, K. */
export interface Witness {
  offset_K: number;
  error_K: number;
  age?: number;
  /** The firing that it stood beside: its place among those that were seen. */
  of?: number;
}

export interface Learnt {
  corrections: Corrections;
  /** The factor of each look that was seen, in the order of their first firings, with the standard deviation of its logarithm. */
  looks: { look: Look; factor: number; sd_log: number; firings: number }[];
  /** Standard deviations: of the offset, K, and of the factor's logarithm. */
  offset_sd_K: number;
  workFactor_sd_log: number;
  /** Correlation of the two; near ±1 they cannot be told apart. */
  correlation: number;
  /** Whether the evidence tells one from the other. */
  separated: boolean;
  /** Work of the next test, 1/Pa; null until one fell short and one went past. */
  nextWork_perPa: number | null;
}

const PRIOR_OFFSET_K = 12;
const PRIOR_LOG_FACTOR = 0.35;
/** How far one look departs from what looks take here, in the logarithm. */
const LOOK_DEPARTS = 0.2;
/** What is believed before a firing has taught anything: as usual, within these standard deviations. */
export const PRIOR = { offset_sd_K: PRIOR_OFFSET_K, workFactor_sd_log: PRIOR_LOG_FACTOR, look_sd_log: Math.hypot(PRIOR_LOG_FACTOR, LOOK_DEPARTS) } as const;
/** A thermocouple or a witness at the glass, as people read them, K. */
export const WITNESS_ERROR_K = 3;
/** How far two like firings differ in what they look like, in the log of work. */
export const LOOK_ERROR = 0.2;
/** How far an offset wanders from one firing to the next, K: thermocouples age, and are pushed and bent. */
export const WALK_K = 1;
const wandered = ({ age = 0 }: { age?: number }): number => WALK_K * Math.sqrt(age);

/** What a measured shape is off by, in the log of work: a tenth of its depth. */
const MEASURED_ERROR = 0.15;
/** How far two like firings differ in what they do, in the log of work: a kiln that comes within 4 °C of where it was keyed, at 760 °C. */
const SCATTER_LOG = 0.14;
/** Share of results that tell nothing, and among how many they are spread. */
export const TELLS_NOTHING = 0.05;
const OUTCOMES = 3;
const OFFSETS = { from: -40, to: 40, count: 81 };
const LOG_FACTORS = { from: -1.4, to: 1.4, count: 57 };
/** Beyond this correlation one unknown stands for the other. */
const SEPARATED_BELOW = 0.8;
/** Known no better than this, an offset is not told from the factor, K. */
const KNOWN_WITHIN_K = 8;

const gridOf = ({ from, to, count }: typeof OFFSETS): number[] => Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));

/** Looked up once: a season of firings asks for them a million times. */
const { abs, exp, log: ln, SQRT2 } = Math;

/** Normal distribution function (Abramowitz and Stegun 7.1.26, good to 1.5e-7). */
export function below(z: number): number {
  const t = 1 / (1 + 0.3275911 * (abs(z) / SQRT2));
  const erf = 1 - t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.exp((-z * z) / 2);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** Beyond this in the log of work, two thirds more or less, a look is far off and not a little. */
export const FAR = 0.5;

const [LOWEST, HIGHEST] = [-Infinity, Infinity];
type Edge = 'none' | 'farShort' | 'least' | 'most' | 'farPast' | 'all';
/** Between which edges the work lies that each result tells of. */
const PLACES: Record<LookSeen['outcome'], Record<HowFar | 'all', [from: Edge, to: Edge]>> = {
  short: { all: ['none', 'least'], little: ['farShort', 'least'], far: ['none', 'farShort'] },
  right: { all: ['least', 'most'], little: ['least', 'most'], far: ['least', 'most'] },
  past: { all: ['most', 'all'], little: ['most', 'farPast'], far: ['farPast', 'all'] },
};

/** How likely an outcome is where an offset and a factor are so: its marks are worked out once for a whole grid. */
function likelihoodOf(seen: LookSeen, kelvinPerE: number): (offset_K: number, logFactor: number) => number {
  const [work, least, most] = [Math.log(seen.work_perPa), Math.log(seen.least_perPa), Math.log(seen.most_perPa)];
  const aged = wandered(seen) / kelvinPerE;
  if (seen.reached_perPa !== undefined) {
    const reached = ln(seen.reached_perPa);
    const wide = Math.hypot(MEASURED_ERROR, aged);
    // As likely as all results together at its height, so that one in twenty weighs against it as against a look.
    return (offset_K, logFactor) => {
      const off = (work - offset_K / kelvinPerE - logFactor - reached) / wide;
      return (1 - TELLS_NOTHING) * exp(-0.5 * off * off) + TELLS_NOTHING / OUTCOMES;
    };
  }
  const error = Math.hypot(LOOK_ERROR, aged);
  const marks: Record<Edge, number> = { none: LOWEST, farShort: least - FAR, least, most, farPast: most + FAR, all: HIGHEST };
  const [from, to] = PLACES[seen.outcome][seen.by ?? 'all'].map((edge) => marks[edge]);
  /** How likely what was done lies under a mark. */
  const under = (mark: number, did: number): number => (mark === LOWEST ? 0 : mark === HIGHEST ? 1 : below((mark - did) / error));
  return (offset_K, logFactor) => {
    const did = work - offset_K / kelvinPerE - logFactor;
    const between = under(to, did) - under(from, did);
    return (1 - TELLS_NOTHING) * (between > 0 ? between : 0) + TELLS_NOTHING / OUTCOMES;
  };
}

/** Firings that speak of one factor, and what they say of it at each offset: likelihoods on the grid, row by row of offsets, against the likeliest. */
interface Said {
  look: Look | null;
  firings: number;
  /** Of the factor of these firings. */
  own: Float64Array;
  /** Of what all looks take, the departure of this one left open. */
  ofAll: Float64Array;
}

/** Share of each factor of one look, where all looks take another: rows of a square, one after the other, each summing to one. */
function departures(factors: readonly number[]): Float64Array {
  const across = factors.length;
  const shares = Float64Array.from({ length: across * across }, (_, at) =>
    Math.exp(-0.5 * ((factors[at % across] - factors[Math.floor(at / across)]) / LOOK_DEPARTS) ** 2),
  );
  for (let row = 0; row < shares.length; row += across) {
    let sum = 0;
    for (let at = row; at < row + across; at += 1) sum += shares[at];
    for (let at = row; at < row + across; at += 1) shares[at] /= sum;
  }
  return shares;
}

/** What is said of one look's own factor, as it is of what all looks take: its departure summed out. */
function summedOut(own: Float64Array, departs: Float64Array, across: number): Float64Array {
  const all = new Float64Array(own.length);
  for (let row = 0; row < own.length; row += across) {
    for (let j = 0; j < across; j += 1) {
      let sum = 0;
      for (let g = 0; g < across; g += 1) sum += departs[j * across + g] * own[row + g];
      all[row + j] = sum;
    }
  }
  return all;
}

function saidBy(look: Look | null, seen: readonly LookSeen[], vft: Vft, offsets: readonly number[], factors: readonly number[], departs: Float64Array): Said {
  const across = factors.length;
  const log = new Float64Array(offsets.length * across);
  for (const one of seen) {
    const likelihood = likelihoodOf(one, efold(vft, one.work_C));
    offsets.forEach((d, i) => {
      for (let j = 0; j < across; j += 1) log[i * across + j] += ln(likelihood(d, factors[j]));
    });
  }
  const likeliest = log.reduce((most, value) => Math.max(most, value), -Infinity);
  const own = log.map((value) => Math.exp(value - likeliest));
  const ofAll = look === null ? own : summedOut(own, departs, across);
  return { look, firings: seen.length, own, ofAll };
}

const errorsOf = (witnesses: readonly Witness[]): { offset_K: number; error_K: number }[] =>
  witnesses.map(({ offset_K, error_K, ...witness }) => ({ offset_K, error_K: Math.hypot(error_K, wandered(witness)) }));

/** Logarithm of what is believed of an offset before looks are counted: the prior, and readings at the glass. */
const priorOf = (offset_K: number, told: ReturnType<typeof errorsOf>): number =>
  told.reduce((sum, one) => sum - 0.5 * ((offset_K - one.offset_K) / one.error_K) ** 2, -0.5 * (offset_K / PRIOR_OFFSET_K) ** 2);

export function learnCorrections(vft: Vft, seen: readonly LookSeen[], witnesses: readonly Witness[] = []): Learnt {
  const offsets = gridOf(OFFSETS);
  const factors = gridOf(LOG_FACTORS);
  const across = factors.length;
  const departs = departures(factors);
  const kinds = [...new Set(seen.map(({ look }) => look ?? null))];
  const said = kinds.map((look) =>
    saidBy(
      look,
      seen.filter((one) => (one.look ?? null) === look),
      vft,
      offsets,
      factors,
      departs,
    ),
  );
  const posterior = new Float64Array(offsets.length * across);
  const sums = { w: 0, d: 0, f: 0, dd: 0, ff: 0, df: 0 };
  const told = errorsOf(witnesses);
  offsets.forEach((d, i) => {
    const before = priorOf(d, told);
    factors.forEach((f, j) => {
      const at = i * across + j;
      const w = said.reduce((all, { ofAll }) => all * ofAll[at], exp(before - 0.5 * (f / PRIOR_LOG_FACTOR) ** 2));
      posterior[at] = w;
      sums.w += w;
      sums.d += w * d;
      sums.f += w * f;
      sums.dd += w * d * d;
      sums.ff += w * f * f;
      sums.df += w * d * f;
    });
  });
  const d = sums.d / sums.w;
  const f = sums.f / sums.w;
  const offset_sd_K = Math.sqrt(sums.dd / sums.w - d * d);
  const workFactor_sd_log = Math.sqrt(sums.ff / sums.w - f * f);
  const correlation = (sums.df / sums.w - d * f) / (offset_sd_K * workFactor_sd_log);
  return {
    corrections: { offset_K: d, workFactor: Math.exp(f) },
    looks: said.flatMap((one) => (one.look === null ? [] : [{ look: one.look, firings: one.firings, ...factorOfLook(one, posterior, factors, departs) }])),
    offset_sd_K,
    workFactor_sd_log,
    correlation,
    nextWork_perPa: ladderOf(seen),
    separated: seen.length + witnesses.length > 0 && Math.abs(correlation) < SEPARATED_BELOW && offset_sd_K < KNOWN_WITHIN_K,
  };
}

/** What a firing to come can be expected to come out as. */
export interface Foreseen {
  /** Of each outcome; they come to 1. */
  chances: Record<LookSeen['outcome'], number>;
  /** Its work over the least that it takes: 5 %, the middle, 95 %. */
  ofLeast: [from: number, middle: number, to: number];
}

/** What a kiln has done lately against what it did before. */
export interface Drift {
  /** So much hotter than before the last ones came out, K; negative: cooler. */
  hotter_K: number;
  sd_K: number;
  /** More than chance would do: a check firing would tell. */
  isSure: boolean;
}

/** So many firings are held against as many before them. */
const LATELY = 10;
/** Fewer before them tell nothing. */
const BEFORE_AT_LEAST = 5;
/** Beyond so many standard deviations it is no chance. */
const SURE = 2;

/** seen: the newest first. Offset and factor together are known far better than either: what both do at one temperature is compared. Null where there are too few. */
export function driftOf(vft: Vft, seen: readonly LookSeen[]): Drift | null {
  const [last, before] = [seen.slice(0, LATELY), seen.slice(LATELY, 2 * LATELY)];
  if (last.length < LATELY || before.length < BEFORE_AT_LEAST) return null;
  const kelvinPerE = efold(vft, last.reduce((sum, { work_C }) => sum + work_C, 0) / last.length);
  const [now, then] = [last, before].map((some) => togetherOf(vft, some, kelvinPerE));
  const hotter_K = (then.mean - now.mean) * kelvinPerE;
  const sd_K = Math.hypot(now.sd, then.sd) * kelvinPerE;
  return { hotter_K, sd_K, isSure: Math.abs(hotter_K) > SURE * sd_K };
}

/** Offset and factor together, as the logarithm of work that they take away. */
function togetherOf(vft: Vft, seen: readonly LookSeen[], kelvinPerE: number): { mean: number; sd: number } {
  const [offsets, factors] = [gridOf(OFFSETS), gridOf(LOG_FACTORS)];
  const { own } = saidBy(
    null,
    seen.map(({ age: _age, ...one }) => one),
    vft,
    offsets,
    factors,
    NO_DEPARTURES,
  );
  let [w, u, uu] = [0, 0, 0];
  offsets.forEach((d, i) => {
    const before = priorOf(d, []);
    for (let j = 0; j < factors.length; j += 1) {
      const weight = exp(before - 0.5 * (factors[j] / PRIOR_LOG_FACTOR) ** 2) * own[i * factors.length + j];
      const takes = d / kelvinPerE + factors[j];
      w += weight;
      u += weight * takes;
      uu += weight * takes * takes;
    }
  });
  const mean = u / w;
  return { mean, sd: Math.sqrt(uu / w - mean * mean) };
}

/** The offset of a kiln as one of its firings and those before it tell it. */
export interface OffsetThen {
  /** Its place among those that were seen. */
  at: number;
  offset_K: number;
  sd_K: number;
}

/** seen: the newest first. From as many firings at a time as are held against one another, with the factors that all together told; the oldest first. */
export function offsetLine(vft: Vft, seen: readonly LookSeen[], corrections: Corrections): OffsetThen[] {
  const offsets = gridOf(OFFSETS);
  const log = seen.map((one) => {
    const { age: _age, ...now } = one;
    const likelihood = likelihoodOf(now, efold(vft, one.work_C));
    const logFactor = ln(one.look === undefined ? corrections.workFactor : factorOf(corrections, one.look));
    return offsets.map((d) => ln(likelihood(d, logFactor)));
  });
  const line = seen.map((_, i): OffsetThen | null => {
    const some = log.slice(i, i + LATELY);
    if (some.length < BEFORE_AT_LEAST) return null;
    let [w, sum, squares] = [0, 0, 0];
    offsets.forEach((d, k) => {
      const weight = exp(some.reduce((all, row) => all + row[k], priorOf(d, [])));
      w += weight;
      sum += weight * d;
      squares += weight * d * d;
    });
    const offset_K = sum / w;
    return { at: i, offset_K, sd_K: Math.sqrt(squares / w - offset_K * offset_K) };
  });
  return line.flatMap((one) => one ?? []).reverse();
}

/** What would have been learnt without one of the firings. */
export interface Without {
  offset_K: number;
  workFactor: number;
}

/** Of each firing that was seen, what the rest would have taught: its own readings at the glass go with it. */
export const withoutEach = (vft: Vft, seen: readonly LookSeen[], witnesses: readonly Witness[] = []): Without[] =>
  seen.map((_, i) => {
    const rest = seen.filter((_one, at) => at !== i);
    const told = witnesses.filter((one) => one.of !== i);
    return learnCorrections(vft, rest, told).corrections;
  });

/** Of what speaks of all looks alike. */
const NO_DEPARTURES = new Float64Array();

/** What a trial can be expected to come out as, after firings of its kind: each by its uncorrected simulation. */
export function foresee(
  vft: Vft,
  seen: readonly LookSeen[],
  trial: Pick<LookSeen, 'work_perPa' | 'least_perPa' | 'most_perPa' | 'work_C'>,
  witnesses: readonly Witness[] = [],
): Foreseen {
  const [offsets, factors] = [gridOf(OFFSETS), gridOf(LOG_FACTORS)];
  const { own } = saidBy(null, seen, vft, offsets, factors, NO_DEPARTURES);
  const kelvinPerE = efold(vft, trial.work_C);
  const did = Math.log(trial.work_perPa / trial.least_perPa);
  const likelihoods = OUTCOME_NAMES.map((outcome) => likelihoodOf({ ...trial, outcome }, kelvinPerE));
  const shares = new Float64Array(BINS);
  const sums = [0, 0, 0];
  let whole = 0;
  const told = errorsOf(witnesses);
  offsets.forEach((d, i) => {
    const before = priorOf(d, told);
    for (let j = 0; j < factors.length; j += 1) {
      const f = factors[j];
      const weight = exp(before - 0.5 * (f / PRIOR.look_sd_log) ** 2) * own[i * factors.length + j];
      whole += weight;
      for (let k = 0; k < likelihoods.length; k += 1) sums[k] += weight * likelihoods[k](d, f);
      // No two like firings are alike: a normal error by three points (Gauss and Hermite).
      const middle = did - d / kelvinPerE - f;
      shares[binOf(middle)] += (2 / 3) * weight;
      shares[binOf(middle - ASIDE)] += weight / 6;
      shares[binOf(middle + ASIDE)] += weight / 6;
    }
  });
  const quantile = (share: number): number => {
    let sum = 0;
    return Math.exp(logOf(shares.findIndex((one) => (sum += one) >= share * whole)));
  };
  const [short, right, past] = sums.map((sum) => sum / whole);
  return { chances: { short, right, past }, ofLeast: [quantile(0.05), quantile(0.5), quantile(0.95)] };
}

/** Work over the least, in the logarithm, in bins: finer than a hundredth. */
const BINS = 2400;
const BIN = 0.005;
function binOf(log: number): number {
  const bin = (log / BIN + BINS / 2) | 0;
  return bin < 0 ? 0 : bin >= BINS ? BINS - 1 : bin;
}
const logOf = (bin: number): number => (bin - BINS / 2) * BIN;
const ASIDE = Math.sqrt(3) * SCATTER_LOG;

const OUTCOME_NAMES = ['short', 'right', 'past'] as const;

/** What one look takes: what its own firings say, with what all the others say of looks. */
function factorOfLook({ own, ofAll }: Said, posterior: Float64Array, factors: readonly number[], departs: Float64Array): { factor: number; sd_log: number } {
  const across = factors.length;
  let [w, g, gg] = [0, 0, 0];
  for (let at = 0; at < posterior.length; at += 1) {
    const [row, j] = [at - (at % across), at % across];
    const without = posterior[at] / ofAll[at];
    for (let k = 0; k < across; k += 1) {
      const weight = without * departs[j * across + k] * own[row + k];
      w += weight;
      g += weight * factors[k];
      gg += weight * factors[k] * factors[k];
    }
  }
  const mean = g / w;
  return { factor: Math.exp(mean), sd_log: Math.sqrt(gg / w - mean * mean) };
}

/** Where the next test should go, from the most that fell short and the least that went past. */
function ladderOf(seen: readonly LookSeen[]): number | null {
  const short = seen.filter(({ outcome }) => outcome === 'short').map(({ work_perPa }) => work_perPa);
  const past = seen.filter(({ outcome }) => outcome === 'past').map(({ work_perPa }) => work_perPa);
  return short.length > 0 && past.length > 0 ? nextRung(Math.max(...short), Math.min(...past)) : null;
}

/** The next rung of a test ladder: halves, in the logarithm, what lies between work that fell short and work that went past. */
export const nextRung = (short_perPa: number, past_perPa: number): number => Math.sqrt(short_perPa * past_perPa);
