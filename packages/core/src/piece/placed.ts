/** Parts of a layer that are placed: what follows from their places, and what turning and cutting make of them. */
import { type Footprint, footprintArea } from '../body/footprint';
import { layerDepth } from '../body/layers';
import { turnedOver } from '../plan/arrange';
import { commonTo, shapeOf } from '../plan/clip';
import { type PlacedPart, areaOf, boxOf, centred, footprintRings, partArea, partCorners } from '../plan/parts';
import type { MappedLayer } from '../plan/thickness';
import type { LaidLayer } from './laid';

export type Placeable = Extract<LaidLayer, { form: 'pieces' | 'rod' | 'stringer' }>;
export type PlacedLayer = Placeable & { placed: readonly PlacedPart[] };

export const isPlaceable = (layer: LaidLayer): layer is Placeable => layer.form === 'pieces' || layer.form === 'rod' || layer.form === 'stringer';
export const isPlaced = (layer: LaidLayer): layer is PlacedLayer => isPlaceable(layer) && layer.placed !== undefined;

/** How wide its rods are, m; of no meaning for cut pieces. */
export const acrossOf = (layer: LaidLayer): number => ('diameter_m' in layer ? layer.diameter_m : 0);

/** Share of the outline that its parts would cover side by side. */
export const coverOfPlaced = (layer: PlacedLayer, footprint: Footprint): number =>
  layer.placed.reduce((sum, part) => sum + partArea(part, acrossOf(layer)), 0) / footprintArea(footprint);

/** The engine knows no smaller share of an outline. */
export const LEAST_COVER = 1e-4;

/** A layer whose number and cover are those of its parts; others as they are. */
export function settled<L extends LaidLayer>(layer: L, footprint: Footprint): L {
  if (!isPlaced(layer)) return layer;
  // What has sunk covers more than its parts do.
  if (layer.form === 'pieces' && layer.sunk) return layer;
  const cover = Math.min(Math.max(coverOfPlaced(layer, footprint), LEAST_COVER), 1);
  return layer.form === 'pieces' ? { ...layer, cover, count: layer.placed.length } : { ...layer, cover };
}

/** Where its parts lie or lay, whether they stand or have sunk in. */
export const partsOf = (layer: LaidLayer): readonly PlacedPart[] | undefined =>
  isPlaceable(layer) ? layer.placed : layer.form === 'sheet' ? layer.inlaid : undefined;

function withParts(layer: LaidLayer, parts: readonly PlacedPart[] | undefined): LaidLayer {
  if (isPlaceable(layer)) {
    const { placed: _placed, ...rest } = layer;
    if (parts) return { ...rest, placed: parts };
    if (rest.form !== 'pieces') return rest;
    const { sunk: _sunk, ...loose } = rest;
    return loose;
  }
  if (layer.form !== 'sheet') return layer;
  const { inlaid: _inlaid, ...rest } = layer;
  return parts ? { ...rest, inlaid: parts } : rest;
}

/** What was laid otherwise than it was: nobody knows any more what lies where. */
export const unplaced = (layer: LaidLayer): LaidLayer => (partsOf(layer) ? withParts(layer, undefined) : layer);

/** Turned over like a page. */
export const overTurned = (layer: LaidLayer): LaidLayer => {
  const parts = partsOf(layer);
  return parts ? withParts(layer, parts.map(turnedOver)) : layer;
};

/** What a cut leaves is told by its corners. */
const CORNERS_OF_A_CUT = 64;

function cutPart(part: PlacedPart, across_m: number, footprint: Footprint): PlacedPart[] {
  const corners = partCorners(part, across_m);
  const left = commonTo(shapeOf(corners), [footprintRings(footprint)]);
  const area = left.reduce((sum, [rim]) => sum + areaOf(rim), 0);
  if (Math.abs(area / areaOf(corners) - 1) < 1e-6) return [part];
  return left.map(([rim], i): PlacedPart => {
    const every = Math.ceil(rim.length / CORNERS_OF_A_CUT);
    const { outline, by } = centred({ shape: 'polygon', corners_m: every > 1 ? rim.filter((_, k) => k % every === 0) : rim });
    return { id: i === 0 ? part.id : `${part.id} ${i}`, outline, x_m: by[0], y_m: by[1], turned_deg: 0 };
  });
}

