/** One round of corrections to a schedule whose simulation broke a limit, or left more room than it needs. */
import { valueOf } from '../problem';
import { exposedCoatings } from '../fit/coating';
import { efold } from '../flow/heatWork';
import { shearModulus } from '../glass/constants';
import { fluidity } from '../glass/viscosity';
import { RECIPES } from '../look/recipes/all';
import { aimedWork } from '../look/work';
import { naturalCooling_C_per_h } from './check';
import { type Evaluation, type Reading, marginOf } from './reading';
import type { ResolvedFiring } from './resolvedFiring';
import {
  DROP_LEAVES_K,
  SIMULATED_RESERVE,
  KILN_PACE_SHARE,
  LEAST_CLIMB_K,
  LEAST_SECOND_COOL_K,
  SQUEEZE_BELOW_SEALING_K,
  WORK_CLEARANCE,
  evening,
  keyedIn,
  schoolHold,
  soakedAtLeast,
  unevenCool,
  targetsOf,
  usualSqueeze,
} from './firstGuess';
import { clamp, niceHold, niceRate } from './rounding';
import { hottestBorne_C, pacesFrom } from './shelfPace';
import { steadyHeating } from '../kiln/kiln';
import type { PurposefulSegment } from '../kiln/segment';
import { coolPullReserve } from './uneven';

/** No squeeze is shorter, where no bare coating hurries it. */
export const LEAST_SQUEEZE_S = 20 * 60;
/** A squeeze that asks for longer is meant hotter: nobody waits for what a few degrees do. */
export const MOST_SQUEEZE_S = 60 * 60;
/** What a shorter hold would do is told badly where the glass lags far behind: the heat is moved by no more than this at once, K. */
const MOST_SHIFT_K = 40;

/** The next schedule to try, or null when there is nothing left to correct. */
export function adjusted(firing: ResolvedFiring, segments: PurposefulSegment[], evaluation: Evaluation): PurposefulSegment[] | null {
  let changed = false;
  const next = segments.map((segment, index) => {
    const better = adjust(firing, segments, index, evaluation);
    if (better.rate_C_per_h !== segment.rate_C_per_h || better.target_C !== segment.target_C || better.hold_s !== segment.hold_s) changed = true;
    return better;
  });
  return changed ? next : null;
}

function adjust(firing: ResolvedFiring, segments: PurposefulSegment[], index: number, evaluation: Evaluation): PurposefulSegment {
  const segment = segments[index];
  const readings = evaluation.readings.filter((reading) => reading.segment === index);
  const slowed = paced(firing, segment, segments[index - 1]?.target_C ?? firing.kiln.ambient_C, [...readings, ...handedOn(firing, segment, index, evaluation)]);
  if (segment.role === 'warmUp') return { ...slowed, target_C: warmTarget(firing, segments, index, evaluation) };
  if (segment.role === 'firstCool')
    return { ...fasterWhereUneven(firing, slowed, segment, readings), target_C: firstCoolTarget(firing, segment, evaluation, index) };
  if (segment.role === 'secondCool') return noFasterThanItFalls(firing, belowTheFirst(firing, slowed, segments[index - 1]), segments[index - 1].target_C);
  if (segment.role === 'squeeze') return { ...slowed, ...squeezed(firing, segment, readings) };
  if (segment.role === 'work') return workHold(firing, slowed, evaluation);
  if (segment.role === 'drop') return { ...slowed, hold_s: annealSoakHold(firing, segment, evaluation, index) };
  return slowed;
}

/** A warm-up must not hand on a difference that the next climb is not allowed: slowing that one would not help. */
function handedOn(
  { limits, mayDiffer }: ResolvedFiring,
  { role }: PurposefulSegment,
  index: number,
  { simulation }: Evaluation,
): Pick<Reading, 'limit' | 'value' | 'allowed' | 'ok'>[] {
  const value = simulation.segments[index]?.spread_end_K ?? 0;
  return role === 'warmUp' && !mayDiffer ? [{ limit: 'climbing', value, allowed: limits.climbing_K, ok: value <= limits.climbing_K }] : [];
}

/** Limits whose value goes with the rate. */
const isPace = (limit: Reading['limit']): boolean => limit === 'pull' || limit === 'climbing' || limit === 'setting';

/** On what stays of an uneven body: its bulge has a reserve of its own. */
const UNEVEN_STAYS_RESERVE = 1.03;

