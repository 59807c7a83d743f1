/**
 * Firings with no glass in them: an empty item is followed as glass is, as a slab of its own heat constants, and judged by its pace, by how
 * long its coldest place is warm through, and by the cone that it comes to.
 */
import { coneBand, coneEquivalent, coneBends } from '../emptyFiring/cones';
import { type EmptyItem, EMPTY_ITEM_MATERIALS, EMPTY_ITEM_NAMES, inertAs, emptyItemBody, emptyItemPace, emptyItemCooling } from '../emptyFiring/emptyItems';
import { viscosityOf } from '../glass/viscosity';
import type { SegmentFigures, Series } from '../heat/figures';
import { hottestSegment, regimesOf } from '../heat/regimes';
import { slabLag } from '../heat/quasiSteady';
import type { SimulationInput, SimulationResult } from '../heat/simulation';
import { acrossLag, fullPowerHeating, steadyHeating } from '../kiln/kiln';
import type { PurposefulSegment, Role, Segment } from '../kiln/segment';
import type { Held, EmptyRecipe } from '../look/recipe';
import { RECIPES } from '../look/recipes/all';
import { emptyItemOf } from '../look/shaping';
import { type Outcome, type Problem, found, refused } from '../problem';
import type { FiringCase } from './firingCase';
import { formatDuration, text } from '../units/format';
import { niceHold, niceRate, roundTargets } from './rounding';
import { standPace } from './shelfPace';
import { type Stand, usualStand } from './setups';
import type { ResolvedFiring } from './resolvedFiring';

/** What is fired with no glass, and how such a firing goes; null where glass is fired. */
export function emptyFiringOf({ look, setup }: Pick<FiringCase, 'look' | 'setup'>): { item: EmptyItem; recipe: EmptyRecipe } | null {
  const { empty: recipe } = RECIPES[look];
  const item = emptyItemOf(setup.shaping);
  return recipe && item ? { item, recipe } : null;
}

/** Longer than this nobody keeps a kiln warm under the boil. */
const LONGEST_DRYING_S = 25 * 24 * 3600;

/** Why such a firing cannot be, at its field; null where it can. */
export function impossibleEmpty({ look, setup: { shaping, wet } }: Pick<FiringCase, 'look' | 'setup'>): Problem | null {
  const { empty: recipe, name } = RECIPES[look];
  const item = emptyItemOf(shaping);
  if (!recipe || !item) return null;
  const problem = (field: string, message: string): Problem => refused('impossible', `setup.shaping.${field}`, message).problem;
  if (!recipe.of.includes(item.of)) {
    const may = recipe.of.map((of) => EMPTY_ITEM_NAMES[of].toLowerCase()).join(' or ');
    return problem('of', `A ${name.toLowerCase()} is for a ${may}, not for a ${EMPTY_ITEM_NAMES[item.of].toLowerCase()}.`);
  }
  if (recipe.toCone && item.cone === undefined) return problem('cone', `A ${name.toLowerCase()} has to know the cone that it is to come to.`);
  const dries_s = recipe.plan(item, wet !== undefined).dry?.for_s ?? 0;
  if (dries_s > LONGEST_DRYING_S)
    return problem(
      'wall_m',
      `A wall so thick takes ${text(formatDuration(dries_s))} to dry through, longer than a kiln is kept warm: dry it in the air first, or make it thinner.`,
    );
  if (item.wall_m > Math.min(item.long_m, item.wide_m)) return problem('wall_m', 'Its wall cannot be thicker than the whole of it is wide.');
  return null;
}

/** A shelf is fired by the rule that it is used by; a mould stands on one, and is no larger than it. */
function standUnder({ of, wall_m, long_m, wide_m }: EmptyItem, told: Stand | undefined): Stand {
  const usual = usualStand(Math.max(long_m, wide_m));
  return of === 'shelf' ? { ...usual, thick_m: wall_m } : (told ?? usual);
}

