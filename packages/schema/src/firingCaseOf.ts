/** Puts one firing of a piece together with the records it names: what the engine computes from. */
import {
  DEFAULT_LIMITS,
  ENGINE_VERSION,
  type Evidence,
  type FiringCase,
  type FitGlass,
  type LaidLayer,
  type NamedGlass,
  type Outcome,
  SETUPS,
  bodyAt,
  denseDepth,
  found,
  mainGlass,
  refused,
  withPaper,
} from '@torvin/core';
import type { DrawnLayer, PieceDoc, Snapshot, Step } from './documents';
import { GlassConstantsSchema } from './glassInput';
import { KilnConstantsSchema } from './heatInput';
import type { Shelves } from './records';

const UNKNOWN_COLOUR = '#9AA8A2';

/** The glasses of the shelf with their families' constants, as the core takes them. */
export const namedGlasses = ({ glasses, families }: Shelves): NamedGlass[] =>
  glasses.flatMap(({ id, familyId }) => {
    const family = families.find((one) => one.id === familyId);
    return family ? [{ id, constants: GlassConstantsSchema.strip().parse(family) }] : [];
  });

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

/** What the fit of a lay-up is judged from; index i of the glasses is the i-th glass that the layers name. */
export function fitQuestion(doc: Pick<PieceDoc, 'layers'>, shelves: Shelves): { glasses: FitGlass[]; evidence: Evidence[]; ids: string[] } {
  const ids = [...new Set(doc.layers.map(({ glassId }) => glassId))];
  const records = ids.map((id) => shelves.glasses.find((glass) => glass.id === id));
  const constants = namedGlasses(shelves);
  const glasses = ids.flatMap((id, i): FitGlass[] => {
    const own = constants.find((glass) => glass.id === id);
    return own ? [{ ...own.constants, contents: records[i]?.contents ?? [] }] : [];
  });
  const evidence: Evidence[] = [];
  for (const [a, one] of records.entries())
    for (const [b, other] of records.entries())
      if (a < b && one && other && one.familyId === other.familyId) evidence.push({ a, b, kind: 'proven', result: 'holds' });
  for (const { glassA, glassB, result } of shelves.stripTests) {
    const [a, b] = [ids.indexOf(glassA), ids.indexOf(glassB)];
    if (a >= 0 && b >= 0) evidence.push({ a, b, kind: 'ownTest', result });
  }
  return { glasses, evidence, ids };
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
    kiln: KilnConstantsSchema.strip().parse(kiln),
    look: step.look,
    school: step.school,
    limits: DEFAULT_LIMITS,
  };
  return found({
    firing,
    familyName: mainFamilyName(doc, shelves, firing),
    kilnName: kiln.name,
    controller,
    layers: drawnLayers(doc, shelves),
    setup: { kind, paper },
    engine: ENGINE_VERSION,
  });
}

/** Of the glass that the most of the body is made of. */
function mainFamilyName(doc: PieceDoc, shelves: Shelves, { body }: FiringCase): string {
  const main = mainGlass(body);
  const ids = [...new Set(doc.layers.map(({ glassId }) => glassId))];
  const glass = shelves.glasses.find(({ id }) => id === ids[body.glasses.indexOf(main)]);
  return shelves.families.find(({ id }) => id === glass?.familyId)?.name ?? '';
}
