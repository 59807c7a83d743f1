/** The first guess of a schedule, from closed forms alone: every rate, target and hold before the simulation is asked. */
import { valueOf } from '../problem';
import { resolved } from './resolved';
import type { ResolvedFiring } from './resolvedFiring';
import { type Uneven, coolPullReserve } from './uneven';
import { coolingOf } from './unevenCooling';
import { strewnOf } from '../body/layers';
import { exposedCoatings } from '../fit/coating';
import { logViscosityFor, rampsWorth } from '../flow/heatWork';
import { restrainedDifference, shearModulus } from '../glass/constants';
import { fluidity, temperatureAt } from '../glass/viscosity';
import { exchange } from '../heat/exchange';
import { equalisingTime, plateTensionLag, rateWithin, slabLag, solidEqualisingTime, solidTensionLag } from '../heat/quasiSteady';
import { HELD_SHARE } from '../heat/thermalTension';
import { naturalCooling, settledCooling, steadyHeating } from '../kiln/kiln';
import { RECIPES } from '../look/recipes/all';
import { aimedWork } from '../look/work';
import type { FiringCase } from './firingCase';
import { leastSoak, soaksLower } from './leastSoak';
import { openingTemperature } from './opening';
import { type RoundTargets, clamp, niceHold, niceRate, roundTargets } from './rounding';
import { INVESTMENT_WALL_M, type SetUp, facesOf, overGlass, roundGlass } from './setups';
import type { Shape } from '../heat/stack';
import type { PurposefulSegment, Role } from '../kiln/segment';
import { LEAST_WAY_K, hottestBorne_C, standPace } from './shelfPace';
import { cavityOf, isBending } from '../look/shaping';
import type { TemperatureUnit } from '../units/convert';

const SQUEEZE_HOLD_S = 30 * 60;
/** With a bare coating the squeeze is short and hot. */
const BRISK_SQUEEZE_HOLD_S = 10 * 60;
/** It never comes nearer than this to where the rim seals, K. */
export const SQUEEZE_BELOW_SEALING_K = 5;
/** log10 η of the lower soak: relaxes in under an hour, and most of the cooling lies below. */
const LOWER_SOAK_LOG_ETA = 13.9;
const ANNEALING_LOG_ETA = 12;
const SECOND_COOL_BELOW_FIRST_K = 60;
/** How much faster than the first cool practice takes the second and the last: what sets has set, and what pulls is held against its limit. */
const EVEN = { secondOverFirst: 1.8, lastOverFirst: 5 };
/** The first cool of an uneven body is held by what stays, its last by how its rim is pulled. */
const UNEVEN = { secondOverFirst: 2.2, lastOverFirst: 7 };
/** The simulation sees more than the closed form, so it needs less reserve. */
export const SIMULATED_RESERVE = 1.1;

/** A kiln at full power has nothing left to hold its rate with. */
export const KILN_PACE_SHARE = 0.9;
/** Each climb is one of its own, however late the glass is past brittle. */
export const LEAST_CLIMB_K = 15;
/** The second cool is a way of its own, however far the first has to go on, K. */
export const LEAST_SECOND_COOL_K = 30;
/** Difference left by the drop, K: start of the equalising estimate. */
export const DROP_LEAVES_K = 25;

/**
 * Water leaves under the boil, a coat of it in an hour, a mould's in two; glues and gels char and burn from 200 to 400 °C. Typical:
 * water is not in the heat model, and only weighing tells that a mould is dry.
 */
const DRYING = { at_C: 95, rate_C_per_h: 100, ofCoat_s: 3600, ofForm_s: 7200, ofInvestment_s: 8 * 3600 };
const BURNING_OFF = { at_C: 360, rate_C_per_h: 150, hold_s: 20 * 60 };

/** Water comes out of a wall of plaster by the square of how thick it is. */
function dryingHold({ shaping, pace }: SetUp): number {
  const cavity = cavityOf(shaping);
  if (cavity && pace) return niceHold(DRYING.ofInvestment_s * (cavity.wall_m / INVESTMENT_WALL_M) ** 2);
  return cavity || isBending(shaping) ? DRYING.ofForm_s : DRYING.ofCoat_s;
}

/** Frit in a mould is held here by some schools, past softening, before its grains seal. */
const SETTLE_ABOVE_SOFTENING_K = 15;
const SETTLE_HOLD_S = 90 * 60;

