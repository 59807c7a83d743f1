/** All that a schedule is computed from, apart from the segments themselves. */
import { LEAST_AIR_WAY_M, airWay } from '../body/airWay';
import { type BodyInput, coarsestEdge, mainGlass } from '../body/body';
import { footprintSpan } from '../body/footprint';
import { denseDepth } from '../body/layers';
import { designDepth } from '../body/unevenness';
import type { WorkRange } from '../flow/heatWork';
import { squeezeWork } from '../flow/squeeze';
import type { GlassConstants } from '../glass/constants';
import type { SimulationInput } from '../heat/simulate';
import type { Shape, StackLayer } from '../heat/stack';
import { type KilnConstants, acrossLag } from '../kiln/kiln';
import type { Controller } from '../kiln/controller';
import { type Look, PURPOSES, neededWork, widestPart } from '../look/purpose';
import { type Outcome, ProblemError, found } from '../problem';
import type { Limits } from './limits';
import type { Segment } from './segment';
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

/** What firings have taught of this kiln and studio. */
export interface Corrections {
  /** The controller reads this much more than the glass has, K: targets are keyed so much higher. */
  offset_K: number;
  /** The work that looks need here over what they need on the reference body. */
  workFactor: number;
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

export const DEFAULT_SCHOOL: School = { soak: 'auto', heat: 'cooler' };
export const NO_CORRECTIONS: Corrections = { offset_K: 0, workFactor: 1 };

/** Layers of grains are counted with their neighbour: they melt into it before anything else happens. */
const THINNEST_LAYER_M = 0.0008;

export const glassOf = ({ body }: Pick<FiringCase, 'body'>): GlassConstants => mainGlass(body);

/** What the firing is computed as, m: its thickest point, and more where it is uneven. */
export const firedDepth = ({ body, look }: Pick<FiringCase, 'body' | 'look'>): number => designDepth(body, look).depth_m;

/** Depths of the layers that heat flows through, index 0 at the bottom, stretched to the design depth. */
export function firedLayers({ body, look }: Pick<FiringCase, 'body' | 'look'>): number[] {
  const { factor } = designDepth(body, look);
  const depths: number[] = [];
  for (const one of [...body.layers.map((layer) => denseDepth(layer, body.glasses)), ...thickestPart(body)]) {
    const last = depths.length - 1;
    if (last >= 0 && (one < THINNEST_LAYER_M || depths[last] < THINNEST_LAYER_M)) depths[last] += one;
    else depths.push(one);
  }
  const whole = body.casting ? [body.casting.thickest_m] : depths;
  return whole.map((one) => one * factor);
}

const thickestPart = ({ parts = [] }: BodyInput): number[] => (parts.length === 0 ? [] : [Math.max(...parts.map(({ thickness_m }) => thickness_m))]);

/** Depth of what bears its own difference while it is heated, m. */
export const heatedDepth = (firing: Pick<FiringCase, 'body' | 'look'>): number =>
  firing.body.joined || firing.body.casting ? firedDepth(firing) : Math.max(...firedLayers(firing));

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
export function wantedWork({ body, look, limits, setup, corrections = NO_CORRECTIONS }: FiringCase): Outcome<WorkRange> {
  const wanted = neededWork(body, look, limits.works, setup.shaping);
  if (!wanted.ok) return wanted;
  const { least, most } = wanted.value;
  return found({ least: least * corrections.workFactor, most: most * corrections.workFactor });
}

/** As wantedWork, where the case has been accepted before. */
export function workRange(firing: FiringCase): WorkRange {
  const wanted = wantedWork(firing);
  if (!wanted.ok) throw new ProblemError(wanted.problem);
  return wanted.value;
}

export function simulationOf(firing: FiringCase, segments: readonly Segment[], series = false): SimulationInput {
  const { body, setup, kiln, limits, corrections = NO_CORRECTIONS } = firing;
  const shape = shapeOf(firing);
  const plate = shape === 'plate';
  const glass = firedLayers(firing).map((thickness_m): StackLayer => ({ of: 'glass', thickness_m: plate ? thickness_m : thickness_m / 2 }));
  const width_m = widestPart(body);
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
    ...(width_m === null ? {} : { relief: { width_m } }),
    ...(plate ? { stress: { support: 'free', from: 'hottest' } } : {}),
    series,
  };
}
