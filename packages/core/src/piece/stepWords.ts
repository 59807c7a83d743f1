/** What the steps of a journey are called, and what they do, in words that every page and the server share. */
import { RECIPES } from '../look/recipes/all';
import type { Units } from '../units/convert';
import { formatLength, text } from '../units/format';
import type { HandKind, JourneyStep } from './document';
import { type BodyNow, type Surface, hasSolid, isOnePiece, isSealed } from './bodyNow';
import type { Taken } from './stepOutcome';
import type { Shelf } from './shelf';
import { BENCH_STEPS, benchKind } from './steps/all';
import { FACE_NAMES } from './steps/step';

const LAY = 'Lay on';

export const handName = (kind: HandKind): string => (kind === 'lay' ? LAY : BENCH_STEPS[kind].name);

/** By its own name, else by what it does. */
export function stepName(step: JourneyStep): string {
  if (step.name) return step.name;
  if (step.kind === 'fire') return RECIPES[step.look].name;
  if (step.kind === 'lay') return step.side === 'above' ? LAY : 'Lay under';
  const { name, nameOf } = benchKind(step);
  return nameOf?.(step) ?? name;
}

/** What a step of the hands does, in a few words with its figures. */
export function stepWords(step: Exclude<JourneyStep, { kind: 'fire' }>, units: Units): string {
  if (step.kind !== 'lay') return benchKind(step).words(step, units);
  return step.layers.length === 0 ? 'nothing yet' : `${step.layers.length} ${step.layers.length === 1 ? 'layer' : 'layers'}`;
}

export const TAKEN_NAMES: Record<Taken['as'], string> = {
  offcut: 'cut off',
  kerf: 'kerf',
  ground: 'ground off',
  blasted: 'blasted off',
  polished: 'polished off',
  drilled: 'drilled out',
  leftBehind: 'left behind',
};

const SURFACE_WORDS: Record<Surface, string | null> = { asMade: null, ground: 'ground', blasted: 'blasted', polished: 'polished' };

/** Whether it holds together, and whether air can leave it. */
function heldWords(now: BodyNow): string {
  if (now.layers.length === 0) return 'nothing yet';
  if (now.apart > 1) return `${now.apart} loose parts, laid side by side`;
  if (isOnePiece(now)) return isSealed(now) ? 'one solid; what air is in its seams is sealed in' : 'one piece';
  return hasSolid(now)
    ? 'one solid, and loose glass with it that vents at its rim'
    : now.layers.length === 1
      ? 'loose glass'
      : 'loose layers, which vent at their rims';
}

/** Of its glasses those that have not struck yet, in a sentence each; nothing where there is none. */
export function strikeWords({ layers, heated }: BodyNow, shelf: Shelf): string {
  const cold = new Set(layers.filter((_, i) => i < heated.from || i >= heated.to).map(({ glassId }) => glassId));
  return shelf.glasses
    .filter(({ id, coldColour }) => cold.has(id) && coldColour !== undefined)
    .map(({ name }) => `${name} is not its own colour yet: it strikes at its first fuse.`)
    .join(' ');
}

/** What a body is by now, in one sentence: how it holds, its faces, its shape, and which way it lies. */
export function bodyWords(now: BodyNow, units: Units): string {
  const faces = (['up', 'down'] as const).flatMap((face) => {
    const { surface, isOpened } = now.faces[face];
    const worked = SURFACE_WORDS[surface];
    return [...(worked ? [`${FACE_NAMES[face]} ${worked}`] : []), ...(isOpened ? [`bubbles under the ${FACE_NAMES[face]} may lie open`] : [])];
  });
  const shape = now.formed ? [`${text(formatLength(now.formed.down_m, units.length))} down${now.formed.isMeasured ? ', as measured' : ''}`] : [];
  const turned = now.isTurned ? ['turned over: writing on it reads the other way round'] : [];
  const words = [heldWords(now), ...faces, ...shape, ...turned].join('; ');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
