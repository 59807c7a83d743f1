/** Puts a blank into a piece: its outline, or the cut to it where the piece is glass already, and what its firing sinks into or hangs over. */
import type { Footprint } from '../body/footprint';
import type { Shaping } from '../look/shaping';
import { RECIPES } from '../look/recipes/all';
import { type Outcome, found } from '../problem';
import { type Edited, addLayer, addStep } from './commands';
import type { HeldForm, JourneyStep, LaidLayer, PieceDocument, PlannedSetUp, PlannedStep } from './document';
import { laidLayers } from './journey';

export interface PutBlank {
  outline: Footprint;
  shaping: Shaping;
  /** The studio's own form that it was reckoned for; by its measures alone where left out. */
  form?: HeldForm;
  /** Laid where the piece has no glass yet. */
  sheet: LaidLayer;
  /** Planned at the end where no firing to come takes such a form; null where none can be planned. */
  firing: PlannedStep | null;
  /** From this step on nothing is done yet: from 0 where the piece is not begun. */
  from: number;
  /** Of the cut, where one is needed. */
  cutId: string;
}

const isFor =
  (kind: Shaping['kind']) =>
  (step: JourneyStep): step is PlannedStep =>
    step.kind === 'fire' && RECIPES[step.look].asks?.kind === kind;

const isCutToOutline = (step: JourneyStep): boolean => step.kind === 'cut' && step.cut.to === 'outline';

export function putBlank(doc: PieceDocument, { outline, shaping, form, sheet, firing, from, cutId }: PutBlank): Outcome<Edited> {
  const shapedBy = ({ shaping: _typed, form: _form, ...setup }: PlannedSetUp): PlannedSetUp => ({ ...setup, ...(form ? { form } : { shaping }) });
  const ahead = (step: JourneyStep, index: number): boolean => index >= from && isFor(shaping.kind)(step);
  const index = doc.journey.findIndex(ahead);
  const shaped: Outcome<Edited> =
    index >= 0
      ? found({
          doc: { ...doc, journey: doc.journey.map((step, i) => (i === index && step.kind === 'fire' ? { ...step, setup: shapedBy(step.setup) } : step)) },
          what: '',
        })
      : firing
        ? addStep(doc, { ...firing, setup: shapedBy(firing.setup) })
        : found({ doc, what: '' });
  if (!shaped.ok) return shaped;
  // Before that firing, or the last there is.
  const end = index < 0 ? doc.journey.findLastIndex(({ kind }) => kind === 'fire') : index;
  const cut = doc.journey.findIndex((step, i) => i >= from && i < end && isCutToOutline(step));
  const next = shaped.value.doc;
  const outlined =
    cut >= 0 ? found(recut(next, cut, outline)) : from === 0 ? laidTo(next, outline, sheet) : cutBefore(next, outline, Math.max(end, from), cutId);
  return outlined.ok ? found({ doc: outlined.value.doc, what: 'blank put in' }) : outlined;
}

function laidTo(doc: PieceDocument, outline: Footprint, sheet: LaidLayer): Outcome<Edited> {
  const outlined = { ...doc, footprint: outline, dammed: false, typed: {} };
  return laidLayers(doc).length > 0 ? found({ doc: outlined, what: '' }) : addLayer(outlined, sheet);
}

/** A cut to an outline that is planned before that firing is the cut to the blank. */
function recut(doc: PieceDocument, at: number, outline: Footprint): Edited {
  const journey = doc.journey.map((step, i) => (i === at && step.kind === 'cut' ? { ...step, cut: { to: 'outline' as const, outline } } : step));
  return { doc: { ...doc, journey }, what: '' };
}

const cutBefore = (doc: PieceDocument, outline: Footprint, at: number, id: string): Outcome<Edited> =>
  addStep(doc, { id, kind: 'cut', cut: { to: 'outline', outline }, kerf_m: 0 }, at);
