/**
 * A ladder: trials that differ in one thing find where a result changes from short to past. It is believed to lie anywhere in the interval that
 * the ladder begins with, little outside of it. Each trial makes some places likelier; the next one goes where it can be expected to teach most.
 *
 * Places are told on a scale in which a step counts alike everywhere: log heat work for a temperature or a hold (ln 1/η and ln t), the
 * logarithm for amounts and measures. Judged by eye, two like trials differ by a fifth of heat work, and one in twenty tells nothing, as in
 * ./corrections. Told exactly, the interval is halved: a temperature's in °C, as it is wanted within so many, all others' on their scale.
 */
import { logViscosity, temperatureAt, type Vft } from '../glass/viscosity';
import { type Outcome, found, refused } from '../problem';
import { LOOK_ERROR, TELLS_NOTHING, below } from './corrections';

/** What the trials differ in: the working temperature, its hold, how thick the glass is, grains on an area, how high a former is. */
export const LADDER_FACTORS = ['temperature', 'hold', 'thickness', 'amount', 'height'] as const;
export type LadderFactor = (typeof LADDER_FACTORS)[number];

/** What its values are in. */
const LADDER_UNITS: Record<LadderFactor, string> = { temperature: '°C', hold: 's', thickness: 'm', amount: 'kg/m²', height: 'm' };

export interface Trial {
  value: number;
  outcome: 'short' | 'right' | 'past';
  /** It had been fired before, or had another size: it is no fresh point. */
  refired?: boolean;
  /** Something else was changed with it. */
  alsoChanged?: boolean;
}

export interface Ladder {
  factor: LadderFactor;
  /** It begins between these: short at the first, past at the second, which may be the smaller. */
  from: number;
  to: number;
  trials: readonly Trial[];
  /** Outcomes are measured and not judged by eye. */
  exact?: boolean;
}

export const NOT_COUNTED = ['refired', 'alsoChanged'] as const;

export interface LadderFound {
  /** What the values are in. */
  unit: string;
  /** Of the next trial; null once the range is as narrow as it need be. */
  next: number | null;
  /** The likeliest place, and between what it lies with 90 %. */
  at: number;
  range: [from: number, to: number];
  counted: number;
  /** Trials that were left out, by their place in the list, and why. */
  leftOut: { trial: number; why: (typeof NOT_COUNTED)[number] }[];
}

/** Found well enough: °C, and as a share of all else. */
const ENOUGH_K = 5;
const ENOUGH_SHARE = 0.05;
/** Two like trials differ by so much in the logarithm of what is no heat work. */
const SHARE_ERROR = 0.07;
/** 'Right' reaches so far from the place, in errors of the eye. */
const RIGHT_ERRORS = 1;
/** Places within the interval, of which there are as many again beyond each of its ends. */
const PLACES = 200;
/** How much less likely those are. */
const BEYOND = 0.05;
const TAIL = 0.05;
const OUTCOMES: Trial['outcome'][] = ['short', 'right', 'past'];

interface Scale {
  of(value: number): number;
  back(place: number): number;
  /** Of the eye, on the scale. */
  error: number;
}

/** No kiln for glass goes further, °C. Past it a place far beyond the interval would have no temperature at all. */
const HOTTEST_C = 1700;

const IN_DEGREES: Scale = { of: (value) => value, back: (place) => Math.min(place, HOTTEST_C), error: 0 };

function scaleOf(factor: LadderFactor, vft: Vft): Scale {
  if (factor === 'temperature') {
    const thinnest = logViscosity(vft, HOTTEST_C);
    return {
      of: (value) => -Math.LN10 * logViscosity(vft, value),
      back: (place) => temperatureAt(vft, Math.max(-place / Math.LN10, thinnest)),
      error: LOOK_ERROR,
    };
  }
  return { of: Math.log, back: Math.exp, error: factor === 'hold' ? LOOK_ERROR : SHARE_ERROR };
}

