/** How far a shape came down, told of its piece too: what comes next starts from there. */
import { firingOf, tellMeasured } from '@torvin/core/piece';
import type { QueryClient } from '@tanstack/react-query';
import { pieceReading } from '@/data/pieces';
import type { Outbox } from '@/outbox/outbox';
import { pieceNow, putPiece } from '@/outbox/shown';

/** Nothing where the piece or its step is gone, or where that is told of it already. */
export async function putMeasured(
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
