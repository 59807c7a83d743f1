/**
 * The body that a firing of a piece meets: the lay-up as it was put together, or what the firings before it have made of
 * that. Glass that has levelled carries no relief any more; what was fused is one solid.
 */
import type { Footprint } from '../body/footprint';
import { type Layer, type Part, closes, layerDepths, rowsOf } from '../body/layers';
import { footprintArea } from '../body/footprint';
import { bodyFigures, mainGlass } from '../body/body';
import type { Filled } from '../look/recipe';
import { RECIPES } from '../look/recipes/all';
import { aimedWork, neededWork } from '../look/work';
import { TYPICAL_WORKS } from '../look/works';
import { type Outcome, found, refused } from '../problem';
import type { Body } from '../schedule/firingCase';
import type { LaidLayer, PieceDocument, PlannedStep } from './document';
import type { NamedGlass } from './shelf';

function asLayer(layer: LaidLayer, glass: number): Layer {
  switch (layer.form) {
    case 'sheet':
      return { form: 'sheet', glass, thickness_m: layer.thickness_m, ...(layer.coated ? { coated: layer.coated } : {}) };
    case 'cap':
      return { form: 'cap', glass, thickness_m: layer.thickness_m, ...(layer.overhang_m === undefined ? {} : { overhang_m: layer.overhang_m }) };
    case 'pieces':
      return { form: 'sheet', glass, thickness_m: layer.thickness_m, cover: layer.cover };
    default: {
      const { id: _id, glassId: _glassId, name: _name, ...rest } = layer;
      return { ...rest, glass };
    }
  }
}

/** Index of the first of the pieces with nothing over them: they stand side by side on the rest. */
export const standingFrom = (layers: readonly LaidLayer[]): number => layers.findLastIndex(({ form }) => form !== 'pieces') + 1;

/** Everything sunk in: gaps closed, cut pieces spread over the whole outline. */
function levelled(layers: readonly LaidLayer[], glassAt: (layer: LaidLayer) => number): Layer[] {
  return layers.map((layer): Layer => {
    const glass = glassAt(layer);
    if (layer.form === 'pieces') return { form: 'sheet', glass, thickness_m: layer.thickness_m * layer.cover };
    const laid = asLayer(layer, glass);
    if (laid.form === 'frit' || laid.form === 'powder') return { ...laid, perArea_kg_m2: laid.perArea_kg_m2 * (laid.cover ?? 1), cover: 1 };
    if (laid.form === 'rod' || laid.form === 'stringer') return { ...laid, diameter_m: laid.diameter_m * (laid.cover ?? 1), cover: 1 };
    return laid;
  });
}

const partOf = (layer: Extract<LaidLayer, { form: 'pieces' }>, glass: number, footprint: Footprint): Part => ({
  glass,
  thickness_m: layer.thickness_m,
  area_m2: (layer.cover * footprintArea(footprint)) / layer.count,
  count: layer.count,
});

/** Outlines are told within these, m. */
const NARROWEST_M = 0.01;
const LONGEST_M = 2;

/** A body that has filled a mould: one solid of its sections, as wide as its mass asks for. */
function cast(body: Body, { thick_m, thin_m, slender }: Filled): Body {
  const { volume_m3 } = bodyFigures(body);
  const glass = body.glasses.indexOf(mainGlass(body));
  const outline = (): Footprint => {
    const across_m = Math.max(thick_m, NARROWEST_M);
    if (slender === 'sphere') return { shape: 'disc', diameter_m: across_m };
    const long_m = (4 * volume_m3) / (Math.PI * thick_m ** 2);
    if (slender === 'cylinder') return { shape: 'rectangle', width_m: across_m, length_m: Math.min(Math.max(across_m, long_m), LONGEST_M) };
    return { shape: 'disc', diameter_m: 2 * Math.sqrt((2 * volume_m3) / (Math.PI * (thick_m + thin_m))) };
  };
  const { dammed: _dammed, parts: _parts, ...rest } = body;
  return {
    ...rest,
    layers: [],
    casting: { glass, volume_m3, thickest_m: thick_m, thinnest_m: thin_m, ...(slender ? { slender } : {}) },
    footprint: outline(),
    joined: true,
  };
}

