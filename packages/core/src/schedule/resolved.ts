/**
 * A firing case with all that follows from it before any segment is known: viscosity and ranges of its glass, its depths, its lags,
 * the heat work that it needs. Resolved once and handed on; everything in this folder that computes takes it so.
 */
import { type Lid, lidsOf } from '../body/airWay';
import { type BodyInput, bodyDepth, bodyFigures, mainGlass, partsDeep } from '../body/body';
import { footprintNarrow, footprintSpan } from '../body/footprint';
import { layerDepths, rowsOf, looseOf } from '../body/layers';
import { exposedCoatings } from '../fit/coating';
import type { WorkRange } from '../flow/heatWork';
import { heightLeft } from '../flow/relief';
import { squeezeWork } from '../flow/squeeze';
import type { GlassConstants } from '../glass/constants';
import { type Vft, viscosityOf } from '../glass/viscosity';
import { oneSidedLag, slabLag, solidLag } from '../heat/quasiSteady';
import { regimesOf } from '../heat/regimes';
import type { Shape } from '../heat/stack';
import { acrossLag } from '../kiln/kiln';
import { heatedFromSides } from '../kiln/typical';
import { boundedBy } from './bounds';
import { NO_CORRECTIONS, factorOf } from '../learn/corrections';
import { RECIPES } from '../look/recipes/all';
import { aimedWork, neededWork } from '../look/work';
import type { Filled, Puddle } from '../look/recipe';
import { designDepth } from '../look/unevenness';
import { type Outcome, found, valueOf } from '../problem';
import { type FiringCase, hasGlass } from './firingCase';
import { usualStand } from './setups';
import type { ResolvedFiring } from './resolvedFiring';
import { isAsGoodAsEven, sinkingWidth } from './unlike';
import { type Uneven, unevenOf } from './uneven';
import { resolvedEmpty, emptyFiringOf } from './emptyFiring';

/** Layers of grains are counted with their neighbour: they melt into it before anything else happens. */
const THINNEST_LAYER_M = 0.0008;

/**
 * Depth, m, at which a body that runs level ends, where it is deepest; its rim's travel is left out. What fills its dam goes by its
 * recipe; any other sinks what stood by what the least of its heat work does.
 */
function levelDepth({ body, look }: FiringCase, glass: GlassConstants, work: Outcome<WorkRange>): number {
  const { mean_m, max_m } = bodyFigures(body).depth;
  const { levelsTo } = RECIPES[look];
  if (levelsTo) return Math.min(max_m, levelsTo(body));
  const width_m = sinkingWidth(body);
  return width_m === null ? max_m : mean_m + heightLeft(glass, width_m, max_m, work.ok ? work.value.least : 0) * (max_m - mean_m);
}

/** What the glass has run into by the work aimed at, where it does not stay where it was laid; null where it does. */
function puddleOf({ body, look, limits, setup: { shaping } }: FiringCase, work: Outcome<WorkRange>): Puddle | null {
  const { puddle } = RECIPES[look];
  return work.ok && puddle ? puddle({ body, works: limits.works_perPa, ...(shaping ? { shaping } : {}) }, aimedWork(look, work.value)) : null;
}

/** The mould that the glass takes the form of; null where it takes none. */
const filledBy = ({ body, look, limits, setup: { shaping } }: FiringCase): Filled | null =>
  RECIPES[look].fills?.({ body, works: limits.works_perPa, ...(shaping ? { shaping } : {}) }) ?? null;

/** Depth, m, of the body that is cooled: its thickest point, less where it has run level; more where it stays uneven and has no field. */
function firedDepth(firing: FiringCase, glass: GlassConstants, work: Outcome<WorkRange>, uneven: Uneven | null): number {
  if (uneven !== null) return uneven.thick_m;
  const puddle = puddleOf(firing, work);
  if (puddle !== null) return puddle.depth_m;
  return RECIPES[firing.look].levels && !firing.body.casting
    ? levelDepth(firing, glass, work)
    : deeperBy(firing, uneven) * bodyFigures(firing.body).depth.max_m;
}

/** Deep heaps pass heat from grain to grain and from lump to lump: they are followed as so many loose layers at most. */
const SLICES_AT_MOST = 8;
const LEAST_SLICE_M = 0.003;

