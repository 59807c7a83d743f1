/** All that a schedule is computed from, apart from the segments themselves. */
import { type Corrections, NO_CORRECTIONS } from '../learn/corrections';
import { LEAST_AIR_WAY_M, airWay } from '../body/airWay';
import { type BodyInput, bodyDepth, bodyFigures, coarsestEdge, mainGlass, naturalDepth } from '../body/body';
import { footprintSpan } from '../body/footprint';
import { coverOf, edgeOf, layerDepths, rowsOf } from '../body/layers';
import { designDepth } from '../look/unevenness';
import type { WorkRange } from '../flow/heatWork';
import { heightLeft } from '../flow/relief';
import { squeezeWork } from '../flow/squeeze';
import type { GlassConstants } from '../glass/constants';
import type { SimulationInput } from '../heat/simulation';
import type { Shape, StackLayer } from '../heat/stack';
import { type KilnConstants, acrossLag } from '../kiln/kiln';
import type { Controller } from '../kiln/controller';
import { type Look, PURPOSES, neededWork, widestPart } from '../look/purpose';
import { type Outcome, ProblemError, found } from '../problem';
import type { Limits } from './limits';
import type { Segment } from '../kiln/segment';
import type { SetUp } from './setups';

/** Where practitioners differ. 'auto' takes the lower soak for thick bodies. */
export interface School {
  soak: 'auto' | 'annealing' | 'lower';
  heat: 'cooler' | 'hotter';
}

export interface Body extends BodyInput {
  /** Layers fused before are one solid; fresh ones bear each its own difference. */
  joined: boolean;
}

export interface FiringCase {
  body: Body;
  setup: SetUp;
  kiln: KilnConstants;
  look: Look;
  school: School;
  limits: Limits;
  /** Where it is given, no more segments are composed than it holds. */
  controller?: Controller;
  corrections?: Corrections;
}

/** What the heat work and the depth after it follow from. */
type CoolingCase = Pick<FiringCase, 'body' | 'look' | 'limits' | 'setup' | 'corrections'>;

export const DEFAULT_SCHOOL: School = { soak: 'auto', heat: 'cooler' };

/** Layers of grains are counted with their neighbour: they melt into it before anything else happens. */
const THINNEST_LAYER_M = 0.0008;

export const glassOf = ({ body }: Pick<FiringCase, 'body'>): GlassConstants => mainGlass(body);

/** Parts whose sinking in can be reckoned, by their width, m; null where none are laid or where they stand on nothing. */
function sinkingWidth(body: BodyInput): number | null {
  if (bodyFigures(body).depth.min_m === 0) return null;
  const gappy = body.layers.filter((layer) => layer.form !== 'sheet' && coverOf(layer) < 1);
  return widestPart(body) ?? (gappy.length > 0 ? Math.max(...gappy.map(edgeOf)) : null);
}

/**
 * Depth, m, at which a body that runs level ends, where it is deepest; its rim's travel is left out. A slab fills what holds it,
 * but never lies thinner than hot glass rests. A full fuse sinks what stood by what the least of its heat work does.
 */
function levelDepth(firing: CoolingCase): number {
  const { body, look } = firing;
  const glass = mainGlass(body);
  const { mean_m, max_m } = bodyFigures(body).depth;
  if (look === 'slabFlow') return Math.min(max_m, Math.max(mean_m, naturalDepth(glass)));
  const width_m = sinkingWidth(body);
  return width_m === null ? max_m : mean_m + heightLeft(glass, width_m, max_m, workRange(firing).least) * (max_m - mean_m);
}

/** Depth, m, of the body that is cooled: its thickest point, more where it stays uneven, less where it has run level. */
export const firedDepth = (firing: CoolingCase): number =>
  PURPOSES[firing.look].levels && !firing.body.casting ? levelDepth(firing) : designDepth(firing.body, firing.look).depth_m;

