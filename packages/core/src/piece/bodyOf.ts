/** What the layers of a piece are to the engine, and what a firing that flows makes of them. */
import { withId } from './byId';
import type { Footprint } from '../body/footprint';
import { type Layer, type Part, closes, rowsOf } from '../body/layers';
import { footprintArea } from '../body/footprint';
import { type Casting, bodyFigures, layerVolumes, mainGlass } from '../body/body';
import type { Filled } from '../look/recipe';
import { mappedOf } from '../plan/mapped';
import { partArea } from '../plan/parts';
import { RECIPES } from '../look/recipes/all';
import { aimedWork, neededWork } from '../look/work';
import { TYPICAL_WORKS } from '../look/works';
import { type Outcome, found, refused } from '../problem';
import type { Body } from '../schedule/firingCase';
import type { LaidLayer, Sunk } from './laid';
import type { PlannedStep } from './plannedStep';
import { shapingOf } from './inForm';
import { inBody, sunkIn } from './layers/all';
import { isPlaced, mappedLayers } from './placed';
import { type NamedGlass, lying, madeUpOf, sharesOf } from './shelf';

/** Made glass as the glasses that it is of: one on another as it was, or side by side by their shares. at: their place among the body's glasses. */
function asLayers(layer: LaidLayer, glass: NamedGlass, at: (glass: NamedGlass) => number): Layer[] {
  if (!glass.made) return [inBody(layer, at(glass), glass.constants.density_kg_m3)];
  if (layer.form === 'cap' || (layer.form === 'sheet' && glass.made.lie === 'level'))
    return lying(glass.made, glass.made.of, layer).stripes.map(({ glass: own, share }) =>
      inBody({ ...layer, thickness_m: share * layer.thickness_m }, at(own), own.constants.density_kg_m3),
    );
  const whole = 'cover' in layer ? (layer.cover ?? 1) : 1;
  return sharesOf(glass).map(({ glass: own, share }) => {
    // Grains are told by their mass: each glass lies as deep as the others.
    const weighed =
      'perArea_kg_m2' in layer ? { ...layer, perArea_kg_m2: (layer.perArea_kg_m2 * own.constants.density_kg_m3) / glass.constants.density_kg_m3 } : layer;
    const laid = inBody(weighed, at(own), own.constants.density_kg_m3);
    const covered = laid.form === 'chunks' ? (laid.cover ?? 1) : whole;
    return { ...laid, ...(share < 1 || covered < 1 ? { cover: share * covered } : {}) };
  });
}

/** Index of the first of the pieces with nothing over them: they stand side by side on the rest. */
export const standingFrom = (layers: readonly LaidLayer[]): number => layers.findLastIndex(({ form }) => form !== 'pieces') + 1;

/** Everything sunk in: gaps closed, cut pieces spread over the whole outline. */
export const levelled = (layers: readonly LaidLayer[]): LaidLayer[] =>
  rowsOf(layers).flatMap((row) => row.map((index) => (isLevel(layers, row) ? layers[index] : sunkIn(layers[index]))));

/**
 * Cut pieces that have sunk: lower and as much wider, so that their glass stays, towards the sheet that they would come to.
 * left: of their height over that, by how wide one of them is, m.
 */
export const sunken = (layers: readonly LaidLayer[], area_m2: number, left: (width_m: number) => number): LaidLayer[] =>
  rowsOf(layers).flatMap((row) =>
    row.map((index) => {
      const layer = layers[index];
      if (layer.form !== 'pieces' || closes(layers, row)) return layer;
      const over = left(Math.sqrt((layer.cover * area_m2) / layer.count));
      const share = over + (1 - over) * layer.cover;
      const sunk = layer.placed && sunkBy(layer.sunk ?? { stands_m: layer.thickness_m, film_m: 0 }, over, coverOfParts(layer, area_m2));
      return { ...layer, thickness_m: layer.thickness_m * share, cover: layer.cover / share, ...(sunk ? { sunk } : {}) };
    }),
  );

/** Where parts lie their height goes down, and what goes is level with the rest. */
const sunkBy = ({ stands_m, film_m }: Sunk, over: number, cover: number): Sunk => ({
  stands_m: stands_m * over,
  film_m: film_m + stands_m * (1 - over) * cover,
});

const coverOfParts = ({ placed = [] }: Extract<LaidLayer, { form: 'pieces' }>, area_m2: number): number =>
  placed.reduce((sum, part) => sum + partArea(part), 0) / area_m2;

/** Whether pieces stand side by side without gaps and all as high: nothing in such a row has to level. */
const isLevel = (layers: readonly LaidLayer[], row: readonly number[]): boolean =>
  row.length > 1 && closes(layers, row) && row.every((index) => alike(layers[index], layers[row[0]]));

const alike = (one: LaidLayer, other: LaidLayer): boolean =>
  one.form === 'pieces' && other.form === 'pieces' && Math.abs(one.thickness_m - other.thickness_m) < 1e-9;

