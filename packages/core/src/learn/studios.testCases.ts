/**
 * Studios that do not exist, and what their firings teach. Each has an offset that wanders and a factor of work of its own, its glass has
 * another viscosity than the one that is calculated with, its kiln scatters, and one result in twenty is wrong.
 */
import { logViscosityFor } from '../flow/heatWork';
import { logViscosity, temperatureAt, viscosityOf } from '../glass/viscosity';
import { SOFT_90, normal, numbers } from '../testCases';
import { type LookSeen, factorOf, foresee, learnCorrections } from './corrections';

const OFFSET_SD_K = 12;
const FACTOR_SD_LOG = 0.3;
const SCATTER_K = 4;
const DRIFT_K = 1;
const WRONG = 0.05;
/** 'Right' reaches so far to either side of what is needed, in the logarithm of heat work. */
const RIGHT = 0.15 * Math.LN10;
const FAR = 0.5;

const VFT = viscosityOf(SOFT_90);
const TRUE_VFT = viscosityOf({ ...SOFT_90, annealing_C: SOFT_90.annealing_C - 3, softening_C: SOFT_90.softening_C + 4 });
/** Kinds of firing by turns: the work each needs, 1/Pa, and its hold, s. */
const KINDS = [
  { look: 'tack', needs_perPa: 3.6e-3, hold_s: 720 },
  { look: 'fullFuse', needs_perPa: 2.7e-2, hold_s: 900 },
] as const;

export interface StudiosTold {
  /** By firing: share that was right by a fixed chart, and by what was learnt. */
  chart: number[];
  learnt: number[];
  /** Share of stated nine-in-ten ranges that held what was true: of heat work over the least, and of the offset. */
  rangesHold: number;
  offsetsHold: number;
}

const outcomeOf = (off: number): LookSeen['outcome'] => (off < -RIGHT ? 'short' : off > RIGHT ? 'past' : 'right');

export function fireStudios(count: number, firings: number, seed: number): StudiosTold {
  const next = numbers(seed);
  const right = { chart: new Array<number>(firings).fill(0), learnt: new Array<number>(firings).fill(0) };
  let [held, offsetsHeld] = [0, 0];
  for (let studio = 0; studio < count; studio += 1) {
    let offset_K = OFFSET_SD_K * normal(next);
    const factor_log = FACTOR_SD_LOG * normal(next);
    const seen: LookSeen[] = [];
    for (let firing = 0; firing < firings; firing += 1) {
      const { look, needs_perPa, hold_s } = KINDS[firing % KINDS.length];
      const aged = seen.map((one, i) => ({ ...one, age: seen.length - i }));
      const learnt = learnCorrections(VFT, aged);
      const taken = { ...learnt.corrections, lookFactors: Object.fromEntries(learnt.looks.map((one) => [one.look, one.factor])) };
      const chart_C = temperatureAt(VFT, logViscosityFor(needs_perPa, hold_s));
      const keyed_C = Math.round(temperatureAt(VFT, logViscosityFor(needs_perPa * factorOf(taken, look), hold_s)) + taken.offset_K);
      const scatter_K = SCATTER_K * normal(next);
      /** How far from what is needed, in the logarithm. */
      const off = (read_C: number, by_K: number): number =>
        Math.log(hold_s) - Math.LN10 * logViscosity(TRUE_VFT, read_C - offset_K + by_K) - Math.log(needs_perPa) - factor_log;
      right.chart[firing] += outcomeOf(off(chart_C, scatter_K)) === 'right' ? 1 / count : 0;
      const came = off(keyed_C, scatter_K);
      right.learnt[firing] += outcomeOf(came) === 'right' ? 1 / count : 0;
      const trial = {
        work_perPa: hold_s / 10 ** logViscosity(VFT, keyed_C),
        ...{ least_perPa: needs_perPa * Math.exp(-RIGHT), most_perPa: needs_perPa * Math.exp(RIGHT), work_C: keyed_C },
      };
      const { ofLeast } = foresee(
        VFT,
        aged.filter((one) => one.look === look),
        trial,
      );
      const truly = Math.exp(came + RIGHT);
      held += truly >= ofLeast[0] && truly <= ofLeast[2] ? 1 : 0;
      offsetsHeld += Math.abs(learnt.corrections.offset_K - offset_K) <= 1.645 * learnt.offset_sd_K ? 1 : 0;
      const isWrong = next() < WRONG;
      const outcome = isWrong ? (['short', 'right', 'past'] as const)[Math.floor(3 * next())] : outcomeOf(came);
      const by = Math.abs(came) > RIGHT + FAR ? 'far' : 'little';
      seen.push({ look, ...trial, outcome, ...(outcome === 'right' ? {} : { by }) });
      offset_K += DRIFT_K * normal(next);
    }
  }
  const all = count * firings;
  return { chart: right.chart, learnt: right.learnt, rangesHold: held / all, offsetsHold: offsetsHeld / all };
}
