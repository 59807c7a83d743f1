/**
 * What the hands make of a body: turned, cut, ground, blasted, drilled, filled. What a step takes away is reckoned from its own
 * measures (area × depth × density), so that it can be held against the body that is left.
 */
import { withId } from './byId';
import {
  type Footprint,
  fitsWithin,
  footprintArea,
  footprintNarrow,
  footprintPerimeter,
  footprintSpan,
  footprintWall,
  insetBy,
  scaledBy,
} from '../body/footprint';
import { layerDepth, ROW_OF_RODS, rowsOf } from '../body/layers';
import { type Outcome, found } from '../problem';
import {
  type BodyNow,
  type Surface,
  asSlab,
  coverOf,
  nowLaid,
  deepOf,
  densityOf,
  isOnePiece,
  isSealed,
  overhang_kg,
  overhang_m2,
  surfaceMass,
} from './bodyNow';
import type { Cutting, Face } from './handStep';
import type { LaidLayer } from './laid';
import { type StepOutcome, NOT_ONE, NOTHING_THERE, type Taken, stepOutcome, unlike } from './stepOutcome';
import { LEAST_COVER, cutTo, overTurned, unplaced } from './placed';
import type { NamedGlass } from './shelf';

/** Its layers cut to the outline: caps stand over no more. */
const trimmed = (layers: readonly LaidLayer[]): LaidLayer[] =>
  layers.map((layer) => {
    if (layer.form !== 'cap') return layer;
    const { overhang_m: _over, ...flush } = layer;
    return flush;
  });

/** Outlines are told from this size on, m. */
const NARROWEST_M = 0.01;

/** An outline of corners is its own mirror image then. */
const overTurnedOutline = (outline: Footprint): Footprint =>
  outline.shape === 'polygon' ? { shape: 'polygon', corners_m: outline.corners_m.map(([x, y]) => [-x, y] as const) } : outline;

/** Made glass shows its lower face then. */
function otherFace(layer: LaidLayer, glasses: readonly NamedGlass[]): LaidLayer {
  if (withId(glasses, layer.glassId)?.made === undefined) return layer;
  const { flipped, ...rest } = layer;
  return flipped ? rest : { ...rest, flipped: true };
}

/** Turned over: what was on top lies on the shelf, coatings face the other way. */
export function turnBody(now: BodyNow, glasses: readonly NamedGlass[]): StepOutcome {
  if (now.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(now)) return unlike('Only what is one piece can be turned over: fuse these layers first.');
  const layers = now.layers.toReversed().map((flat): LaidLayer => {
    const layer = otherFace(overTurned(flat), glasses);
    if (layer.form !== 'sheet' || layer.coated === undefined) return layer;
    return { ...layer, coated: layer.coated === 'up' ? 'down' : 'up' };
  });
  const faces = { up: now.faces.down, down: now.faces.up };
  return stepOutcome({ ...now, footprint: overTurnedOutline(now.footprint), layers, faces, isTurned: !now.isTurned });
}

/** A layer with so much less depth, its own where it lies; null where nothing is left of it. */
function thinner(layer: LaidLayer, by_m: number, density: number): LaidLayer | null {
  if (layerDepth(layer, density) - by_m < 1e-7) return null;
  if (layer.form === 'pieces' && layer.sunk) {
    const stands_m = Math.max(layer.sunk.stands_m - by_m, 0);
    return { ...layer, thickness_m: layer.thickness_m - by_m, sunk: { ...layer.sunk, stands_m } };
  }
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
  return found({
    body: {
      ...nowLaid(now, layers),
      holes: { ...now.holes, mass_kg: Math.max(holes_kg, 0) },
      faces: { ...now.faces, [face]: { surface: 'ground', isOpened } },
    },
    mass_kg,
  });
}

const withSurface = (now: BodyNow, face: Face, surface: Surface): BodyNow => ({
  ...now,
  faces: { ...now.faces, [face]: { ...now.faces[face], surface } },
});

function offFace(now: BodyNow, face: Face, depth_m: number, as: 'ground' | 'polished', glasses: readonly NamedGlass[]): StepOutcome {
  const ground = shaved(now, face, depth_m, glasses);
  return ground.ok ? stepOutcome(withSurface(ground.value.body, face, as), { as, mass_kg: ground.value.mass_kg }) : ground;
}

