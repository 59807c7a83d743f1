/** Under which keys the client keeps what it has read, and how it takes a piece as the server has it now. */
import type { Piece } from '@torvin/schema';
import type { QueryClient } from '@tanstack/react-query';

export const keys = {
  pieces: ['pieces'],
  piece: (id: string) => ['piece', id],
  schedule: (id: string | null | undefined) => ['schedule', id],
  versions: (pieceId: string) => ['versions', pieceId],
  firings: ['firings'],
  firing: (id: string) => ['firing', id],
  shelves: ['shelves'],
  studio: ['studio'],
  aside: ['aside'],
  loads: ['loads'],
};

export function adoptPiece(client: QueryClient, piece: Piece): void {
  client.setQueryData(keys.piece(piece.id), piece);
  void client.invalidateQueries({ queryKey: keys.pieces });
}

/**
 * Shows a piece as a save that is on its way will leave it, its version already raised: whatever page looks at it next, and
 * whatever is saved next, goes on from there, also while the server is silent.
 */
export function expectPiece(client: QueryClient, id: string, change: (now: Piece) => Piece): void {
  void client.cancelQueries({ queryKey: keys.piece(id) });
  client.setQueryData<Piece>(keys.piece(id), (now) => now && change(now));
}

/** Takes the answer to a save, unless later saves that are on their way have been shown already. */
export function adoptAnswer(client: QueryClient, piece: Piece): void {
  const shown = client.getQueryData<Piece>(keys.piece(piece.id));
  if (shown && shown.version > piece.version) return;
  adoptPiece(client, piece);
}

/** What was expected did not come: the piece is as it stands on the server, where the refusal tells, or is read again. */
export function unexpectPiece(client: QueryClient, id: string, current: Piece | null): void {
  if (current) adoptPiece(client, current);
  else void client.invalidateQueries({ queryKey: keys.piece(id) });
}
