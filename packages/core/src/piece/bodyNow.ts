/**
 * The body as it is after each step of its journey: a pure fold, never stored. What a step takes away is reckoned from its own
 * measures (area × depth × density), so that it can be held against the body that is left.
 */
import { type BodyFigures, type Casting, bodyFigures } from '../body/body';
import { type Footprint, footprintArea, footprintNarrow, footprintPerimeter, footprintSpan } from '../body/footprint';
import { layerDepth, ROW_OF_RODS, rowsOf } from '../body/layers';
import { RECIPES } from '../look/recipes/all';
import type { Shaping } from '../look/shaping';
import { type Outcome, type Problem, found, refused } from '../problem';
import type { Body } from '../schedule/firingCase';
import { bodyOfLayers, levelled, runOut } from './bodyOf';
import type { BenchStep, Cutting, Face, JourneyStep, LaidLayer, LayStep, PieceDocument, PlannedStep } from './document';
import type { NamedGlass } from './shelf';
import { HOLDS } from './undoes';

/** Where glass went that left the body, or came from where none was laid. */
export type TakenAs = 'offcut' | 'kerf' | 'ground' | 'blasted' | 'polished' | 'drilled' | 'leftBehind';

export interface Taken {
  as: TakenAs;
  mass_kg: number;
}

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

export interface BodyNow {
  footprint: Footprint;
  dammed: boolean;
  /** From the shelf up, as they are by now. */
  layers: LaidLayer[];
  /** Which of them are one solid: from the first to before the last; none where nothing is fused yet. */
  solid: { from: number; to: number };
  /** Into how many loose parts it is cut; 1 where it is whole. */
  apart: number;
  /** It has filled a mould; its layers are then what it was made of. */
  casting: Omit<Casting, 'glass'> | null;
  formed: Formed | null;
  faces: Record<Face, FaceNow>;
  /** What is drilled through it, and what that weighed. */
  holes: { area_m2: number; mass_kg: number };
  /** What steps took beside what was reckoned for them, as weighed, kg. */
  lost_kg: number;
  /** It lies on the face that was up at first: writing on it reads the other way round. */
  isTurned: boolean;
}

export interface AfterStep {
  step: JourneyStep;
  body: BodyNow;
  /** What lies in the body after it, kg. */
  mass_kg: number;
  /** What it put on, kg. */
  laid_kg: number;
  taken: Taken[];
  /** Why it cannot be done so; the body is then as it was before. */
  problem: Problem | null;
}

const NO_HOLES: BodyNow['holes'] = { area_m2: 0, mass_kg: 0 };
const AS_MADE: FaceNow = { surface: 'asMade', isOpened: false };

