/** Undo and redo: steps on the server, taken once all that was changed before has arrived there. */
import type { Problem } from '@torvin/core/problem';
import { type Piece, asks } from '@torvin/schema';
import { onlineManager, useQueryClient } from '@tanstack/react-query';
import { pieceQueue } from '@/outbox/kinds';
import { useOutbox } from '@/outbox/useOutbox';
import { call, problemOfError } from '@/outside/client';
import { UNDO_NEEDS_SERVER } from '@/outside/connection';
import { adoptPiece, keys, readAnew } from '@/outside/keys';

export function useUndoing(id: string, say: (problem: Problem | null) => void): { goBack(): void; goForth(): void } {
  const client = useQueryClient();
  const outbox = useOutbox();
  async function go(way: 'undo' | 'redo'): Promise<void> {
    if (!onlineManager.isOnline()) return say(UNDO_NEEDS_SERVER);
    if (!(await outbox.settled(pieceQueue(id)))) return;
    const version = client.getQueryData<Piece>(keys.piece(id))?.version;
    if (version === undefined) return;
    try {
      adoptPiece(client, await call(way === 'undo' ? asks.undoPiece : asks.redoPiece, { id, body: { version } }));
      say(null);
    } catch (error) {
      say(problemOfError(error));
      void readAnew(client, keys.piece(id));
    }
  }
  return { goBack: () => void go('undo'), goForth: () => void go('redo') };
}
