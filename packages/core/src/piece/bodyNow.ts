/** The body as it is between two steps of its journey, and what can be asked of it: how it holds, what it weighs, how deep it lies. */
import { withId } from './byId';
import { type BodyFigures, type Casting, bodyFigures } from '../body/body';
import { type Footprint, footprintArea, footprintPerimeter, turning } from '../body/footprint';
import { layerDepth } from '../body/layers';
import type { Shaping } from '../look/shaping';
import type { Outcome } from '../problem';
import { type Bodied, bodyOfLayers } from './bodyOf';
import type { Face } from './handStep';
import type { LaidLayer } from './laid';
import type { PlannedStep } from './plannedStep';
import type { NamedGlass } from './shelf';

/** The shape that a firing has given it. */
export interface Formed {
  by: PlannedStep;
  shaping: Shaping;
  /** How far its middle or its edge has come down, m. */
  down_m: number;
  /** Told as it came out, not as it was planned. */
  isMeasured: boolean;
}

/** What a face is like to the touch. */
export type Surface = 'asMade' | 'ground' | 'blasted' | 'polished';

export interface FaceNow {
  surface: Surface;
  /** Glass was taken off it as deep as the first seam between layers: bubbles there lie open. */
  isOpened: boolean;
}

/** Layers in a row, from the first to before the last. */
interface Span {
  from: number;
  to: number;
}

/** What its last firing has made of it that shows from the side: it filled a mould, ran out to a puddle, drew together to lace of which so much is open. */
export type RanAs = { as: 'cast'; thin_m: number; wall_m: number } | { as: 'puddle' } | { as: 'lace'; open: number };

export interface BodyNow {
  footprint: Footprint;
  dammed: boolean;
  /** From the shelf up, as they are by now. */
  layers: LaidLayer[];
  /** Which of them are one solid; none where nothing is fused yet. */
  solid: Span;
  /** Which of them have been hot enough to show the colour that they keep: glass that strikes is another before. */
  heated: Span;
  /** Into how many loose parts it is cut; 1 where it is whole. */
  apart: number;
  /** It has filled a mould; its layers are then what it was made of. */
  casting: Omit<Casting, 'glass'> | null;
  formed: Formed | null;
  ran: RanAs | null;
  faces: Record<Face, FaceNow>;
  /** What is drilled through it, and what that weighed. */
  holes: { area_m2: number; mass_kg: number };
  /** What steps took beside what was reckoned for them, as weighed, kg. */
  lost_kg: number;
  /** It lies on the face that was up at first: writing on it reads the other way round. */
  isTurned: boolean;
}

const NONE: Span = { from: 0, to: 0 };
export const NO_HOLES: BodyNow['holes'] = { area_m2: 0, mass_kg: 0 };
export const AS_MADE: FaceNow = { surface: 'asMade', isOpened: false };

/** Before anything is laid. */
export const nothingYet = ({ footprint, dammed }: { footprint: Footprint; dammed: boolean }): BodyNow => ({
  ...{ footprint, dammed, layers: [], solid: NONE, heated: NONE, apart: 1, casting: null, formed: null, ran: null },
  ...{ faces: { up: AS_MADE, down: AS_MADE }, holes: NO_HOLES, lost_kg: 0, isTurned: false },
});

export const hasSolid = ({ solid }: Pick<BodyNow, 'solid'>): boolean => solid.to > solid.from;

/** Whether it can be lifted as one: all of it fused, or one sheet alone. */
export const isOnePiece = ({ layers, solid, apart }: Pick<BodyNow, 'layers' | 'solid' | 'apart'>): boolean =>
  apart === 1 &&
  layers.length > 0 &&
  (solid.to - solid.from === layers.length || (layers.length === 1 && (layers[0].form === 'sheet' || layers[0].form === 'cap')));

/** Seams between layers of one solid: what lies in them is sealed in. */
export const isSealed = ({ solid }: Pick<BodyNow, 'solid'>): boolean => solid.to - solid.from > 1;

/** Of one piece with other layers than before: all of them are what those were. */
export const nowLaid = (now: BodyNow, layers: LaidLayer[]): BodyNow => {
  const all = { from: 0, to: layers.length };
  return { ...now, layers, solid: hasSolid(now) ? all : NONE, heated: now.heated.to > now.heated.from ? all : NONE };
};

/** The body as the engine takes it, with the ids of its glasses in their order. */
export function bodyOf(now: BodyNow, glasses: readonly NamedGlass[]): Outcome<Bodied> {
  return bodyOfLayers(now, glasses);
}

function figuresOf(now: BodyNow, glasses: readonly NamedGlass[]): BodyFigures | null {
  const made = bodyOfLayers(now, glasses, true);
  return made.ok && made.value.body.glasses.length > 0 ? bodyFigures(made.value.body) : null;
}

/** What of it is glass, kg. */
export function massNow(now: BodyNow, glasses: readonly NamedGlass[]): number {
  const figures = figuresOf(now, glasses);
  return figures ? figures.mass_kg - now.holes.mass_kg - now.lost_kg : 0;
}

/** Density of a layer's glass, kg/m³; 0 for one that is on no shelf, which is said elsewhere. */
export const densityOf = ({ glassId }: LaidLayer, glasses: readonly NamedGlass[]): number => withId(glasses, glassId)?.constants.density_kg_m3 ?? 0;

export const coverOf = (layer: LaidLayer): number => ('cover' in layer ? (layer.cover ?? 1) : 1);

/** Where it lies, its own gaps closed, m. */
export function deepOf(layer: LaidLayer, glasses: readonly NamedGlass[]): number {
  const density = densityOf(layer, glasses);
  return density > 0 ? layerDepth(layer, density) : 0;
}

/** What a cap stands over the outline, m² (Steiner). */
export const overhang_m2 = (layer: LaidLayer, footprint: Footprint): number =>
  layer.form === 'cap' && layer.overhang_m ? layer.overhang_m * footprintPerimeter(footprint) + turning(footprint) * layer.overhang_m ** 2 : 0;

/** kg on each m² of the outline. */
export const surfaceMass = (now: BodyNow, glasses: readonly NamedGlass[]): number =>
  now.layers.reduce((sum, layer) => sum + deepOf(layer, glasses) * densityOf(layer, glasses) * coverOf(layer), 0);

/** What stands over the outline of its caps goes with any cut of it, kg. */
export const overhang_kg = (now: BodyNow, glasses: readonly NamedGlass[]): number =>
  now.layers.reduce((sum, layer) => sum + overhang_m2(layer, now.footprint) * deepOf(layer, glasses) * densityOf(layer, glasses), 0);

/** A casting as a slab of its outline and of its mass, so that it can be laid on and cut. */
export function asSlab(now: BodyNow, glasses: readonly NamedGlass[]): BodyNow {
  if (!now.casting) return now;
  const made = bodyOf(now, glasses);
  if (!made.ok) return now;
  const { body, glassIds } = made.value;
  const glassId = glassIds[body.casting?.glass ?? 0];
  const thickness_m = now.casting.volume_m3 / footprintArea(now.footprint);
  const [{ id, name }] = now.layers;
  return {
    ...now,
    ...{ casting: null, ran: null },
    layers: [{ id, glassId, ...(name ? { name } : {}), form: 'sheet', thickness_m }],
    solid: { from: 0, to: 1 },
    heated: { from: 0, to: 1 },
  };
}
