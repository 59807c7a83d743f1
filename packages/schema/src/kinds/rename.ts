/**
 * Ids are unique across kinds. Where an older studio or a file has one id for two records, the later kind in the order of KINDS
 * gives way: 'soft-90', a family and a kiln, becomes 'soft-90' and 'soft-90-kiln'; then '-kiln-2' and so on.
 */
import type { JourneyStep } from '@torvin/core/piece';
import type { Snapshot } from '../documents';
import type { PieceDoc } from '../pieces';
import { KIND_NAMES, type KindName } from './names';

/** New ids by kind and old id. */
export type Renames = Partial<Record<KindName, Record<string, string>>>;

export function freeId(id: string, kind: KindName, taken: (id: string) => boolean): string {
  const stem = `${id}-${KIND_NAMES[kind].one.replaceAll(' ', '-')}`;
  for (let i = 1; ; i += 1) {
    const free = i === 1 ? stem : `${stem}-${i}`;
    if (!taken(free)) return free;
  }
}

const renamed = (renames: Renames, kind: KindName, id: string): string => renames[kind]?.[id] ?? id;
const renamedGlass = (renames: Renames, id: string): string => renames.glasses?.[id] ?? renamed(renames, 'made', id);

/** A record with another id at a path in it, such as 'stripes.0.glassId'. */
export function namedAnew(record: unknown, path: string, id: string): unknown {
  const [first, ...rest] = path.split('.');
  if (first === '') return id;
  const change = (value: unknown): unknown => namedAnew(value, rest.join('.'), id);
  return Array.isArray(record)
    ? record.map((one: unknown, i) => (String(i) === first ? change(one) : one))
    : { ...(record as Record<string, unknown>), [first]: change((record as Record<string, unknown>)[first]) };
}

function renameInStep(step: JourneyStep, renames: Renames): JourneyStep {
  const ofGlass = <T extends { glassId: string }>(part: T): T => ({ ...part, glassId: renamedGlass(renames, part.glassId) });
  switch (step.kind) {
    case 'lay':
      return { ...step, layers: step.layers.map(ofGlass) };
    case 'fill':
      return ofGlass(step);
    case 'fire':
      return {
        ...step,
        kilnId: renamed(renames, 'kilns', step.kilnId),
        controllerId: renamed(renames, 'controllers', step.controllerId),
        ...(step.place ? { place: { ...step.place, kilnId: renamed(renames, 'kilns', step.place.kilnId) } } : {}),
        ...(step.releaseId === undefined ? {} : { releaseId: renamed(renames, 'releases', step.releaseId) }),
      };
    default:
      return step;
  }
}

export const renameInDoc = (doc: PieceDoc, renames: Renames): PieceDoc => ({ ...doc, journey: doc.journey.map((step) => renameInStep(step, renames)) });

/** The ways that a schedule remembers name glasses too. */
const renameInWay = <W extends { kind: string; [key: string]: unknown }>(way: W, renames: Renames): W => {
  const ofGlass = (part: Record<string, unknown>): Record<string, unknown> =>
    typeof part.glassId === 'string' ? { ...part, glassId: renamedGlass(renames, part.glassId) } : part;
  const own = ofGlass(way) as W;
  return Array.isArray(own.layers) ? { ...own, layers: (own.layers as Record<string, unknown>[]).map(ofGlass) } : own;
};

/** What a schedule was made from names its records, so that it is not taken for outdated. */
export function renameInSnapshot(snapshot: Snapshot, renames: Renames): Snapshot {
  const { madeFrom, familyId } = snapshot;
  const ofFamily = familyId === undefined ? {} : { familyId: renamed(renames, 'families', familyId) };
  if (!madeFrom) return { ...snapshot, ...ofFamily };
  const { kiln, controller, layers, release, hands } = madeFrom;
  return {
    ...snapshot,
    ...ofFamily,
    madeFrom: {
      ...madeFrom,
      kiln: { ...kiln, id: renamed(renames, 'kilns', kiln.id) },
      controller: { ...controller, id: renamed(renames, 'controllers', controller.id) },
      ...(release ? { release: { ...release, id: renamed(renames, 'releases', release.id) } } : {}),
      ...(hands ? { hands: hands.map((way) => renameInWay(way, renames)) } : {}),
      layers: layers.map((layer) => ({ ...layer, laid: { ...layer.laid, glassId: renamedGlass(renames, layer.laid.glassId) } })),
    },
  };
}
