/** Where a step stands in the journey: before the one that it stands behind, behind the next, or nowhere any more. */
import { type JourneyStep, moveStep, placeOf, removeStep, stepName } from '@torvin/core/piece';
import { Action } from '@/ui/Action';
import type { Layup } from '@/layup/useLayup';

export function StepMoves({ layup, step }: { layup: Layup; step: JourneyStep }) {
  const { doc } = layup;
  const index = placeOf(doc, step.id);
  return (
    <>
      <Action
        kind="second"
        title="Earlier"
        label={`Move ${stepName(step)} earlier`}
        disabled={index === 0}
        testID="step-earlier"
        onPress={() => layup.edit(moveStep(doc, step.id, index - 1))}
      />
      <Action
        kind="second"
        title="Later"
        label={`Move ${stepName(step)} later`}
        disabled={index === doc.journey.length - 1}
        testID="step-later"
        onPress={() => layup.edit(moveStep(doc, step.id, index + 1))}
      />
      <Action kind="plain" title="Remove" label={`Remove ${stepName(step)}`} testID="remove-step" onPress={() => layup.edit(removeStep(doc, step.id))} />
    </>
  );
}