/** Whether grains lie in a mould, which some hold while they sink together. */
export const settlesGrains = ({ body, look }: Pick<FiringCase, 'body' | 'look'>): boolean =>
  !body.joined && RECIPES[look].fills !== undefined && strewnOf(body) !== null;

/** How far inside its range the work must lie to count as met without its middle. */
export const WORK_CLEARANCE = 1.15;

/** What a schedule is keyed in: figures are chosen round there. */
export const keyedIn = ({ controller }: Pick<FiringCase, 'controller'>): TemperatureUnit => controller?.unit ?? 'C';
export const targetsOf = (firing: Pick<FiringCase, 'controller'>): RoundTargets => roundTargets(keyedIn(firing));

/** The hold of the school at the working temperature, s. */
export const schoolHold = ({ look, school }: Pick<FiringCase, 'look' | 'school'>): number => RECIPES[look].hold_s[school.heat];

/** The least hold of its soak, s. */
export const soakedAtLeast = (firing: ResolvedFiring): number =>
  leastSoak(firing.limits, { depth_m: firing.depth_m.fired, shape: firing.firedShape, faces: firing.openFaces, low: soaksLower(firing) });

/** Heat capacity of layers, J/(m²K). */
const heatOf = (layers: SetUp['below']): number => layers.reduce((sum, one) => sum + one.density_kg_m3 * one.heatCapacity_J_kgK * one.thickness_m, 0);

/** Volume over outside, in diameters. */
const VOLUME_OVER_OUTSIDE = { cylinder: 1 / 4, sphere: 1 / 6 } as const;

/** Heat capacity of the glass and what lies under or round it, for each area that takes in heat, J/(m²K). */
function heatPerArea({ glass, depth_m, setup, sidesLag_s }: ResolvedFiring, shape: Shape): number {
  const ofGlass = glass.density_kg_m3 * glass.heatCapacity_J_kgK * depth_m.fired;
  if (shape === 'plate') return heatOf(setup.below) + ofGlass + heatOf([...overGlass(setup), ...(setup.roof ? [setup.roof.shelf] : [])]);
  return (VOLUME_OVER_OUTSIDE[shape] * ofGlass + heatOf(roundGlass(setup))) * (sidesLag_s > 0 ? 2 : 1);
}

/** Tension that settles, K for each K/s, while brittle: as it is heated, sheet by sheet where they are loose, or as it is cooled. */
function tensionLag(firing: ResolvedFiring, as: 'heated' | 'fired'): number {
  const { glass, openFaces, depth_m, limits, sidesLag_s, setup, uneven } = firing;
  const shape = as === 'heated' ? firing.shape : firing.firedShape;
  const heldShare = limits.heldShare ?? HELD_SHARE;
  if (shape !== 'plate') return solidTensionLag(glass, depth_m[as], shape, sidesLag_s, heldShare);
  if (uneven && as === 'fired') {
    const { setting, coldDip_s } = coolingOf(uneven);
    return Math.max(setting.bulge_s, (1 - glass.poisson) * coldDip_s);
  }
  const whole_m = as === 'heated' ? depth_m.laid : depth_m.fired;
  const under = heatOf(setup.below) + glass.density_kg_m3 * glass.heatCapacity_J_kgK * (whole_m - depth_m[as]);
  return plateTensionLag(glass, depth_m[as], openFaces, under, heldShare);
}

/** Estimate of the time constant, s, with which the body evens out at a temperature: through the glass, and into the kiln by its top. */
export function evening(firing: ResolvedFiring, at_C: number): number {
  const { glass, firedShape: shape, openFaces, setup, uneven } = firing;
  if (uneven) return coolingOf(uneven).setting.evens_s;
  const depth_m = firing.depth_m.fired;
  const through = shape === 'plate' ? equalisingTime(glass, depth_m, openFaces) : solidEqualisingTime(glass, depth_m, shape);
  return through + heatPerArea(firing, shape) / Math.max(exchange(facesOf(setup).top, at_C, at_C), 1);
}

/**
 * What tension stays of an uneven body, over that of its bulge held fast, by its rate: the slower it cools, the longer it still sets while
 * the second cool, which is faster, has begun. Fitted to the model's own answers; the simulation then says what really stays.
 */
const staysOfBulge = (C_per_h: number): number => 1.5 + 0.6 / (1 + C_per_h / 3);
const STAYS_ROUNDS = 4;

