/** Reads a piece's journey: which steps it has, what is laid in them, what comes before a step. */
import { type LaidLayer, type LayStep, type JourneyStep, type PieceDocument, type PlannedStep } from './document';
import { STEPS_AT_MOST } from './atMost';

type Journey = Pick<PieceDocument, 'journey'>;

const isFiring = (step: JourneyStep): step is PlannedStep => step.kind === 'fire';
export const isLaying = (step: JourneyStep): step is LayStep => step.kind === 'lay';

/** The firings that it has, in their order. */
export const firingsOf = ({ journey }: Journey): PlannedStep[] => journey.filter(isFiring);
export const firingOf = ({ journey }: Journey, id: string | null | undefined): PlannedStep | undefined =>
  journey.find((step): step is PlannedStep => isFiring(step) && step.id === id);

/** Every layer that is laid, from the shelf up, as if nothing but laying had been done. */
export const laidLayers = ({ journey }: Journey): LaidLayer[] =>
  journey.filter(isLaying).reduce<LaidLayer[]>((all, { side, layers }) => (side === 'above' ? [...all, ...layers] : [...layers, ...all]), []);

/** The step in which a layer is laid. */
export const layingOf = ({ journey }: Journey, layerId: string): LayStep | undefined =>
  journey.find((step): step is LayStep => isLaying(step) && step.layers.some(({ id }) => id === layerId));

/** Index of a step; the end where it has no such step. */
export function placeOf({ journey }: Journey, stepId: string): number {
  const index = journey.findIndex(({ id }) => id === stepId);
  return index < 0 ? journey.length : index;
}

/** The document with one step in place of the one of its id. */
export const withStep = <D extends Journey>(doc: D, step: JourneyStep): D => ({
  ...doc,
  journey: doc.journey.map((one) => (one.id === step.id ? step : one)),
});

/** What was laid first where a piece came from before there were journeys: the same in every copy of its document, so that they merge. */
export const FIRST_LAID_ID = '01920000-0000-7000-8000-00000000001a';

/** A document of version 2: one lay-up and a chain of firings. */
export interface EarlierDocument extends Omit<PieceDocument, 'schemaVersion' | 'journey'> {
  schemaVersion: 2;
  layers: LaidLayer[];
  steps: Omit<PlannedStep, 'kind'>[];
}

/** More than there can be is refused as it came. */
const isShort = (list: unknown): boolean => Array.isArray(list) && list.length <= STEPS_AT_MOST;
const isEarlier = (doc: unknown): doc is EarlierDocument => typeof doc === 'object' && doc !== null && 'schemaVersion' in doc && doc.schemaVersion === 2;

/** A document of version 2 as the journey that it was; any other as it came. */
export function asJourney(doc: EarlierDocument): PieceDocument;
export function asJourney(doc: unknown): unknown;
export function asJourney(doc: unknown): unknown {
  if (!isEarlier(doc) || !isShort(doc.layers) || !isShort(doc.steps)) return doc;
  const { layers, steps, ...rest } = doc;
  const laid: LayStep[] = layers.length > 0 ? [{ id: FIRST_LAID_ID, kind: 'lay', side: 'above', layers }] : [];
  return { ...rest, schemaVersion: 3, journey: [...laid, ...steps.map((step): PlannedStep => ({ ...step, kind: 'fire' }))] };
}
