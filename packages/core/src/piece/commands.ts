/**
 * Every edit of a piece by name: a document in, a new one out, with what was done in a few words for undo. An edit that
 * names something that is not there, or that would leave no piece, is refused.
 */
import type { Footprint } from '../body/footprint';
import { RECIPES } from '../look/recipes/all';
import { type Outcome, found, refused } from '../problem';
import { FORM_NAMES, LAYERS_AT_MOST, type LaidLayer, type LayerForm, type PieceDocument, type PlannedStep, STEPS_AT_MOST } from './document';

export interface Edited {
  doc: PieceDocument;
  /** Past tense, as it stands after 'Undo: '. */
  what: string;
}

/** What a layer is called: by its own name, else by its form and place. */
export function layerName(layers: readonly LaidLayer[], index: number): string {
  const layer = layers[index];
  if (layer.name) return layer.name;
  if (layer.form !== 'sheet') return FORM_NAMES[layer.form];
  if (layers.length === 1) return 'Sheet';
  if (index === 0) return 'Base';
  const sheets = layers.flatMap(({ form }, i) => (form === 'sheet' ? [i] : []));
  return index === sheets.at(-1) ? 'Top sheet' : `Sheet ${sheets.indexOf(index) + 1}`;
}

const withLayers = (doc: PieceDocument, layers: LaidLayer[], what: string): Outcome<Edited> => found({ doc: { ...doc, layers }, what });

function at(doc: PieceDocument, id: string): Outcome<number> {
  const index = doc.layers.findIndex((layer) => layer.id === id);
  return index < 0 ? refused('unknown-id', 'layers', `This piece has no layer '${id}'.`) : found(index);
}

/** Lays one more on top, or at an index counted from the bottom. */
export function addLayer(doc: PieceDocument, layer: LaidLayer, index = doc.layers.length): Outcome<Edited> {
  if (doc.layers.length >= LAYERS_AT_MOST) return refused('too-many', 'layers', `A piece has at most ${LAYERS_AT_MOST} layers.`);
  return withLayers(doc, doc.layers.toSpliced(index, 0, layer), `${FORM_NAMES[layer.form].toLowerCase()} added`);
}

/** Lays another like it on it. */
export function repeatLayer(doc: PieceDocument, id: string, newId: string): Outcome<Edited> {
  const index = at(doc, id);
  if (!index.ok) return index;
  const added = addLayer(doc, { ...doc.layers[index.value], id: newId }, index.value + 1);
  return added.ok ? found({ doc: added.value.doc, what: `${layerName(doc.layers, index.value)} laid again` }) : added;
}

/** Moves a layer to an index counted from the bottom; beyond either end is the end. */
export function moveLayer(doc: PieceDocument, id: string, to: number): Outcome<Edited> {
  const from = at(doc, id);
  if (!from.ok) return from;
  const target = Math.min(Math.max(to, 0), doc.layers.length - 1);
  const layers = doc.layers.toSpliced(from.value, 1).toSpliced(target, 0, doc.layers[from.value]);
  return withLayers(doc, layers, `${layerName(doc.layers, from.value)} moved ${target > from.value ? 'up' : 'down'}`);
}

export function removeLayer(doc: PieceDocument, id: string): Outcome<Edited> {
  const index = at(doc, id);
  if (!index.ok) return index;
  if (doc.layers.length === 1 && (doc.steps.length === 0 || !firesNoGlass(doc)))
    return refused('too-few', 'layers', 'A piece needs at least one layer; delete the piece instead.');
  return withLayers(doc, doc.layers.toSpliced(index.value, 1), `${layerName(doc.layers, index.value)} taken away`);
}

/** Whether no firing that it is to have has glass in it. */
export const firesNoGlass = ({ steps }: Pick<PieceDocument, 'steps'>): boolean => steps.every(({ look }) => RECIPES[look].ware !== undefined);

/** Puts a changed layer in place of the one with its id. */
export function changeLayer(doc: PieceDocument, layer: LaidLayer): Outcome<Edited> {
  const index = at(doc, layer.id);
  return index.ok ? withLayers(doc, doc.layers.with(index.value, layer), `${layerName(doc.layers, index.value)} changed`) : index;
}

/** Turns a coated sheet over. */
export function turnLayer(doc: PieceDocument, id: string): Outcome<Edited> {
  const index = at(doc, id);
  if (!index.ok) return index;
  const layer = doc.layers[index.value];
  if (layer.form !== 'sheet' || layer.coated === undefined) {
    return refused('not-coated', 'layers', `${layerName(doc.layers, index.value)} has no coating: both its sides are alike.`);
  }
  const coated = layer.coated === 'up' ? 'down' : 'up';
  return withLayers(doc, doc.layers.with(index.value, { ...layer, coated }), `${layerName(doc.layers, index.value)} turned over`);
}

const USUAL_SHEET_M = 0.003;
const depthOf = (layer: LaidLayer): number => ('thickness_m' in layer ? layer.thickness_m : 'diameter_m' in layer ? layer.diameter_m : USUAL_SHEET_M);

/** A usual layer of a form, of the same glass and, where that has a meaning, the same depth and cover. */
export function inForm(layer: LaidLayer, form: LayerForm): LaidLayer {
  const laid = { id: layer.id, glassId: layer.glassId, ...(layer.name ? { name: layer.name } : {}) };
  const cover = 'cover' in layer && layer.cover !== undefined ? { cover: layer.cover } : {};
  switch (form) {
    case 'sheet':
    case 'cap':
      return { ...laid, form, thickness_m: depthOf(layer) };
    case 'pieces':
      return { ...laid, form, thickness_m: depthOf(layer), cover: 0.25, count: 4, ...cover };
    case 'rod':
      return { ...laid, form, diameter_m: 0.005, ...cover };
    case 'stringer':
      return { ...laid, form, diameter_m: 0.002, ...cover };
    case 'frit':
      return { ...laid, form, perArea_kg_m2: 2, ...cover };
    case 'powder':
      return { ...laid, form, perArea_kg_m2: 0.3, ...cover };
  }
}

export const setOutline = (doc: PieceDocument, footprint: Footprint, typed: Record<string, string>, dammed = doc.dammed): Outcome<Edited> =>
  found({ doc: { ...doc, footprint, typed, dammed }, what: 'outline changed' });

export function addStep(doc: PieceDocument, step: PlannedStep): Outcome<Edited> {
  if (doc.steps.length >= STEPS_AT_MOST) return refused('too-many', 'steps', `A piece has at most ${STEPS_AT_MOST} firings.`);
  return found({ doc: { ...doc, steps: [...doc.steps, step] }, what: 'firing added' });
}

export function changeStep(doc: PieceDocument, step: PlannedStep): Outcome<Edited> {
  const index = doc.steps.findIndex(({ id }) => id === step.id);
  if (index < 0) return refused('unknown-id', 'steps', `This piece has no firing '${step.id}'.`);
  return found({ doc: { ...doc, steps: doc.steps.with(index, step) }, what: 'firing changed' });
}

export function removeStep(doc: PieceDocument, id: string): Outcome<Edited> {
  const index = doc.steps.findIndex((step) => step.id === id);
  if (index < 0) return refused('unknown-id', 'steps', `This piece has no firing '${id}'.`);
  return found({ doc: { ...doc, steps: doc.steps.toSpliced(index, 1) }, what: 'firing taken away' });
}