function offRim(before: BodyNow, depth_m: number, as: 'ground' | 'polished', glasses: readonly NamedGlass[]): StepOutcome {
  if (before.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(before)) return unlike(NOT_ONE);
  if (2 * depth_m > footprintWall(before.footprint) - NARROWEST_M) return unlike('That is more than there is from rim to rim.');
  const now = asSlab(before, glasses);
  const footprint = insetBy(now.footprint, depth_m);
  const off_m2 = footprintArea(now.footprint) - footprintArea(footprint);
  const layers = trimmed(now.layers).map((layer) => cutTo(layer, footprint));
  return stepOutcome({ ...now, footprint, layers }, { as, mass_kg: off_m2 * surfaceMass(now, glasses) + overhang_kg(now, glasses) });
}

function cutOut(now: BodyNow, outline: Footprint, kerf_m: number, glasses: readonly NamedGlass[]): StepOutcome {
  if (!fitsWithin(outline, now.footprint)) return unlike('The cut is larger than the piece.');
  const each = surfaceMass(now, glasses);
  const off_m2 = footprintArea(now.footprint) - footprintArea(outline);
  // The blade runs outside the line, as far as there is glass.
  const mud_m2 = Math.min(footprintPerimeter(outline) * kerf_m, off_m2);
  return stepOutcome(
    { ...now, ran: now.ran?.as === 'lace' ? now.ran : null, footprint: outline, layers: trimmed(now.layers).map((layer) => cutTo(layer, outline)) },
    { as: 'kerf', mass_kg: mud_m2 * each },
    { as: 'offcut', mass_kg: (off_m2 - mud_m2) * each + overhang_kg(now, glasses) },
  );
}

function cutToStrips(now: BodyNow, strip_m: number, stand: 'flat' | 'onEdge', kerf_m: number, glasses: readonly NamedGlass[]): StepOutcome {
  const wide_m = footprintNarrow(now.footprint);
  const count = Math.floor((wide_m + kerf_m) / (strip_m + kerf_m) + 1e-9);
  if (count < 1) return unlike('The strips are wider than the piece.');
  const area_m2 = footprintArea(now.footprint);
  const long_m = area_m2 / wide_m;
  const each = surfaceMass(now, glasses);
  const strips_m2 = count * strip_m * long_m;
  const mud_m2 = Math.min((count - 1) * kerf_m * long_m, area_m2 - strips_m2);
  const taken: Taken[] = [
    { as: 'kerf', mass_kg: mud_m2 * each },
    { as: 'offcut', mass_kg: (area_m2 - strips_m2 - mud_m2) * each + overhang_kg(now, glasses) },
  ];
  const layers = trimmed(now.layers).map(unplaced);
  const apart = { ...now, formed: null, ran: null, dammed: false, apart: count };
  if (stand === 'flat') return stepOutcome({ ...apart, layers, footprint: { shape: 'rectangle', width_m: count * strip_m, length_m: long_m } }, ...taken);
  const depths = layers.map((layer) => deepOf(layer, glasses) * coverOf(layer));
  const deep_m = depths.reduce((sum, one) => sum + one, 0);
  const onEdge = layers.map(({ id, glassId, name }, i): LaidLayer => {
    const kept = { id, glassId, ...(name ? { name } : {}), thickness_m: strip_m };
    const isMade = withId(glasses, glassId)?.made !== undefined;
    return { ...kept, form: 'pieces', cover: depths[i] / deep_m, count, ...(isMade ? { cutFace: 'side' } : {}) };
  });
  return stepOutcome({ ...apart, layers: onEdge, footprint: { shape: 'rectangle', width_m: count * deep_m, length_m: long_m } }, ...taken);
}

function cutToSegments(now: BodyNow, count: number, kerf_m: number, glasses: readonly NamedGlass[]): StepOutcome {
  const area_m2 = footprintArea(now.footprint);
  const mud_m2 = Math.min((count * kerf_m * footprintSpan(now.footprint)) / 2, area_m2);
  const left = 1 - mud_m2 / area_m2;
  if (left < 0.1) return unlike('So many segments would be mud for the most part.');
  return stepOutcome(
    { ...now, footprint: scaledBy(now.footprint, Math.sqrt(left)), layers: trimmed(now.layers).map(unplaced), formed: null, ran: null, apart: count },
    { as: 'kerf', mass_kg: mud_m2 * surfaceMass(now, glasses) },
    { as: 'offcut', mass_kg: overhang_kg(now, glasses) },
  );
}

