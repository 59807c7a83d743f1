/** Puts one firing of a piece together with the records it names: what the engine computes from. */
import {
  type Controller,
  type MadeFrom,
  DEFAULT_LIMITS,
  type Contact,
  ENGINE_VERSION,
  type Evidence,
  type FiringCase,
  type FitGlass,
  type KilnConstants,
  type LaidLayer,
  type NamedGlass,
  type Outcome,
  SETUPS,
  bodyAt,
  denseDepth,
  found,
  mainGlass,
  refused,
  touchingLayers,
  withPaper,
} from '@torvin/core';
import type { DrawnLayer, PieceDoc, Snapshot, Step } from './documents';
import { GlassConstantsSchema, KilnConstantsSchema } from '@torvin/core/contract';
import type { Shelves } from './kinds/shelves';
import type { ControllerRecord, Family, Kiln } from './records';

const UNKNOWN_COLOUR = '#9AA8A2';

// Made once: a schema is compiled when it is made, and these are asked for at every step of a drag.
const glassConstants = GlassConstantsSchema.strip();
const kilnConstants = KilnConstantsSchema.strip();

const namedOf = new WeakMap<Shelves, NamedGlass[]>();

/** The glasses of the shelf with their families' constants, as the core takes them; worked out once for each state of the shelves. */
export function namedGlasses(shelves: Shelves): NamedGlass[] {
  const known = namedOf.get(shelves);
  if (known) return known;
  const constants = new Map(shelves.families.map((family) => [family.id, glassConstants.parse(family)]));
  const named = shelves.glasses.flatMap(({ id, familyId }) => {
    const own = constants.get(familyId);
    return own ? [{ id, constants: own }] : [];
  });
  namedOf.set(shelves, named);
  return named;
}

/** Depth of a layer where it lies, its own gaps closed, m. */
function depthOf(layer: LaidLayer, glass: NamedGlass | undefined): number {
  if ('thickness_m' in layer) return layer.thickness_m;
  if (!glass) return 0;
  const { id: _id, glassId: _glassId, name: _name, ...rest } = layer;
  return denseDepth({ ...rest, glass: 0 }, [glass.constants]);
}

/** The layers as they are drawn, with the names and colours that the shelf has for them now. */
export function drawnLayers(doc: Pick<PieceDoc, 'layers'>, shelves: Shelves | undefined): DrawnLayer[] {
  const named = shelves ? namedGlasses(shelves) : [];
  return doc.layers.map((layer) => {
    const glass = shelves?.glasses.find(({ id }) => id === layer.glassId);
    return {
      name: glass?.name ?? layer.glassId,
      colour: glass?.colour ?? UNKNOWN_COLOUR,
      thickness_m: depthOf(
        layer,
        named.find(({ id }) => id === layer.glassId),
      ),
      form: layer.form,
      ...('cover' in layer && layer.cover !== undefined ? { cover: layer.cover } : {}),
      ...(layer.form === 'pieces' ? { count: layer.count } : {}),
      ...(layer.form === 'sheet' && layer.coated ? { coated: layer.coated } : {}),
    };
  });
}

export interface FitQuestion {
  glasses: FitGlass[];
  contacts: Required<Contact>[];
  evidence: Evidence[];
}

/** What the fit of a lay-up is judged from, and which layers touch; index i of the glasses is the i-th that the layers name. */
export function fitQuestion(doc: Pick<PieceDoc, 'layers'>, shelves: Shelves): FitQuestion & { ids: string[]; touching: [lower: number, upper: number][] } {
  const constants = namedGlasses(shelves);
  const ids = [...new Set(doc.layers.map(({ glassId }) => glassId))].filter((id) => constants.some((glass) => glass.id === id));
  const records = ids.map((id) => shelves.glasses.find((glass) => glass.id === id));
  const glasses = ids.flatMap((id, i): FitGlass[] => {
    const own = constants.find((glass) => glass.id === id);
    return own ? [{ ...own.constants, contents: records[i]?.contents ?? [] }] : [];
  });
  const depths = drawnLayers(doc, shelves).map(({ thickness_m }) => thickness_m);
  const touching = touchingLayers(doc.layers).filter((pair) => pair.every((index) => ids.includes(doc.layers[index].glassId)));
  const contacts = new Map<string, Required<Contact>>();
  for (const [below, above] of touching) {
    const [lower, upper] = [below, above].map((index) => ids.indexOf(doc.layers[index].glassId));
    const key = `${lower} ${upper}`;
    if (!contacts.has(key)) contacts.set(key, { lower, upper, lower_m: depths[below], upper_m: depths[above] });
  }
  const evidence: Evidence[] = [];
  records.forEach((one, a) =>
    records.slice(a + 1).forEach((other, i) => {
      if (one?.familyId === other?.familyId) evidence.push({ a, b: a + 1 + i, kind: 'proven', result: 'holds' });
    }),
  );
  for (const { glassA, glassB, result } of shelves.stripTests) {
    const [a, b] = [ids.indexOf(glassA), ids.indexOf(glassB)];
    if (a >= 0 && b >= 0) evidence.push({ a, b, kind: 'ownTest', result });
  }
  return { glasses, contacts: [...contacts.values()], evidence, ids, touching };
}