/** The case with all that follows of it: the ware stands where glass would lie. */
export function resolvedEmpty(firing: FiringCase, item: EmptyItem): ResolvedFiring {
  const glass = inertAs(item.of);
  const viscosity = viscosityOf(glass);
  const { setup, kiln } = firing;
  const lag = slabLag(glass, item.wall_m, 1);
  const all = (one: number) => ({ laid: one, heated: one, fired: one });
  const pace = emptyItemPace(item);
  return {
    ...firing,
    ...{
      glass,
      viscosity,
      shape: 'plate',
      firedShape: 'plate',
      openFaces: 1,
      workFactor: 1,
      warmPull_Pa: firing.limits.pull_Pa,
      squeeze_perPa: 0,
      layers_m: [item.wall_m],
      sidesLag_s: 0,
    },
    ...{ mayDiffer: false, changes: false, uneven: null, depth_m: all(item.wall_m), lag_s: all(lag) },
    body: emptyItemBody(item),
    setup: { ...setup, top_C: Math.min(setup.top_C ?? Infinity, EMPTY_ITEM_MATERIALS[item.of].top_C), ...(pace ? { pace } : {}) },
    work_perPa: RECIPES[firing.look].work({ body: emptyItemBody(item), works: firing.limits.works_perPa }),
    regimes: regimesOf(glass, viscosity),
    acrossLag_s: acrossLag(kiln, Math.min(item.long_m, item.wide_m)),
    stand: standUnder(item, setup.stand),
  };
}

/** Colder than this water does not boil, °C. */
const BOILS_C = 100;

/** For how long the coldest place was at least through_C, s, until the hottest first came over most_C; linear between the samples. */
export function heldThrough({ t_s, skin_C, core_C }: Series, through_C: number, most_C = Infinity): number {
  let held_s = 0;
  for (let i = 1; i < t_s.length; i += 1) {
    const [cold, hot] = [Math.min, Math.max].map((of) => [of(skin_C[i - 1], core_C[i - 1]), of(skin_C[i], core_C[i])]);
    const boils = shareUnder(most_C, hot[0], hot[1]);
    const warm = cold[1] >= cold[0] ? [shareUnder(through_C, cold[0], cold[1]), 1] : [0, shareOver(through_C, cold[0], cold[1])];
    held_s += Math.max(0, Math.min(warm[1], boils) - warm[0]) * (t_s[i] - t_s[i - 1]);
    if (boils < 1) break;
  }
  return held_s;
}

/** How far along a way from one value to another it is still at or under a limit, 0 to 1; all of a way that falls to under it. */
const shareUnder = (limit: number, from: number, to: number): number => (to <= limit ? 1 : from >= limit ? 0 : (limit - from) / (to - from));
/** The same of a way down, until where it is at or over it. */
const shareOver = (limit: number, from: number, to: number): number => (to >= limit ? 1 : from <= limit ? 0 : (from - limit) / (from - to));

/** What its coldest and its hottest place came to, °C of coneEquivalent. */
export function comesTo({ t_s, skin_C, core_C }: Series): { least_C: number; most_C: number } {
  const of = (which: (...two: number[]) => number): number =>
    coneEquivalent(
      t_s,
      t_s.map((_, i) => which(skin_C[i], core_C[i])),
    );
  return { least_C: of(Math.min), most_C: of(Math.max) };
}

export interface EmptyReading {
  limit: 'kilnTop' | 'kilnPace' | 'shelfPace' | 'mouldPace' | 'shelfTop' | 'opening' | 'heldThrough' | 'coneLeast' | 'coneMost';
  segment: number;
  value: number;
  allowed: number;
  unit: 'C' | 'K/h' | 's';
  sense: 'atMost' | 'atLeast';
}

/** The hold that dries: the first under the boil. */
const dryingSegment = (segments: readonly Segment[]): number =>
  Math.max(
    0,
    segments.findIndex(({ target_C, hold_s }) => hold_s > 0 && target_C <= BOILS_C),
  );