/** A body that has filled a mould or run into a disc, by the heat work that such a firing aims at; as it was where that cannot be. */
function runOut(body: Body, { look, setup: { shaping } }: Pick<PlannedStep, 'look' | 'setup'>): Body {
  const works = TYPICAL_WORKS;
  const filled = RECIPES[look].fills?.({ body, works, ...(shaping ? { shaping } : {}) });
  if (filled) return cast(body, filled);
  const work = neededWork(body, look, works, shaping);
  const disc = work.ok ? RECIPES[look].puddle?.({ body, works, ...(shaping ? { shaping } : {}) }, aimedWork(look, work.value)) : null;
  if (!disc) return body;
  const depths = layerDepths(body);
  const share = disc.depth_m / depths.reduce((sum, one) => sum + one, 0);
  const layers = body.layers.map(({ glass }, i): Layer => ({ form: 'sheet', glass, thickness_m: share * depths[i] }));
  return { ...body, dammed: false, footprint: { shape: 'disc', diameter_m: disc.width_m }, layers };
}

/** step: index of the firing; the lay-up itself where no firing comes before it. */
export function bodyAt(doc: Pick<PieceDocument, 'footprint' | 'layers' | 'steps' | 'dammed'>, step: number, glasses: readonly NamedGlass[]): Outcome<Body> {
  const used: NamedGlass[] = [];
  for (const [index, { glassId }] of doc.layers.entries()) {
    const glass = glasses.find(({ id }) => id === glassId);
    if (!glass) return refused('unknown-id', `doc.layers.${index}.glassId`, `No glass '${glassId}' on the shelf.`);
    if (!used.includes(glass)) used.push(glass);
  }
  const glassAt = ({ glassId }: LaidLayer): number => used.findIndex(({ id }) => id === glassId);
  const earlier = doc.steps.slice(0, step);
  const before = earlier.map(({ look }) => look);
  const loose = { glasses: used.map(({ constants }) => constants), footprint: doc.footprint, ...(doc.dammed ? { dammed: true } : {}) };
  const joined = before.some((look) => RECIPES[look].joins);
  const ran = earlier.findLast(({ look }) => RECIPES[look].puddle ?? RECIPES[look].fills);
  if (ran) return found(runOut({ ...loose, layers: levelled(doc.layers, glassAt), joined }, ran));
  if (before.some((look) => RECIPES[look].levels)) return found({ ...loose, layers: levelled(doc.layers, glassAt), joined });
  const from = standingFrom(doc.layers);
  // Pieces alone have nothing to stand on; they are then a sheet with gaps.
  const standing = from > 0 ? doc.layers.slice(from) : [];
  const lying = from > 0 ? doc.layers.slice(0, from) : doc.layers;
  const parts = standing.flatMap((layer) => (layer.form === 'pieces' ? [partOf(layer, glassAt(layer), doc.footprint)] : []));
  return found({ ...loose, layers: lying.map((layer) => asLayer(layer, glassAt(layer))), ...(parts.length > 0 ? { parts } : {}), joined });
}

/** Whether two layers lie side by side, at one height. */
export const sideBySide = (layers: readonly LaidLayer[], a: number, b: number): boolean => rowsOf(layers).some((row) => row.includes(a) && row.includes(b));

/** Which layers touch, by index, lower one first: each those under it, through gaps the ones below that, and those beside it. */
export function touchingLayers(layers: readonly LaidLayer[]): [lower: number, upper: number][] {
  const from = standingFrom(layers);
  const lying = from > 0 ? layers.slice(0, from) : layers;
  const rows = rowsOf(lying);
  const under = (row: number, upper: number): [number, number][] =>
    row < 0 ? [] : [...rows[row].map((lower): [number, number] => [lower, upper]), ...(closes(lying, rows[row]) ? [] : under(row - 1, upper))];
  return [
    ...rows.flatMap((row, at) =>
      row.flatMap((index, place) => [...row.slice(0, place).map((mate): [number, number] => [mate, index]), ...under(at - 1, index)]),
    ),
    ...layers.slice(lying.length).flatMap((_, i) => under(rows.length - 1, lying.length + i)),
  ];
}
