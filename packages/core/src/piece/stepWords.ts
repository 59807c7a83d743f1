/** What the steps of a journey are called, and what they do, in words that every page and the server share. */
import { RECIPES } from '../look/recipes/all';
import type { Units } from '../units/convert';
import { formatDuration, formatLength, formatMass, text } from '../units/format';
import type { BenchStep, CleanedOff, Face, HandKind, JoinedBy, JourneyStep, LookedWith } from './document';
import { type BodyNow, type Surface, hasSolid, isOnePiece, isSealed } from './bodyNow';
import type { Taken } from './stepOutcome';
import type { Shelf } from './shelf';
import { footprintWords } from '../body/footprintWords';

export const HAND_NAMES: Record<HandKind, string> = {
  lay: 'Lay on',
  turn: 'Turn over',
  cut: 'Cut',
  grind: 'Grind',
  blast: 'Blast',
  polish: 'Polish',
  drill: 'Drill',
  clean: 'Clean',
  fill: 'Fill',
  look: 'Look',
  wait: 'Wait',
  join: 'Join cold',
};

export const CLEANED_NAMES: Record<CleanedOff, string> = { dust: 'Dust and fingerprints', primer: 'Primer, soaked off', scale: 'Scale of a steel ring' };
export const LOOKED_NAMES: Record<LookedWith, string> = {
  eye: 'By eye and fingertip',
  ring: 'By its ring when tapped',
  polariser: 'Between polarisers',
  guideCoat: 'By a guide coat',
};
export const JOINED_NAMES: Record<JoinedBy, string> = { glue: 'Glued', stem: 'On a stem', hanger: 'Hung' };
/** As it lies at that step. */
export const FACE_NAMES: Record<Face, string> = { up: 'fire face', down: 'shelf face' };

/** By its own name, else by what it does. */
export function stepName(step: JourneyStep): string {
  if (step.name) return step.name;
  switch (step.kind) {
    case 'fire':
      return RECIPES[step.look].name;
    case 'lay':
      return step.side === 'above' ? HAND_NAMES.lay : 'Lay under';
    case 'grind':
      return step.at === 'rim' ? 'Trim the rim' : HAND_NAMES.grind;
    default:
      return HAND_NAMES[step.kind];
  }
}

const at = (place: 'rim' | Face): string => (place === 'rim' ? 'rim' : FACE_NAMES[place]);

function cutWords({ cut, kerf_m }: Extract<BenchStep, { kind: 'cut' }>, units: Units): string {
  const long = (value_m: number): string => text(formatLength(value_m, units.length));
  const kerf = kerf_m > 0 ? `, kerf ${long(kerf_m)}` : '';
  switch (cut.to) {
    case 'outline':
      return `to ${footprintWords(cut.outline, units.length)}${kerf}`;
    case 'strips':
      return `into strips of ${long(cut.strip_m)}, ${cut.stand === 'flat' ? 'laid flat' : 'stood on edge'}${kerf}`;
    case 'segments':
      return `into ${cut.count} segments${kerf}`;
    case 'slice':
      return `${long(cut.depth_m)} off the ${FACE_NAMES[cut.face]}${kerf}`;
  }
}

/** What a step of the hands does, in a few words with its figures. */
export function stepWords(step: Exclude<JourneyStep, { kind: 'fire' }>, units: Units): string {
  const long = (value_m: number): string => text(formatLength(value_m, units.length));
  switch (step.kind) {
    case 'lay':
      return step.layers.length === 0 ? 'nothing yet' : `${step.layers.length} ${step.layers.length === 1 ? 'layer' : 'layers'}`;
    case 'turn':
      return 'what was on top lies on the shelf';
    case 'cut':
      return cutWords(step, units);
    case 'grind':
    case 'polish':
      return `${long(step.depth_m)} off the ${at(step.at)}`;
    case 'blast':
      return `${long(step.depth_m)} deep on ${Math.round(step.cover * 100)} % of the ${FACE_NAMES[step.face]}`;
    case 'drill':
      return `${step.count} × ${long(step.hole_m)}`;
    case 'clean':
      return step.soak_s > 0 ? `${CLEANED_NAMES[step.off].toLowerCase()}, ${text(formatDuration(step.soak_s))}` : CLEANED_NAMES[step.off].toLowerCase();
    case 'fill':
      return `${text(formatMass(step.mass_kg, units.mass))} in a spot of ${long(step.spot_m)}`;
    case 'look':
      return step.found ? `${LOOKED_NAMES[step.with].toLowerCase()}: ${step.found}` : LOOKED_NAMES[step.with].toLowerCase();
    case 'wait':
      return `${text(formatDuration(step.for_s))}${step.why ? `, ${step.why}` : ''}`;
    case 'join':
      return step.cure_s > 0 ? `${JOINED_NAMES[step.by].toLowerCase()}, ${text(formatDuration(step.cure_s))} to set` : JOINED_NAMES[step.by].toLowerCase();
  }
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
