/** After a firing that left more stress in the piece than it may keep: the firing that takes it out, put into the journey by a touch. */
import { RECIPES } from '@torvin/core/look';
import type { Shelves, Step } from '@torvin/schema';
import { useLocalSearchParams } from 'expo-router';
import { Notice } from '@/ui/Notice';
import { PlanAfter } from './PlanAfter';
import type { Layup } from '@/layup/useLayup';

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
          titles={{ plan: 'Plan a second anneal', there: 'To the second anneal' }}
          testIDs={{ plan: 'plan-anneal', there: 'to-anneal' }}
        />
      }
    >
      {
        'More stress stayed in it than it may keep. A soak relaxes it, and a cool of its own leaves less. Until then it may break by itself: eyes covered, and no cutting or grinding.'
      }
    </Notice>
  );
}