/** The reserve that each limit is composed with. */
function reserveFor(limit: Reading['limit'], firing: ResolvedFiring, cools: boolean): number {
  if (limit === 'pull') return cools ? coolPullReserve(firing) : firing.limits.pullReserve;
  return limit === 'residual' && firing.uneven ? UNEVEN_STAYS_RESERVE : SIMULATED_RESERVE;
}

/** A shelf that sees the elements from below helps, which is not relied on without proof: there closed forms are not outrun. */
const SEES_ELEMENTS_EMISSIVITY = 0.6;
const helpedUnproven = ({ setup: { faces, twoFaceProof } }: ResolvedFiring): boolean =>
  !twoFaceProof && faces.bottom.kind === 'open' && faces.bottom.emissivity > SEES_ELEMENTS_EMISSIVITY;

/** A warm-up goes faster where its own simulation leaves room, by no more than this at once, and a little less than the room: tension grows more than the rate. */
const FASTER_AT_MOST = 1.5;
const SHORT_OF_ROOM = 0.98;

/** Slower where a limit with its reserve asks for it; a warm-up faster too, where the simulation of this set-up proves that it may. */
function paced(
  firing: ResolvedFiring,
  segment: PurposefulSegment,
  from_C: number,
  readings: Pick<Reading, 'limit' | 'value' | 'allowed' | 'ok'>[],
): PurposefulSegment {
  let share = 1;
  const cools = segment.target_C < from_C;
  for (const reading of readings) {
    const { limit, value, allowed } = reading;
    if (limit === 'kilnPace') share = Math.min(share, (KILN_PACE_SHARE * allowed) / value);
    if (limit === 'shelfPace' || limit === 'mouldPace' || limit === 'coatPace') share = Math.min(share, allowed / value);
    if (isPace(limit)) {
      share = Math.min(share, allowed / reserveFor(limit, firing, cools) / value);
    }
    // What stays goes with the rate; it is corrected only once it is broken, since the rule on the difference leads.
    if (limit === 'residual' && !reading.ok) share = Math.min(share, allowed / reserveFor(limit, firing, cools) / value);
  }
  if (segment.role === 'warmUp' && share === 1 && segment.rate_C_per_h !== null && !helpedUnproven(firing)) {
    const room = Math.min(
      FASTER_AT_MOST,
      ...readings.flatMap(({ limit, value, allowed }) => (isPace(limit) ? [allowed / reserveFor(limit, firing, cools) / value] : [])),
    );
    const stand = pacesFrom(firing, from_C).map(({ C_per_h }) => C_per_h);
    const most = Math.min(...stand, KILN_PACE_SHARE * 3600 * steadyHeating(firing.kiln, segment.target_C));
    const faster = niceRate(Math.min(segment.rate_C_per_h * room * SHORT_OF_ROOM, most), keyedIn(firing));
    return faster > segment.rate_C_per_h ? { ...segment, rate_C_per_h: faster } : segment;
  }
  if (share >= 1 - 1e-3) return segment;
  // A kiln left to itself cools fastest where it starts, and no faster whatever is keyed in.
  const asked = segment.rate_C_per_h ?? Infinity;
  const full = cools ? Math.min(asked, naturalCooling_C_per_h(firing, from_C)) : asked;
  return { ...segment, rate_C_per_h: niceRate(full * share, keyedIn(firing)) };
}

/** Less room than this is not worth another round. */
const ROOM_FROM = 1.05;

/** The field says where an uneven body may cool faster than its first guess: as far as nothing that stays and nothing that differs is over. */
function fasterWhereUneven(firing: ResolvedFiring, slowed: PurposefulSegment, segment: PurposefulSegment, readings: Reading[]): PurposefulSegment {
  const { rate_C_per_h } = segment;
  const { uneven } = firing;
  if (!uneven || rate_C_per_h === null || slowed.rate_C_per_h !== rate_C_per_h || !readings.some(({ limit }) => limit === 'residual')) return slowed;
  const room = Math.min(
    FASTER_AT_MOST,
    ...readings.flatMap(({ limit, value, allowed }) => (isPace(limit) || limit === 'residual' ? [allowed / reserveFor(limit, firing, true) / value] : [])),
  );
  const capped = uneven.isCapped ? unevenCool(firing, uneven) : Infinity;
  const faster = niceRate(Math.min(rate_C_per_h * room * SHORT_OF_ROOM, capped), keyedIn(firing));
  return faster > ROOM_FROM * rate_C_per_h ? { ...segment, rate_C_per_h: faster } : slowed;
}

