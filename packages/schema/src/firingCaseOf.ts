/** Puts a piece's step together with the records it names: what the engine computes from. */
import { BARE_SHELF, DEFAULT_LIMITS, ENGINE_VERSION, type FiringCase, type GlassConstants, type Outcome, evenSheets, found, refused } from '@torvin/core';
import type { PieceDoc, Snapshot, Step } from './documents';
import { GlassConstantsSchema } from './glassInput';
import { KilnConstantsSchema } from './heatInput';
import type { Family, Shelves } from './records';

const constantsOf = (family: Family): GlassConstants => GlassConstantsSchema.strip().parse(family);

/** The one family that all sheets of a lay-up belong to. */
export function familyOf(doc: Pick<PieceDoc, 'layers'>, shelves: Shelves): Outcome<Family> {
  const ids = new Set<string>();
  for (const [index, layer] of doc.layers.entries()) {
    const glass = shelves.glasses.find(({ id }) => id === layer.glassId);
    if (!glass) return refused('unknown-id', `doc.layers.${index}.glassId`, `No glass '${layer.glassId}' on the shelf.`);
    ids.add(glass.familyId);
  }
  const names = [...ids].map((id) => shelves.families.find((family) => family.id === id)?.name ?? id);
  if (ids.size > 1) return refused('mixed-families', 'doc.layers', `All sheets must be of one family; these are ${names.join(' and ')}.`);
  const family = shelves.families.find(({ id }) => ids.has(id));
  return family ? found(family) : refused('unknown-id', 'doc.layers', `No glass family '${names.join()}' on the shelf.`);
}

export function snapshotOf(doc: PieceDoc, step: Step, shelves: Shelves): Outcome<Snapshot> {
  const family = familyOf(doc, shelves);
  if (!family.ok) return family;
  const kiln = shelves.kilns.find(({ id }) => id === step.kilnId);
  if (!kiln) return refused('unknown-id', 'doc.steps.0.kilnId', `No kiln '${step.kilnId}' on the shelf.`);
  const controller = shelves.controllers.find(({ id }) => id === step.controllerId);
  if (!controller) return refused('unknown-id', 'doc.steps.0.controllerId', `No controller '${step.controllerId}' on the shelf.`);
  const firing: FiringCase = {
    body: {
      glasses: [constantsOf(family.value)],
      layers: evenSheets(doc.layers),
      footprint: doc.footprint,
      joined: doc.layers.length === 1,
    },
    setup: BARE_SHELF,
    kiln: KilnConstantsSchema.strip().parse(kiln),
    look: step.look,
    school: step.school,
    limits: DEFAULT_LIMITS,
  };
  const layers = doc.layers.map(({ glassId, thickness_m }) => {
    const glass = shelves.glasses.find(({ id }) => id === glassId);
    return { name: glass?.name ?? glassId, colour: glass?.colour ?? '#000000', thickness_m };
  });
  return found({ firing, familyName: family.value.name, kilnName: kiln.name, controller, layers, engine: ENGINE_VERSION });
}
