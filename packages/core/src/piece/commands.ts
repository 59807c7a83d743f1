/**
 * Every edit of a piece by name: a document in, a new one out, with what was done in a few words for undo. An edit that
 * names something that is not there, or that would leave no piece, is refused.
 */
import type { Footprint } from '../body/footprint';
import { RECIPES } from '../look/recipes/all';
import { type Outcome, found, refused } from '../problem';
import { type JourneyStep, type LaidLayer, type LayStep, type PieceDocument, type PlannedStep, type Took } from './document';
import { LAYERS_AT_MOST, PARTS_AT_MOST, STEPS_AT_MOST } from './atMost';
import { LAYER_KINDS } from './layers/all';
import { FIRST_LAID_ID, firingsOf, isLaying, laidLayers, layingOf } from './journey';
import { type PlacedLayer, coverOfPlaced, isPlaced, settled } from './placed';
import { stepName } from './stepWords';

export interface Edited {
  doc: PieceDocument;
  /** Past tense, as it stands after 'Undo: '. */
  what: string;
}

/** What a layer is called: by its own name, else by its form and place. */
export function layerName(layers: readonly LaidLayer[], index: number): string {
  const layer = layers[index];
  if (layer.name) return layer.name;
  if (layer.form !== 'sheet') return LAYER_KINDS[layer.form].name;
  if (layers.length === 1) return 'Sheet';
  if (index === 0) return 'Base';
  const sheets = layers.flatMap(({ form }, i) => (form === 'sheet' ? [i] : []));
  return index === sheets.at(-1) ? 'Top sheet' : `Sheet ${sheets.indexOf(index) + 1}`;
}

/** A layer's own step, and its place in it. */
interface Place {
  step: LayStep;
  index: number;
  name: string;
}

function at(doc: PieceDocument, id: string): Outcome<Place> {
  const step = layingOf(doc, id);
  if (!step) return refused('unknown-id', 'journey', `This piece has no layer '${id}'.`);
  const index = step.layers.findIndex((layer) => layer.id === id);
  return found({ step, index, name: nameIn(doc, step.layers[index]) });
}

function nameIn(doc: PieceDocument, layer: LaidLayer): string {
  const all = laidLayers(doc);
  return layerName(all, all.indexOf(layer));
}

const partsIn = (layers: readonly LaidLayer[]): number =>
  layers.reduce((sum, layer) => sum + (isPlaced(layer) ? layer.placed.length : layer.form === 'pieces' ? layer.count : 0), 0);

/** More of a level than there is room for would lie on itself. */
const roomless = (layers: readonly LaidLayer[], footprint: Footprint): PlacedLayer | undefined =>
  layers.filter(isPlaced).find((layer) => coverOfPlaced(layer, footprint) > 1 + 1e-9);

export function withLayers(doc: PieceDocument, step: LayStep, changed: readonly LaidLayer[], what: string): Outcome<Edited> {
  const layers = changed.map((layer) => settled(layer, doc.footprint));
  const next = { ...doc, journey: doc.journey.map((one) => (one.id === step.id ? { ...step, layers } : one)) };
  const parts = partsIn(laidLayers(next));
  // What had more before there was a limit may become fewer.
  if (parts > PARTS_AT_MOST && parts > partsIn(laidLayers(doc)))
    return refused('too-many', 'journey', `A piece has at most ${PARTS_AT_MOST} cut pieces in all; these would be ${parts}.`);
  const full = roomless(layers, doc.footprint);
  if (full && !roomless(step.layers, doc.footprint))
    return refused(
      'no-room',
      'journey',
      `${nameIn(next, full)}: these parts are larger together than the outline that they lie in. Lay some of them as a layer of their own.`,
    );
  return found({ doc: next, what });
}

