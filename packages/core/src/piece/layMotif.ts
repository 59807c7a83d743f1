/** Lays a motif of parts: each of its glasses among its like on the step, and a cap over all of them. */
import type { Footprint } from '../body/footprint';
import type { Motif } from '../plan/motifs';
import { type Outcome, found } from '../problem';
import { type Edited, addLayer, setOutline } from './commands';
import type { PieceDocument } from './document';
import { isLaying } from './journey';
import { type Stuff, placeParts } from './placing';

export interface LaidMotif {
  motif: Motif;
  /** What its parts are of, in the order in which the motif counts them; all of them cut pieces. */
  of: readonly Extract<Stuff, { form: 'pieces' }>[];
  cap?: { glassId: string; thickness_m: number };
  /** Where the piece takes its outline from the motif. */
  outline?: { footprint: Footprint; dammed: boolean };
  /** Whether it stands in place of what the step lays. */
  instead?: boolean;
  /** What was done, for undo. */
  what: string;
}

/** stepId: the step it is laid in; the first one where left out. */
export function layMotif(
  doc: PieceDocument,
  stepId: string | undefined,
  { motif, of, cap, outline, instead = false, what }: LaidMotif,
  newId: () => string,
): Outcome<Edited> {
  const first = stepId ?? doc.journey.find(isLaying)?.id;
  const cleared = instead ? { ...doc, journey: doc.journey.map((step) => (step.id === first && isLaying(step) ? { ...step, layers: [] } : step)) } : doc;
  const begun = outline ? setOutline(cleared, outline.footprint, {}, outline.dammed) : found({ doc: cleared, what });
  // Where nothing lies yet, what is laid first makes a step to lay in.
  const into = (now: PieceDocument): string | undefined => stepId ?? now.journey.find(isLaying)?.id;
  const laid = of.reduce<Outcome<Edited>>((now, stuff, i) => {
    const parts = motif.parts.filter((part) => part.of === i).map(({ of: _of, ...part }) => ({ ...part, id: newId() }));
    return now.ok && parts.length > 0 ? placeParts(now.value.doc, into(now.value.doc), stuff, parts, newId()) : now;
  }, begun);
  if (!laid.ok || !cap) return laid.ok ? found({ doc: laid.value.doc, what }) : laid;
  const step = into(laid.value.doc);
  const capped = addLayer(laid.value.doc, { id: newId(), form: 'cap', ...cap }, step === undefined ? {} : { stepId: step });
  return capped.ok ? found({ doc: capped.value.doc, what }) : capped;
}
