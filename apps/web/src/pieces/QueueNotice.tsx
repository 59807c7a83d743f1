/** What of a piece was refused: both states where somebody else saved first, else why; the person decides. */
import type { Piece } from '@torvin/schema';
import type { QueueState } from '@/outbox/useOutbox';
import { useLayoutEffect } from 'react';
import { Action } from '@/ui/Action';
import { GoneChoice } from '@/ui/GoneChoice';
import { Notice } from '@/ui/Notice';
import { showDrawnFault } from '@/ui/showFault';
import { StaleChoice } from './StaleChoice';
import { QUEUE_NOTICE } from '@/ui/said';

/** mine: in a few words, what would be saved. */
export function QueueNotice({ queue, mine }: { queue: QueueState<Piece>; mine: string }) {
  const isAsked = queue.elsewhere !== null || queue.gone || queue.problem !== null;
  // Far down a long page nobody would see it. Before it is painted, so that nothing moves once it can be touched.
  useLayoutEffect(() => (isAsked ? showDrawnFault() : undefined), [isAsked]);
  if (queue.elsewhere) return <StaleChoice current={queue.elsewhere} mine={mine} onTakeTheirs={queue.takeTheirs} onKeepMine={queue.keepMine} />;
  if (queue.gone) return <GoneChoice what={QUEUE_NOTICE.piece} onLeave={queue.takeTheirs} onBringBack={queue.keepMine} />;
  if (!queue.problem) return null;
  return (
    <Notice
      tone="warn"
      testID="not-taken"
      actions={
        <>
          <Action kind="second" title={QUEUE_NOTICE.tryAgain} testID="try-again" onPress={queue.retry} />
          <Action kind="second" title={QUEUE_NOTICE.letItGo} testID="let-it-go" onPress={queue.takeTheirs} />
        </>
      }
    >
      {queue.problem.message}
    </Notice>
  );
}
