/** Holds a simulated schedule against every limit. Each reading names the segment that it judges. */
import { valueOf } from '../problem';
import { resolved } from './resolved';
import { simulationOf } from './simulationOf';
import type { ResolvedFiring } from './resolvedFiring';
import type { SegmentFigures } from '../heat/figures';
import { hottestSegment, annealSoakSegment } from '../heat/regimes';
import { simulateFiring } from '../heat/simulate';
import type { SimulationInput, SimulationResult } from '../heat/simulation';
import { naturalCooling } from '../kiln/kiln';
import { bodyFigures, mainGlass } from '../body/body';
import { mostDrained } from '../flow/drain';
import { WATER_KG_M3 } from '../form/shape';
import { RECIPES } from '../look/recipes/all';
import { cavityOf } from '../look/shaping';
import { exposedCoatings } from '../fit/coating';
import { type FiringCase } from './firingCase';
import { runLevel } from './runLevel';
import { type UnevenCooling, coolingOf } from './unevenCooling';
import { leastSoak } from './leastSoak';
import { openingTemperature } from './opening';
import type { Segment } from '../kiln/segment';
import { pacesFrom } from './shelfPace';
import { followed, emptyFiringOf, emptyReadings } from './emptyFiring';
import { ENGINE_VERSION } from '../version';
import {
  type Evaluation,
  type HeatWorkBand,
  type LimitName,
  type Reading,
  type ReadingUnit,
  TOLERANCE,
  type UnevenFigures,
  brokenOf,
  heatWorkBand,
  marginOf,
} from './reading';

/** How far outside of its limits a firing is, in shares of each; nought where it keeps them all. */
export const harmOf = ({ readings, simulation }: Pick<Evaluation, 'readings' | 'simulation'>): number =>
  (simulation.stalled ? STALLED_HARM : 0) + brokenOf(readings).reduce((sum, reading) => sum - Math.max(marginOf(reading), -MOST_HARM), 0);

/** A limit broken by more than so many times itself counts so much. */
const MOST_HARM = 10;
/** A kiln that gets no further counts as one limit broken by all it can. */
const STALLED_HARM = MOST_HARM;

const judged = (reading: Omit<Reading, 'ok'>): Reading => ({ ...reading, ok: marginOf(reading) >= -TOLERANCE });

const withoutCurves = ({ series: _series, ...simulation }: SimulationResult): SimulationResult => simulation;

/** Simulates and judges. One simulation, by a simulator that may remember. */
export function evaluate(
  asked: FiringCase,
  segments: readonly Segment[],
  series = false,
  simulate: (input: SimulationInput) => SimulationResult = simulateFiring,
): Evaluation {
  const firing = resolved(asked);
  const bare = emptyFiringOf(firing);
  if (bare) {
    const input = followed(simulationOf(firing, segments, true));
    const simulation = simulate(input);
    const readings = emptyReadings(firing, bare, segments, input.segments, simulation).map((one) => judged(one));
    return { simulation: series ? simulation : withoutCurves(simulation), readings, work_perPa: { least: 0, mean: 0, most: 0 }, engine: ENGINE_VERSION };
  }
  // What cannot be is refused before anything is simulated.
  valueOf(firing.work_perPa);
  const input = simulationOf(firing, segments, series);
  const asLaid = simulate(input);
  const simulation = firing.changes
    ? runLevel(asLaid, simulate(simulationOf(firing, segments, series, 'level')), {
        ...{ hottest: hottestSegment(input.segments), stays: !RECIPES[firing.look].levels },
        ...(firing.uneven?.isOneBlock ? { warmsAs: warmsAs(coolingOf(firing.uneven)) } : {}),
      })
    : asLaid;
  const figures = simulation.segments;
  const under = figures.reduce((sum, one) => sum + one.heatWorkUnder_perPa, 0);
  const top = figures.reduce((sum, one) => sum + one.heatWorkTop_perPa, 0);
  const mean = figures.reduce((sum, one) => sum + one.heatWork_perPa, 0);
  const work_perPa = { least: Math.min(under, mean, top), mean, most: Math.max(under, mean, top) };
  const readings = readingsOf(firing, segments, input.segments, simulation, work_perPa);
  return { simulation, readings, work_perPa, ...(firing.uneven ? { uneven: unevenFigures(coolingOf(firing.uneven)) } : {}), engine: ENGINE_VERSION };
}

