/** Edits of parts by their places: laid, moved, turned, mirrored, repeated, lined up, given another glass, removed. */
import { type Alignment, type Mirror, type Row, aligned, boxRound, inRing, inRows, mirrored, movedBy, spaced, turnedAbout } from '../plan/arrange';
import { type PlacedPart, type Point, centred, wholeTurn } from '../plan/parts';
import { spreadPieces, spreadRods } from '../plan/spread';
import { type Outcome, found, refused } from '../problem';
import { type Edited, addLayer, layerName, withLayers } from './commands';
import type { CutFace, LaidLayer, LayStep, PieceDocument } from './document';
import { isLaying, laidLayers } from './journey';
import { type Placeable, type PlacedLayer, acrossOf, isPlaceable, isPlaced } from './placed';

/** A part with the layer that it is of, and how wide the rods of that are, m. */
export interface Chosen extends PlacedPart {
  layerId: string;
  across_m: number;
}

/** What a part is cut from: layers of one step whose parts are of one form, glass and depth are one layer. */
export type Stuff = { glassId: string } & ({ form: 'pieces'; thickness_m: number; cutFace?: CutFace } | { form: 'rod' | 'stringer'; diameter_m: number });

const widthOf = (part: PlacedPart): number => ('across_m' in part ? (part as Chosen).across_m : 0);

/** Every part that is placed in a step, in the order of its layers. */
export const partsIn = ({ layers }: Pick<LayStep, 'layers'>): Chosen[] =>
  layers.filter(isPlaced).flatMap((layer) => layer.placed.map((part) => ({ ...part, layerId: layer.id, across_m: acrossOf(layer) })));

const countWords = (count: number): string => (count === 1 ? 'part' : `${count} parts`);

function stepOf(doc: PieceDocument, stepId: string): Outcome<LayStep> {
  const step = doc.journey.find(({ id }) => id === stepId);
  return step && isLaying(step) ? found(step) : refused('unknown-id', 'journey', `This piece has no step '${stepId}' to lay in.`);
}

const bare = ({ layerId: _layer, across_m: _across, ...part }: Chosen): PlacedPart => part;

/** The step with these parts in place of those it has; a layer that has none left goes. */
function withPlaced(doc: PieceDocument, step: LayStep, parts: readonly Chosen[], what: string): Outcome<Edited> {
  const layers = step.layers.flatMap((layer): LaidLayer[] => {
    if (!isPlaced(layer)) return [layer];
    const placed = parts.filter(({ layerId }) => layerId === layer.id).map(bare);
    return placed.length > 0 ? [{ ...layer, placed }] : [];
  });
  const left = laidLayers(doc).length - step.layers.length + layers.length;
  if (left === 0) return refused('too-few', 'journey', 'A piece needs at least one layer; delete the piece instead.');
  return withLayers(doc, step, layers, what);
}

/** Some of a step's parts changed together; what comes back stands where the first of them stood. */
function changeSome(
  doc: PieceDocument,
  stepId: string,
  ids: readonly string[],
  change: (chosen: Chosen[]) => Chosen[],
  what: (count: number) => string,
): Outcome<Edited> {
  const step = stepOf(doc, stepId);
  if (!step.ok) return step;
  const all = partsIn(step.value);
  const chosen = all.filter(({ id }) => ids.includes(id));
  if (chosen.length === 0) return refused('unknown-id', 'journey', 'None of these parts lies in this step any more.');
  const changed = change(chosen);
  const kept = new Map(changed.map((part) => [part.id, part]));
  const stood = all.map((part) => (ids.includes(part.id) ? kept.get(part.id) : part)).filter((part) => part !== undefined);
  const fresh = changed.filter(({ id }) => !ids.includes(id));
  return withPlaced(doc, step.value, [...stood, ...fresh], what(chosen.length));
}

const asStuff = (layer: Placeable): Stuff =>
  layer.form === 'pieces'
    ? { form: 'pieces', glassId: layer.glassId, thickness_m: layer.thickness_m, ...(layer.cutFace ? { cutFace: layer.cutFace } : {}) }
    : { form: layer.form, glassId: layer.glassId, diameter_m: layer.diameter_m };
export const isOf = (layer: Placeable, stuff: Stuff): boolean => JSON.stringify(asStuff(layer)) === JSON.stringify(stuff);

/** Those of a step's layers that lie over everything else of it, side by side: index of the lowest. */
const topFrom = (layers: readonly LaidLayer[]): number => layers.findLastIndex((layer) => !isPlaceable(layer)) + 1;

/** Lays parts on top of what a step lays: among those of their kind, else as a layer of their own. */
export function placeParts(
  doc: PieceDocument,
  stepId: string | undefined,
  stuff: Stuff,
  parts: readonly PlacedPart[],
  newLayerId: string,
  name?: string,
): Outcome<Edited> {
  const what = `${countWords(parts.length)} laid`;
  const placed = parts.map((part) => {
    const { outline, by } = centred(part.outline);
    return { ...part, outline, x_m: part.x_m + by[0], y_m: part.y_m + by[1] };
  });
  const step = stepId === undefined ? null : stepOf(doc, stepId);
  if (step && !step.ok) return step;
  const from = step ? topFrom(step.value.layers) : 0;
  const among = step?.value.layers.findIndex((layer, i): layer is PlacedLayer => i >= from && isPlaced(layer) && isOf(layer, stuff)) ?? -1;
  if (step && among >= 0) {
    const layer = step.value.layers[among] as PlacedLayer;
    return withLayers(doc, step.value, step.value.layers.with(among, { ...layer, placed: [...layer.placed, ...placed] }), what);
  }
  const called = name ? { name } : {};
  const fresh: LaidLayer =
    stuff.form === 'pieces' ? { id: newLayerId, ...called, ...stuff, cover: 1, count: placed.length, placed } : { id: newLayerId, ...called, ...stuff, placed };
  const added = addLayer(doc, fresh, stepId === undefined ? {} : { stepId });
  return added.ok ? found({ ...added.value, what }) : added;
}

