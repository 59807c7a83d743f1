/** Where a step stands in the journey: before the one that it stands behind, behind the next, or nowhere any more. */
import { type JourneyStep, moveStep, placeOf, removeStep, stepName } from '@torvin/core/piece';
import { Action } from '@/ui/Action';
import type { Layup } from '@/layup/useLayup';
import { STEP_MOVES } from './words';
import { WORDS } from '@/ui/said';

export function StepMoves({ layup, step }: { layup: Layup; step: JourneyStep }) {
  const { doc } = layup;
  const index = placeOf(doc, step.id);
  return (
    <>
      <Action
        kind="second"
        title={STEP_MOVES.earlier}
        label={STEP_MOVES.moveEarlier(stepName(step))}
        disabled={index === 0}
        testID="step-earlier"
        onPress={() => layup.edit(moveStep(doc, step.id, index - 1))}
      />
      <Action
        kind="second"
        title={STEP_MOVES.later}
        label={STEP_MOVES.moveLater(stepName(step))}
        disabled={index === doc.journey.length - 1}
        testID="step-later"
        onPress={() => layup.edit(moveStep(doc, step.id, index + 1))}
      />
      <Action
        kind="plain"
        title={WORDS.remove}
        label={STEP_MOVES.remove(stepName(step))}
        testID="remove-step"
        onPress={() => layup.edit(removeStep(doc, step.id))}
      />
    </>
  );
}
