/** Under which keys the client keeps what it has read, and how it takes a piece as the server has it now. */
import type { Piece } from '@torvin/schema';
import type { QueryClient, QueryKey } from '@tanstack/react-query';

export const keys = {
  pieces: ['pieces'],
  piece: (id: string) => ['piece', id],
  schedule: (id: string) => ['schedule', id],
  versions: (pieceId: string) => ['versions', pieceId],
  firings: ['firings'],
  /** Of the firings, for the most part. */
  bench: ['firings', 'bench'],
  nearest: (id: string) => ['firings', 'nearest', id],
  learned: (kilnId: string, weighed: string) => ['firings', 'learned', kilnId, weighed],
  seen: (kilnId: string, look: string) => ['firings', 'seen', kilnId, look],
  used: (look: string, formId: string) => ['firings', 'used', look, formId],
  firing: (id: string) => ['firing', id],
  shelves: ['shelves'],
  studio: ['studio'],
  aside: ['aside'],
  backups: ['backups'],
  access: ['access'],
  /** Those that are ahead; of one: also once it has been told of. */
  loads: ['loads'],
  load: (id: string) => ['loads', id],
  forKiln: ['loads', 'for-kiln'],
  suggestedLoads: ['loads', 'suggested'],
  reckonings: ['reckonings'],
  madeUses: ['madeUses'],
  /** Of the firings, and of the coats on the shelf. */
  formUses: ['firings', 'forms'],
  /** By the schedule asked about, '' for none. */
  programs: (scheduleId?: string) => ['programs', ...(scheduleId === undefined ? [] : [scheduleId])],
};

/**
 * What was read is of before a change: it is read again where it is shown. A first reading that is under way is begun anew, since the
 * server may have answered it before the change; the client itself would take it for the newest.
 */
export async function readAnew(client: QueryClient, queryKey: QueryKey = []): Promise<void> {
  const first = ({ state }: { state: { data: unknown } }): boolean => state.data === undefined;
  await client.cancelQueries({ queryKey, predicate: first, fetchStatus: 'fetching' });
  await client.invalidateQueries({ queryKey });
}

export function adoptPiece(client: QueryClient, piece: Piece): void {
  client.setQueryData(keys.piece(piece.id), piece);
  void readAnew(client, keys.pieces);
  void readAnew(client, keys.madeUses);
  // A planned load says what differs in it by now.
  void readAnew(client, keys.loads);
}
