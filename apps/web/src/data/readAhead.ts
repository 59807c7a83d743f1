/** Reads what will be wanted where the server does not answer, as at a kiln out of reach: what is fired, what waits, what was worked on last. */
import { firingsOf } from '@torvin/core/piece';
import type { Piece } from '@torvin/schema';
import type { QueryClient } from '@tanstack/react-query';
import type { Outbox } from '@/outbox/outbox';
import { keys } from '@/outside/keys';
import { keptReading } from '@/outside/readings';
import { benchReading } from './bench';
import { firingReading, firingsReading } from './firings';
import { loadsReading } from './loads';
import { programsReading } from './programs';
import { reckoningsReading } from './reckonings';
import { pieceReading, piecesReading, scheduleReading, shelvesReading } from './pieces';

const PIECES_AT_MOST = 30;

/** One reading after the other, so that the person's own go first. Rejects where one fails; what was read until then is kept. */
export async function readAhead(client: QueryClient, outbox: Outbox): Promise<void> {
  await client.fetchQuery(shelvesReading);
  await client.fetchQuery(loadsReading);
  await client.fetchQuery(programsReading());
  await client.fetchQuery(reckoningsReading);
  const { inKiln, waiting } = await client.fetchQuery(benchReading);
  await client.fetchInfiniteQuery(firingsReading({}));
  const { pages } = await client.fetchInfiniteQuery(piecesReading({}));
  for (const { id } of inKiln) await client.fetchQuery(firingReading(id));
  const rows = new Map([...waiting.map(({ piece }) => piece), ...pages.flatMap(({ pieces }) => pieces)].map((row) => [row.id, row]));
  const ids = new Set([...inKiln.map(({ pieceId }) => pieceId), ...rows.keys()]);
  for (const id of [...ids].slice(0, PIECES_AT_MOST)) {
    const reading = pieceReading(client, outbox, id);
    const kept = await keptReading<Piece>(reading.queryKey);
    const row = rows.get(id);
    const isSame = kept && kept.version === row?.version && kept.updatedAt === row.updatedAt;
    const piece = isSame ? kept : await client.fetchQuery(reading);
    for (const scheduleId of firingsOf(piece.doc).flatMap((step) => step.scheduleId ?? [])) {
      if (!(await keptReading(keys.schedule(scheduleId)))) await client.fetchQuery(scheduleReading(outbox, scheduleId));
    }
  }
}