/** Before anything is laid. */
export const nothingYet = ({ footprint, dammed }: Pick<PieceDocument, 'footprint' | 'dammed'>): BodyNow => ({
  ...{ footprint, dammed, layers: [], solid: { from: 0, to: 0 }, apart: 1, casting: null, formed: null },
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

/** The body as the engine takes it, with the ids of its glasses in their order. */
export function bodyOf(now: BodyNow, glasses: readonly NamedGlass[]): Outcome<{ body: Body; glassIds: string[] }> {
  return bodyOfLayers(now, glasses);
}

function figuresOf(now: BodyNow, glasses: readonly NamedGlass[]): BodyFigures | null {
  const made = bodyOf(now, glasses);
  return made.ok && made.value.body.glasses.length > 0 ? bodyFigures(made.value.body) : null;
}

/** What of it is glass, kg. */
export function massNow(now: BodyNow, glasses: readonly NamedGlass[]): number {
  const figures = figuresOf(now, glasses);
  return figures ? figures.mass_kg - now.holes.mass_kg - now.lost_kg : 0;
}

interface Change {
  body: BodyNow;
  taken?: Taken[];
}
type Doing = Outcome<Change>;

/** What a step is refused as that the body at it does not allow. */
export const CANNOT_BE = 'cannot-be';
/** Less than this is rounding, kg. */
const LEAST_TOLD_KG = 1e-9;

const unlike = (message: string): { ok: false; problem: Problem } => refused(CANNOT_BE, '', message);
const NOTHING_THERE = 'There is no glass here yet: lay some on first.';
const NOT_ONE = 'Nothing holds these layers together yet: fuse them first.';

const doing = (body: BodyNow, ...taken: Taken[]): Doing => found({ body, taken: taken.filter(({ mass_kg }) => mass_kg > LEAST_TOLD_KG) });

/** Density of a layer's glass, kg/m³; 0 for one that is on no shelf, which is said elsewhere. */
const densityOf = ({ glassId }: LaidLayer, glasses: readonly NamedGlass[]): number => glasses.find(({ id }) => id === glassId)?.constants.density_kg_m3 ?? 0;

const coverOf = (layer: LaidLayer): number => ('cover' in layer ? (layer.cover ?? 1) : 1);

/** Where it lies, its own gaps closed, m. */
function deepOf(layer: LaidLayer, glasses: readonly NamedGlass[]): number {
  const density = densityOf(layer, glasses);
  return density > 0 ? layerDepth(layer, density) : 0;
}

/** What a cap stands over the outline, m² (Steiner). */
const overhang_m2 = (layer: LaidLayer, footprint: Footprint): number =>
  layer.form === 'cap' && layer.overhang_m ? layer.overhang_m * footprintPerimeter(footprint) + Math.PI * layer.overhang_m ** 2 : 0;

/** kg on each m² of the outline. */
const surfaceMass = (now: BodyNow, glasses: readonly NamedGlass[]): number =>
  now.layers.reduce((sum, layer) => sum + deepOf(layer, glasses) * densityOf(layer, glasses) * coverOf(layer), 0);

/** What stands over the outline of its caps goes with any cut of it, kg. */
const overhang_kg = (now: BodyNow, glasses: readonly NamedGlass[]): number =>
  now.layers.reduce((sum, layer) => sum + overhang_m2(layer, now.footprint) * deepOf(layer, glasses) * densityOf(layer, glasses), 0);

/** Its layers cut to the outline: caps stand over no more. */
const trimmed = (layers: readonly LaidLayer[]): LaidLayer[] =>
  layers.map((layer) => {
    if (layer.form !== 'cap') return layer;
    const { overhang_m: _over, ...flush } = layer;
    return flush;
  });

/** The same outline by a factor in both directions. */
function scaled(footprint: Footprint, by: number): Footprint {
  switch (footprint.shape) {
    case 'disc':
      return { shape: 'disc', diameter_m: footprint.diameter_m * by };
    case 'polygon':
      return { shape: 'polygon', corners_m: footprint.corners_m.map(([x, y]) => [x * by, y * by] as const) };
    default:
      return { ...footprint, width_m: footprint.width_m * by, length_m: footprint.length_m * by };
  }
}

/** The outline with so much off all round; of a polygon one of as much less area, by Steiner's formula. */
function inset(footprint: Footprint, by_m: number): Footprint {
  switch (footprint.shape) {
    case 'disc':
      return { shape: 'disc', diameter_m: footprint.diameter_m - 2 * by_m };
    case 'polygon': {
      const area = footprintArea(footprint);
      return scaled(footprint, Math.sqrt(Math.max(area - footprintPerimeter(footprint) * by_m + Math.PI * by_m ** 2, 0) / area));
    }
    default:
      return { ...footprint, width_m: footprint.width_m - 2 * by_m, length_m: footprint.length_m - 2 * by_m };
  }
}

/** Outlines are told from this size on, m. */
const NARROWEST_M = 0.01;

/** A casting as a slab of its outline and of its mass, so that it can be laid on and cut. */
function asSlab(now: BodyNow, glasses: readonly NamedGlass[]): BodyNow {
  if (!now.casting) return now;
  const made = bodyOf(now, glasses);
  if (!made.ok) return now;
  const { body, glassIds } = made.value;
  const glassId = glassIds[body.casting?.glass ?? 0];
  const thickness_m = now.casting.volume_m3 / footprintArea(now.footprint);
  const [{ id, name }] = now.layers;
  return { ...now, casting: null, layers: [{ id, glassId, ...(name ? { name } : {}), form: 'sheet', thickness_m }], solid: { from: 0, to: 1 } };
}

function lay(before: BodyNow, { side, layers }: LayStep, glasses: readonly NamedGlass[]): Doing {
  if (layers.length === 0) return doing(before);
  const now = asSlab(before, glasses);
  const solid = side === 'below' && hasSolid(now) ? { from: now.solid.from + layers.length, to: now.solid.to + layers.length } : now.solid;
  return doing({ ...now, layers: side === 'below' ? [...layers, ...now.layers] : [...now.layers, ...layers], solid });
}

/** How far a shaping brings the glass down, m; null for those that are no bending. */
const downOf = (shaping: Shaping): number | null => (shaping.kind === 'hollow' ? shaping.depth_m : shaping.kind === 'former' ? shaping.drop_m : null);

function formedBy(now: BodyNow, step: PlannedStep): Formed | null {
  const { setup, look, measured } = step;
  const shaping = setup.shaping;
  const planned = shaping ? downOf(shaping) : null;
  if (shaping && planned !== null && RECIPES[look].asks?.kind === shaping.kind)
    return { by: step, shaping, down_m: measured?.down_m ?? planned, isMeasured: measured !== undefined };
  return RECIPES[look].stays || HOLDS.includes(setup.kind) ? now.formed : null;
}

/** Glass that flows closes its holes: as much of it as there is, over all of the outline. */
function closed(now: BodyNow, glasses: readonly NamedGlass[]): BodyNow {
  if (now.holes.mass_kg === 0) return now;
  const left = 1 - now.holes.mass_kg / (massNow(now, glasses) + now.holes.mass_kg);
  const layers = now.layers.map((layer): LaidLayer => {
    if ('thickness_m' in layer) return { ...layer, thickness_m: layer.thickness_m * left };
    return 'diameter_m' in layer ? { ...layer, diameter_m: layer.diameter_m * left } : { ...layer, perArea_kg_m2: layer.perArea_kg_m2 * left };
  });
  return { ...now, layers, casting: now.casting && { ...now.casting, volume_m3: now.casting.volume_m3 * left }, holes: NO_HOLES };
}

function fire(before: BodyNow, step: PlannedStep, glasses: readonly NamedGlass[]): Doing {
  const recipe = RECIPES[step.look];
  if (recipe.ware || before.layers.length === 0) return doing(before);
  const now = recipe.flows ? closed(before, glasses) : before;
  const mass_kg = massNow(now, glasses);
  const formed = formedBy(now, step);
  const flowing = recipe.puddle ?? recipe.fills;
  // What is strewn on a solid sticks to it by a polish already.
  const sticks = recipe.joins || (hasSolid(now) && step.look === 'firePolish');
  const solid = sticks ? { from: 0, to: now.layers.length } : now.solid;
  const softens = recipe.group !== 'shaped' && !recipe.stays;
  const faces: BodyNow['faces'] = softens ? { up: AS_MADE, down: now.faces.down } : now.faces;
  const level = recipe.levels && !now.casting ? levelled(now.layers) : now.layers;
  const fired: BodyNow = { ...now, layers: level, solid, formed, faces, apart: recipe.joins ? 1 : now.apart };
  if (!flowing) return doing(fired);
  const made = bodyOf({ ...fired, formed: null }, glasses);
  if (!made.ok) return made;
  const ran = runOut(made.value.body, step);
  // A firing that cannot be leaves it as it was laid.
  if (ran === made.value.body) return doing(fired);
  const { casting, footprint, dammed = false } = ran;
  const layers = casting ? fired.layers : fired.layers.map((layer, i): LaidLayer => asSheet(layer, ran.layers[i]));
  const flowed: BodyNow = { ...fired, footprint, dammed, layers, casting: casting ? withoutGlass(casting) : null, formed: null };
  return doing(flowed, { as: 'leftBehind', mass_kg: Math.max(mass_kg - massNow(flowed, glasses), 0) });
}

const withoutGlass = ({ glass: _glass, ...rest }: Casting): Omit<Casting, 'glass'> => rest;

/** A layer that has become a sheet of so much. */
function asSheet({ id, glassId, name }: LaidLayer, became: Body['layers'][number] | undefined): LaidLayer {
  const thickness_m = became && 'thickness_m' in became ? became.thickness_m : 0;
  return { id, glassId, ...(name ? { name } : {}), form: 'sheet', thickness_m };
}

/** Turned over: what was on top lies on the shelf, coatings face the other way. */
function turn(now: BodyNow): Doing {
  if (now.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(now)) return unlike('Only what is one piece can be turned over: fuse these layers first.');
  const layers = now.layers.toReversed().map((layer): LaidLayer => {
    if (layer.form !== 'sheet' || layer.coated === undefined) return layer;
    return { ...layer, coated: layer.coated === 'up' ? 'down' : 'up' };
  });
  return doing({ ...now, layers, faces: { up: now.faces.down, down: now.faces.up }, isTurned: !now.isTurned });
}

/** A layer with so much less depth, its own where it lies; null where nothing is left of it. */
function thinner(layer: LaidLayer, by_m: number, density: number): LaidLayer | null {
  if (layerDepth(layer, density) - by_m < 1e-7) return null;
  if ('thickness_m' in layer) return { ...layer, thickness_m: layer.thickness_m - by_m };
  if ('diameter_m' in layer) return { ...layer, diameter_m: layer.diameter_m - by_m / ROW_OF_RODS };
  return { ...layer, perArea_kg_m2: layer.perArea_kg_m2 - by_m * density };
}

/** Takes a depth off a face; what went, kg, and whether it went through to the first seam. */
function shaved(before: BodyNow, face: Face, depth_m: number, glasses: readonly NamedGlass[]): Outcome<{ body: BodyNow; mass_kg: number }> {
  if (before.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(before)) return unlike(NOT_ONE);
  const now = asSlab(before, glasses);
  const area_m2 = footprintArea(now.footprint) - now.holes.area_m2;
  const rows = rowsOf(now.layers).map((row) => row.map((index) => now.layers[index]));
  const left: LaidLayer[][] = [];
  let rest = depth_m;
  let mass_kg = 0;
  let holes_kg = now.holes.mass_kg;
  let isOpened = now.faces[face].isOpened;
  for (const row of face === 'up' ? rows.toReversed() : rows) {
    const depths = row.map((layer) => deepOf(layer, glasses));
    const deepest = Math.max(...depths);
    const kept = row.flatMap((layer, i) => {
      // All stand on one ground: from above the highest goes first.
      const off = Math.min(Math.max(face === 'up' ? rest - (deepest - depths[i]) : rest, 0), depths[i]);
      const density = densityOf(layer, glasses);
      // What stands over the outline is ground with the rest of its face.
      mass_kg += off * density * (area_m2 * coverOf(layer) + overhang_m2(layer, now.footprint));
      holes_kg -= off * density * now.holes.area_m2 * coverOf(layer);
      return (off > 0 ? thinner(layer, off, density) : layer) ?? [];
    });
    rest = Math.max(rest - deepest, 0);
    if (kept.length > 0) left.push(kept);
    else if (isSealed(now)) isOpened = true;
  }
  if (left.length === 0) return unlike('That is all there is: nothing of the piece would be left.');
  const layers = (face === 'up' ? left.toReversed() : left).flat();
  const solid = hasSolid(now) ? { from: 0, to: layers.length } : now.solid;
  return found({
    body: { ...now, layers, solid, holes: { ...now.holes, mass_kg: Math.max(holes_kg, 0) }, faces: { ...now.faces, [face]: { surface: 'ground', isOpened } } },
    mass_kg,
  });
}

const withSurface = (now: BodyNow, face: Face, surface: Surface): BodyNow => ({
  ...now,
  faces: { ...now.faces, [face]: { ...now.faces[face], surface } },
});

function offFace(now: BodyNow, face: Face, depth_m: number, as: 'ground' | 'polished', glasses: readonly NamedGlass[]): Doing {
  const ground = shaved(now, face, depth_m, glasses);
  return ground.ok ? doing(withSurface(ground.value.body, face, as), { as, mass_kg: ground.value.mass_kg }) : ground;
}

function offRim(before: BodyNow, depth_m: number, as: 'ground' | 'polished', glasses: readonly NamedGlass[]): Doing {
  if (before.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(before)) return unlike(NOT_ONE);
  if (2 * depth_m > footprintNarrow(before.footprint) - NARROWEST_M) return unlike('That is more than there is from rim to rim.');
  const now = asSlab(before, glasses);
  const footprint = inset(now.footprint, depth_m);
  const off_m2 = footprintArea(now.footprint) - footprintArea(footprint);
  return doing({ ...now, footprint, layers: trimmed(now.layers) }, { as, mass_kg: off_m2 * surfaceMass(now, glasses) + overhang_kg(now, glasses) });
}

/** Whether one outline lies within another by the sides of their boxes. */
const fitsWithin = (small: Footprint, large: Footprint): boolean =>
  footprintArea(small) < footprintArea(large) + 1e-12 &&
  footprintSpan(small) < footprintSpan(large) * Math.SQRT2 + 1e-9 &&
  footprintNarrow(small) < footprintNarrow(large) + 1e-9;

function cutTo(now: BodyNow, outline: Footprint, kerf_m: number, glasses: readonly NamedGlass[]): Doing {
  if (!fitsWithin(outline, now.footprint)) return unlike('The cut is larger than what is to be cut.');
  const each = surfaceMass(now, glasses);
  const off_m2 = footprintArea(now.footprint) - footprintArea(outline);
  // The blade runs outside the line, as far as there is glass.
  const mud_m2 = Math.min(footprintPerimeter(outline) * kerf_m, off_m2);
  return doing(
    { ...now, footprint: outline, layers: trimmed(now.layers) },
    { as: 'kerf', mass_kg: mud_m2 * each },
    { as: 'offcut', mass_kg: (off_m2 - mud_m2) * each + overhang_kg(now, glasses) },
  );
}

function cutToStrips(now: BodyNow, strip_m: number, stand: 'flat' | 'onEdge', kerf_m: number, glasses: readonly NamedGlass[]): Doing {
  const wide_m = footprintNarrow(now.footprint);
  const count = Math.floor((wide_m + kerf_m) / (strip_m + kerf_m) + 1e-9);
  if (count < 1) return unlike('The strips are wider than what is to be cut.');
  const area_m2 = footprintArea(now.footprint);
  const long_m = area_m2 / wide_m;
  const each = surfaceMass(now, glasses);
  const strips_m2 = count * strip_m * long_m;
  const mud_m2 = Math.min((count - 1) * kerf_m * long_m, area_m2 - strips_m2);
  const taken: Taken[] = [
    { as: 'kerf', mass_kg: mud_m2 * each },
    { as: 'offcut', mass_kg: (area_m2 - strips_m2 - mud_m2) * each + overhang_kg(now, glasses) },
  ];
  const layers = trimmed(now.layers);
  const apart = { ...now, formed: null, dammed: false, apart: count };
  if (stand === 'flat') return doing({ ...apart, layers, footprint: { shape: 'rectangle', width_m: count * strip_m, length_m: long_m } }, ...taken);
  const depths = layers.map((layer) => deepOf(layer, glasses) * coverOf(layer));
  const deep_m = depths.reduce((sum, one) => sum + one, 0);
  const onEdge = layers.map(({ id, glassId, name }, i): LaidLayer => {
    const kept = { id, glassId, ...(name ? { name } : {}), thickness_m: strip_m };
    return { ...kept, form: 'pieces', cover: depths[i] / deep_m, count };
  });
  return doing({ ...apart, layers: onEdge, footprint: { shape: 'rectangle', width_m: count * deep_m, length_m: long_m } }, ...taken);
}

function cutToSegments(now: BodyNow, count: number, kerf_m: number, glasses: readonly NamedGlass[]): Doing {
  const area_m2 = footprintArea(now.footprint);
  const mud_m2 = Math.min((count * kerf_m * footprintSpan(now.footprint)) / 2, area_m2);
  const left = 1 - mud_m2 / area_m2;
  if (left < 0.1) return unlike('So many segments would be mud for the most part.');
  return doing(
    { ...now, footprint: scaled(now.footprint, Math.sqrt(left)), layers: trimmed(now.layers), formed: null, apart: count },
    { as: 'kerf', mass_kg: mud_m2 * surfaceMass(now, glasses) },
    { as: 'offcut', mass_kg: overhang_kg(now, glasses) },
  );
}

function cut(before: BodyNow, how: Cutting, kerf_m: number, glasses: readonly NamedGlass[]): Doing {
  if (before.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(before)) return unlike(NOT_ONE);
  const now = asSlab(before, glasses);
  switch (how.to) {
    case 'outline':
      return cutTo(now, how.outline, kerf_m, glasses);
    case 'strips':
      return cutToStrips(now, how.strip_m, how.stand, kerf_m, glasses);
    case 'segments':
      return cutToSegments(now, how.count, kerf_m, glasses);
    case 'slice': {
      const slice = shaved(now, how.face, how.depth_m, glasses);
      if (!slice.ok) return slice;
      const mud = shaved(slice.value.body, how.face, kerf_m, glasses);
      if (!mud.ok) return mud;
      return doing(mud.value.body, { as: 'offcut', mass_kg: slice.value.mass_kg }, { as: 'kerf', mass_kg: mud.value.mass_kg });
    }
  }
}

/** Masked glass keeps standing: the face splits into the ground that went down and the relief over it. */
function blast(before: BodyNow, { face, depth_m, cover, id }: Extract<BenchStep, { kind: 'blast' }>, glasses: readonly NamedGlass[]): Doing {
  const whole = shaved(before, face, depth_m, glasses);
  if (!whole.ok) return whole;
  const taken: Taken = { as: 'blasted', mass_kg: whole.value.mass_kg * cover };
  const body = withSurface(whole.value.body, face, 'blasted');
  if (cover > 1 - 1e-9 || depth_m <= 0) return doing(body, taken);
  const now = asSlab(before, glasses);
  const stood = face === 'up' ? now.layers.toReversed() : now.layers;
  const relief: LaidLayer[] = [];
  let rest = depth_m;
  for (const layer of stood) {
    if (rest <= 1e-9) break;
    const off = Math.min(rest, deepOf(layer, glasses));
    rest -= off;
    if (off > 0)
      relief.push({
        ...{ id: `${layer.id} ${id}`, glassId: layer.glassId, name: 'Relief', form: 'pieces' },
        ...{ thickness_m: off, cover: (1 - cover) * coverOf(layer), count: RELIEF_COUNT },
      });
  }
  const layers = face === 'up' ? [...body.layers, ...relief.toReversed()] : [...relief, ...body.layers];
  return doing({ ...body, layers, solid: hasSolid(body) || relief.length > 0 ? { from: 0, to: layers.length } : body.solid }, taken);
}

/** A masked pattern is followed as so many islands. */
const RELIEF_COUNT = 8;

function drill(before: BodyNow, hole_m: number, count: number, glasses: readonly NamedGlass[]): Doing {
  if (before.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(before)) return unlike(NOT_ONE);
  const now = asSlab(before, glasses);
  const off_m2 = (Math.PI / 4) * hole_m ** 2 * count;
  const area_m2 = footprintArea(now.footprint);
  const holes_m2 = now.holes.area_m2 + off_m2;
  if (hole_m > footprintNarrow(now.footprint) / 2 || holes_m2 > area_m2 / 2) return unlike('The holes would take more than the piece can spare.');
  const mass_kg = off_m2 * surfaceMass(now, glasses);
  return doing({ ...now, holes: { area_m2: holes_m2, mass_kg: now.holes.mass_kg + mass_kg } }, { as: 'drilled', mass_kg });
}

/** The engine knows no smaller share of an outline. */
const LEAST_COVER = 0.01;

function fill(before: BodyNow, { id, glassId, mass_kg, spot_m }: Extract<BenchStep, { kind: 'fill' }>, glasses: readonly NamedGlass[]): Doing {
  if (before.layers.length === 0) return unlike('A fill goes into glass, and here is none yet.');
  const now = asSlab(before, glasses);
  const area_m2 = footprintArea(now.footprint);
  const spot_m2 = (Math.PI / 4) * spot_m ** 2;
  if (spot_m2 > area_m2) return unlike('The spot is larger than the piece.');
  const cover = Math.max(spot_m2 / area_m2, LEAST_COVER);
  const filled: LaidLayer = { id, glassId, name: 'Fill', form: 'frit', perArea_kg_m2: mass_kg / (cover * area_m2), cover };
  return doing({ ...now, layers: [...now.layers, filled], faces: { ...now.faces, up: { ...now.faces.up, isOpened: false } } });
}

function done(now: BodyNow, step: JourneyStep, glasses: readonly NamedGlass[]): Doing {
  switch (step.kind) {
    case 'lay':
      return lay(now, step, glasses);
    case 'fire':
      return fire(now, step, glasses);
    case 'turn':
      return turn(now);
    case 'cut':
      return cut(now, step.cut, step.kerf_m, glasses);
    case 'grind':
    case 'polish': {
      const as = step.kind === 'grind' ? 'ground' : 'polished';
      return step.at === 'rim' ? offRim(now, step.depth_m, as, glasses) : offFace(now, step.at, step.depth_m, as, glasses);
    }
    case 'blast':
      return blast(now, step, glasses);
    case 'drill':
      return drill(now, step.hole_m, step.count, glasses);
    case 'fill':
      return fill(now, step, glasses);
    case 'clean':
    case 'look':
    case 'wait':
      return doing(now);
    case 'join':
      return now.layers.length === 0 ? unlike(NOTHING_THERE) : isOnePiece(now) ? doing(now) : unlike(NOT_ONE);
  }
}

/** What a step lays on, kg, by its own measures. */
function laidBy(step: JourneyStep, { footprint }: BodyNow, glasses: readonly NamedGlass[]): number {
  if (step.kind === 'fill') return step.mass_kg;
  if (step.kind !== 'lay' || step.layers.length === 0) return 0;
  const alone = bodyOf({ ...nothingYet({ footprint, dammed: false }), layers: step.layers }, glasses);
  return alone.ok ? bodyFigures(alone.value.body).mass_kg : 0;
}

/** Where what a step took was weighed, that is what it took. */
function asTold({ body, taken = [] }: Change, step: JourneyStep): Required<Change> {
  const told_kg = step.kind === 'fire' ? undefined : step.took?.mass_kg;
  const reckoned_kg = taken.reduce((sum, { mass_kg }) => sum + mass_kg, 0);
  if (told_kg === undefined || reckoned_kg === 0) return { body, taken };
  const by = told_kg / reckoned_kg;
  return { body: { ...body, lost_kg: body.lost_kg + told_kg - reckoned_kg }, taken: taken.map(({ as, mass_kg }) => ({ as, mass_kg: mass_kg * by })) };
}

/** The body after each step of a journey, in its order. glasses: those of the shelf. */
export function bodiesAfter(doc: Pick<PieceDocument, 'footprint' | 'dammed' | 'journey'>, glasses: readonly NamedGlass[]): AfterStep[] {
  let now = nothingYet(doc);
  return doc.journey.map((step) => {
    const outcome = done(now, step, glasses);
    const laid_kg = outcome.ok ? laidBy(step, now, glasses) : 0;
    const told = outcome.ok ? asTold(outcome.value, step) : { body: now, taken: [] };
    now = told.body;
    return { step, body: now, mass_kg: massNow(now, glasses), laid_kg, taken: told.taken, problem: outcome.ok ? null : outcome.problem };
  });
}