/** keyed: the segments with what the controller reads; segments: with what the ware feels. */
export function emptyReadings(
  firing: ResolvedFiring,
  { item, recipe }: { item: EmptyItem; recipe: EmptyRecipe },
  keyed: readonly Segment[],
  segments: readonly Segment[],
  { segments: figures, series }: SimulationResult,
): EmptyReading[] {
  const { kiln, setup, limits } = firing;
  const readings: EmptyReading[] = [];
  const read = (
    limit: EmptyReading['limit'],
    segment: number,
    value: number,
    allowed: number,
    unit: EmptyReading['unit'],
    sense: EmptyReading['sense'] = 'atMost',
  ) => readings.push({ limit, segment, value, allowed, unit, sense });
  const hottest = hottestSegment(segments);
  keyed.forEach(({ target_C }, i) => {
    if (target_C > kiln.top_C) read('kilnTop', i, target_C, kiln.top_C, 'C');
  });
  if (setup.top_C !== undefined && segments[hottest].target_C > setup.top_C) read('shelfTop', hottest, segments[hottest].target_C, setup.top_C, 'C');
  const stand = standPace(firing);
  const cooling = emptyItemCooling(item);
  figures.forEach((one, i) => {
    const { rate_C_per_h, target_C, hold_s } = segments[i];
    const from_C = i === 0 ? kiln.ambient_C : segments[i - 1].target_C;
    if (target_C > from_C && rate_C_per_h !== null && one.kilnBest_C_per_h !== null) read('kilnPace', i, rate_C_per_h, one.kilnBest_C_per_h, 'K/h');
    if (target_C > from_C && from_C < stand.past_C - LEAST_WAY_K) {
      read(stand.limit, i, rate_C_per_h ?? meanRate(figures, i, target_C - from_C, hold_s), stand.C_per_h, 'K/h');
    }
    if (cooling && series && target_C < from_C && from_C > cooling.under_C + LEAST_WAY_K) {
      read('mouldPace', i, steepestCooling(series, figures[i - 1]?.end_s ?? 0, one.end_s, cooling.under_C), cooling.C_per_h, 'K/h');
    }
  });
  if (series) {
    const { dry, top } = recipe.plan(item, setup.wet !== undefined);
    if (dry) read('heldThrough', dryingSegment(segments), heldThrough(series, dry.through_C, BOILS_C), dry.for_s, 's', 'atLeast');
    if (top) read('heldThrough', hottest, heldThrough(series, top.through_C), top.for_s, 's', 'atLeast');
    if (item.cone !== undefined && recipe.toCone) {
      const { least_C, most_C } = coneBand(item.cone);
      const came = comesTo(series);
      read('coneLeast', hottest, Math.max(came.least_C, kiln.ambient_C), least_C, 'C', 'atLeast');
      read('coneMost', hottest, Math.max(came.most_C, kiln.ambient_C), most_C, 'C');
    }
  }
  const last = segments.length - 1;
  read('opening', last, segments[last].target_C, limits.open_C, 'C');
  return readings;
}

/** Over less than this no wall feels how fast it cools, s. */
const FELT_S = 900;

/** The fastest that the kiln cools over a quarter of an hour between two moments, while it is over under_C, °C/h. */
function steepestCooling({ t_s, kiln_C }: Series, from_s: number, to_s: number, under_C: number): number {
  let steepest = 0;
  let first = t_s.findIndex((t) => t >= from_s);
  for (let i = first + 1; i < t_s.length && t_s[i] <= to_s + 1; i += 1) {
    while (t_s[i] - t_s[first + 1] >= FELT_S && first + 1 < i) first += 1;
    if (kiln_C[first] > under_C) steepest = Math.max(steepest, (3600 * (kiln_C[first] - kiln_C[i])) / Math.max(t_s[i] - t_s[first], FELT_S));
  }
  return steepest;
}

/** What is left of a way where a pace counts is too short to be judged, K. */
const LEAST_WAY_K = 30;

/** °C/h over a ramp that went as fast as it could. */
const meanRate = (figures: readonly SegmentFigures[], i: number, way_K: number, hold_s: number): number =>
  (3600 * way_K) / Math.max(figures[i].end_s - (figures[i - 1]?.end_s ?? 0) - hold_s, 1);

/** The rate of drying, and the climbs beyond the slow range: as practice has them, °C/h. */
const DRY_C_PER_H = 100;
const CLIMB_C_PER_H = 150;
/** The last stretch to a cone, by the school of heat: slow with a hold, or faster without; how long that stretch is. */
const TO_CONE = { cooler: { C_per_h: 60, hold_s: 900 }, hotter: { C_per_h: 108, hold_s: 300 }, stretch_K: 100 };
const KILN_PACE_SHARE = 0.9;
const MOST_ROUNDS = 24;
/** A hold that ends before the coldest place is even warm grows by this. */
const LENGTHENED = 1.6;
/** A hold is cut where it has more to spare than this, never under what is asked. */
const TO_SPARE = { share: 0.1, least_s: 600 };
/** Nearer than this to its cone it is there, K. */
const NEAR_CONE_K = 2;
/** Its hottest and coldest place may come to within this share of what still counts as the cone: else it is held longer and cooler. */
const WITHIN_BAND = 0.6;