/** Its inside lags the more the colder the kiln is. */
const warmsAs = ({ setting, coldBulge_s }: UnevenCooling): number => coldBulge_s / setting.bulge_s;

const unevenFigures = ({ setting, coldDip_s, coldBulge_s, plate }: UnevenCooling): UnevenFigures => ({
  ...{ spread_s: setting.innerSpread_s, bulge_s: setting.bulge_s, dip_s: coldDip_s, coldBulge_s, plate_m: plate.depth_m },
});

/** The kiln's top is held against what is keyed; everything else against what the glass feels, the controller's offset taken off. */
function readingsOf(
  firing: ResolvedFiring,
  keyed: readonly Segment[],
  segments: readonly Segment[],
  simulation: SimulationResult,
  work: Evaluation['work_perPa'],
): Reading[] {
  const { body, kiln, limits, regimes, setup, viscosity } = firing;
  const figures = simulation.segments;
  const readings: Reading[] = [];
  const read = (
    limit: LimitName,
    segment: number,
    value: number,
    allowed: number,
    unit: ReadingUnit,
    sense: Reading['sense'] = 'atMost',
    band?: HeatWorkBand,
  ): void => {
    readings.push(judged({ limit, segment, value, allowed, sense, unit, ...(band === undefined ? {} : { band }) }));
  };

  const hottest = hottestSegment(segments);
  const soak = annealSoakSegment(viscosity, segments);
  keyed.forEach((segment, i) => {
    if (segment.target_C > kiln.top_C) read('kilnTop', i, segment.target_C, kiln.top_C, 'C');
  });
  if (setup.top_C !== undefined && segments[hottest].target_C > setup.top_C) read('shelfTop', hottest, segments[hottest].target_C, setup.top_C, 'C');
  if (setup.coat && segments[hottest].target_C > setup.coat.top_C - TOP_SAID_FROM_K) {
    read('coatTop', hottest, segments[hottest].target_C, setup.coat.top_C, 'C');
  }
  figures.forEach((one, i) => {
    const { rate_C_per_h, target_C } = segments[i];
    const from_C = i === 0 ? kiln.ambient_C : segments[i - 1].target_C;
    const climbs = target_C > from_C;
    if (climbs && rate_C_per_h !== null && one.kilnBest_C_per_h !== null) read('kilnPace', i, rate_C_per_h, one.kilnBest_C_per_h, 'K/h');
    for (const stand of climbs ? pacesFrom(firing, from_C) : []) {
      const pace = rate_C_per_h ?? meanRate(figures, i, target_C - from_C, segments[i].hold_s);
      if (pace > PACE_SAID_FROM * stand.C_per_h) read(stand.limit, i, pace, stand.C_per_h, 'K/h');
    }
    if (one.tension_max_Pa > 0) read('pull', i, one.tension_max_Pa, climbs ? firing.warmPull_Pa : limits.pull_Pa, 'Pa');
    if (one.spread_climbing_K > 0 && climbs && !firing.mayDiffer) read('climbing', i, one.spread_climbing_K, limits.climbing_K, 'K');
    if (one.spread_setting_K > 0) {
      const setting = { limit: 'setting', segment: i, value: one.spread_setting_K, allowed: limits.setting_K, unit: 'K', sense: 'atMost' } as const;
      readings.push(judged({ ...setting, ...(firing.uneven && i > hottest ? { places: true } : {}) }));
    }
  });

  const wanted = valueOf(firing.work_perPa);
  const squeeze = firing.squeeze_perPa;
  if (squeeze > 0) {
    const beforeSeal = segments.findIndex((segment) => segment.target_C > regimes.squeezeTo_C);
    const squeezeAt = beforeSeal > 0 ? beforeSeal - 1 : hottest;
    // What the last climb does is not relied on: it is over in minutes and the rim seals on the way.
    const squeezed = figures.slice(0, Math.max(hottest, 1)).reduce((sum, one) => sum + one.squeezeWork_perPa, 0);
    read('squeeze', squeezeAt, squeezed, squeeze, '1/Pa', 'atLeast');
  }
  const held = filledShare(firing);
  if (held !== null) read('filled', hottest, held, FILLED_FROM, '1', 'atLeast');
  const band = heatWorkBand(firing, work);
  read('workLeast', hottest, work.least, wanted.least, '1/Pa', 'atLeast', band);
  read('workMost', hottest, work.most, wanted.most, '1/Pa', 'atMost', band);
  read('haze', hottest, total(figures, 'haze_s'), firing.glass.hazeBears_s ?? limits.haze_s, 's');
  if (exposedCoatings(body).length > 0) read('coating', Math.max(0, hottest - 1), total(figures.slice(0, hottest + 1), 'coating_s'), limits.coating_s, 's');

  const low = soak >= 0 && segments[soak].target_C < firing.glass.annealing_C - LOW_SOAK_UNDER_K;
  const atLeast_s = leastSoak(limits, { depth_m: firing.depth_m.fired, shape: firing.firedShape, faces: firing.openFaces, low });
  const soakFigures = figures[soak];
  const last = segments.length - 1;
  if (soakFigures) {
    read('even', soak, soakFigures.spread_end_K, limits.even_K, 'K');
    // How often stress could relax is a rule of thumb for what stays: where that is simulated, it decides.
    const relaxed = { limit: 'relaxed', segment: soak, value: soakFigures.relaxations, allowed: limits.relaxations, unit: '1', sense: 'atLeast' } as const;
    readings.push(simulation.residual && !simulation.stalled ? { ...relaxed, ok: true, note: true } : judged(relaxed));
    read('soakTime', soak, segments[soak].hold_s, atLeast_s, 's', 'atLeast');
  } else if (soak < 0) {
    read('soakTime', Math.min(hottest + 1, last), 0, atLeast_s, 's', 'atLeast');
  }
  if (simulation.residual && !simulation.stalled) {
    const left = simulation.residual.reduce((most, { stress_Pa }) => Math.max(most, stress_Pa), 0);
    read('residual', Math.min((soak >= 0 ? soak : hottest) + 1, last), left, limits.residual_Pa, 'Pa');
  }
  read('opening', last, segments[last].target_C, openingTemperature(firing), 'C');
  return readings;
}

