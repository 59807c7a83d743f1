/** What can be trimmed of a layer on its drawing: its depth, to what the shelf has; its share of the outline, by twentieths. */
import { COVER_RANGE, GRAIN_RANGE_KG_M2, type LaidLayer, ROD_RANGE_M, SHEET_RANGE_M, isPlaced } from '@torvin/core/piece';
import { clamp, nextOf, stepFrom } from '@/ui/stepFrom';

export interface Trim {
  value: number;
  least: number;
  most: number;
  /** The nearest value there is. */
  near(value: number): number;
  /** The next one there is. */
  next(direction: 1 | -1): number;
  /** The layer with that value. */
  layer(value: number): LaidLayer;
}

export interface Trims {
  /** m. */
  depth: Trim;
  /** Share of the outline; none where a layer always covers it, or where its parts lie says it. */
  cover: Trim | null;
}

const HALF_MILLIMETRE_M = 0.0005;
const COVER_STEP = 0.05;
const GRAIN_STEP_KG_M2 = 0.1;

/** Steps of one size, met by rounding; the ends of the range count. */
const stepped = (value: number, size: number, range: { least: number; most: number }, layer: Trim['layer']): Trim => ({
  value,
  ...range,
  near: (wanted) => clamp(Math.round(wanted / size) * size, range),
  next: (direction) => clamp(stepFrom(value, direction, size), range),
  layer,
});

/** sizes_m: the thicknesses that the glass comes in. */
function sheetTrim(value: number, sizes_m: readonly number[], layer: Trim['layer']): Trim {
  if (sizes_m.length === 0) return stepped(value, HALF_MILLIMETRE_M, SHEET_RANGE_M, layer);
  return {
    ...{ value, least: Math.min(value, ...sizes_m), most: Math.max(value, ...sizes_m), layer },
    near: (wanted) => sizes_m.reduce((best, size) => (Math.abs(size - wanted) < Math.abs(best - wanted) ? size : best)),
    next: (direction) => nextOf(sizes_m, value, direction),
  };
}

/** depth_m: how deep the layer is drawn, which for grains follows from their mass. */
export function trimsOf(layer: LaidLayer, depth_m: number, sizes_m: readonly number[]): Trims {
  const cover = (value: number | undefined): Trim => stepped(value ?? 1, COVER_STEP, COVER_RANGE, (share) => ({ ...layer, cover: share }) as LaidLayer);
  const covers = isPlaced(layer) ? () => null : cover;
  switch (layer.form) {
    case 'sheet':
    case 'cap':
      return { depth: sheetTrim(layer.thickness_m, sizes_m, (thickness_m) => ({ ...layer, thickness_m })), cover: null };
    case 'pieces':
      return { depth: sheetTrim(layer.thickness_m, sizes_m, (thickness_m) => ({ ...layer, thickness_m })), cover: covers(layer.cover) };
    case 'rod':
    case 'stringer':
      return { depth: stepped(layer.diameter_m, HALF_MILLIMETRE_M, ROD_RANGE_M, (diameter_m) => ({ ...layer, diameter_m })), cover: covers(layer.cover) };
    default: {
      const perMetre = layer.perArea_kg_m2 / depth_m;
      const range = { least: GRAIN_RANGE_KG_M2.least / perMetre, most: GRAIN_RANGE_KG_M2.most / perMetre };
      const depth = stepped(depth_m, GRAIN_STEP_KG_M2 / perMetre, range, (metres) => ({ ...layer, perArea_kg_m2: metres * perMetre }));
      return { depth, cover: covers(layer.cover) };
    }
  }
}