const isEnough = (factor: LadderFactor, low: number, high: number): boolean => {
  const width = Math.abs(high - low);
  // So that a width of just as much is not missed by rounding.
  return width <= 1.000001 * (factor === 'temperature' ? ENOUGH_K : ENOUGH_SHARE * Math.min(Math.abs(low), Math.abs(high)));
};

/** A temperature at which there is nothing to find, with its place in the question. */
function outOfReach({ factor, from, to, trials }: Ladder, { T0 }: Vft): Outcome<LadderFound> | null {
  if (factor !== 'temperature') return null;
  const told: [path: string, value: number][] = [['from', from], ['to', to], ...trials.map(({ value }, i): [string, number] => [`trials.${i}.value`, value])];
  const off = told.find(([, value]) => value <= T0 || value > HOTTEST_C);
  if (!off) return null;
  const [path, value] = off;
  const why = value > HOTTEST_C ? `no kiln for glass goes over ${HOTTEST_C} °C` : `this glass does not flow until it is over ${Math.ceil(T0)} °C`;
  return refused('impossible', path, `${said(value)} °C is out of reach: ${why}.`);
}

export function climbLadder(asked: Ladder, vft: Vft): Outcome<LadderFound> {
  const { factor, from, to, trials, exact = false } = asked;
  if (from === to) return refused('impossible', 'to', 'A ladder needs two ends that differ: one that falls short and one that goes too far.');
  const off = outOfReach(asked, vft);
  if (off) return off;
  const { of, back, error } = exact && factor === 'temperature' ? IN_DEGREES : scaleOf(factor, vft);
  const [start, end] = [of(from), of(to)];
  /** 0 at the end that falls short, 1 at the other. */
  const placed = (value: number): number => (of(value) - start) / (end - start);
  const valueAt = (place: number): number => back(start + place * (end - start));
  const fresh = trials.filter(({ refired, alsoChanged }) => !refired && !alsoChanged).map(({ value, outcome }) => ({ at: placed(value), value, outcome }));
  const leftOut = trials.flatMap((trial, i) => NOT_COUNTED.filter((why) => trial[why]).map((why) => ({ trial: i, why })));
  const told = { unit: LADDER_UNITS[factor], counted: fresh.length, leftOut };
  if (exact) {
    const halved = between(fresh, LADDER_UNITS[factor]);
    if (!halved.ok) return halved;
    const [low, high] = halved.value;
    const range = inOrder(valueAt(low), valueAt(high));
    const middle = valueAt((low + high) / 2);
    const isFound = fresh.some(({ outcome }) => outcome === 'right') || isEnough(factor, ...range);
    return found({ next: isFound ? null : middle, at: middle, range, ...told });
  }
  return found({ ...byEye(fresh, error / Math.abs(end - start), (low, high) => isEnough(factor, valueAt(low), valueAt(high)), valueAt), ...told });
}

const inOrder = (one: number, other: number): [from: number, to: number] => (one < other ? [one, other] : [other, one]);

interface Fresh {
  at: number;
  value: number;
  outcome: Trial['outcome'];
}

/** Between which places it lies where every outcome is certain. */
function between(fresh: readonly Fresh[], unit: string): Outcome<[low: number, high: number]> {
  const right = fresh.filter(({ outcome }) => outcome === 'right');
  const short = [...fresh.filter(({ outcome }) => outcome === 'short')].sort((a, b) => b.at - a.at).at(0);
  const past = [...fresh.filter(({ outcome }) => outcome === 'past')].sort((a, b) => a.at - b.at).at(0);
  // Where nothing fell short the first end does, unless what went too far lies before it: then as far again before that. The other end likewise.
  const low = short?.at ?? (past && past.at <= 0 ? past.at - 1 : 0);
  const high = past?.at ?? (short && short.at >= 1 ? short.at + 1 : 1);
  if (short && past && short.at >= past.at)
    return refused(
      'impossible',
      'trials',
      `One trial fell short at ${said(short.value)} ${unit} and one went too far at ${said(past.value)} ${unit}, which does less. Leave one of them out.`,
    );
  const off = right.find(({ at }) => at <= low || at >= high);
  if (off && (short || past))
    return refused(
      'impossible',
      'trials',
      `${said(off.value)} ${unit} was right, and lies outside of what fell short and what went too far. Leave one of them out.`,
    );
  const places = right.map(({ at }) => at);
  return found(right.length > 0 ? [Math.min(...places), Math.max(...places)] : [low, high]);
}

