import { firingsOf } from '@torvin/core/piece';
import { usePiece } from '@/data/pieces';
import { PiecePane } from '@/pieces/PiecePane';

/** The lay-up that stands beside its run sheet on the widest windows. */
export function BesideRun({ id, step }: { id: string; step?: string }) {
  const piece = usePiece(id);
  return <PiecePane key={id} id={id} stepId={step ?? (piece.data && firingsOf(piece.data.doc)[0]?.id)} beside />;
}
