/**
 * What firings teach: how much the controller reads over the glass, and how much more or less heat work this studio's looks
 * need. Each look that came out short, right or past is evidence on both at once. Looks at one temperature cannot tell them
 * apart: a kiln that reads 10 °C high looks just like glass that needs more work. A second temperature can, because ten
 * degrees are a factor of 1.7 in work at 650 °C and of 1.3 at 800; so can a witness at the glass.
 *
 * Joint posterior on a grid. The prior: offset 0 ± 10 °C, factor 1 within a third. Likelihood of an ordered outcome: the
 * log of the work done, less that of the work needed, plus a normal error, against both ends of the look's range. One in twenty
 * is taken to tell nothing, whatever it says: a lid that was lifted, a wrong piece looked at; so one odd result cannot carry the day.
 */
import { efold } from '../flow/heatWork';
import type { Vft } from '../glass/viscosity';

/** What firings have taught of this kiln and studio. */
export interface Corrections {
  /** The controller reads this much more than the glass has, K: targets are keyed so much higher. */
  offset_K: number;
  /** The work that looks need here over what they need on the reference body. */
  workFactor: number;
}

/** What of it a studio has taken over for one of its kilns; nothing is as usual. */
export type TakenOver = Partial<Corrections>;

/** Corrections to plan by; undefined where all is as usual. */
export function correctionsOf({ offset_K = 0, workFactor = 1 }: TakenOver): Corrections | undefined {
  return offset_K === 0 && workFactor === 1 ? undefined : { offset_K, workFactor };
}

/** Heat work of a firing that was simulated with an offset taken off, as it is by what the controller read, 1/Pa. */
export const workAsRead = (vft: Vft, work_perPa: number, work_C: number, { offset_K = 0 }: TakenOver): number =>
  work_perPa * Math.exp(offset_K / efold(vft, work_C));

export const NO_CORRECTIONS: Corrections = { offset_K: 0, workFactor: 1 };

export interface LookSeen {
  /** Work that the firing did by its uncorrected simulation, and the range its look needs on that body, 1/Pa. */
  work_perPa: number;
  least_perPa: number;
  most_perPa: number;
  /** Its working temperature as keyed, °C: what an offset moves. */
  work_C: number;
  outcome: 'short' | 'right' | 'past';
  /** By how much it fell short or went past; not said where left out. */
  by?: HowFar;
}

export const HOW_FAR = ['little', 'far'] as const;
export type HowFar = (typeof HOW_FAR)[number];

/** A reading at the glass beside the controller's: controller less glass, K. */
export interface Witness {
  offset_K: number;
  error_K: number;
}

export interface Learnt {
  corrections: Corrections;
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

const PRIOR_OFFSET_K = 10;
const PRIOR_LOG_FACTOR = 0.35;
/** What is believed before a firing has taught anything: as usual, within these standard deviations. */
export const PRIOR = { offset_sd_K: PRIOR_OFFSET_K, workFactor_sd_log: PRIOR_LOG_FACTOR } as const;
/** A thermocouple or a witness at the glass, as people read them, K. */
export const WITNESS_ERROR_K = 3;
/** How far two like firings differ in what they look like, in the log of work. */
const LOOK_ERROR = 0.2;
/** Share of results that tell nothing, and among how many they are spread. */
const TELLS_NOTHING = 0.05;
const OUTCOMES = 3;
const OFFSETS = { from: -40, to: 40, count: 81 };
const LOG_FACTORS = { from: -1.4, to: 1.4, count: 57 };
/** Beyond this correlation one unknown stands for the other. */
const SEPARATED_BELOW = 0.8;

const gridOf = ({ from, to, count }: typeof OFFSETS): number[] => Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));

