/** A plan as it is asked about: how thick it is where, what a firing makes of that, and what of it goes wrong later. */
import type { Footprint } from '../body/footprint';
import { type NextFiring, type PlanConcern, planConcerns } from './concerns';
import { type FiredAs, firedField } from './fired';
import { mapOf } from './mapped';
import { type DeepAt, type MappedLayer, type ThicknessMap, figuresOf } from './thickness';

export interface PlanAsked {
  footprint: Footprint;
  /** Index 0 at the bottom. */
  layers: readonly MappedLayer[];
  /** The lowest layer whose parts are spoken of; all of them where left out. */
  from?: number;
  /** What it is fired as; nothing is said of what firing does where left out. */
  next?: NextFiring;
  /** What that firing does to its glass; how thick it is afterwards is not told where left out. */
  fired?: FiredAs;
}

/** A map as it is told. */
export interface ToldMap {
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
  reach: { thick_m: number; thin_m: number };
  apart_m: number;
}

export interface PlanTold extends ToldMap {
  concerns: PlanConcern[];
  /** After the firing. */
  after: ToldMap | null;
}

/** To a ten-thousandth of a millimetre, which nobody measures. */
const short = (value: number): number => Math.round(value * 1e7) / 1e7;

function shortened(values: Float64Array): number[] {
  const told = new Array<number>(values.length);
  for (let i = 0; i < values.length; i += 1) told[i] = short(values[i]);
  return told;
}

function toldMap({ depth_m, share, grid, ...figures }: ThicknessMap): ToldMap {
  const covered = share.reduce((sum, one) => sum + one, 0) * grid.cell_m ** 2;
  return { grid, ...figures, depth_m: shortened(depth_m), share: shortened(share), mean_m: covered > 0 ? figures.volume_m3 / covered : 0 };
}

function mapAfter(map: ThicknessMap, as: FiredAs): ThicknessMap {
  const field = firedField(map, as);
  const volume_m3 = field.depth_m.reduce((sum, depth, i) => sum + depth * field.share[i], 0) * field.grid.cell_m ** 2;
  return { ...field, volume_m3, ...figuresOf(field) };
}

export function planTold({ footprint, layers, from = 0, next, fired }: PlanAsked): PlanTold {
  const map = mapOf(footprint, layers);
  return {
    ...toldMap(map),
    concerns: planConcerns(footprint, layers, map, next ?? null, from),
    after: fired ? toldMap(mapAfter(map, fired)) : null,
  };
}
