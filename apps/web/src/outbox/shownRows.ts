/** Lists of pieces with what waits to be saved. */
import type { NamedGlass } from '@torvin/core/piece';
import { type Piece, type PieceRow, rowOfPiece } from '@torvin/schema';
import { type Variables, pieceQueue } from './kinds';
import type { Entry } from './outbox';
import { newPieceIn, shownPiece } from './shown';

interface Known {
  queueOf(entry: Entry): string;
  /** The piece itself, where it has been read. */
  known(id: string): Piece | undefined;
  /** Those of the shelf. */
  glasses: readonly NamedGlass[];
}

/** Those that were made last first, as the server lists them. */
export function shownRows(rows: readonly PieceRow[], waiting: readonly Entry[], { queueOf, known, glasses }: Known): PieceRow[] {
  const made = waiting.flatMap(({ name, variables }) => (name === 'createPiece' ? [(variables as Variables['createPiece']).id] : []));
  const unseen = made.filter((id) => rows.every((row) => row.id !== id)).flatMap((id) => newPieceIn(waiting, id) ?? []);
  return [...unseen.reverse().map((piece) => rowOfPiece(piece, glasses)), ...rows].flatMap((row) => {
    const own = waiting.filter((entry) => queueOf(entry) === pieceQueue(row.id));
    if (own.some(({ name, refused }) => name === 'deletePiece' && !refused)) return [];
    const changes = own.filter(({ name }) => name === 'savePiece');
    const filed = own.findLast(({ name, refused }) => name === 'filePiece' && !refused)?.variables as Variables['filePiece'] | undefined;
    if (changes.length === 0) return filed ? { ...row, ...filed.filing } : row;
    const piece = known(row.id);
    if (piece) return rowOfPiece(shownPiece(piece, own), glasses, row.photo);
    const { name, doc } = changes.at(-1)?.variables as Variables['savePiece'];
    return rowOfPiece({ ...row, ...filed?.filing, name, doc, fired: {} }, glasses, row.photo);
  });
}