/** First cool of an uneven body, °C/h: by what it differs by, by what stays, and, but for blocks in their mould, no faster than an even plate as deep as its thickest point. */
export function unevenCool({ limits, glass, acrossLag_s: across, openFaces }: ResolvedFiring, uneven: Uneven): number {
  const { thick_m, isCapped } = uneven;
  const { setting } = coolingOf(uneven);
  const { setting_K, settingReserve, residual_Pa } = limits;
  const held = 3600 * rateWithin(restrainedDifference(glass, residual_Pa), uneven.bulgeReserve * setting.bulge_s, 0);
  let stays = held;
  for (let round = 0; round < STAYS_ROUNDS; round += 1) stays = held / staysOfBulge(stays);
  const rates = [
    stays / 3600,
    rateWithin(setting_K / SIMULATED_RESERVE, setting.innerSpread_s, across),
    ...(isCapped ? [rateWithin(setting_K / settingReserve, slabLag(glass, thick_m, openFaces), across)] : []),
  ];
  return 3600 * Math.min(...rates);
}

/**
 * Where the school's hold, with the ramps to it and from it, does the wanted work; rounded. What firings have taught of the work
 * changes the hold first, and only where no usual hold does it the heat.
 */
function workingTemperature(firing: ResolvedFiring, climb_K_per_s: (at_C: number) => number): number {
  const { viscosity: vft, kiln } = firing;
  const wanted = valueOf(firing.work_perPa);
  const work = aimedWork(firing.look, wanted) / firing.workFactor;
  const hold_s = schoolHold(firing);
  const worth_s = (held_C: number): number => rampsWorth(vft, held_C, climb_K_per_s(held_C), naturalCooling(kiln, held_C));
  let at_C = temperatureAt(vft, logViscosityFor(work, hold_s));
  for (let round = 0; round < 4; round += 1) at_C = temperatureAt(vft, logViscosityFor(work, hold_s + worth_s(at_C)));
  // No hotter than shelf, mould and coat bear, where the longest usual hold does enough there.
  const round = targetsOf(firing);
  const borne_C = round.down(hottestBorne_C(firing.setup));
  if (at_C <= borne_C) return round.near(at_C);
  const does = fluidity(vft, borne_C) * (RECIPES[firing.look].hold_s.most + worth_s(borne_C));
  return does > wanted.least * WORK_CLEARANCE ? borne_C : round.near(at_C);
}

/** How long a squeeze is held before the simulation has been asked, s. */
export const usualSqueeze = ({ body }: Pick<FiringCase, 'body'>): number => (exposedCoatings(body).length > 0 ? BRISK_SQUEEZE_HOLD_S : SQUEEZE_HOLD_S);

