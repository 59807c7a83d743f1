/** Where the section drawing puts its layers: pure arithmetic from metres to pixels. */
import { rowsOf } from '@torvin/core/body';
import type { DrawnLayer } from '@torvin/core/piece';

export interface Box {
  width: number;
  height: number;
}

export interface Shape {
  /** Index of the layer it belongs to, 0 at the bottom. */
  layer: number;
  x: number;
  y: number;
  width: number;
  height: number;
  /** Radius of its corners, px: rods and grains are round. */
  round: number;
}

export interface SectionGeometry {
  /** How many times deeper than true the depth is drawn. */
  exaggeration: number;
  shapes: Shape[];
  /** Height of each layer where it lies, 0 at the bottom; y grows downwards. */
  bands: { y: number; height: number }[];
  /** y of the shelf's surface. */
  shelfY: number;
  /** px of a place x_m from the middle, and of a height z_m over the shelf. */
  x(x_m: number): number;
  y(z_m: number): number;
}

/** Steps that a reader can carry in the head. */
const EXAGGERATIONS = [1, 2, 3, 4, 5, 6, 8, 10, 15, 20, 30];
const WIDTH_SHARE = 0.86;
const DEPTH_SHARE = 0.62;
const SHELF_SHARE = 0.16;
/** A cap is drawn this much wider than what it covers, as a share, so that it is known for one. */
const CAP_OVERHANG_SHARE = 0.012;
const DRAWN_AT_MOST = 14;
const NO_ROOM = { depth_m: 0, width_m: 0 } as const;
const ROD_SPACING = 1.25;

const coverOf = ({ cover }: DrawnLayer): number => Math.min(cover ?? 1, 1);

/** Index of the first layer of cut pieces with nothing over them: those stand side by side. */
const standingFrom = (layers: readonly DrawnLayer[]): number => layers.findLastIndex(({ form }) => form !== 'pieces') + 1;

/** A ring is cut through twice: what is left of a shape on either side of its hole. */
const besideHole = (shape: Shape, from: number, to: number): Shape[] =>
  [
    { ...shape, width: Math.min(shape.x + shape.width, from) - shape.x },
    { ...shape, x: Math.max(shape.x, to), width: shape.x + shape.width - Math.max(shape.x, to) },
  ].filter(({ width }) => width > 0);

/** room: what the drawing must have space for besides, as for a body that will stand higher or wider after its firing. hole_m: across a ring's hole. */
export function sectionGeometry(
  span_m: number,
  layers: readonly DrawnLayer[],
  box: Box,
  room: { depth_m: number; width_m: number } = NO_ROOM,
  hole_m = 0,
): SectionGeometry {
  const from = standingFrom(layers);
  const standing = from > 0 ? layers.slice(from) : [];
  const lying = from > 0 ? layers.slice(0, from) : layers;
  const depth_m = Math.max(room.depth_m, rowsOf(lying).reduce((sum, row) => sum + deepest(row.map((index) => lying[index])), 0) + deepest(standing));
  const height = box.height * DEPTH_SHARE;
  const scale = Math.min((box.width * WIDTH_SHARE) / Math.max(span_m, room.width_m), depth_m > 0 ? height / depth_m : Infinity);
  const exaggeration = EXAGGERATIONS.filter((factor) => depth_m * scale * factor <= height + 1e-9).at(-1) ?? 1;
  const shelfY = box.height * (1 - SHELF_SHARE);
  const middle = box.width / 2;
  const y = (z_m: number): number => shelfY - z_m * scale * exaggeration;
  const x = (x_m: number): number => middle + x_m * scale;

  const perMetre = { x: scale, y: scale * exaggeration };
  const bands: SectionGeometry['bands'] = [];
  const shapes: Shape[] = [];
  let z_m = 0;
  for (const row of rowsOf(lying)) {
    const covered = row.reduce((all, index) => all + coverOf(lying[index]), 0);
    let left = x(-span_m / 2);
    for (const index of row) {
      const layer = lying[index];
      const band = { y: y(z_m + layer.thickness_m), height: y(z_m) - y(z_m + layer.thickness_m) };
      bands.push(band);
      // Side by side each has the width of its share, and all the same share of gaps.
      const width = (span_m * scale * coverOf(layer)) / covered;
      shapes.push(...(placedIn(layer, index, band, x) ?? inBand(layer, index, band, left, width, Math.min(covered, 1), perMetre)));
      left += width;
    }
    z_m += deepest(row.map((index) => lying[index]));
  }
  const count = standing.reduce((all, layer) => all + (layer.spans_m ? 0 : drawnCount(layer)), 0);
  let slot = 0;
  standing.forEach((layer, i) => {
    const band = { y: y(z_m + layer.thickness_m), height: y(z_m) - y(z_m + layer.thickness_m) };
    bands.push(band);
    const placed = placedIn(layer, from + i, band, x);
    if (placed) return void shapes.push(...placed);
    const own = drawnCount(layer);
    const width = (span_m * scale * coverOf(layer)) / own;
    for (let k = 0; k < own; k += 1, slot += 1) {
      const centre = x(-span_m / 2) + ((slot + 0.5) * span_m * scale) / count;
      shapes.push({ layer: from + i, x: centre - width / 2, width, ...band, round: 0 });
    }
  });
  const cut = hole_m > 0 ? shapes.flatMap((shape) => besideHole(shape, x(-hole_m / 2), x(hole_m / 2))) : shapes;
  return { exaggeration, shapes: cut, bands, shelfY, x, y };
}

