/** How far a shape came down, told of its piece too: what comes next starts from there. */
import { firingOf, tellMeasured } from '@torvin/core/piece';
import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { pieceReading, usePiece } from '@/data/pieces';
import type { Outbox } from '@/outbox/outbox';
import { pieceNow, putPiece } from '@/outbox/shown';
import { useOutbox } from '@/outbox/useOutbox';

/** The piece is read before there is anything to tell of it, so that both are kept by the same touch. */
export function usePutMeasured(of: { pieceId: string; stepId: string }): (down_m: number | null) => void {
  const client = useQueryClient();
  const outbox = useOutbox();
  usePiece(of.pieceId);
  return (down_m) => void putMeasured(client, outbox, of, down_m);
}

/** Nothing where the piece or its step is gone, or where that is told of it already. */
async function putMeasured(
  client: QueryClient,
  outbox: Outbox,
  { pieceId, stepId }: { pieceId: string; stepId: string },
  down_m: number | null,
): Promise<void> {
  const piece = pieceNow(client, outbox, pieceId) ?? (await client.fetchQuery(pieceReading(client, outbox, pieceId)).catch(() => undefined));
  const step = piece && firingOf(piece.doc, stepId);
  if (!piece || !step || (step.measured?.down_m ?? null) === down_m) return;
  const edited = tellMeasured(piece.doc, stepId, down_m);
  if (!edited.ok) return;
  const { id, name, doc, version } = piece;
  putPiece(client, outbox, { id, name, ...edited.value, before: { name, doc } }, { on: version });
}
