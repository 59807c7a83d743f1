/** After a firing that left more stress in the piece than it may keep: the firing that takes it out, put into the journey by a touch. */
import { RECIPES } from '@torvin/core/look';
import type { Shelves, Step } from '@torvin/schema';
import { useLocalSearchParams } from 'expo-router';
import { Notice } from '@/ui/Notice';
import { PlanAfter } from './PlanAfter';
import type { Layup } from '@/layup/useLayup';
import { ANNEAL_AGAIN } from './words';

export interface AnnealAgainProps {
  layup: Layup;
  pieceId: string;
  step: Step;
  shelves: Shelves;
  onOpen(stepId: string): void;
}

/** Asked for from the record of that firing. */
export function AnnealAgain({ layup, pieceId, step, shelves, onOpen }: AnnealAgainProps) {
  const { anneal } = useLocalSearchParams<{ anneal?: string }>();
  if (anneal !== 'yes' || RECIPES[step.look].empty) return null;
  return (
    <Notice
      tone="warn"
      testID="anneal-again"
      actions={
        <PlanAfter
          {...{ layup, pieceId, step, shelves, onOpen }}
          planned={{ look: 'anneal', setup: { kind: 'bareShelf', paper: false } }}
          isMain
          titles={{ plan: ANNEAL_AGAIN.planSecondAnneal, there: ANNEAL_AGAIN.secondAnneal }}
          testIDs={{ plan: 'plan-anneal', there: 'to-anneal' }}
        />
      }
    >
      {ANNEAL_AGAIN.moreStressStayed}
    </Notice>
  );
}