export const moveParts = (doc: PieceDocument, stepId: string, ids: readonly string[], dx_m: number, dy_m: number): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    ids,
    (chosen) => chosen.map((part) => movedBy(part, dx_m, dy_m)),
    (count) => `${countWords(count)} moved`,
  );

/** Middle of the box round parts, m. */
export function middleOf(parts: readonly Chosen[]): Point {
  const { left, right, front, back } = boxRound(parts, widthOf);
  return [(left + right) / 2, (front + back) / 2];
}

/** One about its own middle; several as one, about the middle of all of them. */
export const turnParts = (doc: PieceDocument, stepId: string, ids: readonly string[], degrees: number): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    ids,
    (chosen) =>
      chosen.length === 1
        ? [{ ...chosen[0], turned_deg: wholeTurn(chosen[0].turned_deg + degrees) }]
        : chosen.map((part) => turnedAbout(part, middleOf(chosen), degrees)),
    (count) => `${countWords(count)} turned`,
  );

/** Their mirror images: in their own place about their middle, or laid on the other side of the piece's middle as well. */
export const mirrorParts = (doc: PieceDocument, stepId: string, ids: readonly string[], way: Mirror, newId: (() => string) | null): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    ids,
    (chosen) => {
      if (newId) return [...chosen, ...chosen.map((part) => ({ ...mirrored(part, way), id: newId() }))];
      const [x, y] = middleOf(chosen);
      return chosen.map((part) => mirrored(part, way, way === 'leftRight' ? x : y));
    },
    (count) => `${countWords(count)} mirrored`,
  );

export const repeatInRows = (doc: PieceDocument, stepId: string, ids: readonly string[], row: Row, newId: () => string): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    ids,
    (chosen) => inRows(chosen, row, newId, boxRound(chosen, widthOf)),
    (count) => `${countWords(count)} repeated`,
  );

export const repeatInRing = (doc: PieceDocument, stepId: string, ids: readonly string[], count: number, newId: () => string): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    ids,
    (chosen) => inRing(chosen, count, newId),
    (of) => `${countWords(of)} laid in a ring`,
  );

export const alignParts = (doc: PieceDocument, stepId: string, ids: readonly string[], by: Alignment): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    ids,
    (chosen) => aligned(chosen, by, widthOf),
    (count) => `${countWords(count)} lined up`,
  );

export const spaceParts = (doc: PieceDocument, stepId: string, ids: readonly string[], along: 'x' | 'y'): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    ids,
    (chosen) => spaced(chosen, along, widthOf),
    (count) => `${countWords(count)} spaced`,
  );

export const removeParts = (doc: PieceDocument, stepId: string, ids: readonly string[]): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    ids,
    () => [],
    (count) => `${countWords(count)} removed`,
  );

/** Another outline, another place. */
export const changePart = (doc: PieceDocument, stepId: string, part: PlacedPart): Outcome<Edited> =>
  changeSome(
    doc,
    stepId,
    [part.id],
    ([{ layerId, across_m }]) => [{ ...part, layerId, across_m }],
    () => 'part changed',
  );

/** Cut from something else: they go to the layer of that, which is laid where there is none. */
export function dealParts(doc: PieceDocument, stepId: string, ids: readonly string[], stuff: Stuff, newLayerId: string): Outcome<Edited> {
  const step = stepOf(doc, stepId);
  if (!step.ok) return step;
  const chosen = partsIn(step.value).filter(({ id }) => ids.includes(id));
  if (chosen.length === 0) return refused('unknown-id', 'journey', 'None of these parts lies in this step any more.');
  const without = step.value.layers.flatMap((layer): LaidLayer[] => {
    if (!isPlaced(layer)) return [layer];
    const placed = layer.placed.filter(({ id }) => !ids.includes(id));
    return placed.length > 0 ? [{ ...layer, placed }] : [];
  });
  const taken = { ...doc, journey: doc.journey.map((one) => (one === step.value ? { ...step.value, layers: without } : one)) };
  const laid = placeParts(taken, stepId, stuff, chosen.map(bare), newLayerId);
  return laid.ok ? found({ ...laid.value, what: `${countWords(chosen.length)} of another glass` }) : laid;
}

/** Rods of a row that are given places: no more than a piece has room for in its list. */
const RODS_PLACED_AT_MOST = 100;

/** Gives a layer of which only the number and the share were known the places in which it has been drawn. */
export function placeSpread(doc: PieceDocument, layerId: string, newId: () => string): Outcome<Edited> {
  const step = doc.journey.filter(isLaying).find(({ layers }) => layers.some(({ id }) => id === layerId));
  const layer = step?.layers.find(({ id }) => id === layerId);
  if (!step || !layer || !isPlaceable(layer)) return refused('unknown-id', 'journey', `This piece has no layer '${layerId}' whose parts could be placed.`);
  const placed = spreadOf(layer, doc.footprint).map((part) => ({ ...part, id: newId() }));
  return withLayers(
    doc,
    step,
    step.layers.map((one) => (one === layer ? { ...layer, placed } : one)),
    `${layerName(laidLayers(doc), laidLayers(doc).indexOf(layer))} placed`,
  );
}

export const spreadOf = (layer: Placeable, footprint: PieceDocument['footprint']): PlacedPart[] =>
  layer.form === 'pieces' ? spreadPieces(footprint, layer.count, layer.cover) : spreadRods(footprint, layer.diameter_m, layer.cover ?? 1, RODS_PLACED_AT_MOST);
