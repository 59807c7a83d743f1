/** Which records a piece names. */
import type { PieceDoc } from '../pieces';
import { KIND_LIST, type KindName, namesOf } from './names';

/** What a piece names: a glass is a bought or a made one, so that each name can be of one of several kinds. */
export interface NamedInDoc {
  id: string;
  path: string;
  kinds: readonly KindName[];
}

const KEYS = [...new Set(KIND_LIST.flatMap((kind) => namesOf(kind).inPieces ?? []))].map((key) => ({
  key,
  kinds: KIND_LIST.filter((kind) => namesOf(kind).inPieces === key),
}));

/** A part may name none. */
export function namedInDoc(doc: PieceDoc): NamedInDoc[] {
  const named = (part: object, path: string): NamedInDoc[] =>
    KEYS.flatMap(({ key, kinds }) => {
      const id = (part as Record<string, unknown>)[key];
      return typeof id === 'string' ? [{ id, path: `${path}.${key}`, kinds }] : [];
    });
  return doc.journey.flatMap((step, i) => [
    ...named(step, `journey.${i}`),
    ...(step.kind === 'fire' && step.place ? named(step.place, `journey.${i}.place`) : []),
    ...(step.kind === 'lay' ? step.layers.flatMap((layer, k) => named(layer, `journey.${i}.layers.${k}`)) : []),
  ]);
}
