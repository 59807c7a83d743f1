/** Figures that an earlier engine told stay as they were told; this says so, and computes again where that is wanted. */
import type { Evaluation } from '@torvin/core/schedule';
import { earlierEngine } from '@torvin/core/version';
import type { Piece, Shelves, Snapshot, Step } from '@torvin/schema';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { usePlanFiring } from './usePlanFiring';
import { EARLIER_ENGINE } from './words';
import { WORDS } from '@/ui/said';

export interface EarlierEngineProps {
  piece: Piece;
  step: Step;
  shelves: Shelves;
  snapshot: Snapshot;
  evaluation: Evaluation;
  /** Whether to offer it here; a notice beside this one may do so already. */
  offered: boolean;
}

export function EarlierEngine({ piece, step, shelves, snapshot, evaluation, offered }: EarlierEngineProps) {
  const planning = usePlanFiring(piece.id, shelves);
  const said = earlierEngine(evaluation, snapshot);
  if (said === null) return null;
  return (
    <>
      <Notice
        tone="plain"
        testID="earlier-engine"
        actions={
          offered && (
            <Action
              kind="second"
              title={planning.working ? WORDS.calculating : WORDS.calculateAgain}
              disabled={planning.working}
              testID="compute-by-this"
              onPress={() => void planning.plan(step, piece)}
            />
          )
        }
      >
        {EARLIER_ENGINE.whatChangedNow(said)}
      </Notice>
      {planning.problem && <Notice tone="warn">{planning.problem.message}</Notice>}
    </>
  );
}
