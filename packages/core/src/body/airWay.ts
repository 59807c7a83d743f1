/**
 * How far air under a sheet has to go to its rim. What lies under a wide sheet keeps its air if the rim seals first; under a
 * small one, among grains and within a body that is one solid already, there is nothing to let out.
 */
import { type BodyInput, isOneSolid, isSlab } from './body';
import { footprintNarrow } from './footprint';
import { type Layer, layerDepths } from './layers';

/** Sheets narrower than this let their air out by themselves, m. */
const LEAST_AIR_WAY_M = 0.06;

/** What air must leave from under: how thick and how wide, m. */
export interface Lid {
  thickness_m: number;
  way_m: number;
}

const coversLikeASheet = (layer: Layer): layer is Extract<Layer, { form: 'sheet' | 'cap' }> => layer.form === 'sheet' || layer.form === 'cap';

type Chunks = Extract<Layer, { form: 'chunks' }>;

/** A lump this many times as wide as it is thick lies down on what is under it as a sheet does. */
const FLAT_FROM = 4;
const isFlat = ({ thick_m, wide_m }: Chunks): boolean => wide_m >= FLAT_FROM * thick_m;

/** Every sheet and shard under which there is air that needs time to leave; none in what is one solid, nor under a slab on its shelf. */
export function lidsOf(body: BodyInput & { joined: boolean }): Lid[] {
  if (isOneSolid(body)) return [];
  const way_m = footprintNarrow(body.footprint);
  const lying = body.layers.filter((layer, i) => !layer.solid && (i > 0 || !isSlab(layer)));
  const sheets = lying.filter(coversLikeASheet).map(({ thickness_m }) => ({ thickness_m, way_m }));
  // What was fused before comes down on what lies under it as one; on the shelf it has lain down already.
  const first = body.layers.findIndex(({ solid }) => solid);
  if (first > 0) sheets.push({ thickness_m: layerDepths(body).reduce((sum, one, i) => (body.layers[i].solid ? sum + one : sum), 0), way_m });
  const flat = lying
    .filter((layer): layer is Chunks => layer.form === 'chunks' && isFlat(layer))
    .map(({ thick_m, wide_m }) => ({ thickness_m: thick_m, way_m: wide_m }));
  const shards = (body.parts ?? []).map(({ thickness_m, area_m2 }) => ({ thickness_m, way_m: Math.sqrt(area_m2) }));
  return [...sheets, ...flat, ...shards].filter((lid) => lid.way_m >= LEAST_AIR_WAY_M);
}
