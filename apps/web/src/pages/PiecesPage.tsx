import { useLatestPiece, usePieceRows } from '@/data/pieceRows';
import { PiecesPane } from '@/pieces/PiecesPane';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { isWide, useLayout } from '@/ui/useWidth';
import { PiecePage } from './PiecePage';
import { ADDRESSES } from './words';
import { WORDS } from '@/ui/said';

export function PiecesPage() {
  return isWide(useLayout()) ? <Latest /> : <PiecesPane />;
}

/** Beside the list stands the piece that was worked on last, until another one is chosen. */
function Latest() {
  const pieces = usePieceRows({});
  const latest = useLatestPiece();
  if (!pieces.rows) return <Waiting query={pieces} title={WORDS.pieces} />;
  if (latest) return <PiecePage key={latest} id={latest} />;
  return (
    <Screen title={WORDS.pieces}>
      <Words tone="muted">{ADDRESSES.noPieces}</Words>
    </Screen>
  );
}
