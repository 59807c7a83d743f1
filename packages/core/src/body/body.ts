/**
 * Depth and mass of a body, and where hot glass comes to rest.
 *
 * Natural depth: a wide puddle on a shelf it does not wet stands 2·√(γ/ρg)·sin(θ/2) deep (de Gennes, Brochard-
 * Wyart and Quéré, Capillarity and Wetting Phenomena, 2004), θ the contact angle on primer. Thinner bodies draw
 * in at the rim, thicker ones run out, given enough heat. It says nothing of how long that takes.
 */
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import type { GlassConstants } from '../glass/constants';
import { type Footprint, footprintArea, footprintPerimeter, grownArea } from './footprint';
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
}

export type AtRest = 'draws-in' | 'stays' | 'runs-out' | 'fills' | 'scallops';

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

/** Within this share of the natural depth the rim hardly moves. */
const AT_REST_BAND = 0.12;

export function naturalDepth(glass: GlassConstants): number {
  const capillaryLength = Math.sqrt(glass.surfaceTension_N_m / (glass.density_kg_m3 * STANDARD_GRAVITY_m_s2));
  return 2 * capillaryLength * Math.sin((CONTACT_ANGLE_ON_PRIMER_DEG * Math.PI) / 360);
}

const layerArea = (layer: Layer, footprint: Footprint): number =>
  (layer.form === 'cap' ? grownArea(footprint, layer.overhang_m ?? 0) : footprintArea(footprint)) * coverOf(layer);

/** Volume of each glass, m³, in the order of the glasses. */
function volumes({ glasses, layers, parts = [], casting, footprint }: BodyInput): number[] {
  const each = glasses.map(() => 0);
  const depths = layerDepths({ layers, glasses });
  layers.forEach((layer, i) => (each[layer.glass] += depths[i] * layerArea(layer, footprint)));
  for (const part of parts) each[part.glass] += part.thickness_m * part.area_m2 * part.count;
  if (casting) each[casting.glass] += casting.volume_m3;
  return each;
}

/** Depth of glass where it lies deepest and where it lies thinnest, gaps closed, m. */
function extremes({ glasses, layers, parts = [], casting, footprint }: BodyInput): { min_m: number; max_m: number } {
  if (casting) return { min_m: casting.thinnest_m, max_m: casting.thickest_m };
  const each = layerDepths({ layers, glasses });
  const rows = rowsOf(layers).map((row) => ({ depths: row.map((index) => each[index]), closed: closes(layers, row) }));
  const partsCover = parts.reduce((sum, part) => sum + part.area_m2 * part.count, 0) / footprintArea(footprint);
  const parted = parts.map(({ thickness_m }) => thickness_m);
  return {
    min_m: rows.reduce((sum, { depths, closed }) => sum + (closed ? Math.min(...depths) : 0), 0) + (partsCover > 1 - 1e-9 ? Math.min(...parted) : 0),
    max_m: rows.reduce((sum, { depths }) => sum + Math.max(...depths), 0) + Math.max(0, ...parted),
  };
}

/** How far the outline must move for its area to become area_m2, outwards positive (Steiner's formula solved). */
function rimTravel(footprint: Footprint, area_m2: number): number {
  const perimeter = footprintPerimeter(footprint);
  const inside = perimeter ** 2 + 4 * Math.PI * (area_m2 - footprintArea(footprint));
  return (Math.sqrt(Math.max(inside, 0)) - perimeter) / (2 * Math.PI);
}

/** The glass that the most of a body is made of: what its firing is computed with. */
export function mainGlass(body: BodyInput): GlassConstants {
  const each = volumes(body);
  return body.glasses[each.indexOf(Math.max(...each))];
}

/** Greatest depth, gaps closed, m. */
export const bodyDepth = (body: BodyInput): number => extremes(body).max_m;

/** The size whose rounding makes the look: the coarsest sheet, rod, grain or part. */
export const coarsestEdge = ({ layers, parts = [], casting }: BodyInput): number =>
  Math.max(casting?.thinnest_m ?? 0, ...layers.map(edgeOf), ...parts.map(({ thickness_m }) => thickness_m));

export function bodyFigures(body: BodyInput): BodyFigures {
  const { glasses, footprint, dammed = false } = body;
  const each = volumes(body);
  const volume = each.reduce((sum, one) => sum + one, 0);
  const area = footprintArea(footprint);
  const mean = volume / area;
  const rest = naturalDepth(mainGlass(body));
  const { min_m, max_m } = extremes(body);
  const thin = mean < rest * (1 - AT_REST_BAND);
  const thick = mean > rest * (1 + AT_REST_BAND);
  const tendency: AtRest = dammed ? (thin ? 'scallops' : 'fills') : thin ? 'draws-in' : thick ? 'runs-out' : 'stays';
  const moves = tendency === 'draws-in' || tendency === 'runs-out' || tendency === 'scallops';
  const perGlass = each.map((one, i) => one * glasses[i].density_kg_m3);
  return {
    depth: { min_m, mean_m: mean, max_m },
    area_m2: area,
    volume_m3: volume,
    mass_kg: perGlass.reduce((sum, one) => sum + one, 0),
    perGlass_kg: perGlass,
    afterFiring: { naturalDepth_m: rest, tendency, rimMoves_m: moves ? rimTravel(footprint, volume / rest) : 0 },
    unevenness: max_m / mean,
  };
}