/** The first guess, without the lag of the wall. */
function guessed(firing: ResolvedFiring, { item, recipe }: { item: EmptyItem; recipe: EmptyRecipe }): PurposefulSegment[] {
  const { kiln, setup, limits, school } = firing;
  const unit = firing.controller?.unit ?? 'C';
  const round = roundTargets(unit);
  const stand = standPace(firing);
  const climbs = (most_C_per_h: number, to_C: number): number => niceRate(Math.min(most_C_per_h, KILN_PACE_SHARE * 3600 * steadyHeating(kiln, to_C)), unit);
  const segment = (role: Role, rate_C_per_h: number | null, target_C: number, hold_s = 0): PurposefulSegment => ({ role, rate_C_per_h, target_C, hold_s });
  const { dry, top } = recipe.plan(item, setup.wet !== undefined);
  const cone_C = item.cone === undefined ? Infinity : coneBends(item.cone);
  const peak_C = top ? round.near(top.at_C) : round.near(cone_C);
  const last = top ? { C_per_h: CLIMB_C_PER_H, hold_s: top.for_s } : TO_CONE[school.heat];
  const slow_C = round.up(stand.past_C);
  const stretch_C = round.near(peak_C - TO_CONE.stretch_K);
  const slowly = slow_C < peak_C - LEAST_WAY_K;
  const segments = [
    ...(dry ? [segment('dry', climbs(Math.min(stand.C_per_h, DRY_C_PER_H), dry.at_C), round.down(dry.at_C), niceHold(dry.for_s))] : []),
    ...(slowly ? [segment('warmUp', climbs(stand.C_per_h, slow_C), slow_C)] : []),
    ...(!top && stretch_C > (slowly ? slow_C : 0) + LEAST_WAY_K ? [segment('climb', climbs(CLIMB_C_PER_H, stretch_C), stretch_C)] : []),
    segment('work', climbs(slowly ? last.C_per_h : Math.min(stand.C_per_h, last.C_per_h), peak_C), peak_C, niceHold(last.hold_s)),
  ];
  return [...segments, segment('lastCool', null, round.down(limits.open_C))];
}

/** The kiln cannot do what the ware needs. */
function kilnCannot({ kiln, look }: ResolvedFiring, peak_C: number, offset_K: number, written: (at_C: number) => string): ReturnType<typeof refused> | null {
  const name = RECIPES[look].name.toLowerCase();
  if (peak_C + offset_K > kiln.top_C)
    return refused(
      'above-kiln-top',
      'kiln.top_C',
      `A ${name} asks for ${written(peak_C)} and the kiln goes to ${written(kiln.top_C - offset_K)}; choose a hotter kiln.`,
    );
  if (3600 * fullPowerHeating(kiln, peak_C) < LEAST_CLIMB_C_PER_H)
    return refused(
      'kiln-too-weak',
      'kiln.power_K_per_s',
      `At ${written(peak_C)} this kiln at full power hardly climbs: choose a stronger one, or a cooler firing.`,
    );
  return null;
}
const LEAST_CLIMB_C_PER_H = 20;

/**
 * Rounds of simulation: holds grow until the coldest place has had its time, the top moves until the cone lies midway between what its
 * coldest and its hottest place came to.
 */
