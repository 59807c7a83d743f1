/**
 * A test series made of firings that are on record: what they differ in, each as a trial of a ladder. What most of them have in all else is
 * what each is held against. A trial that differs in something else too, or whose glass had been fired so before, is no fresh point.
 */
import { bodyFigures, mainGlass } from '../body/body';
import { hottestSegment } from '../heat/regimes';
import type { PurposefulSegment } from '../kiln/segment';
import { LADDER_FACTORS, type Ladder, type LadderFactor, type Trial } from '../learn/ladder';
import { shapingDown } from '../look/shaping';
import { type Outcome, found, refused } from '../problem';
import type { FiringCase } from './firingCase';

export interface Tried {
  id: string;
  firing: FiringCase;
  /** As they ran. */
  segments: readonly PurposefulSegment[];
  outcome: Trial['outcome'];
}

export interface Series extends Omit<Ladder, 'trials'> {
  trials: (Trial & { id: string })[];
}

type Measured = Record<LadderFactor, number | null>;

/** What of a firing a series can differ in; in the units of learn/ladder. */
function measured({ firing, segments }: Tried): Measured {
  const { target_C, hold_s } = segments[hottestSegment(segments)];
  return { ...bodyMeasures(firing), temperature: target_C, hold: hold_s };
}

/** What of them a body has without a schedule; null of the rest. */
export function bodyMeasures({ body, setup }: Pick<FiringCase, 'body' | 'setup'>): Measured {
  const grains = body.layers.reduce((sum, layer) => sum + (layer.form === 'frit' || layer.form === 'powder' ? layer.perArea_kg_m2 * (layer.cover ?? 1) : 0), 0);
  // What grains come to is told by their mass.
  const rest_m = bodyFigures(body).depth.mean_m - grains / mainGlass(body).density_kg_m3;
  // All of it grains: what rounding leaves is no thickness.
  const solid_m = rest_m > LEAST_SOLID_M ? rest_m : 0;
  return { temperature: null, hold: null, thickness: solid_m, amount: grains > 0 ? grains : null, height: shapingDown(setup.shaping) };
}

/** Thinner than any sheet. */
const LEAST_SOLID_M = 1e-4;

/** Nearer than this, as a share, is the same; a temperature within a degree. */
const SAME_SHARE = 0.02;
const SAME_K = 1;

function isSame(factor: LadderFactor, one: number | null, other: number | null): boolean {
  if (one === null || other === null) return one === other;
  const room = factor === 'temperature' ? SAME_K : SAME_SHARE * Math.max(Math.abs(one), Math.abs(other));
  return Math.abs(one - other) <= room;
}

const isOther = (one: FiringCase, other: FiringCase): boolean =>
  one.look !== other.look ||
  one.kiln.top_C !== other.kiln.top_C ||
  one.kiln.power_K_per_s !== other.kiln.power_K_per_s ||
  one.body.joined !== other.body.joined;

const wasFiredBefore = ({ seen, setup: { shaping } }: FiringCase): boolean =>
  seen?.had !== undefined || (shaping !== undefined && 'down_m' in shaping && (shaping.down_m ?? 0) > 0);

const distinct = (factor: LadderFactor, all: readonly Measured[]): number =>
  all.reduce<(number | null)[]>((values, one) => (values.some((value) => isSame(factor, value, one[factor])) ? values : [...values, one[factor]]), []).length;

/** What most of them have. */
function usual(factor: LadderFactor, all: readonly Measured[]): number | null {
  const likes = (value: number | null): number => all.filter((one) => isSame(factor, one[factor], value)).length;
  return all.map((one) => one[factor]).reduce((most, value) => (likes(value) > likes(most) ? value : most));
}

const WIDER_K = 20;
const WIDER = 1.2;

/** Where it begins: as far again beyond what was tried, the end that falls short first. */
function ends(factor: LadderFactor, trials: readonly Trial[]): [from: number, to: number] {
  const values = trials.map(({ value }) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const by = Math.max(high / low, WIDER);
  const wide: [number, number] = factor === 'temperature' ? [low - Math.max(high - low, WIDER_K), high + Math.max(high - low, WIDER_K)] : [low / by, high * by];
  const mean = (outcome: Trial['outcome']): number | null => {
    const own = trials.filter((one) => one.outcome === outcome).map(({ value }) => value);
    return own.length === 0 ? null : own.reduce((sum, value) => sum + value, 0) / own.length;
  };
  const [short, past] = [mean('short'), mean('past')];
  return short !== null && past !== null && short > past ? [wide[1], wide[0]] : wide;
}

export function seriesOf(tried: readonly Tried[]): Outcome<Series> {
  if (tried.length < 2) return refused('too-few', 'trials', 'A series needs two firings or more.');
  const all = tried.map(measured);
  const counts = LADDER_FACTORS.map((factor) => ({ factor, count: all.some((one) => one[factor] === null) ? 1 : distinct(factor, all) }));
  const { factor, count } = counts.reduce((most, one) => (one.count > most.count ? one : most));
  if (count < 2) return refused('same', 'trials', 'These firings do not differ in temperature, hold, thickness, grains or height. Choose others.');
  const [first] = tried;
  const trials = tried.map(({ id, firing, outcome }, i) => {
    const alsoChanged = isOther(firing, first.firing) || LADDER_FACTORS.some((other) => other !== factor && !isSame(other, all[i][other], usual(other, all)));
    return { id, value: all[i][factor] ?? 0, outcome, ...(alsoChanged ? { alsoChanged } : {}), ...(wasFiredBefore(firing) ? { refired: true } : {}) };
  });
  const [from, to] = ends(factor, trials);
  return found({ factor, from, to, trials });
}