/** Warm-up goes on until the coldest glass is past brittle. */
function warmTarget(firing: ResolvedFiring, segments: PurposefulSegment[], index: number, { simulation }: Evaluation): number {
  const { target_C } = segments[index];
  const figures = simulation.segments[index];
  const next = segments[index + 1];
  if (!figures || !next) return target_C;
  const short = firing.regimes.brittle_C - figures.glassColdestEnd_C;
  if (short <= 1 && short >= -10) return target_C;
  // A mould that has to be brought past a change of its own goes on at its pace until there.
  const past_C = Math.max(target_C + short, firing.setup.pace?.past_C ?? 0);
  return Math.min(targetsOf(firing).up(past_C), targetsOf(firing).down(next.target_C - LEAST_CLIMB_K));
}

/** What comes before it may have gone on to where the kiln falls more slowly. */
function noFasterThanItFalls(firing: ResolvedFiring, segment: PurposefulSegment, from_C: number): PurposefulSegment {
  const falls = naturalCooling_C_per_h(firing, from_C);
  return segment.rate_C_per_h === null || segment.rate_C_per_h <= falls ? segment : { ...segment, rate_C_per_h: niceRate(falls, keyedIn(firing)) };
}

const belowTheFirst = (firing: ResolvedFiring, segment: PurposefulSegment, first: PurposefulSegment): PurposefulSegment => ({
  ...segment,
  target_C: Math.min(segment.target_C, targetsOf(firing).down(first.target_C - LEAST_SECOND_COOL_K)),
});

/** The first cool goes on until the glass itself, which lags, is past setting. */
function firstCoolTarget(firing: ResolvedFiring, { target_C }: PurposefulSegment, { simulation }: Evaluation, index: number): number {
  const figures = simulation.segments[index];
  if (!figures) return target_C;
  const over = figures.glassEnd_C - firing.regimes.setsTo_C;
  return over > 1 ? targetsOf(firing).down(target_C - over) : target_C;
}

function squeezed(firing: ResolvedFiring, segment: PurposefulSegment, readings: Reading[]): Pick<PurposefulSegment, 'target_C' | 'hold_s'> {
  const reading = readings.find(({ limit }) => limit === 'squeeze');
  const { target_C } = segment;
  if (!reading) return { target_C, hold_s: segment.hold_s };
  const short = reading.allowed - reading.value;
  if (short <= 0 && marginOf(reading) < 0.15) return { target_C, hold_s: segment.hold_s };
  const vft = firing.viscosity;
  const seconds = short / fluidity(vft, target_C);
  const least = exposedCoatings(firing.body).length > 0 ? 0 : LEAST_SQUEEZE_S;
  const hold_s = niceHold(Math.max(least, segment.hold_s + seconds));
  const round = targetsOf(firing);
  const hottest_C = round.down(firing.regimes.squeezeTo_C - SQUEEZE_BELOW_SEALING_K);
  if (hold_s <= MOST_SQUEEZE_S || target_C >= hottest_C) return { target_C, hold_s };
  const usual_s = usualSqueeze(firing);
  return { target_C: Math.min(round.up(target_C + efold(vft, target_C) * Math.log(hold_s / usual_s)), hottest_C), hold_s: usual_s };
}

/** A face that leads far has too much by the time the rest has enough: cooler, all of it is held for longer and the lead counts for less. Null where that is not so. */
function coolerAndLonger(firing: ResolvedFiring, segment: PurposefulSegment, work: Evaluation['work_perPa']): PurposefulSegment | null {
  const wanted = valueOf(firing.work_perPa);
  const aim = aimedWork(firing.look, wanted);
  if (work.most <= wanted.most || work.mean > aim * WORK_CLEARANCE || work.most < LEADS_FAR * work.mean) return null;
  const vft = firing.viscosity;
  const target_C = targetsOf(firing).down(segment.target_C - efold(vft, segment.target_C) * Math.log((work.most / wanted.most) * WORK_CLEARANCE));
  const slower = fluidity(vft, segment.target_C) / fluidity(vft, target_C);
  const longer_s = (work.mean / fluidity(vft, segment.target_C)) * (slower - 1);
  const hold_s = Math.round((segment.hold_s + longer_s) / 60) * 60;
  return hold_s > RECIPES[firing.look].hold_s.most ? null : { ...segment, target_C, hold_s };
}
/** So many times what the body does on the whole is done by a face that leads far. */
const LEADS_FAR = 1.5;

