/** What the limits make of a firing: each figure beside what it is held to. */
import { valueOf } from '../problem';
import type { SimulationResult } from '../heat/simulation';
import { aimedWork } from '../look/work';
import type { FiringCase } from './firingCase';
import { resolved } from './resolved';

export type LimitName =
  | 'kilnTop'
  | 'kilnPace'
  | 'shelfPace'
  | 'mouldPace'
  | 'shelfTop'
  | 'coatPace'
  | 'coatTop'
  | 'pull'
  | 'climbing'
  | 'squeeze'
  | 'coating'
  | 'haze'
  | 'workLeast'
  | 'workMost'
  | 'even'
  | 'relaxed'
  | 'soakTime'
  | 'setting'
  | 'residual'
  | 'opening'
  | 'heldThrough'
  | 'coneLeast'
  | 'coneMost'
  | 'filled';

/** Unit of value and allowed: °C, K, K/h, Pa, 1/Pa, s or a plain count. */
export type ReadingUnit = 'C' | 'K' | 'K/h' | 'Pa' | '1/Pa' | 's' | '1';

export interface Reading {
  limit: LimitName;
  /** Index of the segment judged. */
  segment: number;
  value: number;
  allowed: number;
  /** Whether the value must stay at or under the allowed, or reach it. */
  sense: 'atMost' | 'atLeast';
  unit: ReadingUnit;
  ok: boolean;
  /** Told beside another figure that decides: it breaks nothing. */
  note?: true;
  /** Of an uneven body that sets: between the hottest and the coldest of its places. */
  places?: true;
  /** Of heat work: how it is told, once for both its limits; older results have none. */
  band?: HeatWorkBand;
}

/** Heat work in shares of what the look aims at: one figure for the whole body, and what it must lie between. */
export interface HeatWorkBand {
  shown: number;
  least: number;
  most: number;
}

/** By its field, for 1 K/s, s. */
export interface UnevenFigures {
  /** Hottest less coldest while it sets, a rim as wide as it is deep left out. */
  spread_s: number;
  /** How far its inside stands above the plane that fits it. */
  bulge_s: number;
  /** How far the coldest of its rim lies under that in a cold kiln. */
  dip_s: number;
  /** How far its inside stands over that there: what pulls one block while it warms. */
  coldBulge_s: number;
  /** The even plate that stands for it, m. */
  plate_m: number;
}

export interface Evaluation {
  simulation: SimulationResult;
  readings: Reading[];
  /** Totals over the firing, 1/Pa. */
  work_perPa: { least: number; mean: number; most: number };
  /** How it cools where it is no even plate. */
  uneven?: UnevenFigures;
  /** Whose word it is; results from before engine 4 do not say. */
  engine?: string;
}

/** Rounding of a figure must not break a limit that the computation met. */
export const TOLERANCE = 1e-3;

/** Shown is the mean, or where a side of the body breaks the band, what that side has. */
export function heatWorkBand(asked: FiringCase, work: Evaluation['work_perPa']): HeatWorkBand {
  const firing = resolved(asked);
  const wanted = valueOf(firing.work_perPa);
  const aim = aimedWork(firing.look, wanted);
  const shown = work.most > wanted.most * (1 + TOLERANCE) ? work.most : work.least < wanted.least * (1 - TOLERANCE) ? work.least : work.mean;
  return { shown: shown / aim, least: wanted.least / aim, most: wanted.most / aim };
}

/** Room left under (or over) a limit as a share of it; negative when broken. */
export const marginOf = ({ value, allowed, sense }: Pick<Reading, 'value' | 'allowed' | 'sense'>): number =>
  sense === 'atMost' ? (allowed - value) / allowed : (value - allowed) / allowed;

export const brokenOf = (readings: readonly Reading[]): Reading[] => readings.filter((reading) => !reading.ok);

/** The reading that leaves a segment the least room: what limits it. */
export function tightest(readings: readonly Reading[], segment: number): Reading | null {
  const own = readings.filter((reading) => reading.segment === segment && !reading.note);
  return own.length === 0 ? null : own.reduce((best, reading) => (marginOf(reading) < marginOf(best) ? reading : best));
}
