/** What a body is told of its map: remembered with the parts it was made of, as it is asked for over and over between two changes. */
import type { BodyInput } from '../body/body';
import type { Footprint } from '../body/footprint';
import type { PlacedPart } from './parts';
import { type MappedLayer, type ThicknessMap, thicknessMap } from './thickness';

interface Made {
  footprint: Footprint;
  layers: readonly MappedLayer[];
  map: ThicknessMap;
}

const remembered = new WeakMap<readonly PlacedPart[], Made>();

const isSameLayer = (one: MappedLayer, other: MappedLayer | undefined): boolean =>
  other !== undefined &&
  one.placed === other.placed &&
  one.depth_m === other.depth_m &&
  one.across_m === other.across_m &&
  one.cover === other.cover &&
  one.overhang_m === other.overhang_m;

/** As thicknessMap: the very same map where it was asked of the same parts before. */
export function mapOf(footprint: Footprint, layers: readonly MappedLayer[]): ThicknessMap {
  const key = layers.find(({ placed }) => placed !== undefined)?.placed;
  const made = key && remembered.get(key);
  if (made && made.footprint === footprint && made.layers.length === layers.length && layers.every((layer, i) => isSameLayer(layer, made.layers[i])))
    return made.map;
  const map = thicknessMap(footprint, layers);
  if (key) remembered.set(key, { footprint, layers, map });
  return map;
}

/**
 * What a body knows of where its glass lies; nothing where none of it is placed. Layers that cover a share of it nobody knows where
 * count where it is deepest, and not where it is thinnest.
 */
export function mappedOf(footprint: Footprint, layers: readonly MappedLayer[]): BodyInput['mapped'] {
  if (!layers.some(({ placed }) => placed !== undefined)) return undefined;
  const { deepest, thinnest, apart_m } = mapOf(footprint, layers);
  const scattered = layers.filter(({ placed, cover = 1 }) => placed === undefined && cover < 1 - 1e-9);
  const [over, film] = scattered.reduce(([most, mean], { depth_m, cover = 1 }) => [most + depth_m * (1 - cover), mean + depth_m * cover], [0, 0]);
  return { thin_m: Math.max(thinnest.depth_m - film, 0), thick_m: deepest.depth_m + over, apart_m };
}