/** Cut to an outline round the same middle. */
export function cutTo(layer: LaidLayer, footprint: Footprint): LaidLayer {
  const parts = partsOf(layer);
  if (!parts) return layer;
  return settled(
    withParts(
      layer,
      parts.flatMap((part) => cutPart(part, acrossOf(layer), footprint)),
    ),
    footprint,
  );
}

/** A layer as it is mapped from above: parts that have sunk as what stands of them, and what does not. density_kg_m3: of its glass. */
export function mappedLayers(layer: LaidLayer, density_kg_m3: number): MappedLayer[] {
  const depth_m = layerDepth(layer, density_kg_m3);
  if (isPlaced(layer)) {
    const { placed } = layer;
    if (layer.form === 'pieces' && layer.sunk) return [{ depth_m: layer.sunk.film_m }, { depth_m: layer.sunk.stands_m, placed }];
    return [{ depth_m, placed, ...('diameter_m' in layer ? { across_m: layer.diameter_m } : {}) }];
  }
  const whole = {
    depth_m,
    ...('cover' in layer && layer.cover !== undefined ? { cover: layer.cover } : {}),
    ...(layer.form === 'cap' && layer.overhang_m ? { overhang_m: layer.overhang_m } : {}),
  };
  return [whole];
}

/** From where to where parts stand as they are seen from the side, from the middle, m. */
export type Span = readonly [from_m: number, to_m: number];

/** The side that a body is drawn from is its longer one. */
const isSeenAcross = (footprint: Footprint): boolean => {
  const { left, right, front, back } = boxOf(footprintRings(footprint).flat());
  return right - left >= back - front - 1e-9;
};

/** Of each part, from the side that the body is drawn from; where there are more than so many, of those that stand behind one another as one. */
export function spansOf(layer: LaidLayer, footprint: Footprint, most = SPANS_AT_MOST): Span[] | undefined {
  if (!isPlaced(layer)) return undefined;
  const across = isSeenAcross(footprint);
  const each = layer.placed.map((part): Span => {
    const { left, right, front, back } = boxOf(partCorners(part, acrossOf(layer)));
    return across ? [left, right] : [front, back];
  });
  return each.length <= most ? each : joined(each).slice(0, most);
}
const SPANS_AT_MOST = 60;

function joined(spans: readonly Span[]): Span[] {
  return [...spans]
    .sort(([a], [b]) => a - b)
    .reduce<Span[]>((all, [from, to]) => {
      const last = all.at(-1);
      return last && from <= last[1] ? [...all.slice(0, -1), [last[0], Math.max(last[1], to)]] : [...all, [from, to]];
    }, []);
}

const withoutSunk = ({ sunk: _sunk, ...rest }: Extract<LaidLayer, { form: 'pieces' }>): LaidLayer => rest;

/** A layer for a list: its parts as they are seen from the side, and no more of them. */
export function leanLayer(layer: LaidLayer, footprint: Footprint): LaidLayer {
  if (layer.form === 'sheet') return unplaced(layer);
  const bare = layer.form === 'pieces' ? withoutSunk(layer) : layer;
  const spans = spansOf(layer, footprint, LEAN_SPANS);
  if (!spans) return bare;
  const across = isSeenAcross(footprint);
  const placed = spans.map(([from, to], i): PlacedPart => {
    const [wide, at] = [to - from, (from + to) / 2];
    const outline = { shape: 'rectangle', width_m: across ? wide : LEAN_M, length_m: across ? LEAN_M : wide } as const;
    return { id: String(i), outline, x_m: across ? at : 0, y_m: across ? 0 : at, turned_deg: 0 };
  });
  return withParts(bare, placed);
}
const LEAN_SPANS = 24;
/** How deep its parts are told in a list, where nobody sees it. */
const LEAN_M = 0.001;