/** Normal distribution function (Abramowitz and Stegun 7.1.26, good to 1.5e-7). */
function below(z: number): number {
  const t = 1 / (1 + 0.3275911 * (Math.abs(z) / Math.SQRT2));
  const erf = 1 - t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.exp((-z * z) / 2);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** Beyond this in the log of work, two thirds more or less, a look is far off and not a little. */
const FAR = 0.5;

type Edge = 'none' | 'farShort' | 'least' | 'most' | 'farPast' | 'all';
/** Between which edges the work lies that each result tells of. */
const PLACES: Record<LookSeen['outcome'], Record<HowFar | 'all', [from: Edge, to: Edge]>> = {
  short: { all: ['none', 'least'], little: ['farShort', 'least'], far: ['none', 'farShort'] },
  right: { all: ['least', 'most'], little: ['least', 'most'], far: ['least', 'most'] },
  past: { all: ['most', 'all'], little: ['most', 'farPast'], far: ['farPast', 'all'] },
};

function likelihood(seen: LookSeen, kelvinPerE: number, offset_K: number, logFactor: number): number {
  const did = Math.log(seen.work_perPa) - offset_K / kelvinPerE - logFactor;
  /** How likely what was done lies under a mark. */
  const under = (mark: number): number => below((mark - did) / LOOK_ERROR);
  const [least, most] = [Math.log(seen.least_perPa), Math.log(seen.most_perPa)];
  const [from, to] = PLACES[seen.outcome][seen.by ?? 'all'];
  const edge = (place: Edge): number =>
    place === 'none' ? 0 : place === 'all' ? 1 : under(place === 'least' ? least : place === 'most' ? most : place === 'farShort' ? least - FAR : most + FAR);
  return (1 - TELLS_NOTHING) * Math.max(0, edge(to) - edge(from)) + TELLS_NOTHING / OUTCOMES;
}

export function learnCorrections(vft: Vft, seen: readonly LookSeen[], witnesses: readonly Witness[] = []): Learnt {
  const offsets = gridOf(OFFSETS);
  const logFactors = gridOf(LOG_FACTORS);
  const sums = { w: 0, d: 0, f: 0, dd: 0, ff: 0, df: 0 };
  const folds = seen.map(({ work_C }) => efold(vft, work_C));
  for (const d of offsets) {
    for (const f of logFactors) {
      let log = -0.5 * (d / PRIOR_OFFSET_K) ** 2 - 0.5 * (f / PRIOR_LOG_FACTOR) ** 2;
      seen.forEach((one, i) => (log += Math.log(likelihood(one, folds[i], d, f))));
      for (const witness of witnesses) log -= 0.5 * ((d - witness.offset_K) / witness.error_K) ** 2;
      const w = Math.exp(log);
      sums.w += w;
      sums.d += w * d;
      sums.f += w * f;
      sums.dd += w * d * d;
      sums.ff += w * f * f;
      sums.df += w * d * f;
    }
  }
  const d = sums.d / sums.w;
  const f = sums.f / sums.w;
  const offset_sd_K = Math.sqrt(sums.dd / sums.w - d * d);
  const workFactor_sd_log = Math.sqrt(sums.ff / sums.w - f * f);
  const correlation = (sums.df / sums.w - d * f) / (offset_sd_K * workFactor_sd_log);
  return {
    corrections: { offset_K: d, workFactor: Math.exp(f) },
    offset_sd_K,
    workFactor_sd_log,
    correlation,
    nextWork_perPa: ladderOf(seen),
    separated: seen.length + witnesses.length > 0 && Math.abs(correlation) < SEPARATED_BELOW && offset_sd_K < PRIOR_OFFSET_K * 0.8,
  };
}

/** Where the next test should go, from the most that fell short and the least that went past. */
function ladderOf(seen: readonly LookSeen[]): number | null {
  const short = seen.filter(({ outcome }) => outcome === 'short').map(({ work_perPa }) => work_perPa);
  const past = seen.filter(({ outcome }) => outcome === 'past').map(({ work_perPa }) => work_perPa);
  return short.length > 0 && past.length > 0 ? nextRung(Math.max(...short), Math.min(...past)) : null;
}

/** The next rung of a test ladder: halves, in the logarithm, what lies between work that fell short and work that went past. */
export const nextRung = (short_perPa: number, past_perPa: number): number => Math.sqrt(short_perPa * past_perPa);