/** A mould is full from this share of it on: a scale and a meniscus tell it no closer. */
const FILLED_FROM = 0.97;

/** Share of its mould that the glass fills, what its reservoir holds back left out; null where nobody knows how much that is, or where it fills none. */
export function filledShare({ body, setup: { shaping } }: Pick<FiringCase, 'body' | 'setup'>): number | null {
  const water_kg = cavityOf(shaping)?.water_kg;
  if (water_kg === undefined || shaping === undefined) return null;
  const runs = shaping.kind === 'reservoir' ? mostDrained(mainGlass(body), bodyFigures(body), { holes: 1, ...shaping }) : 1;
  return (runs * bodyFigures(body).volume_m3 * WATER_KG_M3) / water_kg;
}

/** Colder than this under its annealing point glass relaxes as well as evens out in its soak, K. */
const LOW_SOAK_UNDER_K = 15;

/** Nearer than this to its pace a shelf, mould or coat is spoken of. */
const PACE_SAID_FROM = 0.85;
/** Nearer than this to its top a coat is spoken of, K. */
const TOP_SAID_FROM_K = 10;

/** °C/h over a ramp that went as fast as it could. */
const meanRate = (figures: readonly SegmentFigures[], i: number, way_K: number, hold_s: number): number =>
  (3600 * way_K) / Math.max(figures[i].end_s - (figures[i - 1]?.end_s ?? 0) - hold_s, 1);

const total = (figures: readonly SegmentFigures[], name: 'haze_s' | 'coating_s'): number => figures.reduce((sum, one) => sum + one[name], 0);

/** Natural cooling at a temperature, °C/h, for those who decide between a controlled segment and switching off. */
export const naturalCooling_C_per_h = (firing: Pick<FiringCase, 'kiln'>, at_C: number): number => naturalCooling(firing.kiln, at_C) * 3600;