export function cutBody(before: BodyNow, how: Cutting, kerf_m: number, glasses: readonly NamedGlass[]): StepOutcome {
  if (before.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(before)) return unlike(NOT_ONE);
  const now = asSlab(before, glasses);
  switch (how.to) {
    case 'outline':
      return cutOut(now, how.outline, kerf_m, glasses);
    case 'strips':
      return cutToStrips(now, how.strip_m, how.stand, kerf_m, glasses);
    case 'segments':
      return cutToSegments(now, how.count, kerf_m, glasses);
    case 'slice': {
      const slice = shaved(now, how.face, how.depth_m, glasses);
      if (!slice.ok) return slice;
      const mud = shaved(slice.value.body, how.face, kerf_m, glasses);
      if (!mud.ok) return mud;
      return stepOutcome(mud.value.body, { as: 'offcut', mass_kg: slice.value.mass_kg }, { as: 'kerf', mass_kg: mud.value.mass_kg });
    }
  }
}

/** Masked glass keeps standing: the face splits into the ground that went down and the relief over it. */
export function blastFace(
  before: BodyNow,
  { face, depth_m, cover, id }: { face: Face; depth_m: number; cover: number; id: string },
  glasses: readonly NamedGlass[],
): StepOutcome {
  const whole = shaved(before, face, depth_m, glasses);
  if (!whole.ok) return whole;
  const taken: Taken = { as: 'blasted', mass_kg: whole.value.mass_kg * cover };
  const body = withSurface(whole.value.body, face, 'blasted');
  if (cover > 1 - 1e-9 || depth_m <= 0) return stepOutcome(body, taken);
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
  const worked = nowLaid(body, layers);
  return stepOutcome(relief.length > 0 ? { ...worked, solid: { from: 0, to: layers.length } } : worked, taken);
}

/** A masked pattern is followed as so many islands. */
const RELIEF_COUNT = 8;

/** Off the rim all round, or off a face. */
export const takenOff = (now: BodyNow, at: 'rim' | Face, depth_m: number, as: 'ground' | 'polished', glasses: readonly NamedGlass[]): StepOutcome =>
  at === 'rim' ? offRim(now, depth_m, as, glasses) : offFace(now, at, depth_m, as, glasses);

export function drillBody(before: BodyNow, hole_m: number, count: number, glasses: readonly NamedGlass[]): StepOutcome {
  if (before.layers.length === 0) return unlike(NOTHING_THERE);
  if (!isOnePiece(before)) return unlike(NOT_ONE);
  const now = asSlab(before, glasses);
  const off_m2 = (Math.PI / 4) * hole_m ** 2 * count;
  const area_m2 = footprintArea(now.footprint);
  const holes_m2 = now.holes.area_m2 + off_m2;
  if (hole_m > footprintNarrow(now.footprint) / 2 || holes_m2 > area_m2 / 2) return unlike('The holes would take more than the piece can spare.');
  const mass_kg = off_m2 * surfaceMass(now, glasses);
  return stepOutcome({ ...now, holes: { area_m2: holes_m2, mass_kg: now.holes.mass_kg + mass_kg } }, { as: 'drilled', mass_kg });
}

/** What lies in a spot is known by this. */
export const FILL = 'Fill';

export function fillSpot(
  before: BodyNow,
  { id, glassId, mass_kg, spot_m }: { id: string; glassId: string; mass_kg: number; spot_m: number },
  glasses: readonly NamedGlass[],
): StepOutcome {
  if (before.layers.length === 0) return unlike('A fill goes into glass, and here is none yet.');
  const now = asSlab(before, glasses);
  const area_m2 = footprintArea(now.footprint);
  const spot_m2 = (Math.PI / 4) * spot_m ** 2;
  if (spot_m2 > area_m2) return unlike('The spot is larger than the piece.');
  const cover = Math.max(spot_m2 / area_m2, LEAST_COVER);
  const filled: LaidLayer = { id, glassId, name: FILL, form: 'frit', perArea_kg_m2: mass_kg / (cover * area_m2), cover };
  return stepOutcome({ ...now, layers: [...now.layers, filled], faces: { ...now.faces, up: { ...now.faces.up, isOpened: false } } });
}
