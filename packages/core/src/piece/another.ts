/** Another piece like one that there is: the same lay-up, and its firings where they are wanted, under ids of its own. */
import type { PieceDocument } from './document';

const NUMBER_AT_THE_END = /^(.*?)(\d+)$/s;
const NAME_AT_MOST = 80;

/** 'Plaque no. 15' after 'Plaque no. 14', '007' after '006'; a name without a number at its end is counted from two. */
export function nextName(name: string): string {
  const [, before, digits] = NUMBER_AT_THE_END.exec(name) ?? [];
  const next = digits === undefined ? ' 2' : String(BigInt(digits) + 1n).padStart(digits.length, '0');
  return `${(digits === undefined ? name : before).slice(0, NAME_AT_MOST - next.length)}${next}`;
}

export interface Another {
  doc: PieceDocument;
  /** Of each firing that it is to have, which of the first one's it repeats. */
  repeats: { stepId: string; of: string }[];
}

/** Nothing of it is fired yet: its firings have no schedules until they are given some. */
export function anotherLike(doc: PieceDocument, newId: () => string, firings: boolean): Another {
  const repeats = firings ? doc.steps.map(({ id }) => ({ stepId: newId(), of: id })) : [];
  const steps = repeats.map(({ stepId }, i) => ({ ...doc.steps[i], id: stepId, scheduleId: null, computedId: null }));
  return { doc: { ...doc, layers: doc.layers.map((layer) => ({ ...layer, id: newId() })), steps }, repeats };
}