/** The working hold, or where no usual one does it its heat, for the work that is aimed at. */
export function workHold(firing: ResolvedFiring, segment: PurposefulSegment, { work_perPa: work }: Pick<Evaluation, 'work_perPa'>): PurposefulSegment {
  const { kiln, look } = firing;
  const vft = firing.viscosity;
  const wanted = valueOf(firing.work_perPa);
  const aim = aimedWork(look, wanted);
  const short = aim - work.mean;
  const perSecond = fluidity(vft, segment.target_C);
  const cooler = coolerAndLonger(firing, segment, work);
  if (cooler) return cooler;
  // A minute is what controllers count in: closer than half of one cannot be keyed.
  if (Math.abs(short) < 0.55 * 60 * perSecond && work.least >= wanted.least && work.most <= wanted.most) return segment;
  const uneven = work.least < wanted.least && short <= 0 ? (wanted.least * WORK_CLEARANCE - work.least) / perSecond : 0;
  const hold_s = Math.round((segment.hold_s + (uneven > 0 ? uneven : short / perSecond)) / 60) * 60;
  const keyed_s = clamp(hold_s, RECIPES[look].hold_s.least, RECIPES[look].hold_s.most);
  if (keyed_s === hold_s) return { ...segment, hold_s };
  // Outside the usual holds: the nearest usual one, if it still does enough and not too much; else another temperature.
  const wouldDoAt = work.mean + (keyed_s - segment.hold_s) * perSecond;
  if (wouldDoAt > wanted.least * WORK_CLEARANCE && wouldDoAt < wanted.most / WORK_CLEARANCE) return { ...segment, hold_s: keyed_s };
  const usual_s = schoolHold(firing);
  const wouldDo = work.mean + (usual_s - segment.hold_s) * perSecond;
  const shift = clamp(efold(vft, segment.target_C) * Math.log(aim / Math.max(wouldDo, aim * 1e-3)), -MOST_SHIFT_K, MOST_SHIFT_K);
  const round = targetsOf(firing);
  // What bears no more is gone up to once: there a longer hold is tried before it is passed.
  const borne_C = round.down(hottestBorne_C(firing.setup));
  const moved_C = segment.target_C < borne_C ? Math.min(segment.target_C + shift, borne_C) : segment.target_C + shift;
  const target_C = Math.min(shift > 0 ? round.up(moved_C) : round.down(moved_C), round.down(kiln.top_C));
  return { ...segment, target_C, hold_s: usual_s };
}

/** Of the time constant that the soak so far tells, no more is believed: what the drop has left is only about known. */
const SEEN_SHARE = 0.8;

/** Time constant, s, of a difference that has come down to this in a soak: a stand of several layers evens out slower than its closed form. */
const eveningSeen = (hold_s: number, left_K: number): number => (left_K < DROP_LEAVES_K / 2 ? (SEEN_SHARE * hold_s) / Math.log(DROP_LEAVES_K / left_K) : 0);

function annealSoakHold(firing: ResolvedFiring, segment: PurposefulSegment, evaluation: Evaluation, index: number): number {
  const { limits, glass, viscosity } = firing;
  const figures = evaluation.simulation.segments[index];
  if (!figures) return segment.hold_s;
  const perRelaxation_s = 1 / (shearModulus(glass) * fluidity(viscosity, segment.target_C));
  if (figures.spread_end_K > limits.even_K) {
    const tau = Math.max(evening(firing, segment.target_C), eveningSeen(segment.hold_s, figures.spread_end_K));
    return niceHold(segment.hold_s + tau * Math.log(figures.spread_end_K / limits.even_K) + limits.relaxations * perRelaxation_s);
  }
  // Counted in times at the soak, but hotter glass relaxes faster: what is left over must still leave it even.
  const sinceEven_s = evening(firing, segment.target_C) * Math.log(limits.even_K / Math.max(figures.spread_end_K, 1e-3));
  const surplus_s = Math.min((figures.relaxations - limits.relaxations) * perRelaxation_s, sinceEven_s);
  if (surplus_s >= 0 && surplus_s < Math.max(300, 0.05 * segment.hold_s)) return segment.hold_s;
  return niceHold(Math.max(soakedAtLeast(firing), segment.hold_s - surplus_s));
}