/** A row as it warms: whole, or in slices as thick as one grain or lump where it is a deep heap of them; what is left over lies under them. */
function slices(deep_m: number, loose_m: number | null): number[] {
  const each_m = Math.max(loose_m ?? deep_m, LEAST_SLICE_M, deep_m / SLICES_AT_MOST);
  const count = Math.max(1, Math.floor(deep_m / each_m + 1e-9));
  const over_m = deep_m - count * each_m;
  return over_m < LEAST_SLICE_M ? Array.from({ length: count }, () => deep_m / count) : [over_m, ...Array.from({ length: count }, () => each_m)];
}

/** The rows that warm as one: each by itself, those of what was fused before together. */
const inSolids = (rows: readonly number[][], { layers }: Pick<BodyInput, 'layers'>): number[][][] =>
  rows.reduce<number[][][]>((all, row) => {
    const below = all.at(-1);
    const isOne = below !== undefined && layers[row[0]].solid && layers[below[0][0]].solid;
    return isOne ? [...all.slice(0, -1), [...below, row]] : [...all, [row]];
  }, []);

/** How many times its deepest it is computed as. What is cooled by its field is warmed as deep as it is: what thick and thin places do to one another is followed beside it. */
export const deeperBy = ({ body, look }: FiringCase, uneven: Uneven | null): number => (uneven || isAsGoodAsEven(body) ? 1 : designDepth(body, look).factor);

function laidLayers(firing: FiringCase, uneven: Uneven | null): number[] {
  const { body } = firing;
  const factor = deeperBy(firing, uneven);
  const depths: number[] = [];
  const each = layerDepths(body);
  const rows = inSolids(rowsOf(body.layers), body).flatMap((row) => {
    const deepest_m = row.reduce((sum, side) => sum + Math.max(...side.map((index) => each[index])), 0);
    return slices(deepest_m, body.joined ? null : looseOf({ layers: row.flat().map((index) => body.layers[index]) }));
  });
  for (const one of [...rows, ...thickestPart(body)]) {
    const last = depths.length - 1;
    if (last >= 0 && (one < THINNEST_LAYER_M || depths[last] < THINNEST_LAYER_M)) depths[last] += one;
    else depths.push(one);
  }
  const whole = body.casting ? [body.casting.thickest_m] : depths;
  return whole.map((one) => one * factor);
}

const thickestPart = (body: BodyInput): number[] =>
  Array.from({ length: partsDeep(body) }, () => Math.max(...(body.parts ?? []).map(({ thickness_m }) => thickness_m)));

/** The way out that the typical pocket is for, m: what a need is told for grows with the square of the way. */
const REFERENCE_AIR_WAY_M = 0.2;

/** The sheet or shard that asks for the most squeeze, and how much, 1/Pa; null where nothing has to lie down. */
export function hardestLid({ body, look, limits }: Pick<FiringCase, 'body' | 'look' | 'limits'>, glass: GlassConstants): (Lid & { work_perPa: number }) | null {
  const lids = RECIPES[look].squeezes ? lidsOf(body) : [];
  const needs = lids.map((lid) => ({ ...lid, work_perPa: squeezeWork(glass, lid.thickness_m, limits.pocket) * (lid.way_m / REFERENCE_AIR_WAY_M) ** 2 }));
  return needs.reduce<(typeof needs)[number] | null>((most, one) => (most !== null && most.work_perPa >= one.work_perPa ? most : one), null);
}

/** How much more heat work looks were found to take here than usual, for this one. */
const workFactorOf = ({ look, corrections = NO_CORRECTIONS }: FiringCase): number => (RECIPES[look].byForm ? 1 : factorOf(corrections, look));

/** By its recipe, by what looks take here, and within what firings of the same kind have shown. */
function wantedWork(firing: FiringCase, vft: Vft): Outcome<WorkRange> {
  const { body, look, limits, setup } = firing;
  const wanted = neededWork(body, look, limits.works_perPa, setup.shaping);
  if (!wanted.ok) return wanted;
  const { least, most } = wanted.value;
  const factor = workFactorOf(firing);
  const usual = { least: least * factor, most: most * factor };
  return found(firing.seen ? boundedBy(usual, firing.seen, vft, firing.corrections?.offset_K ?? 0) : usual);
}