export function composeEmpty(
  firing: ResolvedFiring,
  fired: { item: EmptyItem; recipe: EmptyRecipe },
  simulate: (segments: readonly Segment[]) => SimulationResult,
  offset_K: number,
  written: (at_C: number) => string,
): Outcome<{ segments: PurposefulSegment[]; evaluations: number }> {
  const { kiln, setup } = firing;
  const unit = firing.controller?.unit ?? 'C';
  const round = roundTargets(unit);
  let segments = guessed(firing, fired);
  /** Of each hold: the longest that was too short, the shortest that was long enough. */
  const bounds: Bounds[] = [];
  const peakOf = (): number => Math.max(...segments.map(({ target_C }) => target_C));
  const { dry, top } = fired.recipe.plan(fired.item, setup.wet !== undefined);
  for (let evaluations = 1; ; evaluations += 1) {
    const cannot = kilnCannot(firing, peakOf(), offset_K, written);
    if (cannot) return cannot;
    const { series, segments: figures } = simulate(segments);
    if (!series) return found({ segments, evaluations });
    const hottest = hottestSegment(segments);
    const heldFor = (i: number, held: Held | null, most_C?: number): ((segment: PurposefulSegment) => PurposefulSegment) =>
      held === null
        ? (segment) => segment
        : (segment) => {
            const had_s = heldThrough(series, held.through_C, most_C);
            const known = (bounds[i] ??= { low_s: 0, high_s: Infinity });
            if (had_s < withReserve(held.for_s)) known.low_s = Math.max(known.low_s, segment.hold_s);
            else known.high_s = Math.min(known.high_s, segment.hold_s);
            // Another hold that was cut meanwhile handed less on: what was long enough is so no more.
            if (known.low_s >= known.high_s) known.high_s = Infinity;
            return fitted(segment, held, had_s, (figures[i]?.glassColdestEnd_C ?? Infinity) >= held.through_C, known);
          };
    const cone = fired.recipe.toCone ? fired.item.cone : undefined;
    const came = cone === undefined ? null : comesTo(series);
    const moves_K = cone === undefined || !came ? 0 : coneBends(cone) - (came.least_C + came.most_C) / 2;
    const uneven = cone !== undefined && came !== null && came.most_C - came.least_C > WITHIN_BAND * (coneBand(cone).most_C - coneBand(cone).least_C);
    const next = segments.map((segment, i) => {
      const best = figures[i]?.kilnBest_C_per_h;
      const paced = best != null && segment.rate_C_per_h !== null && segment.target_C > (segments[i - 1]?.target_C ?? kiln.ambient_C);
      const kept = paced ? { ...segment, rate_C_per_h: niceRate(KILN_PACE_SHARE * best, unit) } : segment;
      if (segment.role === 'dry') return heldFor(i, dry, BOILS_C)(kept);
      if (i !== hottest) return kept;
      const held = heldFor(i, top)(uneven ? { ...kept, hold_s: niceHold(LENGTHENED * kept.hold_s) } : kept);
      return Math.abs(moves_K) > NEAR_CONE_K ? { ...held, target_C: round.soak(segment.target_C + moves_K) } : held;
    });
    const cooling = emptyItemCooling(fired.item);
    const last = next.length - 1;
    if (cooling && !next.some(({ role }) => role === 'firstCool') && peakOf() > cooling.under_C + LEAST_WAY_K) {
      const from_s = figures[last - 1]?.end_s ?? 0;
      if (steepestCooling(series, from_s, Infinity, cooling.under_C) > cooling.C_per_h) {
        bounds.length = 0;
        next.splice(last, 0, { role: 'firstCool', rate_C_per_h: niceRate(cooling.C_per_h, unit), target_C: round.down(cooling.under_C), hold_s: 0 });
      }
    }
    const same = next.length === segments.length && next.every((one, i) => one === segments[i] || JSON.stringify(one) === JSON.stringify(segments[i]));
    if (same || evaluations === MOST_ROUNDS) return found({ segments, evaluations });
    segments = next;
  }
}

/** What is keyed in whole degrees and rates lasts a little less or more. */
const withReserve = (for_s: number): number => 1.02 * for_s + 30;

interface Bounds {
  low_s: number;
  high_s: number;
}

/** held_s: what the coldest place had; warm: whether it was warm when the hold ended. Between a hold too short and one long enough it is halved. */
function fitted(segment: PurposefulSegment, { for_s }: Held, held_s: number, warm: boolean, { low_s, high_s }: Bounds): PurposefulSegment {
  const { hold_s } = segment;
  const near_s = Math.max(TO_SPARE.least_s, TO_SPARE.share * for_s);
  const to = (seconds: number): PurposefulSegment => ({ ...segment, hold_s: niceHold(Math.max(for_s, seconds)) });
  const short_s = withReserve(for_s) - held_s;
  if (short_s > 0) {
    if (high_s < Infinity) return to(high_s - low_s <= near_s ? high_s : (low_s + high_s) / 2);
    return to((warm ? hold_s : LENGTHENED * hold_s) + short_s);
  }
  if (-short_s < near_s || hold_s - low_s <= near_s || hold_s <= niceHold(for_s)) return segment;
  return to(low_s > 0 ? (low_s + hold_s) / 2 : hold_s + short_s + near_s / 2);
}

/** Only temperatures are told of an empty item, and always with their curves: what counts is read from them. */
export const followed = (input: SimulationInput): SimulationInput => {
  const { stress: _stress, ...rest } = input;
  return { ...rest, looseSheets: false, series: true };
};
