/** A plan as it is asked about: how thick it is where, and what of it goes wrong later. */
import type { Footprint } from '../body/footprint';
import { type NextFiring, type PlanConcern, planConcerns } from './concerns';
import { mapOf } from './mapped';
import type { DeepAt, MappedLayer } from './thickness';

export interface PlanAsked {
  footprint: Footprint;
  /** Index 0 at the bottom. */
  layers: readonly MappedLayer[];
  /** The lowest layer whose parts are spoken of; all of them where left out. */
  from?: number;
  /** What it is fired as; nothing is said of what firing does where left out. */
  next?: NextFiring;
}

export interface PlanTold {
  grid: { left_m: number; front_m: number; cell_m: number; columns: number; rows: number };
  /** In each cell, rows from the front, each from the left, m; 0 where there is no glass. */
  depth_m: number[];
  /** Share of each cell that there is glass in, or would be. */
  share: number[];
  volume_m3: number;
  mean_m: number;
  deepest: DeepAt;
  thinnest: DeepAt;
  steepest: DeepAt;
  widest: { thick_m: number; thin_m: number };
  apart_m: number;
  concerns: PlanConcern[];
}

/** To a ten-thousandth of a millimetre, which nobody measures. */
const short = (value: number): number => Math.round(value * 1e7) / 1e7;

export function planTold({ footprint, layers, from = 0, next }: PlanAsked): PlanTold {
  const map = mapOf(footprint, layers);
  const { grid, volume_m3, deepest, thinnest, steepest, widest, apart_m } = map;
  const covered = map.share.reduce((sum, share) => sum + share, 0) * grid.cell_m ** 2;
  return {
    ...{ grid, volume_m3, deepest, thinnest, steepest, widest, apart_m },
    depth_m: Array.from(map.depth_m, short),
    share: Array.from(map.share, short),
    mean_m: covered > 0 ? volume_m3 / covered : 0,
    concerns: planConcerns(footprint, layers, map, next ?? null, from),
  };
}