const partOf = (layer: Extract<LaidLayer, { form: 'pieces' }>, glass: number, share: number, footprint: Footprint): Part => ({
  glass,
  thickness_m: layer.thickness_m,
  area_m2: (share * layer.cover * footprintArea(footprint)) / layer.count,
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
export function runOut(body: Body, step: Pick<PlannedStep, 'look' | 'setup'>): Body {
  const works = TYPICAL_WORKS;
  const { look } = step;
  const shaping = shapingOf(step, body.footprint);
  const filled = RECIPES[look].fills?.({ body, works, ...(shaping ? { shaping } : {}) });
  if (filled) return cast(body, filled);
  const work = neededWork(body, look, works, shaping);
  const disc = work.ok ? RECIPES[look].puddle?.({ body, works, ...(shaping ? { shaping } : {}) }, aimedWork(look, work.value)) : null;
  if (!disc) return body;
  const volumes = layerVolumes(body);
  const share = disc.depth_m / volumes.reduce((sum, one) => sum + one, 0);
  const layers = body.layers.map(({ glass }, i): Layer => ({ form: 'sheet', glass, thickness_m: share * volumes[i] }));
  return { ...body, dammed: false, footprint: { shape: 'disc', diameter_m: disc.width_m }, layers };
}

export interface AsItLies {
  footprint: Footprint;
  dammed: boolean;
  layers: readonly LaidLayer[];
  /** Which of them are one solid, from the first to before the last. */
  solid: { from: number; to: number };
  casting: Omit<Casting, 'glass'> | null;
}

/** A body as the engine takes it. */
export interface Bodied {
  body: Body;
  /** In the order of its glasses: bought ones, for made glass is told by what it is of. */
  glassIds: string[];
  /** Of each of its layers, which of those that lie there it is of. */
  laidAt: number[];
}

/** The body of what lies there; and what is known of where it lies how deep, unless it is only weighed. */
export function bodyOfLayers(asItLies: AsItLies, glasses: readonly NamedGlass[], isWeighed = false): Outcome<Bodied> {
  const made = loosely(asItLies, glasses);
  if (!made.ok || isWeighed || asItLies.casting || !asItLies.layers.some(isPlaced)) return made;
  const densityOf = (layer: LaidLayer): number => withId(glasses, layer.glassId)?.constants.density_kg_m3 ?? 0;
  const mapped = mappedOf(
    asItLies.footprint,
    asItLies.layers.flatMap((layer) => mappedLayers(layer, densityOf(layer))),
  );
  return found({ ...made.value, body: { ...made.value.body, ...(mapped ? { mapped } : {}) } });
}

/** Sheets of made glass are solid already: the deepest of them counts as one where nothing else has been fused. */
function solidMade(layers: readonly LaidLayer[], made: readonly NamedGlass[]): number {
  const deep = layers.map((layer, i) => (made[i].made && layer.form === 'sheet' ? layer.thickness_m : 0));
  const most = Math.max(0, ...deep);
  return most > 0 ? deep.indexOf(most) : -1;
}

function loosely({ footprint, dammed, layers, solid, casting }: AsItLies, glasses: readonly NamedGlass[]): Outcome<Bodied> {
  const named: NamedGlass[] = [];
  const used: NamedGlass[] = [];
  for (const { glassId } of layers) {
    const glass = withId(glasses, glassId);
    if (!glass) return refused('unknown-id', 'doc.journey', `No glass '${glassId}' on the shelf.`);
    named.push(glass);
    for (const { glass: own } of madeUpOf(glass)) if (!used.includes(own)) used.push(own);
  }
  const glassIds = used.map(({ id }) => id);
  const at = (glass: NamedGlass): number => used.indexOf(glass);
  const isSolidAlready = solid.to > solid.from;
  const ofMade = isSolidAlready ? -1 : solidMade(layers, named);
  const joined = (isSolidAlready && solid.to - solid.from === layers.length) || (layers.length === 1 && ofMade === 0);
  const loose = { glasses: used.map(({ constants }) => constants), footprint, ...(dammed ? { dammed: true } : {}) };
  if (casting) {
    const heaviest = mainGlass({ ...loose, layers: layers.flatMap((layer, i) => asLayers(layer, named[i], at)) });
    return found({ body: { ...loose, layers: [], casting: { ...casting, glass: loose.glasses.indexOf(heaviest) }, joined: true }, glassIds, laidAt: [] });
  }
  const from = standingFrom(layers);
  // Pieces alone have nothing to stand on; they are then a sheet with gaps.
  const first = from > 0 ? from : layers.length;
  const parts = layers
    .slice(first)
    .flatMap((layer, i) => (layer.form === 'pieces' ? sharesOf(named[first + i]).map(({ glass, share }) => partOf(layer, at(glass), share, footprint)) : []));
  const isSolid = (index: number): boolean => !joined && ((index >= solid.from && index < solid.to) || index === ofMade);
  const lying = layers
    .slice(0, first)
    .map((layer, i) => asLayers(layer, named[i], at).map((one): Layer => ({ ...one, ...(isSolid(i) ? { solid: true as const } : {}) })));
  const body: Body = { ...loose, layers: lying.flat(), ...(parts.length > 0 ? { parts } : {}), joined };
  return found({ body, glassIds, laidAt: lying.flatMap((own, i) => own.map(() => i)) });
}