/** Index of a piece's firing, and all that the engine computes it from. */
export function snapshotOf(doc: PieceDoc, step: Step, shelves: Shelves): Outcome<Snapshot> {
  const index = Math.max(
    0,
    doc.steps.findIndex(({ id }) => id === step.id),
  );
  const body = bodyAt(doc, index, namedGlasses(shelves));
  if (!body.ok) return body;
  const missing = (what: string, key: 'kilnId' | 'controllerId') =>
    refused('unknown-id', `doc.steps.${index}.${key}`, `No ${what} '${step[key]}' on the shelf.`);
  const kiln = shelves.kilns.find(({ id }) => id === step.kilnId);
  if (!kiln) return missing('kiln', 'kilnId');
  const controller = shelves.controllers.find(({ id }) => id === step.controllerId);
  if (!controller) return missing('controller', 'controllerId');
  const { kind, paper, shaping } = step.setup;
  const under = paper ? withPaper(SETUPS[kind]) : SETUPS[kind];
  const firing: FiringCase = {
    body: body.value,
    setup: { ...under, ...(shaping ? { shaping } : {}) },
    kiln: kilnConstants.parse(kiln),
    look: step.look,
    school: step.school,
    limits: DEFAULT_LIMITS,
    controller: countsOf(controller),
  };
  const family = mainFamily(doc, shelves, firing);
  return found({
    firing,
    familyName: family?.name ?? '',
    ...(family ? { familyId: family.id } : {}),
    kilnName: kiln.name,
    controller,
    layers: drawnLayers(doc, shelves),
    setup: { kind, paper },
    engine: ENGINE_VERSION,
    madeFrom: madeFromOf(doc, step, index, shelves, { kiln, controller }),
  });
}

/** A controller without its name: how it counts. */
const countsOf = ({ unit, fullSpeedCode, mostSegments }: ControllerRecord): Controller => ({ unit, fullSpeedCode, mostSegments });

/** How large a kiln is inside changes nothing that was computed. */
function withoutRoom({
  insideWidth_m: _width,
  insideLength_m: _length,
  insideDiameter_m: _diameter,
  insideHeight_m: _height,
  ...constants
}: KilnConstants): KilnConstants {
  return constants;
}

/** What a person can change of all this. */
function madeFromOf(
  doc: PieceDoc,
  { look, setup, school }: Step,
  index: number,
  shelves: Shelves,
  { kiln, controller }: { kiln: Kiln; controller: ControllerRecord },
): MadeFrom {
  const drawn = drawnLayers(doc, shelves);
  const used = new Set(doc.layers.map(({ glassId }) => glassId));
  return {
    footprint: doc.footprint,
    dammed: doc.dammed,
    layers: doc.layers.map((laid, i) => ({ glassName: drawn[i].name, depth_m: drawn[i].thickness_m, laid })),
    glasses: Object.fromEntries(namedGlasses(shelves).flatMap(({ id, constants }) => (used.has(id) ? [[id, constants]] : []))),
    before: doc.steps.slice(0, index).map((earlier) => ({ look: earlier.look, setup: earlier.setup })),
    look,
    setup,
    school,
    kiln: { id: kiln.id, name: kiln.name, constants: withoutRoom(kilnConstants.parse(kiln)) },
    controller: { id: controller.id, name: controller.name, counts: countsOf(controller) },
  };
}

/** Of the glass that the most of the body is made of. */
function mainFamily(doc: PieceDoc, shelves: Shelves, { body }: FiringCase): Family | undefined {
  const main = mainGlass(body);
  const ids = [...new Set(doc.layers.map(({ glassId }) => glassId))];
  const glass = shelves.glasses.find(({ id }) => id === ids[body.glasses.indexOf(main)]);
  return shelves.families.find(({ id }) => id === glass?.familyId);
}