/** Lays one more on top of what a step lays, or at an index counted from the lowest of it; in a first step where there is none to lay in. */
export function addLayer(doc: PieceDocument, layer: LaidLayer, { stepId, index }: { stepId?: string; index?: number } = {}): Outcome<Edited> {
  if (laidLayers(doc).length >= LAYERS_AT_MOST) return refused('too-many', 'journey', `A piece has at most ${LAYERS_AT_MOST} layers.`);
  const what = `${LAYER_KINDS[layer.form].name.toLowerCase()} added`;
  const step = doc.journey.filter(isLaying).find(({ id }) => stepId === undefined || id === stepId);
  if (step) return withLayers(doc, step, step.layers.toSpliced(index ?? step.layers.length, 0, layer), what);
  if (stepId !== undefined) return refused('unknown-id', 'journey', `This piece has no step '${stepId}' to lay in.`);
  const first: LayStep = { id: FIRST_LAID_ID, kind: 'lay', side: 'above', layers: [] };
  return withLayers({ ...doc, journey: [first, ...doc.journey] }, first, [layer], what);
}

/** The same again, its parts with ids of their own. */
const asAnother = (layer: LaidLayer, id: string): LaidLayer =>
  isPlaced(layer) ? { ...layer, id, placed: layer.placed.map((part, i) => ({ ...part, id: `${id} ${i}` })) } : { ...layer, id };

/** Lays another like it on it. */
export function repeatLayer(doc: PieceDocument, id: string, newId: string): Outcome<Edited> {
  const place = at(doc, id);
  if (!place.ok) return place;
  const { step, index, name } = place.value;
  if (laidLayers(doc).length >= LAYERS_AT_MOST) return refused('too-many', 'journey', `A piece has at most ${LAYERS_AT_MOST} layers.`);
  return withLayers(doc, step, step.layers.toSpliced(index + 1, 0, asAnother(step.layers[index], newId)), `${name} laid again`);
}

/** Moves a layer to an index among those of its step, counted from the lowest; beyond either end is the end. */
export function moveLayer(doc: PieceDocument, id: string, to: number): Outcome<Edited> {
  const place = at(doc, id);
  if (!place.ok) return place;
  const { step, index, name } = place.value;
  const target = Math.min(Math.max(to, 0), step.layers.length - 1);
  const layers = step.layers.toSpliced(index, 1).toSpliced(target, 0, step.layers[index]);
  return withLayers(doc, step, layers, `${name} moved ${target > index ? 'up' : 'down'}`);
}

export function removeLayer(doc: PieceDocument, id: string): Outcome<Edited> {
  const place = at(doc, id);
  if (!place.ok) return place;
  const { step, index, name } = place.value;
  if (laidLayers(doc).length === 1 && (firingsOf(doc).length === 0 || !firesNoGlass(doc)))
    return refused('too-few', 'journey', 'A piece needs at least one layer; delete the piece instead.');
  return withLayers(doc, step, step.layers.toSpliced(index, 1), `${name} removed`);
}

/** Whether no firing that it is to have has glass in it. */
export const firesNoGlass = (doc: Pick<PieceDocument, 'journey'>): boolean => firingsOf(doc).every(({ look }) => RECIPES[look].empty !== undefined);

/** Puts a changed layer in place of the one with its id. */
export function changeLayer(doc: PieceDocument, layer: LaidLayer): Outcome<Edited> {
  const place = at(doc, layer.id);
  if (!place.ok) return place;
  const { step, index, name } = place.value;
  return withLayers(doc, step, step.layers.with(index, layer), `${name} changed`);
}

/** Turns a coated sheet over, or made glass whose faces are not alike. */
export function turnLayer(doc: PieceDocument, id: string, hasFaces = false): Outcome<Edited> {
  const place = at(doc, id);
  if (!place.ok) return place;
  const { step, index, name } = place.value;
  const layer = step.layers[index];
  const turned = (over: LaidLayer): Outcome<Edited> => withLayers(doc, step, step.layers.with(index, over), `${name} turned over`);
  if (hasFaces) {
    const { flipped, ...rest } = layer;
    return turned(flipped ? rest : { ...rest, flipped: true });
  }
  if (layer.form !== 'sheet' || layer.coated === undefined) return refused('not-coated', 'journey', `${name} has no coating: both its sides are alike.`);
  return turned({ ...layer, coated: layer.coated === 'up' ? 'down' : 'up' });
}

