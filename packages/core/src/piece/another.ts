/** Another piece like one that there is: what is laid, and its whole journey where that is wanted, under ids of its own. */
import type { BenchStep, JourneyStep, LayStep, PieceDocument } from './document';

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

function undone(step: LayStep | BenchStep, id: string, newId: () => string): JourneyStep {
  const { doneAt: _done, took: _took, ...planned } = step;
  return planned.kind === 'lay' ? { ...planned, id, layers: planned.layers.map((layer) => ({ ...layer, id: newId() })) } : { ...planned, id };
}

/** Nothing of it is fired yet: its firings have no schedules until they are given some. */
export function anotherLike(doc: PieceDocument, newId: () => string, firings: boolean): Another {
  const repeats: Another['repeats'] = [];
  const journey = doc.journey.flatMap((step): JourneyStep[] => {
    const id = newId();
    if (step.kind !== 'fire') return firings || step.kind === 'lay' ? [undone(step, id, newId)] : [];
    if (!firings) return [];
    repeats.push({ stepId: id, of: step.id });
    // It lies where it is put itself.
    const { measured: _measured, place: _place, ...planned } = step;
    return [{ ...planned, id, scheduleId: null, computedId: null }];
  });
  return { doc: { ...doc, journey }, repeats };
}