export function closedForm(asked: FiringCase): PurposefulSegment[] {
  const firing = resolved(asked);
  const { kiln, limits, setup, glass, viscosity: vft, regimes, lag_s, acrossLag_s: across } = firing;
  const round = targetsOf(firing);
  const rate = (cPerHour: number): number => niceRate(cPerHour, keyedIn(firing));
  const through = lag_s.fired;
  const throughLaid = lag_s.laid;
  const pulledTo = (pull_Pa: number, lag: number): number => 3600 * rateWithin(restrainedDifference(glass, pull_Pa / limits.pullReserve), lag, across);
  const perHour = (difference_K: number, lag: number): number => 3600 * rateWithin(difference_K, lag, across);
  const mayClimb = firing.mayDiffer ? Infinity : perHour(limits.climbing_K, throughLaid);
  const climb = (to_C: number): number => rate(Math.min(mayClimb, KILN_PACE_SHARE * 3600 * steadyHeating(kiln, to_C)));

  const squeezeHold = usualSqueeze(firing);
  const need = firing.squeeze_perPa;
  const squeezes = need > 0;
  const squeeze_C = round.near(
    clamp(
      squeezes ? temperatureAt(vft, logViscosityFor(need, squeezeHold)) : regimes.squeezeFrom_C,
      regimes.squeezeFrom_C + 3,
      regimes.squeezeTo_C - SQUEEZE_BELOW_SEALING_K,
    ),
  );
  const work_C = workingTemperature(firing, (at_C) => climb(at_C) / 3600);
  const soak_C = round.soak(temperatureAt(vft, soaksLower(firing) ? LOWER_SOAK_LOG_ETA : ANNEALING_LOG_ETA));
  const first_C = round.down(regimes.setsTo_C);
  const second_C = round.near(first_C - SECOND_COOL_BELOW_FIRST_K);
  const last_C = round.down(openingTemperature(firing));
  const relax = limits.relaxations / (shearModulus(glass) * fluidity(vft, soak_C));
  // No faster than the kiln follows: a rate that it never reaches tells nobody how long that takes.
  const follows = (wanted_C_per_h: number, from_C: number): number => Math.min(wanted_C_per_h, 3600 * naturalCooling(kiln, from_C));
  const cool = firing.uneven ? unevenCool(firing, firing.uneven) : perHour(limits.setting_K / limits.settingReserve, through);
  const cooledBrittle = 3600 * rateWithin(restrainedDifference(glass, limits.pull_Pa / coolPullReserve(firing)), tensionLag(firing, 'fired'), across);
  const { secondOverFirst, lastOverFirst } = firing.uneven ? UNEVEN : EVEN;
  const thenCool = Math.min(secondOverFirst * cool, cooledBrittle);
  const lastCool = Math.min(lastOverFirst * cool, cooledBrittle);
  const mayWarm = Math.min(
    pulledTo(firing.warmPull_Pa, tensionLag(firing, 'heated')),
    mayClimb,
    standPace(firing).C_per_h,
    KILN_PACE_SHARE * 3600 * steadyHeating(kiln, regimes.brittle_C),
  );
  // A coat that asks for less than all else has a way of its own, unless that is nearly all of the warm-up.
  const coat = setup.coat?.pace && setup.coat.pace.C_per_h < mayWarm ? setup.coat.pace : null;
  const apart = coat !== null && coat.past_C < regimes.brittle_C - LEAST_WAY_K;
  const slow = rate(Math.min(mayWarm, coat?.C_per_h ?? Infinity));
  const warm = apart ? rate(mayWarm) : slow;
  // The kiln must lead by the glass's lag for the glass itself to be past brittle.
  const lag =
    (warm / 3600) * (throughLaid + heatPerArea(firing, firing.shape) / Math.max(exchange(facesOf(setup).top, regimes.brittle_C, regimes.brittle_C), 1));
  const warm_C = Math.min(round.up(Math.max(regimes.brittle_C + lag, setup.pace?.past_C ?? 0)), round.down((squeezes ? squeeze_C : work_C) - LEAST_CLIMB_K));
  const annealSoakHold = niceHold(Math.max(soakedAtLeast(firing), evening(firing, soak_C) * Math.log(DROP_LEAVES_K / limits.even_K) + relax));

  const segment = (role: Role, rate_C_per_h: number | null, target_C: number, hold_s = 0): PurposefulSegment => ({ role, rate_C_per_h, target_C, hold_s });
  const settle_C = round.near(glass.softening_C + SETTLE_ABOVE_SOFTENING_K);
  const settles = firing.school.grains === 'held' && settlesGrains(firing) && settle_C > warm_C + LEAST_CLIMB_K && settle_C < work_C - LEAST_CLIMB_K;
  const [dry_C, burnOff_C] = [round.down(DRYING.at_C), round.down(BURNING_OFF.at_C)];
  const unbound_C = setup.wet === 'glued' ? burnOff_C : setup.wet ? dry_C : kiln.ambient_C;
  return [
    ...(setup.wet ? [segment('dry', rate(Math.min(slow, DRYING.rate_C_per_h)), dry_C, dryingHold(setup))] : []),
    ...(setup.wet === 'glued' ? [segment('burnOff', rate(Math.min(slow, BURNING_OFF.rate_C_per_h)), burnOff_C, BURNING_OFF.hold_s)] : []),
    ...(apart && coat.past_C - unbound_C > LEAST_WAY_K ? [segment('burnOff', slow, round.up(coat.past_C))] : []),
    segment('warmUp', warm, warm_C),
    ...(squeezes ? [segment('squeeze', climb(squeeze_C), squeeze_C, squeezeHold)] : []),
    ...(settles ? [segment('settle', climb(settle_C), settle_C, SETTLE_HOLD_S)] : []),
    segment('work', climb(work_C), work_C, schoolHold(firing)),
    segment('drop', null, soak_C, annealSoakHold),
    segment('firstCool', rate(follows(cool, soak_C)), first_C),
    segment('secondCool', rate(follows(thenCool, first_C)), second_C),
    segment('lastCool', 3600 * settledCooling(kiln, second_C) <= lastCool ? null : rate(lastCool), last_C),
  ];
}