const said = (value: number): string => String(Number(value.toPrecision(6)));

/** How likely each outcome is of a trial so far beyond the place, in errors of the eye. */
function chances(beyond: number): number[] {
  const [short, past] = [below(-RIGHT_ERRORS - beyond), below(beyond - RIGHT_ERRORS)];
  return [short, Math.max(0, 1 - short - past), past].map((chance) => (1 - TELLS_NOTHING) * chance + TELLS_NOTHING / OUTCOMES.length);
}

/** By where the place may lie, with what each trial says of it. */
function byEye(fresh: readonly Fresh[], error: number, enough: (low: number, high: number) => boolean, valueAt: (place: number) => number) {
  const places = Array.from({ length: 3 * PLACES + 1 }, (_, i) => i / PLACES - 1);
  const log = places.map((place) =>
    fresh.reduce(
      (sum, { at, outcome }) => sum + Math.log(chances((at - place) / error)[OUTCOMES.indexOf(outcome)]),
      Math.log(place < 0 || place > 1 ? BEYOND : 1),
    ),
  );
  const likeliest = log.reduce((most, one) => Math.max(most, one), -Infinity);
  const weights = log.map((one) => Math.exp(one - likeliest));
  const whole = weights.reduce((sum, one) => sum + one, 0);
  const believed = weights.map((one) => one / whole);
  const quantile = (share: number): number => {
    let sum = 0;
    const i = believed.findIndex((one) => (sum += one) >= share);
    return places[i];
  };
  const [low, middle, high] = [TAIL, 0.5, 1 - TAIL].map(quantile);
  const range = inOrder(valueAt(low), valueAt(high));
  return { next: enough(low, high) ? null : valueAt(places[mostTelling(believed, error)]), at: valueAt(middle), range };
}

const entropy = (shares: readonly number[]): number => shares.reduce((sum, share) => (share > 0 ? sum - share * Math.log(share) : sum), 0);

/** One place in so many is tried first, then those beside the best. */
const COARSE = 10;
/** Places less likely than this weigh nothing. */
const LEAST = 1e-9;

/** At which place a trial's outcome can be expected to tell most: what is open about it, less what would be open even if the place were known. */
function mostTelling(believed: readonly number[], error: number): number {
  const last = believed.length - 1;
  // All that counts is how far a trial is from the place, in steps of the grid.
  const apart = Array.from({ length: 2 * last + 1 }, (_, i) => chances((i - last) / PLACES / error));
  const [short, right, past] = OUTCOMES.map((_, i) => Float64Array.from(apart, (own) => own[i]));
  const open = Float64Array.from(apart, entropy);
  const likely = believed.flatMap((share, place) => (share > LEAST ? [place] : []));
  const gainAt = (at: number): number => {
    const sums = [0, 0, 0];
    let anyway = 0;
    for (const place of likely) {
      const share = believed[place];
      const steps = at - place + last;
      sums[0] += share * short[steps];
      sums[1] += share * right[steps];
      sums[2] += share * past[steps];
      anyway += share * open[steps];
    }
    return entropy(sums) - anyway;
  };
  const bestOf = (places: readonly number[]): number =>
    places.reduce(
      (best, at) => {
        const gain = gainAt(at);
        return gain > best.gain ? { gain, at } : best;
      },
      { gain: -Infinity, at: 0 },
    ).at;
  // Gains change smoothly over many steps of the grid.
  const near = bestOf(Array.from({ length: Math.floor(last / COARSE) + 1 }, (_, i) => i * COARSE));
  return bestOf(Array.from({ length: 2 * COARSE + 1 }, (_, i) => Math.min(Math.max(near - COARSE + i, 0), last)));
}