export function setOutline(doc: PieceDocument, footprint: Footprint, typed: Record<string, string>, dammed = doc.dammed): Outcome<Edited> {
  const full = roomless(laidLayers(doc), footprint);
  if (full && !roomless(laidLayers(doc), doc.footprint))
    return refused(
      'no-room',
      'footprint',
      `${nameIn(doc, full)}: the parts that are placed are larger together than this outline. Take some away first, or choose a larger one.`,
    );
  const journey = doc.journey.map((step) => (isLaying(step) ? { ...step, layers: step.layers.map((layer) => settled(layer, footprint)) } : step));
  return found({ doc: { ...doc, footprint, typed, dammed, journey }, what: 'outline changed' });
}

const called = (step: JourneyStep): string => (step.kind === 'fire' ? 'firing' : stepName(step).toLowerCase());

const withJourney = (doc: PieceDocument, journey: JourneyStep[], what: string): Outcome<Edited> => found({ doc: { ...doc, journey }, what });

function stepAt(doc: PieceDocument, id: string): Outcome<number> {
  const index = doc.journey.findIndex((step) => step.id === id);
  return index < 0 ? refused('unknown-id', 'journey', `This piece has no step '${id}'.`) : found(index);
}

/** Puts a step at the end of the journey, or at an index in it. */
export function addStep(doc: PieceDocument, step: JourneyStep, index = doc.journey.length): Outcome<Edited> {
  if (doc.journey.length >= STEPS_AT_MOST) return refused('too-many', 'journey', `A piece has at most ${STEPS_AT_MOST} steps.`);
  return withJourney(doc, doc.journey.toSpliced(index, 0, step), `${called(step)} added`);
}

/** Puts a changed step in place of the one with its id. */
export function changeStep(doc: PieceDocument, step: JourneyStep): Outcome<Edited> {
  const index = stepAt(doc, step.id);
  return index.ok ? withJourney(doc, doc.journey.with(index.value, step), `${called(step)} changed`) : index;
}

/** Moves a step to an index in the journey; beyond either end is the end. */
export function moveStep(doc: PieceDocument, id: string, to: number): Outcome<Edited> {
  const from = stepAt(doc, id);
  if (!from.ok) return from;
  const step = doc.journey[from.value];
  const target = Math.min(Math.max(to, 0), doc.journey.length - 1);
  return withJourney(doc, doc.journey.toSpliced(from.value, 1).toSpliced(target, 0, step), `${called(step)} moved to step ${target + 1}`);
}

export function removeStep(doc: PieceDocument, id: string): Outcome<Edited> {
  const index = stepAt(doc, id);
  if (!index.ok) return index;
  const journey = doc.journey.toSpliced(index.value, 1);
  if (laidLayers(doc).length > 0 && laidLayers({ journey }).length === 0 && !(firingsOf(doc).length > 0 && firesNoGlass(doc)))
    return refused('too-few', 'journey', 'A piece needs at least one layer; delete the piece instead.');
  return withJourney(doc, journey, `${called(doc.journey[index.value])} removed`);
}

/** Tells that a step of the hands is done, and what it took; with null that it is not. */
export function tellDone(doc: PieceDocument, id: string, doneAt: number | null, took: Took = {}): Outcome<Edited> {
  const index = stepAt(doc, id);
  if (!index.ok) return index;
  const step = doc.journey[index.value];
  if (step.kind === 'fire') return refused('not-by-hand', 'journey', 'A firing is done when it is written down in the Notebook.');
  const { doneAt: _doneAt, took: _took, ...planned } = step;
  const told = doneAt === null ? planned : { ...planned, doneAt, ...(Object.keys(took).length > 0 ? { took } : {}) };
  return withJourney(doc, doc.journey.with(index.value, told as JourneyStep), `${called(step)} ${doneAt === null ? 'not done' : 'done'}`);
}

/** Tells how far a shape has come down where it did not come out as planned; with null that it did. */
export function tellMeasured(doc: PieceDocument, id: string, down_m: number | null): Outcome<Edited> {
  const index = stepAt(doc, id);
  if (!index.ok) return index;
  const step = doc.journey[index.value];
  if (step.kind !== 'fire') return refused('no-firing', 'journey', 'Only a firing gives a shape that can be measured.');
  const { measured: _measured, ...planned } = step;
  const next: PlannedStep = down_m === null ? planned : { ...planned, measured: { down_m } };
  return withJourney(doc, doc.journey.with(index.value, next), 'shape measured');
}
