/** A firing in its form, drawn to scale in the place of the section: the blank as it is laid on, the glass as far down as it came. */
import { RECIPES, shapingDown } from '@torvin/core/look';
import { heldAcross, snapshotOf, stepName } from '@torvin/core/piece';
import type { PieceDoc, Shelves, Step } from '@torvin/schema';
import { FormDrawing } from '@/section/FormDrawing';
import { STEP_IN_FORM } from './words';

/** A firing in a form that glass sinks into or hangs over, as it is drawn: as far down as was measured, where it was. */
export function formedIn(doc: PieceDoc, step: Step, shelves: Shelves) {
  if (!step.setup.form || RECIPES[step.look].frees) return null;
  const snapshot = snapshotOf(doc, step, shelves);
  if (!snapshot.ok) return null;
  const { firing, layers, setup } = snapshot.value;
  const held = setup.form;
  if (!held || (held.shape.use !== 'hollow' && held.shape.use !== 'former')) return null;
  const across = heldAcross(held, firing);
  const planned = shapingDown(firing.setup.shaping);
  const reached = step.measured && planned ? Math.min(step.measured.down_m / planned, 1) : 1;
  return { step, held, layers, across: { ...across, down: across.down * reached } };
}

export function StepInForm({ formed, height }: { formed: NonNullable<ReturnType<typeof formedIn>>; height: number }) {
  const { step, held, layers, across } = formed;
  return (
    <FormDrawing
      form={held.shape}
      blank={{ ...across, layers }}
      words={STEP_IN_FORM.cutThroughScale(stepName(step), held.name)}
      height={height}
      testID="step-in-form"
    />
  );
}
