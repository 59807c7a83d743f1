/** An outdated schedule is not used without a word: compute it again, or take it as it is, knowing what differs. */
import type { Piece, Shelves, Step } from '@torvin/schema';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { OutdatedNotice } from './OutdatedNotice';
import { usePlanFiring } from './usePlanFiring';
import { WORDS } from '@/ui/said';

export interface OutdatedChoiceProps {
  piece: Piece;
  step: Step;
  shelves: Shelves;
  differences: readonly string[];
  /** What taking it as it is says; left out where nothing is done with it here. */
  asItIs?: { title: string; onPress(): void };
}

export function OutdatedChoice({ piece, step, shelves, differences, asItIs }: OutdatedChoiceProps) {
  const planning = usePlanFiring(piece.id, shelves);
  if (differences.length === 0) return null;
  return (
    <>
      <OutdatedNotice
        differences={differences}
        actions={
          <>
            <Action
              title={planning.working ? WORDS.calculating : WORDS.calculateAgain}
              disabled={planning.working}
              testID="compute-again"
              onPress={() => void planning.plan(step, piece)}
            />
            {asItIs && <Action kind="second" title={asItIs.title} testID="as-it-is" onPress={asItIs.onPress} />}
          </>
        }
      />
      {planning.problem && <Notice tone="warn">{planning.problem.message}</Notice>}
    </>
  );
}
