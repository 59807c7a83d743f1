import { Slot, useGlobalSearchParams, usePathname } from 'expo-router';
import { useLatestPiece } from '@/data/pieceRows';
import { PiecesPane } from '@/pieces/PiecesPane';
import { WithPane } from '@/ui/WithPane';
import { isWide, useLayout } from '@/ui/useWidth';
import { BesideRun } from './BesideRun';

const LIST_WIDTH = 340;
const PIECE_WIDTH = 420;

/** Wide: the list beside the piece; from 1200 px the lay-up beside its run sheet. */
export function PiecesLayout() {
  const layout = useLayout();
  const { id, step } = useGlobalSearchParams<{ id?: string; step?: string }>();
  const path = usePathname();
  const latest = useLatestPiece();
  const besideRun = layout === 'beside' && id !== undefined && /\/(run|key-in|fire)$/.test(path);
  const list = <PiecesPane currentId={path === '/pieces' ? (latest ?? undefined) : id} beside />;
  const beside = besideRun ? <BesideRun id={id} step={step} /> : list;
  return (
    <WithPane pane={isWide(layout) ? beside : null} width={besideRun ? PIECE_WIDTH : LIST_WIDTH}>
      <Slot />
    </WithPane>
  );
}
