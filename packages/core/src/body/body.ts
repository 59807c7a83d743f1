/**
 * Depth and mass of a body, and where hot glass comes to rest.
 *
 * Natural depth: a wide puddle on a shelf it does not wet stands 2·√(γ/ρg)·sin(θ/2) deep (de Gennes, Brochard-
 * Wyart and Quéré, Capillarity and Wetting Phenomena, 2004), θ the contact angle on primer. Thinner bodies draw
 * in at the rim, thicker ones run out, given enough heat. It says nothing of how long that takes.
 */
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import type { GlassConstants } from '../glass/constants';
import { type Footprint, footprintArea, footprintPerimeter, grownArea, turning } from './footprint';
import { closes, coverOf, edgeOf, type Layer, layerDepths, type Part, rowsOf } from './layers';

/** A body that is not a lay-up: poured, or cast in a mould of any form. */
export interface Casting {
  glass: number;
  volume_m3: number;
  thickest_m: number;
  thinnest_m: number;
  /** The form of its thickest section where that is slender; a slab where it is left out. */
  slender?: 'cylinder' | 'sphere';
}

export interface BodyInput {
  glasses: readonly GlassConstants[];
  /** Index 0 at the bottom; empty for a casting. */
  layers: readonly Layer[];
  parts?: readonly Part[];
  casting?: Casting;
  footprint: Footprint;
  /** Walls all round that hot glass can fill up to. */
  dammed?: boolean;
  /** Where it is known what lies where: the thinnest and the deepest there is, and how far thick and thin lie apart, m. */
  mapped?: { thin_m: number; thick_m: number; apart_m: number };
}

/** opens: a film of grains, which draws together from grain to grain into lace or islands, while its outline stays. */
/** wavers: fills its dam, but hardly; where it is colder or thinner it may stay back. */
export type AtRest = 'draws-in' | 'stays' | 'runs-out' | 'fills' | 'wavers' | 'scallops' | 'opens';

export interface BodyFigures {
  depth: { min_m: number; mean_m: number; max_m: number };
  area_m2: number;
  volume_m3: number;
  mass_kg: number;
  /** Mass of each glass, in the order of the glasses. */
  perGlass_kg: number[];
  /** What happens if it is left to flow: the depth, the way the rim goes and how far, outwards positive. */
  afterFiring: { naturalDepth_m: number; tendency: AtRest; rimMoves_m: number };
  /** Greatest depth over mean depth; 1 for an even body. */
  unevenness: number;
}

/** Contact angle of melt on a primed shelf, degrees; chosen so that soda-lime rests at about 6.5 mm. */
const CONTACT_ANGLE_ON_PRIMER_DEG = 136;

/** Within this share of the natural depth the rim hardly moves: the hysteresis of its contact angle holds it. */
const AT_REST_BAND = 0.12;
/** Where a rim that draws back comes to stand, times the natural depth. */
export const RECEDES_AT = 1 - AT_REST_BAND;
/** A film of grains that comes to less than this share of it opens rather than draws in as a whole. */
const FILM_BELOW = 0.5;

export function naturalDepth(glass: GlassConstants): number {
  const capillaryLength = Math.sqrt(glass.surfaceTension_N_m / (glass.density_kg_m3 * STANDARD_GRAVITY_m_s2));
  return 2 * capillaryLength * Math.sin((CONTACT_ANGLE_ON_PRIMER_DEG * Math.PI) / 360);
}

const layerArea = (layer: Layer, footprint: Footprint): number =>
  (layer.form === 'cap' ? grownArea(footprint, layer.overhang_m ?? 0) : footprintArea(footprint)) * coverOf(layer);

/** Of each layer, index 0 at the bottom, m³. */
export const layerVolumes = ({ glasses, layers, footprint }: Pick<BodyInput, 'glasses' | 'layers' | 'footprint'>): number[] =>
  layerDepths({ layers, glasses }).map((depth_m, i) => depth_m * layerArea(layers[i], footprint));

/** Volume of each glass, m³, in the order of the glasses. */
function volumes({ glasses, layers, parts = [], casting, footprint }: BodyInput): number[] {
  const each = glasses.map(() => 0);
  layerVolumes({ glasses, layers, footprint }).forEach((volume_m3, i) => (each[layers[i].glass] += volume_m3));
  for (const part of parts) each[part.glass] += part.thickness_m * part.area_m2 * part.count;
  if (casting) each[casting.glass] += casting.volume_m3;
  return each;
}

/** Parts that cover a little more than all are measured so; what covers more than that lies on one another. */
const LIES_BESIDE = 1.02;

/** How many of its parts lie on one another where they lie deepest: one, unless together they cover more than there is. */
export function partsDeep({ parts = [], footprint }: Pick<BodyInput, 'parts' | 'footprint'>): number {
  const cover = parts.reduce((sum, part) => sum + part.area_m2 * part.count, 0) / footprintArea(footprint);
  return parts.length === 0 ? 0 : cover <= LIES_BESIDE ? 1 : Math.ceil(cover);
}

