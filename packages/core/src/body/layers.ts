/**
 * What a lay-up is made of. Every layer counts with its dense depth: what it comes to once its own gaps are gone. A
 * row of round rods of diameter d fills π/4 of it; grains count by their mass per area.
 */
import type { GlassConstants } from '../glass/constants';

interface Placed {
  /** Index into the body's glasses. */
  glass: number;
  /** Share of the footprint that it covers, above 0 to 1; the whole where it is left out. */
  cover?: number;
  /** It is of the one solid in a body of which only a part has been fused before; all such layers lie on one another. */
  solid?: true;
}

export type Layer =
  /** coated: which way a metal coating faces. */
  | (Placed & { form: 'sheet'; thickness_m: number; coated?: 'up' | 'down' })
  /** A sheet that lies over everything and may stand over all round. */
  | (Placed & { form: 'cap'; thickness_m: number; overhang_m?: number })
  /** A row of rods or stringers side by side. */
  | (Placed & { form: 'rod' | 'stringer'; diameter_m: number })
  /** Grains strewn on: mass per covered area, and how coarse they are. */
  | (Placed & { form: 'frit' | 'powder'; perArea_kg_m2: number; grain_m?: number })
  /** Solid lumps put in loose: billets, scrap, strips. How thick one is, by its shortest side, and how wide, by its middle one. */
  | (Placed & { form: 'chunks'; perArea_kg_m2: number; thick_m: number; wide_m: number });

/** Loose pieces laid on top, each with an outline of its own; they do not lie on one another. */
export interface Part {
  glass: number;
  thickness_m: number;
  area_m2: number;
  count: number;
}

/** Share of its diameter that a row of round rods comes to. */
export const ROW_OF_RODS = Math.PI / 4;
const TYPICAL_GRAIN_M = { frit: 0.003, powder: 0.0002 };

/** Whole sheets of one glass, index 0 at the bottom. */
export const evenSheets = (sheets: readonly { thickness_m: number }[]): Layer[] => sheets.map(({ thickness_m }) => ({ form: 'sheet', glass: 0, thickness_m }));

/** Forms of which some can lie beside one another in one layer: rods beside rods, grains beside grains, chunks beside chunks, pieces beside pieces. */
const KIN: Record<string, string> = { rod: 'rods', stringer: 'rods', frit: 'grains', powder: 'grains', chunks: 'chunks', sheet: 'pieces', pieces: 'pieces' };
const WHOLE = 1 + 1e-9;

/**
 * Indices of the layers that lie at one height, index 0 at the bottom: neighbours of one kind that leave gaps lie side by side
 * as long as together they cover no more than the whole.
 */
export function rowsOf(layers: readonly { form?: string; cover?: number }[]): number[][] {
  const rows: number[][] = [];
  let covered = 0;
  layers.forEach(({ form = 'sheet', cover = 1 }, index) => {
    const row = rows.at(-1);
    const kin = row && KIN[form] !== undefined && KIN[form] === KIN[layers[row[0]].form ?? 'sheet'];
    if (row && kin && cover < 1 && covered < 1 && covered + cover <= WHOLE) {
      row.push(index);
      covered += cover;
    } else {
      rows.push([index]);
      covered = cover;
    }
  });
  return rows;
}

/** Whether what lies in a row leaves no gap. */
export const closes = (layers: readonly { form?: string; cover?: number }[], row: readonly number[]): boolean =>
  row.reduce((sum, index) => sum + (layers[index].cover ?? 1), 0) > 1 - 1e-9;

export const coverOf = ({ cover = 1 }: Pick<Layer, 'cover'>): number => cover;

/** By which of its measures a layer is told. */
export type Measured = { thickness_m: number } | { diameter_m: number } | { perArea_kg_m2: number };

/** Depth where a layer lies, its own gaps closed, m; density of its glass, kg/m³. */
export function layerDepth(layer: Measured, density_kg_m3: number): number {
  if ('thickness_m' in layer) return layer.thickness_m;
  return 'diameter_m' in layer ? ROW_OF_RODS * layer.diameter_m : layer.perArea_kg_m2 / density_kg_m3;
}

/** Of each layer of a body, index 0 at the bottom, m. */
export const layerDepths = ({ layers, glasses }: { layers: readonly Layer[]; glasses: readonly GlassConstants[] }): number[] =>
  layers.map((layer) => layerDepth(layer, glasses[layer.glass].density_kg_m3));

/** The size whose rounding makes a look: that of a sheet or a lump by its thickness, of a rod by its diameter, of a grain. */
export function edgeOf(layer: Layer): number {
  switch (layer.form) {
    case 'sheet':
    case 'cap':
      return layer.thickness_m;
    case 'rod':
    case 'stringer':
      return layer.diameter_m;
    case 'chunks':
      return layer.thick_m;
    default:
      return grainOf(layer);
  }
}

const grainOf = (layer: Strewn): number => layer.grain_m ?? TYPICAL_GRAIN_M[layer.form];

type Strewn = Extract<Layer, { form: 'frit' | 'powder' }>;
const isStrewn = (layer: Layer): layer is Strewn => layer.form === 'frit' || layer.form === 'powder';

/** Mass on each unit of the outline and mean grain, by mass, of a body that is nothing but grains; null of any other. */
export function strewnOf({ layers, parts = [] }: { layers: readonly Layer[]; parts?: readonly Part[] }): { perArea_kg_m2: number; grain_m: number } | null {
  const grains = layers.filter((layer): layer is Strewn => isStrewn(layer) && !layer.solid);
  if (grains.length === 0 || grains.length < layers.length || parts.length > 0) return null;
  const each = grains.map((layer) => layer.perArea_kg_m2 * coverOf(layer));
  const perArea_kg_m2 = each.reduce((sum, one) => sum + one, 0);
  return { perArea_kg_m2, grain_m: grains.reduce((sum, layer, i) => sum + grainOf(layer) * each[i], 0) / perArea_kg_m2 };
}

/** How thick one of its lumps or grains is, m, of a body that is nothing else, the coarsest where there are several kinds; null of any other. */
export function looseOf({ layers, parts = [] }: { layers: readonly Layer[]; parts?: readonly Part[] }): number | null {
  if (layers.length === 0 || parts.length > 0) return null;
  const strewn = strewnOf({ layers });
  if (strewn) return strewn.grain_m;
  const isLoose = layers.every((layer) => !layer.solid && (layer.form === 'chunks' || isStrewn(layer)));
  return isLoose ? Math.max(...layers.map(edgeOf)) : null;
}
