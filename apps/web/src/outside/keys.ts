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