/** Depths of the layers that heat flows through while the body is as it was laid, index 0 at the bottom, stretched to the design depth. */
export function laidLayers({ body, look }: Pick<FiringCase, 'body' | 'look'>): number[] {
  const { factor } = designDepth(body, look);
  const depths: number[] = [];
  const each = layerDepths(body);
  const rows = rowsOf(body.layers).map((row) => Math.max(...row.map((index) => each[index])));
  for (const one of [...rows, ...thickestPart(body)]) {
    const last = depths.length - 1;
    if (last >= 0 && (one < THINNEST_LAYER_M || depths[last] < THINNEST_LAYER_M)) depths[last] += one;
    else depths.push(one);
  }
  const whole = body.casting ? [body.casting.thickest_m] : depths;
  return whole.map((one) => one * factor);
}

const thickestPart = ({ parts = [] }: BodyInput): number[] => (parts.length === 0 ? [] : [Math.max(...parts.map(({ thickness_m }) => thickness_m))]);

/** Depth of the body as it was laid, where it is deepest, stretched to the design depth, m. */
export const laidDepth = (firing: Pick<FiringCase, 'body' | 'look'>): number => laidLayers(firing).reduce((sum, one) => sum + one, 0);

/** Depth of what bears its own difference while it is heated, m. */
export const heatedDepth = (firing: Pick<FiringCase, 'body' | 'look'>): number =>
  firing.body.joined || firing.body.casting ? laidDepth(firing) : Math.max(...laidLayers(firing));

/** Whether it cools shallower than it was heated, having run level. */
export const sinks = (firing: CoolingCase): boolean => firedDepth(firing) < laidDepth(firing) * (1 - 1e-3);

export const shapeOf = ({ body }: Pick<FiringCase, 'body'>): Shape => body.casting?.slender ?? 'plate';

/** The way out that the typical pocket is for, m: what a need is told for grows with the square of the way. */
const REFERENCE_AIR_WAY_M = 0.2;

/** Work, 1/Pa, that the squeeze must do before the rim seals; 0 where nothing has to lie down. */
export function squeezeNeed(firing: FiringCase): number {
  const { body, look, limits } = firing;
  const way_m = PURPOSES[look].squeezes ? airWay(body) : 0;
  if (way_m < LEAST_AIR_WAY_M) return 0;
  return squeezeWork(glassOf(firing), coarsestEdge(body), limits.pocket) * (way_m / REFERENCE_AIR_WAY_M) ** 2;
}

/** The heat work that this firing needs and bears, 1/Pa. */
export function wantedWork({ body, look, limits, setup, corrections = NO_CORRECTIONS }: CoolingCase): Outcome<WorkRange> {
  const wanted = neededWork(body, look, limits.works, setup.shaping);
  if (!wanted.ok) return wanted;
  const { least, most } = wanted.value;
  return found({ least: least * corrections.workFactor, most: most * corrections.workFactor });
}

/** As wantedWork, where the case has been accepted before. */
export function workRange(firing: CoolingCase): WorkRange {
  const wanted = wantedWork(firing);
  if (!wanted.ok) throw new ProblemError(wanted.problem);
  return wanted.value;
}

/** as: the body as it was laid, or as it has become once it has run level; the same for most. */
export function simulationOf(firing: FiringCase, segments: readonly Segment[], series = false, as: 'laid' | 'level' = 'laid'): SimulationInput {
  const { body, setup, kiln, limits, corrections = NO_CORRECTIONS } = firing;
  const shape = shapeOf(firing);
  const plate = shape === 'plate';
  const depths = as === 'level' ? [firedDepth(firing)] : laidLayers(firing);
  const glass = depths.map((thickness_m): StackLayer => ({ of: 'glass', thickness_m: plate ? thickness_m : thickness_m / 2 }));
  const width_m = as === 'level' ? null : widestPart(body);
  return {
    glass: glassOf(firing),
    stack: plate ? [...setup.below, ...glass] : glass,
    faces: plate ? setup.faces : { top: setup.faces.top, bottom: { kind: 'insulated' } },
    ...(plate ? {} : { shape }),
    segments: segments.map(({ rate_C_per_h, target_C, hold_s }) => ({ rate_C_per_h, target_C: target_C - corrections.offset_K, hold_s })),
    kiln,
    acrossLag_s: acrossLag(kiln, footprintSpan(body.footprint)),
    looseSheets: !body.joined,
    evenWithin_K: limits.even_K,
    ...(width_m === null ? {} : { relief: { width_m, depth_m: bodyDepth(body) } }),
    ...(plate ? { stress: { support: 'free', from: 'hottest' } } : {}),
    series,
  };
}