/** The main glass; radiation crosses the body as it does the glass in it that absorbs most, and not at all where one does not tell. */
function conducting({ glasses, ...body }: BodyInput): GlassConstants {
  const main = mainGlass({ glasses, ...body });
  if (main.absorption_perM === undefined || glasses.every(({ absorption_perM }) => absorption_perM === main.absorption_perM)) return main;
  const { absorption_perM: _own, ...rest } = main;
  const told = glasses.flatMap(({ absorption_perM }) => absorption_perM ?? []);
  return told.length < glasses.length ? rest : { ...rest, absorption_perM: Math.max(...told) };
}

const isResolved = (firing: FiringCase): firing is ResolvedFiring => 'viscosity' in firing;

/** Work no larger and no deeper than this lies flat however unevenly it softens, m. */
const SMALL_M = { span: 0.06, depth: 0.008 };

/** Small work with a coating that nothing holds down. */
const isRushed = (body: BodyInput): boolean =>
  exposedCoatings(body).length > 0 && footprintSpan(body.footprint) <= SMALL_M.span && bodyDepth(body) <= SMALL_M.depth;

/** What has been resolved before is handed back as it is. */
export function resolved(firing: FiringCase): ResolvedFiring {
  if (isResolved(firing)) return firing;
  const bare = emptyFiringOf(firing);
  if (bare) return resolvedEmpty(firing, bare.item);
  const { body, setup, kiln } = firing;
  valueOf(hasGlass(firing));
  const glass = conducting(body);
  const viscosity = viscosityOf(glass);
  const shape = body.casting?.slender ?? 'plate';
  const firedShape = filledBy(firing)?.slender ?? shape;
  const openFaces = setup.twoFaceProof ? 2 : 1;
  const work_perPa = wantedWork(firing, viscosity);
  const regimes = regimesOf(glass, viscosity);
  const uneven = unevenOf(firing, glass, regimes, filledBy(firing));
  const layers_m = laidLayers(firing, uneven);
  const laid = layers_m.reduce((sum, one) => sum + one, 0);
  const depth_m = { laid, heated: body.joined || body.casting ? laid : Math.max(...layers_m), fired: firedDepth(firing, glass, work_perPa, uneven) };
  const puddle_m = puddleOf(firing, work_perPa)?.width_m ?? 0;
  // Free or in its mould, on what it lies it takes and gives little; proven, or told what stands all round, it does.
  const lies = firedShape !== 'plate' && openFaces === 1 && setup.around === undefined;
  const sidesLag_s = lies ? oneSidedLag(glass, depth_m.fired, firedShape) : 0;
  const lag = (deep_m: number, as: Shape): number => (as === 'plate' ? slabLag(glass, deep_m, openFaces) : solidLag(glass, deep_m, as) + sidesLag_s);
  return {
    ...firing,
    ...{ glass, viscosity, shape, firedShape, openFaces, work_perPa, layers_m, depth_m, sidesLag_s },
    warmPull_Pa: firing.limits.pull_Pa * (RECIPES[firing.look].warmsStressed ?? 1),
    workFactor: workFactorOf(firing),
    ...{ regimes, uneven },
    squeeze_perPa: hardestLid(firing, glass)?.work_perPa ?? 0,
    lag_s: { laid: lag(depth_m.laid, shape), heated: lag(depth_m.heated, shape), fired: lag(depth_m.fired, firedShape) },
    // Under a shelf heat comes to it from its sides.
    acrossLag_s: acrossLag(setup.roof ? heatedFromSides(kiln) : kiln, Math.max(footprintNarrow(body.footprint), puddle_m)),
    stand: setup.stand ?? usualStand(Math.max(footprintSpan(body.footprint), puddle_m)),
    mayDiffer: (!body.joined && (looseOf(body) !== null || filledBy(firing) !== null)) || isRushed(body),
    changes: uneven !== null || ((firedShape !== shape || Math.abs(depth_m.fired - laid) > 1e-3 * laid) && RECIPES[firing.look].levels),
  };
}
