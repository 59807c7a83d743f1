/**
 * Ids are unique across kinds. Where an older studio or a file has one id for two records, the later kind in the order of KINDS
 * gives way: 'soft-90', a family and a kiln, becomes 'soft-90' and 'soft-90-kiln'; then '-kiln-2' and so on.
 */
import type { PieceDoc, Snapshot } from '../documents';
import { KINDS, type KindName } from './all';

/** Where and what a piece names of a kind; a part may name none. */
export function namedInDoc(doc: PieceDoc, kind: KindName): { id: string; path: string }[] {
  const { inPieces } = KINDS[kind];
  if (!inPieces) return [];
  const { list, key } = inPieces;
  return doc[list].flatMap((part, i) => {
    const id = (part as unknown as Record<string, unknown>)[key];
    return typeof id === 'string' ? [{ id, path: `${list}.${i}.${key}` }] : [];
  });
}

/** New ids by kind and old id. */
export type Renames = Partial<Record<KindName, Record<string, string>>>;

export function freeId(id: string, kind: KindName, taken: (id: string) => boolean): string {
  const stem = `${id}-${KINDS[kind].one.replaceAll(' ', '-')}`;
  for (let i = 1; ; i += 1) {
    const free = i === 1 ? stem : `${stem}-${i}`;
    if (!taken(free)) return free;
  }
}

const renamed = (renames: Renames, kind: KindName, id: string): string => renames[kind]?.[id] ?? id;

export function renameInDoc(doc: PieceDoc, renames: Renames): PieceDoc {
  return {
    ...doc,
    layers: doc.layers.map((layer) => ({ ...layer, glassId: renamed(renames, 'glasses', layer.glassId) })),
    steps: doc.steps.map((step) => ({
      ...step,
      kilnId: renamed(renames, 'kilns', step.kilnId),
      controllerId: renamed(renames, 'controllers', step.controllerId),
      ...(step.releaseId === undefined ? {} : { releaseId: renamed(renames, 'releases', step.releaseId) }),
    })),
  };
}

/** What a schedule was made from names its records, so that it is not taken for outdated. */
export function renameInSnapshot(snapshot: Snapshot, renames: Renames): Snapshot {
  const { madeFrom, familyId } = snapshot;
  const ofFamily = familyId === undefined ? {} : { familyId: renamed(renames, 'families', familyId) };
  if (!madeFrom) return { ...snapshot, ...ofFamily };
  const { kiln, controller, layers, release } = madeFrom;
  return {
    ...snapshot,
    ...ofFamily,
    madeFrom: {
      ...madeFrom,
      kiln: { ...kiln, id: renamed(renames, 'kilns', kiln.id) },
      controller: { ...controller, id: renamed(renames, 'controllers', controller.id) },
      ...(release ? { release: { ...release, id: renamed(renames, 'releases', release.id) } } : {}),
      layers: layers.map((layer) => ({ ...layer, laid: { ...layer.laid, glassId: renamed(renames, 'glasses', layer.laid.glassId) } })),
    },
  };
}
