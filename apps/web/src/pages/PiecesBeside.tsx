import { useLatestPiece } from '@/data/pieceRows';
import { PiecesPane } from '@/pieces/PiecesPane';

/** The list beside a piece. id: of the one that is open; left out where that is the latest. */
export function PiecesBeside({ id }: { id?: string }) {
  const latest = useLatestPiece();
  return <PiecesPane currentId={id ?? latest ?? undefined} beside />;
}