/** Depth of glass where it lies deepest and where it lies thinnest, gaps closed, m. */
function extremes({ glasses, layers, parts = [], casting, footprint, mapped }: BodyInput): { min_m: number; max_m: number } {
  if (mapped) return { min_m: mapped.thin_m, max_m: mapped.thick_m };
  if (casting) return { min_m: casting.thinnest_m, max_m: casting.thickest_m };
  const each = layerDepths({ layers, glasses });
  const rows = rowsOf(layers).map((row) => ({ depths: row.map((index) => each[index]), closed: closes(layers, row) }));
  const partsCover = parts.reduce((sum, part) => sum + part.area_m2 * part.count, 0) / footprintArea(footprint);
  const parted = parts.map(({ thickness_m }) => thickness_m);
  return {
    min_m: rows.reduce((sum, { depths, closed }) => sum + (closed ? Math.min(...depths) : 0), 0) + (partsCover > 1 - 1e-9 ? Math.min(...parted) : 0),
    max_m: rows.reduce((sum, { depths }) => sum + Math.max(...depths), 0) + partsDeep({ parts, footprint }) * Math.max(0, ...parted),
  };
}

/** How far the outline must move for its area to become area_m2, outwards positive (Steiner's formula solved). */
function rimTravel(footprint: Footprint, area_m2: number): number {
  const perimeter = footprintPerimeter(footprint);
  const more = area_m2 - footprintArea(footprint);
  const turns = turning(footprint);
  if (turns === 0) return more / perimeter;
  return (Math.sqrt(Math.max(perimeter ** 2 + 4 * turns * more, 0)) - perimeter) / (2 * turns);
}

/** The glass that the most of a body is made of: what its firing is computed with. */
export function mainGlass(body: BodyInput): GlassConstants {
  const each = volumes(body);
  return body.glasses[each.indexOf(Math.max(...each))];
}

/** Greatest depth, gaps closed, m. */
export const bodyDepth = (body: BodyInput): number => extremes(body).max_m;

/** Glass is sold in sheets up to about this, m; what is deeper in one piece was cast or fused before, and its edges are closed. */
const THICKEST_SHEET_M = 0.012;
/** What is left to round of edges that were closed before, m: a rim softened once, as coarse as a sheet of this. */
const CLOSED_EDGE_M = 0.003;

/** Whether a body is one piece already: nothing in it has to lie down on anything. joined: its layers were fused before. */
export const isOneSolid = ({ layers, parts = [], casting, joined = false }: BodyInput & { joined?: boolean }): boolean =>
  casting !== undefined || joined || (parts.length === 0 && layers.length === 1 && isSlab(layers[0]));

/** Deeper than sheets are: flat on what it was made on, and too stiff to lie down further in a squeeze. */
export const isSlab = (layer: Layer): boolean => (layer.form === 'sheet' || layer.form === 'cap') && layer.thickness_m > THICKEST_SHEET_M;

/**
 * The size whose rounding makes the look, m: the coarsest sheet, rod, grain or part whose edges are open yet. However deep one solid
 * is, only its rim is left, and of what lies on it each part counts by its own thickness.
 */
export function openEdge({ layers, parts = [], casting, joined = false }: BodyInput & { joined?: boolean }): number {
  const closed = (layer: Layer): boolean => isSlab(layer) || (joined && layers.length === 1);
  const own = layers.map((layer) => (closed(layer) ? Math.min(edgeOf(layer), CLOSED_EDGE_M) : edgeOf(layer)));
  return Math.max(casting ? Math.min(casting.thinnest_m, CLOSED_EDGE_M) : 0, ...own, ...parts.map(({ thickness_m }) => thickness_m));
}

const isOfGrains = ({ layers, parts = [], casting }: BodyInput): boolean =>
  casting === undefined && parts.length === 0 && layers.every(({ form, solid }) => (form === 'frit' || form === 'powder') && !solid);

export function bodyFigures(body: BodyInput): BodyFigures {
  const { glasses, footprint, dammed = false } = body;
  const each = volumes(body);
  const volume = each.reduce((sum, one) => sum + one, 0);
  const area = footprintArea(footprint);
  const mean = volume / area;
  const rest = naturalDepth(mainGlass(body));
  const { min_m, max_m } = extremes(body);
  const thin = mean < rest * RECEDES_AT;
  const thick = mean > rest * (1 + AT_REST_BAND);
  const opens = mean < FILM_BELOW * rest && isOfGrains(body);
  const inDam = thin ? 'scallops' : mean < rest ? 'wavers' : 'fills';
  const tendency: AtRest = opens ? 'opens' : dammed ? inDam : thin ? 'draws-in' : thick ? 'runs-out' : 'stays';
  const moves = tendency === 'draws-in' || tendency === 'runs-out' || tendency === 'scallops';
  // In a dam it draws back no further than it has to, so that a little less glass leaves a little less covered.
  const restsAt = tendency === 'scallops' ? rest * RECEDES_AT : rest;
  const perGlass = each.map((one, i) => one * glasses[i].density_kg_m3);
  return {
    depth: { min_m, mean_m: mean, max_m },
    area_m2: area,
    volume_m3: volume,
    mass_kg: perGlass.reduce((sum, one) => sum + one, 0),
    perGlass_kg: perGlass,
    afterFiring: { naturalDepth_m: rest, tendency, rimMoves_m: moves ? rimTravel(footprint, volume / restsAt) : 0 },
    unevenness: max_m / mean,
  };
}