/** Parts that are placed stand where they stand. */
const placedIn = ({ form, spans_m: spans }: DrawnLayer, layer: number, band: { y: number; height: number }, x: (x_m: number) => number): Shape[] | null =>
  spans?.map(([from_m, to_m]) => ({ layer, x: x(from_m), width: x(to_m) - x(from_m), ...band, round: form === 'pieces' ? 0 : band.height / 2 })) ?? null;

const deepest = (layers: readonly DrawnLayer[]): number => Math.max(0, ...layers.map(({ thickness_m }) => thickness_m));

const drawnCount = ({ count }: DrawnLayer): number => Math.min(count ?? 4, DRAWN_AT_MOST);

/** Deep grains are drawn as rows of them. */
const GRAIN_PX = 12;
function grainsIn({ form }: DrawnLayer, { layer, x, y, width, height }: Shape): Shape[] {
  const rows = Math.min(Math.round(height / GRAIN_PX), form === 'powder' ? 8 : 5);
  const high = height / rows;
  const count = Math.max(1, Math.min(Math.floor(width / (high * ROD_SPACING)), 2 * DRAWN_AT_MOST));
  const each = width / count;
  return Array.from({ length: rows * count }, (_, i) => ({
    ...{ layer, x: x + (i % count) * each, y: y + Math.floor(i / count) * high },
    ...{ width: each, height: high, round: high / 2 },
  }));
}

/** Lumps lie in rows as thick as one of them, each as wide as one, with gaps between. */
const LUMP_GAP = 0.06;
function lumpsIn({ lump }: DrawnLayer, { layer, x, y, width, height }: Shape, perMetre: { x: number; y: number }): Shape[] {
  if (!lump) return [];
  const rows = Math.max(1, Math.min(Math.round(height / (lump.thick_m * perMetre.y)), DRAWN_AT_MOST));
  const count = Math.max(1, Math.min(Math.round(width / (lump.wide_m * perMetre.x)), 2 * DRAWN_AT_MOST));
  const [high, each] = [height / rows, width / count];
  const gap = LUMP_GAP * Math.min(high, each);
  return Array.from({ length: rows * count }, (_, i) => ({
    ...{ layer, x: x + (i % count) * each + gap / 2, y: y + Math.floor(i / count) * high + gap / 2 },
    ...{ width: each - gap, height: high - gap, round: 0 },
  }));
}

/** The shapes of a layer over the width that is its own: one for a sheet, a row of rods, pieces with gaps. */
function inBand(
  layer: DrawnLayer,
  index: number,
  band: { y: number; height: number },
  left: number,
  width: number,
  cover: number,
  perMetre: { x: number; y: number },
): Shape[] {
  const whole = { layer: index, x: left, width, ...band, round: 0 };
  switch (layer.form) {
    case 'cap':
      return [{ ...whole, x: left - CAP_OVERHANG_SHARE * width, width: width * (1 + 2 * CAP_OVERHANG_SHARE) }];
    case 'chunks':
      return lumpsIn(layer, { ...whole, width: width * cover, x: left + (width * (1 - cover)) / 2 }, perMetre);
    case 'rod':
    case 'stringer':
    case 'frit':
    case 'powder':
    case 'pieces': {
      if ((layer.form === 'frit' || layer.form === 'powder') && band.height > 1.5 * GRAIN_PX)
        return grainsIn(layer, { ...whole, width: width * cover, x: left + (width * (1 - cover)) / 2 });
      const round = layer.form === 'pieces' ? 0 : band.height / 2;
      const natural = Math.max(1, Math.floor((width * cover) / (Math.max(band.height, 6) * ROD_SPACING)));
      const own = layer.form === 'pieces' ? drawnCount(layer) : Math.min(natural, DRAWN_AT_MOST);
      const each = (width * cover) / own;
      return Array.from({ length: own }, (_, k) => ({ ...whole, x: left + ((k + 0.5) * width) / own - each / 2, width: each, round }));
    }
    default:
      return [whole];
  }
}

/** The layer under a finger: the one whose shape it is on, else the one at whose height it is, else the nearest. */
export function layerAt({ shapes, bands }: Pick<SectionGeometry, 'shapes' | 'bands'>, x: number, y: number): number {
  const on = shapes.findLast((shape) => x >= shape.x && x <= shape.x + shape.width && y >= shape.y && y <= shape.y + shape.height);
  if (on) return on.layer;
  const distance = (band: { y: number; height: number }): number => Math.max(band.y - y, y - band.y - band.height, 0);
  return bands.reduce((best, band, i) => (distance(band) < distance(bands[best]) ? i : best), 0);
}

/** Where a layer taken at one height lands when it has been dragged to another: an index counted from the bottom. */
export function landingAt(bands: SectionGeometry['bands'], taken: number, y: number): number {
  const others = bands.filter((_, i) => i !== taken);
  return others.filter((band) => band.y + band.height / 2 > y).length;
}
